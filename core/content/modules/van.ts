import {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisZones,
  fluidBrakeChecks,
  fluidBrakeSpecification,
  ofFluidBraked,
} from '../chassis';
import type { Check, Module } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf, module, moved, place, rect } from '../write';

const P = 'van';
const doors = faultsOf('doors', ['road', 'passengers']);
const belts = faultsOf('restraint', ['passengers']);
const emergency = faultsOf('emergency', ['passengers']);
const shared = ofFluidBraked(P, [
  'coupling.pintle',
  'coupling.socket',
  'frame.underride',
  'body.tool-box',
  'body.mounts',
  'load.secured',
]);
const foot = caution('WARNING', 'Watch the step: one hand on the rail, nothing in the other.');

const own: Check[] = [
  ...fluidBrakeChecks(P),
  check({
    id: `${P}.gear.park`,
    title: 'Try to shift out of park without the pedal',
    partName: 'Park interlock of the shifter',
    zone: 'seat',
    method: 'operate',
    moves: moved('shift-lock', 'key', ['road'], { clear: 'hand', held: 'brake-and-chocks' }),
    needs: ['key-on', 'parking-brake-set', 'chocked', 'area-clear'],
    seconds: 8,
    criterion: 'Stays in park until the pedal is down.',
    source: '49 CFR 571.114 S5.3',
    symptoms: [
      faultsOf('driver-place', ['road', 'passengers']).stops(
        'park-shifts',
        'Comes out of park without the pedal',
      ),
    ],
    why: 'The lift is allowed to move because it stands in park.',
  }),
  check({
    id: `${P}.doors.slide`,
    title: 'Open, stop and shut each door',
    partName: 'Doors',
    zone: 'curb-side',
    each: 'side-entrance',
    method: 'operate',
    moves: BY_HAND,
    needs: ['parking-brake-set'],
    seconds: 10,
    criterion: 'Runs freely, holds open, shuts to its second catch, its lamp out.',
    symptoms: [
      doors.stops('door-opens', 'Does not latch, or opens by itself'),
      doors.repairs('door-stiff', 'Stiff, or does not hold open'),
    ],
    why: 'Somebody leans against it.',
  }),
  check({
    id: `${P}.doors.release`,
    title: 'Open the rear doors from inside',
    partName: 'Rear doors from inside',
    zone: 'aisle',
    method: 'operate',
    moves: BY_HAND,
    seconds: 10,
    criterion: 'Opens from inside with one hand, alarm heard, secured again.',
    source: '49 CFR 571.217',
    symptoms: [emergency.stops('exit-stuck', 'Does not open from inside')],
    why: 'It is the second way out.',
  }),
  check({
    id: `${P}.seats.row`,
    title: 'Shake each row of seats and pull its belts',
    partName: 'Seats and belts',
    zone: 'aisle',
    each: 'row',
    method: 'shake',
    seconds: 10,
    criterion: 'Locked in the floor, belts lock and are whole.',
    source: '49 CFR 571.210',
    symptoms: [
      belts.stops('seat-loose', 'A seat is loose'),
      belts.stops('belt-dead', 'A belt does not lock or is cut'),
    ],
    why: 'A seat that moves is no seat.',
  }),
  check({
    id: `${P}.step`,
    title: 'Shake step and grab rail at the entrance',
    partName: 'Entrance step and grab rail',
    zone: 'curb-side',
    method: 'shake',
    seconds: 6,
    criterion: 'Tight, rough, free of ice.',
    symptoms: [
      faultsOf('body', ['passengers']).repairs('step-loose', 'Loose or smooth'),
      faultsOf('body', ['passengers']).repairs('step-iced', 'Ice on it', {
        worse: [{ in: 'freezing', harm: 'stop', because: 'an iced step throws people off' }],
      }),
    ],
    fixes: { 'step-iced': ['Scraped it'] },
    cautions: [foot],
    why: 'Most who are hurt are hurt getting in.',
  }),
  check({
    id: `${P}.emergency.kit`,
    title: 'Count belt cutter, extinguisher, first aid, triangles',
    partName: 'Emergency equipment',
    zone: 'cab',
    method: 'count',
    seconds: 12,
    criterion: 'All there and in date; the cutter within reach of the seat.',
    symptoms: [emergency.repairs('kit-short', 'Something is missing')],
    fixes: { 'kit-short': ['Fetched it'] },
    why: 'A belt that does not open is cut.',
  }),
  check({
    id: `${P}.empty`,
    title: 'Walk to the last row: nobody left aboard',
    partName: 'Passengers left aboard',
    zone: 'aisle',
    method: 'look',
    precedes: ['everything'],
    phases: ['post-trip'],
    seconds: 30,
    criterion: 'Nobody, under no seat; nothing left behind.',
    symptoms: [
      emergency.stops('somebody-aboard', 'Somebody was still aboard', { fixLeaves: 'watch' }),
    ],
    fixes: { 'somebody-aboard': ['Brought home and reported'] },
    why: 'People sleep, and cannot call.',
  }),
];

const measures = {
  length: 6.2,
  width: 2.05,
  frontAxle: 1,
  rearAxles: [4.7],
  dual: false,
  cab: { from: 0.9, to: 2.4, bonnet: true },
  tanks: 2.8,
};

/** Passenger van; a lift may be fitted at its side. */
export const van: Module = module({
  id: 'passenger-van',
  title: 'Passenger van, hydraulic brakes',
  build: 'chassis',
  vehicleClass: 'passenger',
  powered: true,
  length: measures.length,
  width: measures.width,
  height: 2.7,
  capabilities: ['road', 'highway', 'passengers'],
  mounts: [{ sort: 'side-door', x: 3.6, y: 1.02 }],
  gives: ['warning-lamps'],
  specification: [
    ...fluidBrakeSpecification,
    { id: 'passengerSeats', title: 'Seats for passengers', kind: 'count' },
  ],
  zones: [
    ...chassisZones(measures),
    { id: 'aisle', title: 'Aisle', round: 'aboard', x: 4.2, y: 0, cautions: [foot] },
  ],
  runningGear: chassisGear(measures),
  places: [
    ...chassisPlaces(measures),
    place('door-curb', 'curb side', ['side-entrance'], 'curb-side', 2.7, 1),
    ...[1, 2, 3].map((each) =>
      place(`row-${each}`, `row ${each}`, ['row'], 'aisle', 2.6 + each * 0.9, -0.3),
    ),
  ],
  shapes: [
    ...chassisShapes(measures),
    rect('body', 0.8, -1, 5.3, 2, 0.2),
    ...[1, 2, 3].map((row) => rect('deck', 2.6 + row * 0.9, -0.8, 0.04, 1.6)),
  ],
  checks: [
    ...own.filter(({ zone }) => zone === 'brake-tests'),
    ...shared.checks,
    ...own.filter(({ zone }) => zone !== 'brake-tests'),
  ],
  combinations: shared.combinations,
  procedures: shared.procedures,
  services: shared.services,
  contents: [
    { id: 'van-cutter', check: `${P}.emergency.kit`, title: 'Belt cutter', count: 1 },
    {
      id: 'van-extinguisher',
      check: `${P}.emergency.kit`,
      title: 'Extinguisher',
      count: 1,
      expires: true,
    },
    {
      id: 'van-first-aid',
      check: `${P}.emergency.kit`,
      title: 'First-aid kit',
      count: 1,
      expires: true,
    },
    { id: 'van-triangles', check: `${P}.emergency.kit`, title: 'Warning triangles', count: 3 },
  ],
});
