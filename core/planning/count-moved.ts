/**
 * How many of the later stops stand in another order than before: all that are in both, less the longest run that has kept
 * its order. What is new or gone has not moved.
 */
export function countMoved(before: readonly string[], after: readonly string[]): number {
  const places = new Map(tellApart(before).map((key, index) => [key, index]));
  const known = tellApart(after).flatMap((key) => places.get(key) ?? []);
  // Ends of the best rising runs by their length.
  const ends: number[] = [];
  for (const place of known) {
    let at = ends.findIndex((end) => end >= place);
    if (at < 0) at = ends.length;
    ends[at] = place;
  }
  return known.length - ends.length;
}

/** A place that one comes to again is another stop. */
function tellApart(keys: readonly string[]): string[] {
  const times = new Map<string, number>();
  return keys.map((key) => {
    const count = (times.get(key) ?? 0) + 1;
    times.set(key, count);
    return `${key} ${count}`;
  });
}
