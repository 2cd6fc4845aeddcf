import type { Capability, Circumstance, Symptom } from '../catalogue';
import { gradeSymptom, type Graded } from './grade-symptom';
import { worseGrade, type Policy } from './policy';

/** The moment and the rules under which something is graded. */
export interface Situation {
  readonly circumstances: ReadonlySet<Circumstance>;
  readonly needed: ReadonlySet<Capability>;
  readonly policies: readonly Policy[];
}

/** Equal names mean equal weights. */
export function nameSituation({ circumstances, needed, policies }: Situation): string {
  return [
    ...policies.map(({ id }) => id),
    '|',
    ...[...circumstances].sort(),
    '|',
    ...[...needed].sort(),
  ].join(' ');
}

/** Content does not change, so what its worst is in a given situation is worked out once. */
const worstKnown = new WeakMap<readonly Symptom[], Map<string, Graded>>();

/** What not looking may hide: the worst symptom of the check in this situation. */
export function worstSymptom(symptoms: readonly Symptom[], situation: Situation): Graded {
  const key = nameSituation(situation);
  let known = worstKnown.get(symptoms);
  if (!known) worstKnown.set(symptoms, (known = new Map<string, Graded>()));
  const before = known.get(key);
  if (before) return before;
  const graded = symptoms.map((symptom) => gradeSymptom({ symptom, alike: 1, ...situation }));
  const worst = graded.reduce((a, b) => (worseGrade(a.grade, b.grade) === a.grade ? a : b));
  const result = { ...worst, blocks: [...new Set(graded.flatMap((each) => each.blocks))] };
  known.set(key, result);
  return result;
}
