import { liftgateSequences } from '../sequences/liftgate';
import type { Check, Module } from '../../catalogue';
import { check, faultsOf, module, rect } from '../write';

import { cycleCheck, liftChecks, liftZones, stowCycle } from './lift-gate-shared';

const { stops, repairs } = faultsOf('lift', ['lift-gate']);

const rail: Check[] = [
  ...liftChecks('rail-lift'),
  check({
    id: 'rail-lift.sliders',
    title: 'Look at sliders and guards in the rails',
    partName: 'Rail sliders and guards',
    zone: 'rear',
    method: 'look',
    seconds: 9,
    criterion: 'Guards on, rails straight and clean.',
    symptoms: [
      stops('slider-broken', 'Slider or guard broken'),
      repairs('rail-dirty', 'Packed with dirt or ice'),
    ],
    fixes: { 'rail-dirty': ['Clear it'] },
    why: 'A jammed slider lifts one side only.',
  }),
  check({
    id: 'rail-lift.chains',
    title: 'Look at lift chains or cables',
    partName: 'Lift chains or cables',
    zone: 'rear',
    method: 'look',
    phases: ['pre-trip', 'weekly'],
    seconds: 9,
    criterion: 'Even, no stiff link, no broken wire.',
    symptoms: [
      stops('chain-damaged', 'Link cracked or wire broken'),
      repairs('chain-uneven', 'Uneven tension'),
    ],
    why: 'Both sides hang on them.',
  }),
  check({
    id: 'rail-lift.motor-guard',
    title: 'Look at the motor guard',
    partName: 'Motor guard',
    zone: 'rear',
    method: 'look',
    seconds: 5,
    criterion: 'On, bolted.',
    symptoms: [repairs('guard-off', 'Loose or missing')],
    why: 'Wires and chain run behind it.',
  }),
  check({
    id: 'rail-lift.footstep',
    title: 'Shake the footstep',
    partName: 'Footstep',
    zone: 'rear',
    method: 'shake',
    seconds: 5,
    criterion: 'Tight and rough.',
    symptoms: [repairs('footstep-loose', 'Loose or bent')],
    why: 'One steps on it backwards.',
  }),
  check({
    id: 'rail-lift.stops',
    title: 'Look at bumpers and stops',
    partName: 'Bumpers and stops',
    zone: 'rear',
    method: 'look',
    seconds: 5,
    criterion: 'Rubber there, stops not bent.',
    symptoms: [repairs('bumper-gone', 'Missing or bent')],
    why: 'Without them it beats on the frame all day.',
  }),
  cycleCheck('rail-lift', 'Run the lift: down, out, unfold, up to the floor, stow'),
];

const sequences = liftgateSequences({
  prefix: 'rail-lift',
  unfold: 'Lower it a little, slide it out, unfold platform and ramp; feet back.',
  fold: 'Lower it, fold ramp, then platform, slide it in.',
  transit: 'the transit hook and latch',
});

/** Rail, tuck-under or stow-away lift at the rear. */
export const railLift: Module = module({
  id: 'liftgate-rail',
  title: 'Liftgate, rail or tuck-under',
  build: 'fitted',
  apart: [
    'battery.state',
    'battery.box',
    'charging-lead',
    'decals',
    'lamps',
    'padlocks',
    'footstep',
    'grease',
  ],
  vehicleClass: 'goods',
  length: 0.6,
  width: 2.4,
  height: 1.2,
  capabilities: ['lift-gate'],
  mountsOn: { sort: 'rear-gate', x: 0 },
  requires: ['charging-lead'],
  specification: [{ id: 'liftRatedLoad', title: 'Rated load of the lift', kind: 'mass' }],
  zones: [...liftZones],
  shapes: [rect('platform', 0.05, -1.1, 0.45, 2.2, 0.05)],
  checks: [...rail, ...sequences.map(({ check: each }) => each)],
  procedures: [
    ...sequences.map(({ procedure }) => procedure),
    stowCycle('rail-lift', 'Liftgate through its cycle', [
      { id: 'unlatch', say: 'Unhook the transit latch.', fails: [] },
      {
        id: 'down',
        say: 'Down a little, swing or slide it out.',
        see: 'Free, no drag.',
        withinSeconds: 15,
        fails: ['cycle-jerks', 'cycle-dead'],
      },
      {
        id: 'unfold',
        say: 'Unfold the platform and the ramp.',
        see: 'Hinges free, lies flat.',
        fails: ['cycle-uneven'],
      },
      {
        id: 'ground',
        say: 'Lower it to the ground.',
        see: 'Both corners touch together.',
        withinSeconds: 20,
        fails: ['cycle-jerks', 'cycle-slow'],
      },
      { id: 'stops', say: 'Raise the cart stops.', see: 'They hold.', fails: [] },
      {
        id: 'floor',
        say: 'Raise it to the floor, empty.',
        see: 'Level with the floor.',
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
      {
        id: 'stow',
        say: 'Lower, refold, stow, power it up tight against the stops.',
        see: 'Latch upright.',
        fails: ['cycle-dead', 'cycle-jerks'],
      },
    ]),
  ],
  services: [
    { id: 'rail-lift.service', title: 'Liftgate: oil, grease, battery test', every: { days: 91 } },
  ],
});
