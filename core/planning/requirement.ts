import type { Check, Need } from '../catalogue';
import type { Clock } from './vehicle';

/** What a check wants of the state of the vehicle; undefined where it does not matter. */
export interface Requirement {
  readonly engine?: 'off' | 'cold' | 'on';
  readonly key?: true;
  readonly lamps?: true;
  readonly brake?: 'set' | 'released';
  readonly chocks?: 'in' | 'out';
  readonly powerTakeOff?: true;
  readonly propped?: true;
  readonly platform?: true;
  readonly outriggers?: true;
  readonly air?: true;
  readonly oilWarm?: true;
  readonly engineWarm?: true;
  /** The engine oil has run back since the engine was shut down. */
  readonly settled?: true;
}

const OPPOSITES: readonly (readonly [Need, Need])[] = [
  ['engine-off', 'engine-idling'],
  ['engine-cold', 'engine-idling'],
  ['engine-cold', 'oil-warm'],
  ['engine-cold', 'power-take-off'],
  ['engine-cold', 'engine-warm'],
  ['engine-off', 'engine-warm'],
  ['engine-off', 'power-take-off'],
  ['oil-settled', 'engine-idling'],
  ['oil-settled', 'power-take-off'],
  ['oil-settled', 'oil-warm'],
  ['oil-settled', 'engine-warm'],
  ['parking-brake-set', 'parking-brake-released'],
];

const RUNNING: readonly Need[] = ['engine-idling', 'power-take-off', 'oil-warm', 'engine-warm'];

/**
 * @throws {RangeError} naming the check and the two needs that contradict each other
 */
export function requirementOf(check: Check): Requirement {
  const needs = new Set(check.needs);
  for (const [one, other] of OPPOSITES)
    if (needs.has(one) && needs.has(other))
      throw new RangeError(
        `The check ${check.id} needs ${one} and ${other}, and nobody can give it both. It stays out of every plan until its content is mended.`,
      );
  const has = (need: Need) => (needs.has(need) ? (true as const) : undefined);
  return {
    engine: needs.has('engine-cold')
      ? 'cold'
      : needs.has('engine-off') || needs.has('oil-settled')
        ? 'off'
        : RUNNING.some((need) => needs.has(need))
          ? 'on'
          : undefined,
    key: has('key-on'),
    lamps: has('lamps-on'),
    brake: needs.has('parking-brake-set')
      ? 'set'
      : needs.has('parking-brake-released')
        ? 'released'
        : undefined,
    // A brake that is tried while rolling has no chocks before the wheels.
    chocks: needs.has('chocked') ? 'in' : rolls(check) ? 'out' : undefined,
    powerTakeOff: has('power-take-off') ?? has('oil-warm'),
    propped: has('body-propped'),
    platform: has('platform-down'),
    outriggers: has('outriggers-set'),
    air: has('air-charged'),
    oilWarm: has('oil-warm'),
    engineWarm: has('engine-warm'),
    settled: has('oil-settled'),
  };
}

/** A brake that is tried while the vehicle rolls. */
export function rolls({ needs }: Pick<Check, 'needs'>): boolean {
  return (
    needs.includes('parking-brake-released') &&
    needs.includes('engine-idling') &&
    !needs.includes('chocked')
  );
}

/** The same requirements give the same text. */
export function nameOf(requirement: Requirement): string {
  return Object.entries(requirement)
    .filter(([, value]) => value !== undefined)
    .map(([name, value]) => `${name}:${value}`)
    .sort()
    .join(' ');
}

/** Whether it can be done as the vehicle stands before anybody starts it. */
export function isStanding({ engine, key, lamps, air, brake }: Requirement): boolean {
  return engine !== 'on' && !key && !lamps && !air && brake !== 'released';
}

/** The clocks that some of these checks wait for. */
export function clocksWanted(instances: readonly { readonly check: Check }[]): ReadonlySet<Clock> {
  const clocks = new Set<Clock>();
  for (const { check } of instances) {
    const want = requirementOf(check);
    if (want.air) clocks.add('air');
    if (want.oilWarm) clocks.add('oil');
    if (want.engineWarm) clocks.add('warm');
    if (want.settled) clocks.add('settle');
    if (want.engine === 'cold') clocks.add('cold');
  }
  return clocks;
}
