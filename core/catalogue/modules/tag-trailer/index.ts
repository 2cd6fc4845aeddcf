import type { Module } from '../../types';
import { trailerChecks } from './checks';
import { HEIGHT, LENGTH, WIDTH, places, shapes, zones } from './measures';

export const tagTrailer: Module = {
  id: 'tag-trailer-air',
  title: 'Tag trailer, air brakes',
  powered: false,
  airBrakes: true,
  length: LENGTH,
  width: WIDTH,
  height: HEIGHT,
  capabilities: ['road'],
  joints: { front: { sort: 'pintle', x: 0 } },
  zones,
  places,
  shapes,
  checks: trailerChecks,
};
