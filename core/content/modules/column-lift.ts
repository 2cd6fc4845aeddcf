import { liftgateSequences } from '../sequences/liftgate';
import type { Check, Module } from '../../catalogue';
import { BY_HAND, check, faultsOf, module, moved, rect } from '../write';

import { cycleCheck, feet, liftChecks, liftZones, stowCycle } from './lift-gate-shared';

const { stops, repairs } = faultsOf('lift', ['lift-gate']);

const column: Check[] = [
  ...liftChecks('column-lift'),
  check({
    id: 'column-lift.columns',
    title: 'Look at both columns and their slides',
    partName: 'Columns and slides',
    zone: 'rear',
    method: 'look',
    seconds: 10,
    criterion: 'Straight, clean, slides whole.',
    symptoms: [stops('column-bent', 'Bent or cracked'), repairs('slide-worn', 'Slide worn')],
    why: 'A dock bends them unseen.',
  }),
  check({
    id: 'column-lift.torsion',
    title: 'Fold platform and extension by hand',
    partName: 'Folding of platform and extension',
    zone: 'rear',
    method: 'operate',
    moves: BY_HAND,
    needs: ['platform-down', 'secured'],
    seconds: 12,
    criterion: 'Torsion assist carries it; one hand is enough.',
    symptoms: [
      stops('torsion-broken', 'Falls or cannot be lifted by one'),
      repairs('torsion-weak', 'Heavy'),
    ],
    cautions: [feet],
    why: 'A platform that falls breaks a foot.',
  }),
  check({
    id: 'column-lift.level-ride',
    title: 'Watch that it rides level',
    partName: 'Level of the platform',
    zone: 'lift-controls',
    method: 'look',
    moves: moved('platform', 'lift-power', ['lift-gate']),
    needs: ['lift-power-on', 'parking-brake-set', 'area-clear'],
    seconds: 12,
    criterion: 'Level all the way up.',
    symptoms: [stops('rides-tilted', 'Tilts outward'), repairs('rides-uneven', 'A little uneven')],
    why: 'Tilted outward, a pallet jack rolls.',
  }),
  check({
    id: 'column-lift.ground-tilt',
    title: 'Watch the tilt at the ground',
    partName: 'Tilt at the ground',
    zone: 'lift-controls',
    method: 'operate',
    moves: moved('platform', 'lift-power', ['lift-gate']),
    needs: ['lift-power-on', 'parking-brake-set', 'area-clear'],
    seconds: 10,
    criterion: 'Tilts to a ramp at the ground and back before it rises.',
    symptoms: [repairs('tilt-dead', 'Does not tilt or return')],
    why: 'Without it the wheel hits a step.',
  }),
  check({
    id: 'column-lift.hydraulic-lock',
    title: 'Look at the hydraulic lock',
    partName: 'Hydraulic lock',
    zone: 'lift-controls',
    method: 'operate',
    moves: moved('platform', 'lift-power', ['lift-gate']),
    needs: ['lift-power-on', 'parking-brake-set', 'area-clear'],
    seconds: 12,
    criterion: 'Cannot be lowered with the switch off.',
    symptoms: [stops('lock-dead', 'Can be lowered with the switch off')],
    why: 'It holds when a hose bursts.',
  }),
  cycleCheck('column-lift', 'Run the lift: unfold, down, up to the floor, fold'),
];

const sequences = liftgateSequences({
  prefix: 'column-lift',
  unfold: 'Hold the platform, fold it down, then its extension.',
  fold: 'Fold the extension, then the platform, both locks.',
  transit: 'both locks of the platform',
});

/** Column or folding lift. */
export const columnLift: Module = module({
  id: 'liftgate-column',
  title: 'Liftgate, column or folding',
  build: 'fitted',
  apart: ['battery.state', 'battery.box', 'charging-lead', 'decals', 'lamps', 'padlocks', 'grease'],
  vehicleClass: 'goods',
  length: 0.35,
  width: 2.5,
  height: 2.4,
  capabilities: ['lift-gate'],
  mountsOn: { sort: 'rear-gate', x: 0 },
  requires: ['charging-lead'],
  specification: [{ id: 'liftRatedLoad', title: 'Rated load of the lift', kind: 'mass' }],
  zones: [...liftZones],
  shapes: [rect('platform', 0.05, -1.2, 0.25, 2.4, 0.04)],
  checks: [...column, ...sequences.map(({ check: each }) => each)],
  procedures: [
    ...sequences.map(({ procedure }) => procedure),
    stowCycle('column-lift', 'Liftgate through its cycle', [
      { id: 'unlatch', say: 'Open the locks, hold the platform.', fails: [] },
      {
        id: 'unfold',
        say: 'Fold platform and extension down.',
        see: 'Assist carries it.',
        fails: ['cycle-jerks'],
      },
      {
        id: 'ground',
        say: 'Lower it to the ground.',
        see: 'Tilts to a ramp.',
        withinSeconds: 20,
        fails: ['cycle-slow', 'cycle-jerks'],
      },
      {
        id: 'floor',
        say: 'Raise it to the floor.',
        see: 'Level all the way.',
        withinSeconds: 25,
        fails: ['cycle-slow', 'cycle-uneven'],
      },
      {
        id: 'hold',
        say: 'Let go. Watch.',
        see: 'Stays at the floor.',
        holdSeconds: 30,
        fails: ['cycle-drifts'],
      },
      { id: 'fold', say: 'Fold it up and lock it.', see: 'Both locks in.', fails: ['cycle-dead'] },
    ]),
  ],
  services: [
    {
      id: 'column-lift.service',
      title: 'Liftgate: oil, grease, battery test',
      every: { days: 91 },
    },
  ],
});
