import { wheelPlaces, wheelShapes } from '../../../card';
import type { Place, RunningGear, Shape, Zone } from '../../../catalogue';
import { caution, place } from '../../write';

export const LENGTH = 8.4;
export const WIDTH = 2.5;
export const HEIGHT = 3.3;

const FEET = WIDTH / 2 + 0.8;
const FRONT_AXLE = 1.25;
const REAR_AXLE = 6.2;

const under = caution('DANGER', 'Chocks in and keys in your pocket before you reach under.');
const traffic = caution('WARNING', 'Stay off the traffic side while anything passes.');

export const zones: Zone[] = [
  {
    id: 'front-corner',
    title: "Driver's front corner",
    round: 'outside',
    x: -0.3,
    y: -1.5,
  },
  {
    id: 'driver-front-wheel',
    title: 'Front wheel, driver side',
    round: 'outside',
    x: FRONT_AXLE,
    y: -FEET,
    cautions: [under, traffic],
  },
  {
    id: 'driver-side',
    title: 'Driver side, tanks',
    round: 'outside',
    x: 3.4,
    y: -FEET,
  },
  {
    id: 'driver-rear-wheels',
    title: 'Rear wheels, driver side',
    round: 'outside',
    x: REAR_AXLE,
    y: -FEET,
    cautions: [under],
  },
  {
    id: 'rear',
    title: 'Rear end',
    round: 'outside',
    x: LENGTH + 0.3,
    y: -1.0,
    cautions: [caution('WARNING', 'Nobody between truck and trailer while the engine runs.')],
  },
  {
    id: 'curb-rear-wheels',
    title: 'Rear wheels, curb side',
    round: 'outside',
    x: REAR_AXLE,
    y: FEET,
    cautions: [under],
  },
  {
    id: 'curb-side',
    title: 'Curb side, exhaust',
    round: 'outside',
    x: 3.4,
    y: FEET,
    cautions: [caution('CAUTION', 'Exhaust and after-treatment burn for half an hour.')],
  },
  {
    id: 'curb-front-wheel',
    title: 'Front wheel, curb side',
    round: 'outside',
    x: FRONT_AXLE,
    y: FEET,
    cautions: [under],
  },
  { id: 'front', title: 'Front end', round: 'outside', x: -0.8, y: 0.2 },
  {
    id: 'engine-bay',
    title: 'Engine bay',
    round: 'engine-bay',
    x: 0.5,
    y: -1.5,
    cautions: [
      caution('WARNING', 'Engine off. Keep cuffs and straps away from belt and fan.'),
      caution('DANGER', 'Never open a hot cooling system. Steam and coolant burn at once.'),
    ],
  },
  {
    id: 'cab',
    title: 'Cab',
    round: 'cab',
    x: 2.0,
    y: -0.55,
    cautions: [caution('CAUTION', 'Three points of contact. Nothing in your hands. Never jump.')],
  },
  {
    id: 'seat',
    title: "Driver's seat, controls",
    round: 'cab',
    x: 2.0,
    y: -0.5,
    cautions: [
      caution('WARNING', 'Nobody in front of the horn or near the wheels. Exhaust out of doors.'),
    ],
  },
  {
    id: 'brake-tests',
    title: 'Brake tests',
    round: 'brakes',
    x: 2.0,
    y: -0.45,
    cautions: [caution('DANGER', 'It can roll here. Nobody near it, a foot ready at the brake.')],
  },
];

export const gear: RunningGear = {
  names: 'steer-and-drive',
  width: 2.44,
  axles: [
    { at: FRONT_AXLE, tyres: 1, steered: true },
    { at: REAR_AXLE, tyres: 2, driven: true },
  ],
  mayHaveDuals: true,
  mostAxles: 6,
};

export const places: Place[] = [
  ...wheelPlaces(gear),
  place('headlamp-left', 'left', ['headlamp', 'front-signal'], 'front', 0.1, -0.95),
  place('headlamp-right', 'right', ['headlamp', 'front-signal'], 'front', 0.1, 0.95),
  place('roof-lamps', 'cab roof', ['roof-lamps'], 'front', 1.6, 0),
  place('side-left', 'driver side', ['side'], 'driver-side', 4.6, -1.22),
  place('side-right', 'curb side', ['side'], 'curb-side', 4.6, 1.22),
  place('mirror-left', 'driver side', ['mirror', 'step'], 'driver-front-wheel', 1.9, -1.3),
  place('mirror-right', 'curb side', ['mirror', 'step'], 'curb-front-wheel', 1.9, 1.3),
  place('rear-lamps-left', 'left', ['rear-lamp'], 'rear', LENGTH - 0.1, -0.95),
  place('rear-lamps-right', 'right', ['rear-lamp'], 'rear', LENGTH - 0.1, 0.95),
];

export const shapes: Shape[] = [
  {
    kind: 'rect',
    role: 'frame',
    x: 0.3,
    y: -0.43,
    length: LENGTH - 0.5,
    width: 0.86,
  },
  {
    kind: 'rect',
    role: 'cab',
    x: 0,
    y: -1.15,
    length: 1.35,
    width: 2.3,
    round: 0.3,
  },
  {
    kind: 'rect',
    role: 'cab',
    x: 1.3,
    y: -1.2,
    length: 1.55,
    width: 2.4,
    round: 0.18,
  },
  {
    kind: 'rect',
    role: 'glass',
    x: 1.38,
    y: -1.05,
    length: 0.3,
    width: 2.1,
    round: 0.1,
  },
  {
    kind: 'rect',
    role: 'tank',
    x: 2.95,
    y: -1.2,
    length: 1.1,
    width: 0.55,
    round: 0.15,
  },
  {
    kind: 'rect',
    role: 'tank',
    x: 2.95,
    y: 0.65,
    length: 0.9,
    width: 0.5,
    round: 0.2,
  },
  {
    kind: 'rect',
    role: 'deck',
    x: 4.1,
    y: -1.25,
    length: LENGTH - 4.1,
    width: 2.5,
    round: 0.06,
  },
  ...[4.9, 5.7, 6.5, 7.3].map((x): Shape => ({
    kind: 'line',
    role: 'deck',
    x,
    y: -1.2,
    length: 0,
    width: 2.4,
  })),
  ...wheelShapes(gear),
  ...[-0.95, 0.95].map((y): Shape => ({
    kind: 'rect',
    role: 'lamp',
    x: 0.02,
    y: y - 0.15,
    length: 0.12,
    width: 0.3,
  })),
  ...[-0.95, 0.95].map((y): Shape => ({
    kind: 'rect',
    role: 'lamp',
    x: LENGTH - 0.12,
    y: y - 0.15,
    length: 0.1,
    width: 0.3,
  })),
];
