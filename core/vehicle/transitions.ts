import type { DimensionId } from './dimensions';

/** Where something is done: at the seat, on the ground beside it, at the engine bay, at the unit's own controls, or where one stands. */
export type Where = 'seat' | 'wheel' | 'bay' | 'controls' | 'here';

/** What moves a unit: an engine of its own where it has one, else engine and power take-off of the vehicle. */
export interface Condition {
  readonly of: DimensionId | 'power';
  readonly in?: readonly string[];
  /** Asked only of a unit that has this too. */
  readonly onlyWith?: DimensionId;
}

/** How one value of a dimension becomes another. */
export interface Transition {
  readonly of: DimensionId;
  readonly from: readonly string[];
  readonly to: string;
  readonly where: Where;
  /** The setting of the pace that says how long it takes. */
  readonly takes: string;
  /** How the rest must stand before. */
  readonly before: readonly Condition[];
  /** What it changes besides. */
  readonly also?: Readonly<Partial<Record<DimensionId, string>>>;
  /** Least pressure before it may be done, psi. */
  readonly airAtLeast?: number;
}

const braked: Condition = { of: 'brake', in: ['set'] };
const running: Condition = { of: 'engine', in: ['idling', 'working'] };
const idling: Condition = { of: 'engine', in: ['idling'] };
const chocked: Condition = { of: 'chocks', in: ['in'] };
const power: Condition = { of: 'power' };
/** Nobody climbs into a tilted cab, nor leaves an open hood behind. */
const shut: Condition = { of: 'bay', in: ['closed'] };
/** What makes it safe can be done from the seat with the hood open; only a tilted cab has no seat. */
const seated: Condition = { of: 'bay', in: ['closed', 'open'] };
const lift: readonly Condition[] = [
  braked,
  { of: 'liftDoor', in: ['open'], onlyWith: 'liftDoor' },
  // A lift that has its door in the side of a bus hangs on the key of the bus.
  { of: 'key', in: ['on'], onlyWith: 'liftDoor' },
  { of: 'liftPower', in: ['on'], onlyWith: 'liftPower' },
];

