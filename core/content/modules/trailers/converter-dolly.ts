import {
  drawbarChecks,
  ofTrailer,
  servicesOfTrailer,
  trailerGear,
  trailerPlaces,
  trailerShapes,
  trailerSpecification,
  trailerZones,
} from '../../trailer';
import { renamed } from '../../renamed';
import { fifthWheelChecks } from '../tractors/fifth-wheel';
import type { Check, Module } from '../../../catalogue';
import { BY_HAND, caution, check, faultsOf, module, place, rect } from '../../write';

const P = 'dolly';
const { stops, repairs } = faultsOf('coupling', ['road']);
const pinned = caution(
  'DANGER',
  'A dolly swings and tips when it is free. Two people, and never in front of the drawbar.',
);

const own: Check[] = [
  ...renamed(drawbarChecks, 'tag-trailer', P).filter(
    ({ id }) => !/breakaway|approach|jack/.test(id),
  ),
  ...fifthWheelChecks(P, 'driver-wheels').map((each) => ({
    ...each,
    symptoms: each.symptoms.map((symptom) => ({ ...symptom, takes: ['road' as const] })),
  })),
  check({
    id: `${P}.hooks`,
    title: 'Look at the pintle hook and its air latch',
    partName: 'Pintle hook and air latch',
    zone: 'drawbar',
    method: 'look',
    phases: ['pre-trip', 'hook-up'],
    seconds: 8,
    criterion: 'Closed, latched, no play.',
    source: '49 CFR 393.70(c)',
    symptoms: [stops('hook-open', 'Does not latch'), repairs('hook-play', 'Play')],
    cautions: [pinned],
    why: 'Two trailers hang on it.',
  }),
  check({
    id: `${P}.support`,
    title: 'Look at the drawbar support: up and pinned',
    partName: 'Drawbar support',
    zone: 'drawbar',
    method: 'look',
    seconds: 5,
    criterion: 'Up, pinned.',
    symptoms: [stops('support-down', 'Down', { fixLeaves: 'watch' })],
    fixes: { 'support-down': ['Pin it up'] },
    why: 'It digs in.',
  }),
  check({
    id: `${P}.valves`,
    title: 'Look at shut-off valves: open to the rear, shut at the last',
    partName: 'Shut-off valves',
    zone: 'rear',
    method: 'look',
    phases: ['pre-trip', 'hook-up'],
    seconds: 10,
    criterion: 'Open between the trailers, shut behind the last.',
    symptoms: [
      faultsOf('brakes', ['road']).stops('valve-wrong', 'A valve stands wrong', {
        fixLeaves: 'watch',
      }),
    ],
    fixes: { 'valve-wrong': ['Set it'] },
    why: 'A shut valve leaves the rear trailer without brakes.',
  }),
  check({
    id: `${P}.air-through`,
    title: 'Hiss at the last gladhand: air gets through',
    partName: 'Air at the last gladhand',
    zone: 'rear',
    method: 'operate',
    moves: BY_HAND,
    phases: ['pre-trip', 'hook-up'],
    needs: ['air-charged', 'glasses', 'secured'],
    helper: 'may-help',
    seconds: 20,
    criterion: 'Both lines hiss when opened.',
    symptoms: [faultsOf('brakes', ['road']).stops('no-air', 'No air at the last')],
    why: 'It proves every valve in the train.',
  }),
];
const of = { length: 3, width: 2.4, axles: [2.1], dual: true };

/** Converter dolly: drawbar in front, fifth wheel on top. */
export const converterDolly: Module = module({
  id: 'converter-dolly',
  title: 'Converter dolly',
  build: 'chassis',
  vehicleClass: 'trailer',
  airBrakes: true,
  length: of.length,
  width: of.width,
  height: 1.2,
  capabilities: ['road'],
  joints: { front: { sort: 'pintle', x: 0 }, rear: { sort: 'fifth-wheel', x: 2.1 } },
  gives: ['air-lines', 'electrical-socket'],
  requires: ['air-lines', 'electrical-socket'],
  specification: trailerSpecification,
  zones: trailerZones(of, 'Drawbar of the dolly'),
  runningGear: trailerGear(of),
  places: [
    ...trailerPlaces(of),
    place('chain-left', 'left', ['chain'], 'drawbar', 0.4, -0.25),
    place('chain-right', 'right', ['chain'], 'drawbar', 0.4, 0.25),
  ],
  shapes: [
    rect('drawbar', 0, -0.15, 1.4, 0.3),
    rect('frame', 1.3, -0.6, 1.6, 1.2),
    rect('platform', 1.6, -0.5, 1, 1, 0.45),
    ...trailerShapes(of),
  ],
  checks: [
    ...ofTrailer(P, [
      'lamp.slow-sign',
      'ramp.hinge',
      'lamp.side',
      'lamp.identification',
      'frame.underride',
      'suspension.equalizer',
    ]),
    ...own,
  ],
  services: servicesOfTrailer(P),
});
