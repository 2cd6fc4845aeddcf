import { trailerHandCheck } from './trailer-hand';
import {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisSpecification,
  chassisZones,
  ofChassis,
  offRoadDriveLine,
} from '../../chassis';
import type { Check, Module } from '../../../catalogue';
import { BY_HAND, check, faultsOf, module, moved, rect } from '../../write';
import { fifthWheelChecks } from './fifth-wheel';

const P = 'heavy-tractor';
const { stops, repairs } = faultsOf('body', ['road']);
const drive = faultsOf('engine', ['road']);
const brakes = faultsOf('brakes', ['tow']);
const shared = ofChassis(P, [
  'coupling.pintle',
  'coupling.gladhands',
  'coupling.socket',
  'load.secured',
  'frame.underride',
  'body.tool-box',
  'body.mounts',
]);

const own: Check[] = [
  ...fifthWheelChecks(P, 'rear'),
  ...offRoadDriveLine(P),
  check({
    id: `${P}.steps`,
    title: 'Shake steps, rails and the deck behind the cab',
    partName: 'Steps, rails and deck behind the cab',
    zone: 'driver-side',
    method: 'shake',
    seconds: 9,
    criterion: 'Tight, rough, free of mud and ice.',
    symptoms: [
      stops('rail-breaks', 'A rail or step gives way'),
      repairs('step-loose', 'Loose'),
      repairs('step-dirty', 'Mud or ice on it', {
        worse: [{ in: 'freezing', harm: 'stop', because: 'an iced step throws people off' }],
      }),
    ],
    fixes: { 'step-dirty': ['Scraped it'] },
    why: 'The cab is as high as a room.',
  }),
  check({
    id: `${P}.brake.trailer-valve`,
    title: 'Pull the trailer supply out and push it in',
    partName: 'Trailer supply valve',
    zone: 'brake-tests',
    method: 'operate',
    moves: moved('trailer-supply', 'air', ['tow'], { held: 'brake-and-chocks' }),
    needs: ['air-charged', 'chocked', 'engine-off', 'key-on', 'parking-brake-set', 'area-clear'],
    seconds: 25,
    criterion: 'Out: trailer brakes on, tractor keeps its air. In: they let go.',
    source: '49 CFR 393.43(b)',
    symptoms: [
      brakes.stops('supply-dead', 'Trailer brakes do not come on or do not let go'),
      faultsOf('brakes', ['road']).stops('protection-dead', 'The tractor loses its air'),
    ],
    why: 'Sixty tonnes hang on this valve.',
  }),
  trailerHandCheck(P),
  check({
    id: `${P}.engine.retarder`,
    title: 'Try the engine brake in each of its steps',
    partName: 'Engine brake steps',
    zone: 'seat',
    method: 'operate',
    moves: moved('engine-brake', 'engine', [], { clear: 'hand' }),
    needs: ['engine-idling', 'parking-brake-set'],
    seconds: 10,
    criterion: 'Engages and lets go in each.',
    symptoms: [
      drive.repairs('retarder-dead', 'One or all are dead', {
        condition: 'A lower gear on every descent.',
      }),
    ],
    why: 'On the long hill it is the brake.',
  }),
  check({
    id: `${P}.fuel.sediment`,
    title: 'Drain the sediment bowl until it runs clean',
    partName: 'Sediment bowl',
    zone: 'curb-side',
    method: 'drain',
    phases: ['post-trip', 'weekly'],
    needs: ['rag', 'gloves'],
    seconds: 40,
    criterion: 'No water, no rust; shut and dry.',
    symptoms: [
      faultsOf('fuel', ['road']).stops('bowl-leaks', 'Does not shut dry'),
      faultsOf('fuel', ['road']).repairs('water-much', 'More water than a cup'),
    ],
    why: 'Water stops it on the railway crossing.',
  }),
  check({
    id: `${P}.hubs`,
    title: 'After the drive: warmth of each hub, hand held near',
    partName: 'Heat of the hubs',
    zone: 'driver-rear-wheels',
    each: 'wheel-end',
    method: 'look',
    phases: ['post-trip', 'under-way'],
    seconds: 6,
    criterion: 'All alike. Never lay the hand on it.',
    symptoms: [faultsOf('wheels', ['road']).stops('hub-hot', 'One much hotter than the others')],
    why: 'A hub that glows takes the wheel with it.',
  }),
  check({
    id: `${P}.spare`,
    title: 'Shake the spare in its lift and try the lock',
    partName: 'Spare wheel lift and lock',
    zone: 'curb-side',
    method: 'operate',
    moves: BY_HAND,
    seconds: 10,
    criterion: 'Tight, locked, chain or rope whole.',
    symptoms: [stops('spare-loose', 'Loose or not locked'), repairs('spare-rope', 'Rope frayed')],
    why: 'It weighs two hundred kilograms at head height.',
  }),
];

const measures = {
  length: 8.2,
  width: 2.6,
  frontAxle: 1.5,
  furtherSteered: [3.2],
  rearAxles: [5.9, 7.3],
  dual: false,
  cab: { from: 0.2, to: 2.6, bonnet: false },
  tanks: 3.8,
};

/** Heavy off-road tractor, four axles, with a fifth wheel and tyre inflation. */
export const offRoadTractor: Module = module({
  id: 'off-road-tractor',
  title: 'Heavy off-road tractor',
  build: 'chassis',
  vehicleClass: 'goods',
  powered: true,
  airBrakes: true,
  length: measures.length,
  width: measures.width,
  height: 3.3,
  capabilities: ['road', 'tow'],
  joints: { rear: { sort: 'fifth-wheel', x: 6.6 } },
  mounts: [
    { sort: 'front-bumper', x: 0 },
    { sort: 'transmission', x: 3.2 },
  ],
  gives: ['air-lines', 'electrical-socket', 'charging-lead', 'warning-lamps'],
  specification: [
    ...chassisSpecification,
    { id: 'kingpinLoad', title: 'Rated load of the fifth wheel', kind: 'mass' },
  ],
  zones: chassisZones(measures),
  runningGear: chassisGear(measures),
  places: chassisPlaces(measures),
  shapes: [
    ...chassisShapes(measures),
    rect('platform', 6.1, -0.5, 1, 1, 0.45),
    rect('body', 2.7, -1.1, 0.9, 2.2, 0.05),
  ],
  checks: [...shared.checks, ...own],
  combinations: shared.combinations,
  procedures: shared.procedures,
  services: shared.services,
});
