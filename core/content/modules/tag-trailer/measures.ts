import { wheelPlaces, wheelShapes } from '../../../card';
import type { Place, RunningGear, Shape, Zone } from '../../../catalogue';
import { caution } from '../../write';

/** The drawbar is part of the length: x = 0 is the coupling eye. */
export const LENGTH = 7.2;
export const WIDTH = 2.5;
export const HEIGHT = 1.2;
const BED = 1.9;
const FEET = WIDTH / 2 + 0.8;
const AXLES = [4.9, 5.85];

const under = caution('DANGER', 'Chocks in before you reach under.');

export const zones: Zone[] = [
  {
    id: 'drawbar',
    title: 'Trailer coupling and drawbar',
    round: 'outside',
    x: 1.0,
    y: -FEET,
    cautions: [
      caution('WARNING', 'Fingers clear of the eye. Nobody between while anything moves.'),
    ],
  },
  {
    id: 'driver-wheels',
    title: 'Trailer wheels, driver side',
    round: 'outside',
    x: 5.4,
    y: -FEET,
    cautions: [under],
  },
  {
    id: 'rear',
    title: 'Trailer rear and ramps',
    round: 'outside',
    x: LENGTH + 0.8,
    y: 0,
  },
  {
    id: 'curb-wheels',
    title: 'Trailer wheels, curb side',
    round: 'outside',
    x: 5.4,
    y: FEET,
    cautions: [under],
  },
  {
    id: 'curb-front',
    title: 'Trailer front, curb side',
    round: 'outside',
    x: 2.3,
    y: FEET,
  },
];

export const gear: RunningGear = {
  names: 'numbered',
  width: 2.38,
  axles: AXLES.map((at) => ({ at, tyres: 1 })),
  mayHaveDuals: true,
  mostAxles: 4,
};

export const places: Place[] = [
  ...wheelPlaces(gear),
  {
    id: 'side-left',
    title: 'driver side',
    sorts: ['side', 'fender'],
    zone: 'driver-wheels',
    x: 3.4,
    y: -1.22,
  },
  {
    id: 'side-right',
    title: 'curb side',
    sorts: ['side', 'fender'],
    zone: 'curb-wheels',
    x: 3.4,
    y: 1.22,
  },
  {
    id: 'rear-lamps-left',
    title: 'left',
    sorts: ['rear-lamp', 'ramp'],
    zone: 'rear',
    x: LENGTH - 0.1,
    y: -0.95,
  },
  {
    id: 'rear-lamps-right',
    title: 'right',
    sorts: ['rear-lamp', 'ramp'],
    zone: 'rear',
    x: LENGTH - 0.1,
    y: 0.95,
  },
  {
    id: 'chain-left',
    title: 'left',
    sorts: ['chain'],
    zone: 'drawbar',
    x: 0.4,
    y: -0.25,
  },
  {
    id: 'chain-right',
    title: 'right',
    sorts: ['chain'],
    zone: 'drawbar',
    x: 0.4,
    y: 0.25,
  },
];

export const shapes: Shape[] = [
  {
    kind: 'rect',
    role: 'drawbar',
    x: 0,
    y: -0.1,
    length: BED,
    width: 0.2,
    round: 0.05,
  },
  {
    kind: 'rect',
    role: 'drawbar',
    x: 0.9,
    y: -0.55,
    length: 0.16,
    width: 1.1,
    round: 0.05,
  },
  {
    kind: 'rect',
    role: 'deck',
    x: BED,
    y: -1.25,
    length: LENGTH - BED - 0.5,
    width: 2.5,
    round: 0.06,
  },
  ...[2.7, 3.5, 4.3, 5.1, 5.9].map((x): Shape => ({
    kind: 'line',
    role: 'deck',
    x,
    y: -1.2,
    length: 0,
    width: 2.4,
  })),
  ...[-1, 0.25].map((y): Shape => ({
    kind: 'rect',
    role: 'body',
    x: LENGTH - 0.5,
    y,
    length: 0.45,
    width: 0.75,
    round: 0.05,
  })),
  ...wheelShapes(gear),
  ...[-1.2, 0.95].map((y): Shape => ({
    kind: 'rect',
    role: 'lamp',
    x: LENGTH - 0.1,
    y,
    length: 0.08,
    width: 0.25,
  })),
];
