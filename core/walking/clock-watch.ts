/** The clock of the phone beside one that nobody can set, both in milliseconds. */
export interface ClockSample {
  readonly wall: number;
  readonly monotonic: number;
  /** The phone slept, or the page was out of sight, at some time since the former sample. */
  readonly slept: boolean;
}

/** Smaller differences are the ticking of timers. */
const NOTICED = 5_000;

/**
 * By how many milliseconds the clock of the phone was changed between two samples; 0 when it was not. While a phone
 * sleeps only the clock on its wall goes on, so after a sleep forward is no sign of anything; backwards always is.
 */
export function clockMove(before: ClockSample, after: ClockSample): number {
  const moved = after.wall - before.wall - (after.monotonic - before.monotonic);
  if (Math.abs(moved) < NOTICED) return 0;
  if (after.slept && moved > 0) return 0;
  return Math.round(moved);
}
