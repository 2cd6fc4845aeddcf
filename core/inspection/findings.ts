import { partAt } from '../catalogue';
import {
  barredFinding,
  gapFinding,
  nameSituation,
  type Finding,
  type Gap,
  type Reason,
  type Situation,
} from '../grading';
import type { CheckInstance } from '../rig';
import type { FaultCounts } from './fault-counts';
import type { InstanceAssessment } from './assessment';
import { countsAt } from './fault-counts';

/** What a gap on one unit is weighed under; the same name means the same weights. */
export interface NamedSituation extends Situation {
  readonly name: string;
}

export function named(situation: Situation): NamedSituation {
  return { ...situation, name: nameSituation(situation) };
}

const toGap = (instance: CheckInstance): Gap => ({
  about: instance.key,
  unitId: instance.unit.id,
  title: partAt(instance.check, instance.place),
  symptoms: instance.check.symptoms,
});

/**
 * What one check brings into the verdict. Not looked is not sound: it weighs as the worst that the check could have shown.
 * @param more.barred a fault bars the test: then it takes only the capability that it would have proved; the fault takes its own
 * @param more.mended what was done to it since the walk was signed, where that is certified, read and looked at
 */
export function toFinding(
  { instance, state, graded, answer }: InstanceAssessment,
  situation: NamedSituation,
  counted: FaultCounts,
  { barred = false, mended }: { readonly barred?: boolean; readonly mended?: string } = {},
): Finding[] {
  if (state === 'unanswered') return [unansweredFinding(instance, situation)];
  if (state === 'again')
    return [gapFinding(toGap(instance), { code: 'measure-again', words: '' }, situation)];
  if (state === 'not-looked') {
    const words = answer?.outcome === 'not-looked' ? answer.reason : '';
    const of = countsAt(instance, counted);
    const gap = gapFinding(toGap(instance), { code: 'not-looked', words }, situation, of);
    const { moves } = instance.check;
    if (!barred || !moves) return [gap];
    return [barredFinding(gap, moves.proves)];
  }
  if (!graded || graded.grade === 'sound') return [];
  const { key: about, unit } = instance;
  if (mended !== undefined) {
    const chain: Reason[] = [...graded.chain, { code: 'mended-since', words: mended }];
    const title = partAt(instance.check, instance.place);
    return [{ kind: 'fault', about, unitId: unit.id, title, grade: 'note', blocks: [], chain }];
  }
  return [
    {
      kind: 'fault',
      about,
      unitId: unit.id,
      title: partAt(instance.check, instance.place),
      ...graded,
    },
  ];
}

/** Most of a walk is unanswered most of the time, and each touch asks again: made once per situation. */
const unanswered = new WeakMap<
  CheckInstance,
  { readonly name: string; readonly finding: Finding }
>();

function unansweredFinding(instance: CheckInstance, situation: NamedSituation): Finding {
  const known = unanswered.get(instance);
  if (known?.name === situation.name) return known.finding;
  const finding = gapFinding(toGap(instance), { code: 'unanswered', words: '' }, situation);
  unanswered.set(instance, { name: situation.name, finding });
  return finding;
}
