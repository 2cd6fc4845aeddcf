import { airBrakeChecks } from '../shared/foundation-brakes';
import { suspensionChecks } from '../shared/suspension';
import { tyreBodyChecks } from '../shared/tyres';
import { wheelChecks } from '../shared/wheels';
import type { Check } from '../../catalogue';
import { approachChecks } from './approach';
import { frontChecks } from './front';
import { rearChecks } from './rear';
import { rearWheelChecks } from './rear-wheels';
import { sideChecks } from './sides';
import { steerWheelChecks } from './steer-wheel';

/** The walk round the outside, in the order of the feet. */
export const outsideChecks: Check[] = [
  ...approachChecks,
  ...steerWheelChecks,
  ...tyreBodyChecks('truck', 'driver-front-wheel', 'tyre'),
  ...wheelChecks('truck', 'driver-front-wheel', 'wheel-end'),
  ...suspensionChecks('truck', 'driver-front-wheel', 'spring'),
  ...airBrakeChecks('truck', 'driver-front-wheel', 'brake', true),
  ...sideChecks,
  ...rearWheelChecks,
  ...rearChecks,
  ...frontChecks,
];
