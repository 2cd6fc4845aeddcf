import { type Circumstance, type Phase } from '../catalogue';
import { catalogue } from '../content';
import type { StandingNow } from '../planner';
import { composeRig, type Rig, type Unit } from '../rig';
import { trailer, truck } from './halvern';

let number = 0;
const unit = (moduleId: string, fitted: readonly string[] = []): Unit => ({
  id: `unit-${(number += 1)}`,
  number: String(number),
  title: moduleId,
  plate: '',
  moduleId,
  fitted,
  specification: {},
});

const RIGS: Readonly<Record<string, readonly Unit[]>> = {
  truck: [truck],
  'truck and trailer': [truck, trailer],
  'plow truck': [
    unit('straight-truck-air', ['power-take-off', 'dump-body']),
    unit('front-plow'),
    unit('slide-in-spreader'),
  ],
  'tractor, semi-trailer, liftgate': [
    unit('road-tractor'),
    unit('semi-trailer', ['liftgate-rail']),
  ],
  'tractor, transporter, digger': [
    unit('road-tractor'),
    unit('lowboy-transporter'),
    unit('tracked-digger'),
  ],
  'crane truck': [unit('straight-truck-air', ['power-take-off', 'loader-crane', 'platform-body'])],
  'school bus': [unit('school-bus', ['passenger-lift'])],
  pumper: [unit('fire-pumper')],
  'ladder truck': [unit('fire-pumper', ['aerial-ladder'])],
  'mobile crane': [unit('mobile-crane')],
};
/** One of each sort of rig, for whatever must hold for all of them. */
export const rigNames = Object.keys(RIGS);

export const rigOf = (
  name: string,
  phase: Phase = 'pre-trip',
  circumstances: readonly Circumstance[] = [],
): Rig => composeRig({ units: RIGS[name], phase, circumstances, catalogue });

/** A vehicle in the middle of a walk: warm, idling, chocks in, nothing raised. */
export const idling: StandingNow = {
  states: { engine: 'idling', key: 'on', brake: 'set', chocks: 'in' },
  air: 120,
  oilIn: Infinity,
  coldIn: Infinity,
  settledIn: Infinity,
  warmIn: 0,
  cleanIn: 0,
};