const TABLE = {
  start: {
    of: 'engine',
    from: ['off'],
    to: 'idling',
    where: 'seat',
    takes: 'start',
    before: [shut, braked, { of: 'gear', in: ['neutral'] }],
    also: { key: 'on' },
  },
  'shut-down': {
    of: 'engine',
    from: ['idling', 'working'],
    to: 'off',
    where: 'seat',
    takes: 'shutDown',
    before: [seated],
    also: { key: 'in', powerTakeOff: 'out', lamps: 'off' },
  },
  'working-speed': {
    of: 'engine',
    from: ['idling'],
    to: 'working',
    where: 'seat',
    takes: 'switching',
    before: [braked],
  },
  'idle-speed': {
    of: 'engine',
    from: ['working'],
    to: 'idling',
    where: 'seat',
    takes: 'switching',
    before: [],
  },
  'key-on': {
    of: 'key',
    from: ['pocket', 'in'],
    to: 'on',
    where: 'seat',
    takes: 'switching',
    before: [shut],
  },
  'key-off': {
    of: 'key',
    from: ['in', 'on'],
    to: 'pocket',
    where: 'seat',
    takes: 'switching',
    before: [seated, { of: 'engine', in: ['off'] }],
    also: { lamps: 'off' },
  },
  'lamps-on': {
    of: 'lamps',
    from: ['off'],
    to: 'on',
    where: 'seat',
    takes: 'switching',
    before: [shut, { of: 'key', in: ['on'] }],
  },
  'lamps-off': {
    of: 'lamps',
    from: ['on'],
    to: 'off',
    where: 'seat',
    takes: 'switching',
    before: [seated],
  },
  'into-gear': {
    of: 'gear',
    from: ['neutral'],
    to: 'in-gear',
    where: 'seat',
    takes: 'switching',
    before: [shut, braked],
  },
  'into-neutral': {
    of: 'gear',
    from: ['in-gear'],
    to: 'neutral',
    where: 'seat',
    takes: 'switching',
    before: [seated],
  },
  'set-brake': {
    of: 'brake',
    from: ['released'],
    to: 'set',
    where: 'seat',
    takes: 'switching',
    before: [seated],
  },
  'release-brake': {
    of: 'brake',
    from: ['set'],
    to: 'released',
    where: 'seat',
    takes: 'switching',
    before: [shut, { of: 'powerTakeOff', in: ['out'] }],
    airAtLeast: 60,
  },
  'chocks-in': {
    of: 'chocks',
    from: ['out'],
    to: 'in',
    where: 'wheel',
    takes: 'chocks',
    before: [braked],
  },
  'chocks-out': {
    of: 'chocks',
    from: ['in'],
    to: 'out',
    where: 'wheel',
    takes: 'chocks',
    before: [braked],
  },
  'hood-open': {
    of: 'bay',
    from: ['closed'],
    to: 'open',
    where: 'bay',
    takes: 'hoodOpen',
    before: [],
  },
  'hood-closed': {
    of: 'bay',
    from: ['open'],
    to: 'closed',
    where: 'bay',
    takes: 'hoodClosed',
    before: [],
  },
  'cab-tilted': {
    of: 'bay',
    from: ['closed'],
    to: 'tilted',
    where: 'bay',
    takes: 'tiltCab',
    before: [{ of: 'engine', in: ['off'] }, braked, chocked],
  },
  'cab-lowered': {
    of: 'bay',
    from: ['tilted'],
    to: 'closed',
    where: 'bay',
    takes: 'tiltCab',
    before: [],
  },
  'power-take-off': {
    of: 'powerTakeOff',
    from: ['out'],
    to: 'in',
    where: 'seat',
    takes: 'powerTakeOff',
    before: [shut, braked, idling],
  },
  'power-take-off-off': {
    of: 'powerTakeOff',
    from: ['in'],
    to: 'out',
    where: 'seat',
    takes: 'switching',
    before: [seated],
  },
  'own-engine-start': {
    of: 'ownEngine',
    from: ['off'],
    to: 'running',
    where: 'controls',
    takes: 'start',
    before: [braked, chocked],
  },
  'own-engine-off': {
    of: 'ownEngine',
    from: ['running'],
    to: 'off',
    where: 'controls',
    takes: 'shutDown',
    before: [],
  },
  'body-up': {
    of: 'body',
    from: ['down'],
    to: 'raised',
    where: 'controls',
    takes: 'body',
    before: [braked, power],
  },
  prop: { of: 'body', from: ['raised'], to: 'propped', where: 'here', takes: 'prop', before: [] },
  'prop-away': {
    of: 'body',
    from: ['propped'],
    to: 'raised',
    where: 'here',
    takes: 'prop',
    before: [braked, power],
  },
  'body-down': {
    of: 'body',
    from: ['raised'],
    to: 'down',
    where: 'controls',
    takes: 'body',
    before: [braked, power],
  },
  'tailgate-released': {
    of: 'tailgate',
    from: ['latched'],
    to: 'released',
    where: 'here',
    takes: 'switching',
    before: [braked],
  },
  'tailgate-latched': {
    of: 'tailgate',
    from: ['released'],
    to: 'latched',
    where: 'here',
    takes: 'switching',
    before: [],
  },
  'platform-down': {
    of: 'platform',
    from: ['stowed'],
    to: 'open',
    where: 'controls',
    takes: 'platform',
    before: lift,
  },
  'platform-up': {
    of: 'platform',
    from: ['open'],
    to: 'stowed',
    where: 'controls',
    takes: 'platform',
    before: lift,
  },
  'lift-power-on': {
    of: 'liftPower',
    from: ['off'],
    to: 'on',
    where: 'seat',
    takes: 'switching',
    before: [shut, braked],
  },
  'lift-power-off': {
    of: 'liftPower',
    from: ['on'],
    to: 'off',
    where: 'seat',
    takes: 'switching',
    before: [shut, { of: 'platform', in: ['stowed'], onlyWith: 'platform' }],
  },
  'lift-door-open': {
    of: 'liftDoor',
    from: ['shut'],
    to: 'open',
    where: 'controls',
    takes: 'switching',
    before: [braked],
  },
  'lift-door-shut': {
    of: 'liftDoor',
    from: ['open'],
    to: 'shut',
    where: 'controls',
    takes: 'switching',
    before: [{ of: 'platform', in: ['stowed'], onlyWith: 'platform' }],
  },
  outriggers: {
    of: 'outriggers',
    from: ['in'],
    to: 'set',
    where: 'controls',
    takes: 'outriggers',
    before: [braked, chocked, power],
  },
  'outriggers-in': {
    of: 'outriggers',
    from: ['set'],
    to: 'in',
    where: 'controls',
    takes: 'outriggers',
    before: [{ of: 'boom', in: ['cradled'], onlyWith: 'boom' }, power],
  },
  'boom-up': {
    of: 'boom',
    from: ['cradled'],
    to: 'raised',
    where: 'controls',
    takes: 'boom',
    before: [{ of: 'outriggers', in: ['set'], onlyWith: 'outriggers' }, power],
  },
  'boom-down': {
    of: 'boom',
    from: ['raised'],
    to: 'cradled',
    where: 'controls',
    takes: 'boom',
    before: [power],
  },
  'blade-up': {
    of: 'blade',
    from: ['ground'],
    to: 'up',
    where: 'controls',
    takes: 'blade',
    before: [braked, running],
  },
  'blade-down': {
    of: 'blade',
    from: ['up'],
    to: 'ground',
    where: 'controls',
    takes: 'blade',
    before: [braked, running],
  },
  'machinery-on': {
    of: 'machinery',
    from: ['still'],
    to: 'running',
    where: 'controls',
    takes: 'switching',
    before: [power],
  },
  'machinery-off': {
    of: 'machinery',
    from: ['running'],
    to: 'still',
    where: 'controls',
    takes: 'switching',
    before: [],
  },
} as const satisfies Readonly<Record<string, Transition>>;

type TransitionChange = keyof typeof TABLE;

/** Everything that is done to a vehicle between two checks. A cleaning of the exhaust changes no state; it runs a clock. */
export type VehicleChange = TransitionChange | 'clean-exhaust';

/** Whoever leaves the seat has set the brake, whatever it is that they get down for. */
function withBrakeSet(transition: Transition): Transition {
  const { where, before, from } = transition;
  // From under a tilted cab nobody gets at the brake; it was tilted with the brake set.
  return where === 'seat' || from.includes('tilted') || before.includes(braked)
    ? transition
    : { ...transition, before: [braked, ...before] };
}

export const TRANSITIONS = Object.fromEntries(
  Object.entries(TABLE).map(([change, transition]) => [change, withBrakeSet(transition)]),
) as Readonly<Record<TransitionChange, Transition>>;
export const VEHICLE_CHANGES = [...Object.keys(TABLE), 'clean-exhaust'] as readonly VehicleChange[];

/** How a change moves a dimension; undefined for one that only runs a clock. */
export function transitionOf(change: VehicleChange): Transition | undefined {
  return change === 'clean-exhaust' ? undefined : TRANSITIONS[change];
}
