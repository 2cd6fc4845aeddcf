import { LAW } from '../../catalogue';
import { airBrakeChecks } from '../shared/foundation-brakes';
import { suspensionChecks } from '../shared/suspension';
import { pressureCheck, thumpCheck, treadCheck, tyreBodyChecks } from '../shared/tyres';
import { wheelChecks } from '../shared/wheels';
import type { Check } from '../../catalogue';
import { bedChecks } from './bed';
import { trailerCalendarChecks } from './by-calendar';
import { drawbarChecks } from './drawbar';
import { rearChecks } from './rear';
import { sideChecks } from './sides';

/** The walk round the trailer, in the order of the feet. */
export const trailerChecks: Check[] = [
  ...drawbarChecks,
  thumpCheck('tag-trailer', 'driver-wheels', 'tyre', 'coldPressureTrailer'),
  treadCheck('tag-trailer', 'driver-wheels', 'tyre', LAW.treadOther, 'treadNewTrailer', false),
  pressureCheck('tag-trailer', 'driver-wheels', 'tyre', 'coldPressureTrailer', false),
  ...tyreBodyChecks('tag-trailer', 'driver-wheels', 'tyre'),
  ...wheelChecks('tag-trailer', 'driver-wheels', 'wheel-end'),
  ...suspensionChecks('tag-trailer', 'driver-wheels', 'spring'),
  ...airBrakeChecks('tag-trailer', 'driver-wheels', 'brake', false),
  ...sideChecks,
  ...rearChecks,
  ...bedChecks,
  ...trailerCalendarChecks,
];
