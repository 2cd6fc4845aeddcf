import type { States } from './dimensions';

/** Pressure at which the governor has cut out or is near it: what a test of the air wants, psi (49 CFR 393.51, 570.57). */
export const AIR_CHARGED = 100;
/** Least pressure for letting the parking brake go and for a first roll, psi: above the low-air warning (49 CFR 393.51). */
export const AIR_TO_ROLL = 60;

/** Full tanks, psi: about where the governor cuts out. */
export const AIR_FULL = 120;

/** A clock that must have run down. */
export type Clock = 'air' | 'oil' | 'cold' | 'settle' | 'warm' | 'clean';

/** What one word of content asks of the vehicle. */
export interface NeedMeaning {
  readonly states?: States;
  readonly clock?: Exclude<Clock, 'air' | 'clean'>;
  /** psi */
  readonly air?: number;
}

const running = { engine: ['idling', 'working'], key: ['on'] } as const;

/** Needs of a check that are states of the vehicle, each with what it asks. */
export const STATE_NEEDS = {
  'engine-off': { states: { engine: ['off'] } },
  'engine-cold': { states: { engine: ['off'] }, clock: 'cold' },
  'engine-idling': { states: { engine: ['idling'], key: ['on'] } },
  'engine-working': { states: { engine: ['working'], key: ['on'] } },
  'engine-warm': { states: { ...running }, clock: 'warm' },
  'oil-settled': { states: { engine: ['off'] }, clock: 'settle' },
  'key-on': { states: { key: ['on'] } },
  'key-in-pocket': { states: { key: ['pocket'], engine: ['off'], ownEngine: ['off'] } },
  'lamps-on': { states: { lamps: ['on'], key: ['on'] } },
  'in-neutral': { states: { gear: ['neutral'] } },
  'in-gear': { states: { gear: ['in-gear'] } },
  'parking-brake-set': { states: { brake: ['set'] } },
  'parking-brake-released': { states: { brake: ['released'] } },
  chocked: { states: { chocks: ['in'] } },
  'chocks-out': { states: { chocks: ['out'] } },
  'air-charged': { air: AIR_CHARGED },
  'power-take-off': { states: { powerTakeOff: ['in'], ...running } },
  'power-take-off-out': { states: { powerTakeOff: ['out'] } },
  'oil-warm': { states: { powerTakeOff: ['in'], ...running }, clock: 'oil' },
  'own-engine-running': { states: { ownEngine: ['running'] } },
  'own-engine-off': { states: { ownEngine: ['off'] } },
  'body-down': { states: { body: ['down'] } },
  'body-raised': { states: { body: ['raised'] } },
  'body-propped': { states: { body: ['propped'] } },
  'tailgate-latched': { states: { tailgate: ['latched'] } },
  'platform-down': { states: { platform: ['open'] } },
  'platform-stowed': { states: { platform: ['stowed'] } },
  'lift-power-on': { states: { liftPower: ['on'] } },
  'lift-power-off': { states: { liftPower: ['off'] } },
  'lift-door-open': { states: { liftDoor: ['open'] } },
  'lift-door-shut': { states: { liftDoor: ['shut'] } },
  'outriggers-set': { states: { outriggers: ['set'] } },
  'outriggers-in': { states: { outriggers: ['in'] } },
  'boom-raised': { states: { boom: ['raised'] } },
  'boom-cradled': { states: { boom: ['cradled'] } },
  'blade-down': { states: { blade: ['ground'] } },
  'blade-up': { states: { blade: ['up'] } },
  'machinery-still': { states: { machinery: ['still'] } },
  'cab-tilted': { states: { bay: ['tilted'] } },
  empty: { states: { load: ['empty'] } },
  loaded: { states: { load: ['loaded'] } },
  coupled: { states: { coupling: ['coupled'] } },
  uncoupled: { states: { coupling: ['apart'] } },
  // Hands in, under or between: it cannot start, move or roll.
  secured: {
    states: {
      engine: ['off'],
      key: ['pocket'],
      brake: ['set'],
      chocks: ['in'],
      powerTakeOff: ['out'],
      ownEngine: ['off'],
      machinery: ['still'],
    },
  },
  // Drives up to what is hooked on: all else is in, and the thing itself lies on the ground.
  'rolls-to-hook-up': {
    states: {
      powerTakeOff: ['out'],
      chocks: ['out'],
      bay: ['closed'],
      engine: ['idling'],
      key: ['on'],
    },
    air: AIR_TO_ROLL,
  },
  // The vehicle rolls or pulls against a brake: everything in, closed and latched. How the brake stands is said beside it.
  rolls: {
    states: {
      liftDoor: ['shut'],
      platform: ['stowed'],
      liftPower: ['off'],
      machinery: ['still'],
      boom: ['cradled'],
      outriggers: ['in'],
      tailgate: ['latched'],
      body: ['down'],
      blade: ['up'],
      ownEngine: ['off'],
      powerTakeOff: ['out'],
      chocks: ['out'],
      bay: ['closed'],
      engine: ['idling'],
      key: ['on'],
    },
    air: AIR_TO_ROLL,
  },
} as const satisfies Readonly<Record<string, NeedMeaning>>;

export type StateNeed = keyof typeof STATE_NEEDS;
export const STATE_NEED_NAMES = Object.keys(STATE_NEEDS) as StateNeed[];

/** Who holds the service pedal while a check is made: it is held for that check alone. */
export const PEDAL_NEEDS = [
  'pedal-held-by-driver',
  'pedal-held-by-helper',
  'pedal-held-by-stick',
] as const;
export type PedalNeed = (typeof PEDAL_NEEDS)[number];

export function meaningOf(need: string): NeedMeaning | undefined {
  return Object.hasOwn(STATE_NEEDS, need) ? STATE_NEEDS[need as StateNeed] : undefined;
}
