import type { Capability, Circumstance, Harm, Symptom } from '../catalogue';
import type { Grade, Policy } from './policies';

/** One link of the chain that leads to a grade. `words` come from content, `code` is for the reader's language. */
export interface Reason {
  readonly code:
    | 'symptom'
    | 'scale'
    | 'worst-step'
    | 'circumstance'
    | 'many'
    | 'policy'
    | 'raised'
    | 'fixed'
    | 'fix-refused'
    | 'minors-add-up'
    | 'limit'
    | 'limit-missing'
    | 'not-looked'
    | 'unanswered'
    | 'measure-again'
    | 'known-open'
    | 'repair-unread';
  readonly words: string;
}

export interface Graded {
  readonly grade: Grade;
  /** Capabilities of the unit that are lost; empty unless the grade is major. */
  readonly blocks: readonly Capability[];
  readonly chain: readonly Reason[];
  readonly condition?: string;
}

export interface GradeRequest {
  readonly symptom: Symptom;
  /** Answer to "how much"; missing where it was not given, then the worst step is taken. */
  readonly stepId?: string;
  readonly circumstances: ReadonlySet<Circumstance>;
  /** How many faults of this symptom the walk has found so far, this one included. */
  readonly alike: number;
  readonly policy: Policy;
  /** What the driver did on the spot. */
  readonly fixed?: string;
  /** The driver may raise, never lower. */
  readonly raisedTo?: Grade;
}

const HARMS: readonly Harm[] = ['watch', 'repair', 'stop'];
const GRADES: readonly Grade[] = ['sound', 'note', 'minor', 'major'];

/** The worse of two grades. */
export function worseGrade(a: Grade, b: Grade): Grade {
  return GRADES.indexOf(a) >= GRADES.indexOf(b) ? a : b;
}

function worseHarm(a: Harm, b: Harm): Harm {
  return HARMS.indexOf(a) >= HARMS.indexOf(b) ? a : b;
}

/** Symptom, scale, circumstances, count and policy to a grade, with the chain that led there. */
export function gradeSymptom(request: GradeRequest): Graded {
  const { symptom, policy } = request;
  const chain: Reason[] = [{ code: 'symptom', words: symptom.words }];
  let harm = harmOfStep(request, chain);
  for (const rule of symptom.worse ?? []) {
    if (request.circumstances.has(rule.in) && worseHarm(harm, rule.harm) !== harm) {
      harm = rule.harm;
      chain.push({ code: 'circumstance', words: rule.because });
    }
  }
  if (
    symptom.many &&
    request.alike >= symptom.many.from &&
    worseHarm(harm, symptom.many.harm) !== harm
  ) {
    harm = symptom.many.harm;
    chain.push({ code: 'many', words: symptom.many.because });
  }
  let grade = policy.gradeOf[harm];
  if (request.fixed !== undefined) {
    if (symptom.fixable) {
      chain.push({ code: 'fixed', words: request.fixed });
      grade = 'note';
    } else chain.push({ code: 'fix-refused', words: request.fixed });
  }
  if (request.raisedTo && worseGrade(grade, request.raisedTo) !== grade) {
    grade = request.raisedTo;
    chain.push({ code: 'raised', words: request.raisedTo });
  }
  return {
    grade,
    blocks: grade === 'major' ? (symptom.takes.length > 0 ? symptom.takes : ['road']) : [],
    chain,
    // What is out of service is not driven, so no condition goes with it.
    condition: grade === 'minor' ? symptom.condition : undefined,
  };
}

function harmOfStep({ symptom, stepId }: GradeRequest, chain: Reason[]): Harm {
  if (!symptom.scale) return symptom.harm;
  const step = symptom.scale.steps.find((each) => each.id === stepId);
  if (step) {
    chain.push({ code: 'scale', words: step.words });
    return step.harm;
  }
  const worst = symptom.scale.steps.reduce((a, b) =>
    worseHarm(a.harm, b.harm) === a.harm ? a : b,
  );
  chain.push({ code: 'worst-step', words: worst.words });
  return worst.harm;
}

/** Content does not change, so what its worst is under given circumstances is worked out once. */
const worstKnown = new WeakMap<readonly Symptom[], Map<string, Graded>>();

/** What not looking may hide: the worst symptom of the check under these circumstances. */
export function worstSymptom(
  symptoms: readonly Symptom[],
  circumstances: ReadonlySet<Circumstance>,
  policy: Policy,
): Graded {
  const key = [policy.id, ...[...circumstances].sort()].join(' ');
  let known = worstKnown.get(symptoms);
  if (!known) worstKnown.set(symptoms, (known = new Map<string, Graded>()));
  const before = known.get(key);
  if (before) return before;
  const graded = symptoms.map((symptom) =>
    gradeSymptom({ symptom, circumstances, alike: 1, policy }),
  );
  const worst = graded.reduce((a, b) => (worseGrade(a.grade, b.grade) === a.grade ? a : b));
  const result = { ...worst, blocks: [...new Set(graded.flatMap((each) => each.blocks))] };
  known.set(key, result);
  return result;
}
