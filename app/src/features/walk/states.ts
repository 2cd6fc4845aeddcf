import type { Stop } from '@nazar/core/planning';
import type { BeadState } from '@/design';
import type { Walk } from '@/state/walk';

const WORST: readonly BeadState[] = [
  'major',
  'minor',
  'again',
  'unanswered',
  'not-looked',
  'note',
  'sound',
];

/** A stop is as bad as its worst check; it is sound only when all of it was looked at. */
export function stateOfStop(walk: Walk, stop: Stop): BeadState {
  const states = stop.instances.map(
    ({ key }) => walk.assessment.byKey.get(key)?.state ?? 'unanswered',
  );
  return WORST.find((each) => states.includes(each)) ?? 'unanswered';
}

export function openInStop(walk: Walk, stop: Stop): number {
  return stop.instances.filter(({ key }) => {
    const state = walk.assessment.byKey.get(key)?.state;
    return state === 'unanswered' || state === 'again';
  }).length;
}

/**
 * Where the walk goes on from a stop: the next in the order of the plan with something open, or one that was passed by. Nothing
 * that is open is ever behind the end.
 * @returns its place in `walk.stops`; undefined when nothing is open elsewhere
 */
export function stopAfter(walk: Walk, from: number): number | undefined {
  const { stops } = walk;
  return stops
    .map((_, index) => (from + 1 + index) % stops.length)
    .find((index) => index !== from && openInStop(walk, stops[index]) > 0);
}
