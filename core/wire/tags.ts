import type { Phase } from '../catalogue';
import type { Tag } from './reference';

/** A tag with the title of its stop. */
export interface StopTag extends Tag {
  readonly title: string;
  /** The catalogue itself wants it read, in these phases. */
  readonly phases: readonly Phase[];
}
