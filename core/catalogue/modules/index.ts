import type { Catalogue } from '../types';
import { straightTruck } from './straight-truck';
import { tagTrailer } from './tag-trailer';

/**
 * The catalogue that ships. A version is immutable once a walk has used it: any
 * change of content gets a new version, so that old reports keep what was asked.
 */
export const catalogue: Catalogue = {
  version: '2026.11.1',
  modules: [straightTruck, tagTrailer],
};
