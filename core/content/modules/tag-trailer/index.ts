import { HOOK_UP_ZONE, pintleSequences } from '../../sequences/pintle';
import type { Module } from '../../../catalogue';
import { module } from '../../write';
import {
  trailerChecks,
  trailerCombinations,
  trailerServices,
  trailerSpecification,
} from '../../trailer';
import { HEIGHT, LENGTH, WIDTH, gear, places, shapes, zones } from './measures';

const hooking = pintleSequences({ prefix: 'tag-trailer' });

export const tagTrailer: Module = module({
  id: 'tag-trailer-air',
  title: 'Tag trailer, air brakes',
  build: 'chassis',
  vehicleClass: 'trailer',
  powered: false,
  airBrakes: true,
  length: LENGTH,
  width: WIDTH,
  height: HEIGHT,
  capabilities: ['road'],
  joints: { front: { sort: 'pintle', x: 0 } },
  mounts: [{ sort: 'deck', x: 2, z: 0.9 }],
  requires: ['air-lines', 'electrical-socket'],
  specification: [
    ...trailerSpecification,
    {
      id: 'breakawayVoltageLow',
      title: 'Breakaway battery, lowest',
      kind: 'voltage',
      required: true,
    },
  ],
  zones: [...zones, HOOK_UP_ZONE],
  runningGear: gear,
  places,
  shapes,
  checks: [...trailerChecks, ...hooking.map(({ check: each }) => each)],
  procedures: hooking.map(({ procedure }) => procedure),
  combinations: trailerCombinations,
  services: trailerServices,
});
