import type { Clock } from '../vehicle';
import { isRunning, type VehicleState } from './vehicle-state';

/** A clock that runs, or one that has ended and is waited for by nobody yet. */
export interface RunningClock {
  readonly clock: Clock;
  /** When it ends or ended, milliseconds since 1970. */
  readonly due: number;
  /** Seconds to go; 0 when it has ended. */
  readonly left: number;
  /** It ended so long ago that somebody should be told what waits. */
  readonly late: boolean;
}

/** After this many seconds an ended clock is late. */
export const LATE_AFTER = 120;

/**
 * The clocks of a walk as they are at `now` (milliseconds): what runs, and what has ended while checks still wait for it.
 * They are worked out from what was done, so a phone that slept knows as much as one that was looked at.
 * @param wanted clocks that an open check waits for; nobody needs to hear of the others
 */
export function runningClocks(
  state: VehicleState,
  wanted: ReadonlySet<Clock>,
  now: number,
): RunningClock[] {
  const due: readonly (readonly [Clock, number | undefined])[] = [
    ['air', state.airAt],
    ['oil', state.oilAt],
    ['settle', state.settledAt],
    ['cold', state.coldAt],
    ['warm', isRunning(state) ? state.warmAt : undefined],
    ['clean', state.cleanAt],
  ];
  return due.flatMap(([clock, at]) => {
    // Nobody has started it, or it was so before the walk began.
    if (at === undefined || at === Infinity || at === 0) return [];
    // What somebody has begun on purpose is theirs to hear of.
    if (clock !== 'clean' && !wanted.has(clock)) return [];
    const left = Math.max(0, Math.ceil((at - now) / 1000));
    return [{ clock, due: at, left, late: now - at > LATE_AFTER * 1000 }];
  });
}
