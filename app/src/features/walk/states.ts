import type { Stop } from '@nazar/core/planning';
import type { BeadState } from '@/design';
import type { Walk } from '@/state';

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
