/** What a start may take. Seconds, but for the tries. */
export interface StartLimits {
  /** The starter turns no longer. */
  readonly crank: number;
  /** It cools between two tries. */
  readonly rest: number;
  readonly tries: number;
  /** The oil pressure is up by then. */
  readonly pressure: number;
}

/** Where the card of the unit says nothing. */
export const USUAL_START: StartLimits = { crank: 15, rest: 60, tries: 3, pressure: 10 };

/** No starter is cranked longer than this, whatever a card says, nor tried oftener. */
const MOST_CRANK = 30;
const MOST_TRIES = 5;

/**
 * What the card of a unit says of its start: `crankMost` and `crankRest` in seconds, `crankTries`. A figure that cannot be is not taken.
 */
export function startLimitsOf(card: Readonly<Record<string, number | undefined>>): StartLimits {
  const { crankMost = 0, crankRest = 0, crankTries = 0 } = card;
  return {
    ...USUAL_START,
    ...(crankMost >= 1 && crankMost <= MOST_CRANK && { crank: crankMost }),
    ...(crankRest >= 1 && { rest: crankRest }),
    ...(crankTries >= 1 && crankTries <= MOST_TRIES && { tries: Math.floor(crankTries) }),
  };
}

/** Asked in this order before the key is turned. A no ends it. */
export const START_GATES = ['brake', 'neutral', 'exhaust', 'bulbs'] as const;
export type StartGate = (typeof START_GATES)[number];

/** The start of an engine on its way. Times are milliseconds. */
export type EngineStart =
  | { readonly at: StartGate }
  | { readonly at: 'ready'; readonly tries: number }
  | { readonly at: 'cranking'; readonly tries: number; readonly since: number }
  /** The starter cools down. */
  | { readonly at: 'resting'; readonly tries: number; readonly since: number }
  /** It runs, and the oil pressure must rise. */
  | { readonly at: 'pressure'; readonly since: number }
  | { readonly at: 'idling' }
  /** A gate was answered with no, or it did not catch often enough. */
  | { readonly at: 'stopped'; readonly because: StartGate | 'not-caught' }
  /** No oil pressure in time: it must be shut down. */
  | { readonly at: 'shut-down' };

export type StartAct =
  'yes' | 'no' | 'crank' | 'caught' | 'not-caught' | 'pressure-up' | 'no-pressure';

export const beginStart = (): EngineStart => ({ at: START_GATES[0] });

/**
 * What follows from what the driver did. An act that does not belong to the present step changes nothing, and so does
 * cranking before the starter has rested.
 * @param now milliseconds
 */
export function onStart(
  start: EngineStart,
  act: StartAct,
  now: number,
  limits: StartLimits = USUAL_START,
): EngineStart {
  switch (start.at) {
    case 'brake':
    case 'neutral':
    case 'exhaust':
    case 'bulbs': {
      if (act === 'no') return { at: 'stopped', because: start.at };
      if (act !== 'yes') return start;
      const next = START_GATES[START_GATES.indexOf(start.at) + 1];
      return next ? { at: next } : { at: 'ready', tries: 0 };
    }
    case 'ready':
      return act === 'crank' ? { at: 'cranking', tries: start.tries + 1, since: now } : start;
    case 'cranking':
      if (act === 'caught') return { at: 'pressure', since: now };
      if (act !== 'not-caught') return start;
      return start.tries >= limits.tries
        ? { at: 'stopped', because: 'not-caught' }
        : { at: 'resting', tries: start.tries, since: now };
    case 'resting':
      return act === 'crank' && (startClock(start, now, limits)?.left ?? 0) === 0
        ? { at: 'cranking', tries: start.tries + 1, since: now }
        : start;
    case 'pressure':
      if (act === 'pressure-up') return { at: 'idling' };
      return act === 'no-pressure' ? { at: 'shut-down' } : start;
    case 'idling':
    case 'stopped':
    case 'shut-down':
      return start;
  }
}

/** The clock of the present step: seconds to go, and whether its time is over; undefined where none runs. */
export function startClock(
  start: EngineStart,
  now: number,
  limits: StartLimits = USUAL_START,
): { readonly left: number; readonly over: boolean } | undefined {
  const limit =
    start.at === 'cranking'
      ? limits.crank
      : start.at === 'resting'
        ? limits.rest
        : start.at === 'pressure'
          ? limits.pressure
          : undefined;
  if (limit === undefined || !('since' in start)) return undefined;
  const left = Math.ceil(limit - (now - start.since) / 1000);
  return { left: Math.max(0, left), over: left <= 0 };
}
