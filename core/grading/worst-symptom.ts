import type { Capability, Circumstance, Symptom } from '../catalogue';
import { allOf } from './all-of';
import { gradeSymptom, type Graded, type Together } from './grade-symptom';
import type { Policy } from './policy';

/** The moment and the rules under which something is graded. */
export interface Situation {
  readonly circumstances: ReadonlySet<Circumstance>;
  readonly needed: ReadonlySet<Capability>;
  readonly policies: readonly Policy[];
}

const names = new WeakMap<Situation, string>();

/** Equal names mean equal weights. */
export function nameSituation(situation: Situation): string {
  const known = names.get(situation);
  if (known !== undefined) return known;
  const { circumstances, needed, policies } = situation;
  const name = [
    ...policies.map(({ id }) => id),
    '|',
    ...[...circumstances].sort(),
    '|',
    ...[...needed].sort(),
  ].join(' ');
  names.set(situation, name);
  return name;
}

/** Content does not change, so what its worst is in a given situation is worked out once. */
const worstKnown = new WeakMap<readonly Symptom[], Map<string, Graded>>();

/** With what else a symptom would stand on its unit. */
export interface CountsAt {
  readonly alike: (symptom: Symptom) => number;
  readonly places: number;
  readonly together: (symptom: Symptom) => readonly Together[];
}

/**
 * What not looking may hide: never milder than any symptom of the check in this situation, in grade, in what it takes and in what it
 * asks to heed; with all that would be counted with it, where that is given.
 */
export function worstSymptom(
  symptoms: readonly Symptom[],
  situation: Situation,
  counted?: CountsAt,
): Graded {
  const gradeAll = (of: CountsAt) =>
    allOf(
      symptoms.map((symptom) =>
        gradeSymptom({
          symptom,
          ...situation,
          alike: of.alike(symptom),
          places: of.places,
          together: of.together(symptom),
        }),
      ),
    );
  // What is worse together is rare and said anew each time.
  if (counted && symptoms.some((symptom) => counted.together(symptom).length > 0))
    return gradeAll(counted);
  const counts = counted && [counted.places, ...symptoms.map((each) => counted.alike(each))];
  const key = `${nameSituation(situation)} ${counts?.join() ?? ''}`;
  let known = worstKnown.get(symptoms);
  if (!known) worstKnown.set(symptoms, (known = new Map<string, Graded>()));
  const before = known.get(key);
  if (before) return before;
  const result = gradeAll(counted ?? ALONE);
  known.set(key, result);
  return result;
}

const ALONE: CountsAt = { alike: () => 1, places: 1, together: () => [] };
