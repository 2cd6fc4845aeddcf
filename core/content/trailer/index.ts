import { LAW } from '../../catalogue';
import { renamed, renamedServices } from '../renamed';
import { airBrakeChecks } from '../shared/foundation-brakes';
import { suspensionChecks } from '../shared/suspension';
import {
  betweenDualsCheck,
  pressureCheck,
  thumpCheck,
  treadCheck,
  tyreBodyChecks,
} from '../shared/tyres';
import { wheelChecks } from '../shared/wheels';
import { wheelPlaces, wheelShapes } from '../../card';
import type {
  Check,
  Place,
  RunningGear,
  Service,
  Shape,
  SpecificationField,
  Zone,
} from '../../catalogue';
import { caution, place, rect } from '../write';
import { trailerCalendarChecks } from './by-calendar';
import { rearChecks } from './rear';
import { sideChecks } from './sides';
import { trailerServices } from './upkeep';

export { trailerChecks } from './checks';
export { drawbarChecks } from './drawbar';
export { trailerCombinations, trailerServices } from './upkeep';

/** Where things are on what is towed, metres from its front. */
export interface TrailerMeasures {
  readonly length: number;
  readonly width: number;
  readonly axles: readonly number[];
  /** Two tyres side by side. */
  readonly dual?: boolean;
  /** Every axle steers. */
  readonly steered?: boolean;
}

const under = caution('DANGER', 'Chocks in before you reach under.');

/** Stops under the same names on every trailer. */
export function trailerZones(of: TrailerMeasures, front: string): Zone[] {
  const feet = of.width / 2 + 0.8;
  const x = of.axles.reduce((sum, each) => sum + each, 0) / of.axles.length;
  return [
    {
      id: 'drawbar',
      title: front,
      round: 'outside',
      x: 0.9,
      y: -feet,
      cautions: [caution('WARNING', 'Nobody between while anything moves.')],
    },
    {
      id: 'driver-wheels',
      title: 'Trailer wheels, driver side',
      round: 'outside',
      x,
      y: -feet,
      cautions: [under],
    },
    { id: 'rear', title: 'Trailer rear', round: 'outside', x: of.length + 0.8, y: 0 },
    {
      id: 'curb-wheels',
      title: 'Trailer wheels, curb side',
      round: 'outside',
      x,
      y: feet,
      cautions: [under],
    },
    {
      id: 'curb-front',
      title: 'Trailer front, curb side',
      round: 'outside',
      x: Math.min(2.3, x - 0.8),
      y: feet,
    },
  ];
}

/** The axles of what is towed; a unit may have others, singles or duals. */
export function trailerGear(of: TrailerMeasures): RunningGear {
  return {
    names: 'numbered',
    width: of.width - 0.12,
    axles: of.axles.map((at) => ({
      at,
      tyres: of.dual ? 2 : 1,
      ...(of.steered && { steered: true }),
    })),
    mayHaveDuals: true,
    mostAxles: 12,
  };
}

export function trailerPlaces(of: TrailerMeasures): Place[] {
  const edge = of.width / 2 - 0.03;
  const wheel = of.width / 2 - 0.2;
  const mid = of.length / 2;
  return [
    ...wheelPlaces(trailerGear(of)),
    place('side-left', 'driver side', ['side', 'fender'], 'driver-wheels', mid, -edge),
    place('side-right', 'curb side', ['side', 'fender'], 'curb-wheels', mid, edge),
    place(
      'rear-lamps-left',
      'left',
      ['rear-lamp', 'ramp'],
      'rear',
      of.length - 0.1,
      -(wheel - 0.1),
    ),
    place('rear-lamps-right', 'right', ['rear-lamp', 'ramp'], 'rear', of.length - 0.1, wheel - 0.1),
  ];
}

export function trailerShapes(of: TrailerMeasures): Shape[] {
  const wheel = of.width / 2 - 0.17;
  return [
    ...wheelShapes(trailerGear(of)),
    ...[-wheel, wheel].map((y) => rect('lamp', of.length - 0.12, y - 0.15, 0.1, 0.3)),
  ];
}

/** Wheels, brakes, sides and rear of what is towed, under the prefix of the module. */
export function ofTrailer(prefix: string, without: readonly string[] = []): Check[] {
  const own = 'tag-trailer';
  const all = [
    thumpCheck(own, 'driver-wheels', 'tyre', 'coldPressureTrailer'),
    treadCheck(own, 'driver-wheels', 'tyre', LAW.treadOther, 'treadNewTrailer', false),
    pressureCheck(own, 'driver-wheels', 'tyre', 'coldPressureTrailer', false),
    ...tyreBodyChecks(own, 'driver-wheels', 'tyre'),
    betweenDualsCheck(own, 'driver-wheels'),
    ...wheelChecks(own, 'driver-wheels', 'wheel-end'),
    ...suspensionChecks(own, 'driver-wheels', 'spring'),
    ...airBrakeChecks(own, 'driver-wheels', 'brake', false),
    ...sideChecks,
    ...rearChecks,
    ...trailerCalendarChecks,
  ];
  return renamed(all, own, prefix).filter(
    ({ id }) => !without.some((ending) => id === `${prefix}.${ending}`),
  );
}

export function servicesOfTrailer(prefix: string): Service[] {
  return renamedServices(trailerServices, 'tag-trailer', prefix);
}

export const trailerSpecification: SpecificationField[] = [
  { id: 'coldPressureTrailer', title: 'Cold pressure', kind: 'pressure', required: true },
  { id: 'treadNewTrailer', title: 'Tread when new', kind: 'depth' },
  { id: 'chamber', title: 'Type of the brake chambers', kind: 'count' },
  { id: 'longStrokeChambers', title: 'Long-stroke chambers: 1 with, 0 without', kind: 'count' },
  { id: 'strokeMost', title: 'Push-rod stroke, most', kind: 'depth' },
  { id: 'discBrakes', title: 'Air disc brakes: 1 with, 0 without', kind: 'count' },
  { id: 'liningLeast', title: 'Brake lining, least', kind: 'depth' },
  { id: 'massEmpty', title: 'Mass, empty', kind: 'mass' },
  { id: 'massGross', title: 'Mass, rated gross', kind: 'mass' },
  { id: 'eyeHeight', title: 'Height of eye or apron', kind: 'length' },
  { id: 'socketVolts', title: 'Voltage of its lamps', kind: 'voltage' },
  { id: 'socketPins', title: 'Pins of its plug', kind: 'count' },
];
