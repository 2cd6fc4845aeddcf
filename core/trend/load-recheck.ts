export interface RecheckRequest {
  /** When it left. Milliseconds since 1970. */
  readonly outAt: number;
  /** The last look at the load on this trip, if there was one. Milliseconds since 1970. */
  readonly lastAt?: number;
  readonly now: number;
}

export interface Recheck {
  /** Milliseconds since 1970. */
  readonly dueAt: number;
  /** Whichever comes first: the time, or this far on the way since the last look. Metres. */
  readonly withinMetres: number;
  readonly isFirst: boolean;
  readonly isLate: boolean;
}

const MILE = 1609.344;
const HOUR = 3_600_000;
/** 50 miles, and an hour for whoever reads no odometer on the way. */
const FIRST = { metres: 50 * MILE, milliseconds: HOUR };
/** 150 miles or three hours. */
const AFTER = { metres: 150 * MILE, milliseconds: 3 * HOUR };

/**
 * When the load is looked at again: within the first 50 miles, then every 150 miles or three hours, whichever comes
 * first (49 CFR 392.9(b)). At a reload and at a change of driver it is looked at whatever this says.
 */
export function loadRecheck({ outAt, lastAt, now }: RecheckRequest): Recheck {
  const isFirst = lastAt === undefined || lastAt < outAt;
  const { metres, milliseconds } = isFirst ? FIRST : AFTER;
  const dueAt = (isFirst ? outAt : lastAt) + milliseconds;
  return { dueAt, withinMetres: metres, isFirst, isLate: now > dueAt };
}
