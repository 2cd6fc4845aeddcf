/** A reading of a counter that only goes up: an odometer (metres) or an hour meter (hours). */
export interface CounterReading {
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly value: number;
}

const DAY = 86_400_000;
const MOST_READINGS = 60;

/**
 * How fast a counter runs, in its own unit per day: the median of the slopes between all pairs of the latest
 * readings (Theil 1950, Sen 1968), so that one mistyped odometer does not bend it.
 * @returns undefined from fewer than two days apart
 */
export function paceOf(readings: readonly CounterReading[]): number | undefined {
  const latest = [...readings].sort((a, b) => a.at - b.at).slice(-MOST_READINGS);
  const slopes: number[] = [];
  for (let first = 0; first < latest.length; first += 1)
    for (let second = first + 1; second < latest.length; second += 1) {
      const days = (latest[second].at - latest[first].at) / DAY;
      if (days >= 1) slopes.push((latest[second].value - latest[first].value) / days);
    }
  if (slopes.length === 0) return undefined;
  return Math.max(0, median(slopes));
}

function median(values: number[]): number {
  const sorted = values.sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}
