import type { Round } from '../catalogue';

/** Which way round the vehicle the feet go. */
export type Direction = 'counter-clockwise' | 'clockwise';
/** What is done first, where nothing of the state of the engine forbids it. */
export type First = 'outside' | 'cab' | 'engine-bay';

/** How a yard walks. A route style is a rule; the planner finds the shortest walk within it. */
export interface RouteStyle {
  readonly direction: Direction;
  readonly first: First;
  /** When the engine is started. */
  readonly engine: EngineTiming;
  /** Somebody is there to stand where the driver cannot see. */
  readonly helper: boolean;
}

export const USUAL_ROUTE_STYLE: RouteStyle = {
  direction: 'counter-clockwise',
  first: 'outside',
  engine: 'planned',
  helper: false,
};

export const DIRECTIONS: readonly Direction[] = ['counter-clockwise', 'clockwise'];
/**
 * `planned` leaves it to the planner; `early` starts before the outside is walked, so that air and warm-up run meanwhile;
 * `last` starts only when all that stands has been looked at.
 */
export type EngineTiming = 'planned' | 'early' | 'last';
export const ENGINE_TIMINGS: readonly EngineTiming[] = ['planned', 'early', 'last'];
export const FIRSTS: readonly First[] = ['outside', 'cab', 'engine-bay'];

const ORDER: Readonly<Record<First, readonly Round[]>> = {
  outside: ['outside', 'engine-bay', 'cab'],
  cab: ['cab', 'outside', 'engine-bay'],
  'engine-bay': ['engine-bay', 'outside', 'cab'],
};

/**
 * Where a round stands in the order of a route style; undefined for one that it does not order. It orders only what can
 * be looked at as the vehicle stands, engine off: everything else has its time from the engine, the lamps, the air.
 */
export function rankOf(round: Round, first: First): number | undefined {
  const rank = ORDER[first].indexOf(round);
  return rank < 0 ? undefined : rank;
}
