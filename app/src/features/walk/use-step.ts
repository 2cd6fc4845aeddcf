import type { NextStep } from '@nazar/core/walking';
import { useStable } from '@/design';
import type { Walk } from '@/state/walk';
import type { Live } from './use-live';
import type { Position } from './use-position';

interface Stepping {
  /** What comes before the present check. */
  readonly step: NextStep | undefined;
  /** It was done, vouched for, or its clock was ended by a word. */
  readonly take: () => void;
  /** On to what can be done while this is waited for, in the order of the plan. */
  readonly elsewhere: () => void;
}

/** The step that comes before the present check, and what a touch on it tells the log. */
export function useStep(walk: Walk, live: Live, position: Position): Stepping {
  const { current } = position;
  const step = live.stepOf(current);
  const take = useStable(() => {
    if (step?.kind === 'first') position.goToCheck(step.key);
    if (step?.kind === 'do') void live.change(step.change, step.unitId);
    if (step?.kind === 'affirm') void live.tell('affirmed', { what: step.what, zone: step.zone });
    if (step?.kind === 'wait' && step.orWord)
      void live.tell('affirmed', { what: step.orWord, zone: current.zoneKey });
  });
  const elsewhere = useStable(() => {
    const all = walk.stops.flatMap(({ instances }) => instances);
    const from = all.findIndex(({ key }) => key === current.key);
    const next = [...all.slice(from + 1), ...all.slice(0, Math.max(0, from))].find(
      (each) =>
        walk.assessment.byKey.get(each.key)?.state === 'unanswered' &&
        !live.forbidden.has(each.key) &&
        live.stepOf(each)?.kind !== 'wait',
    );
    if (next) position.goToCheck(next.key);
  });
  return { step, take, elsewhere };
}
