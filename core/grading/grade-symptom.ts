import {
  HARMS,
  type Bar,
  type Capability,
  type Circumstance,
  type Harm,
  type Listed,
  type Symptom,
  type System,
} from '../catalogue';
import { worseGrade, type Grade, type Policy, type PolicyRule } from './policy';

/** One link of the chain that leads to a grade. `words` come from content, `code` is for the reader's language. */
export interface Reason {
  readonly code:
    | 'symptom'
    | 'scale'
    | 'worst-step'
    | 'circumstance'
    | 'needed'
    | 'many'
    | 'combination'
    | 'exception'
    | 'policy'
    /** A public schedule names it so. */
    | 'schedule'
    /** A public schedule names it milder; this is the house's own will. */
    | 'house-stricter'
    | 'rule-missing'
    | 'stricter'
    | 'raised'
    | 'fixed'
    | 'fix-refused'
    | 'minors-add-up'
    | 'limit'
    | 'limit-missing'
    /** The unit's card is laxer than the law; the law was taken. */
    | 'card-laxer'
    /** The number that the check asks for was not given beside the fault. */
    | 'reading-missing'
    | 'not-looked'
    | 'unanswered'
    | 'measure-again'
    | 'known-open'
    | 'overdue'
    | 'repair-unread'
    /** Certified, read and looked at again after the walk was signed. */
    | 'mended-since';
  readonly words: string;
}

/** What a vehicle that may roll has to heed. */
export interface Limitation {
  readonly condition?: string;
  /** What the condition rules out. */
  readonly bars?: Bar;
  /** km/h */
  readonly mostKmh?: number;
}

export interface Graded extends Limitation {
  readonly grade: Grade;
  /** Capabilities of the unit that are lost; empty unless the grade is major. */
  readonly blocks: readonly Capability[];
  readonly chain: readonly Reason[];
  /** The policy that gave the grade. */
  readonly policyId: string;
  /** Classes of parts that it is about; several where nobody has looked and it may be any of them. */
  readonly systems: readonly System[];
  /** What else it limits, where it is several things at once or nobody knows which: each limits the road beside the grade. */
  readonly further?: readonly Limitation[];
}

export interface GradeRequest {
  readonly symptom: Symptom;
  /** Answer to "how much"; missing where it was not given, then the worst step is taken. */
  readonly stepId?: string;
  readonly circumstances: ReadonlySet<Circumstance>;
  /** What today's job needs beyond the road. */
  readonly needed?: ReadonlySet<Capability>;
  /** How many faults of this symptom the unit has, this one included. */
  readonly alike: number;
  /** How many places the check has on the unit; 1 where nothing is said. */
  readonly places?: number;
  /** Combinations of faults that this one is part of. */
  readonly together?: readonly Together[];
  /** All that apply; the strictest wins and says so. */
  readonly policies: readonly Policy[];
  /** What the driver did on the spot. */
  readonly fixed?: string;
  /** The driver may raise, never lower. */
  readonly raisedTo?: Grade;
}

export interface Together {
  readonly harm: Harm;
  readonly takes: readonly Capability[];
  readonly because: string;
}

function isWorse(a: Harm, b: Harm): boolean {
  return HARMS.indexOf(a) > HARMS.indexOf(b);
}

/**
 * Symptom, scale, circumstances, job, count, combination and policies to a grade, with the chain that led
 * there. Everything after the scale can only make it weigh more, except what was put right on the spot.
 */
export function gradeSymptom(request: GradeRequest): Graded {
  const chain: Reason[] = [{ code: 'symptom', words: request.symptom.words }];
  const facts = weigh(request, chain);
  return strictest(
    request.policies.map((policy) => gradeUnder(policy, request, facts)),
    request,
    chain,
  );
}

interface Facts {
  readonly harm: Harm;
  readonly takes: readonly Capability[];
}

/** How bad it is, before any policy names a grade. */
function weigh(request: GradeRequest, chain: Reason[]): Facts {
  const { symptom } = request;
  if (isFixed(request)) {
    chain.push({ code: 'fixed', words: request.fixed ?? '' });
    return { harm: symptom.fixLeaves ?? 'watch', takes: symptom.takes };
  }
  let harm = harmOfStep(request, chain);
  let takes = symptom.takes;
  const raise = (to: Harm, code: Reason['code'], words: string) => {
    if (!isWorse(to, harm)) return;
    harm = to;
    chain.push({ code, words });
  };
  for (const rule of symptom.worse ?? []) {
    if ('in' in rule && request.circumstances.has(rule.in))
      raise(rule.harm, 'circumstance', rule.because);
    if ('needed' in rule && request.needed?.has(rule.needed))
      raise(rule.harm, 'needed', rule.because);
  }
  if (symptom.many && isMany(request)) raise(symptom.many.harm, 'many', symptom.many.because);
  for (const { harm: to, takes: also, because } of request.together ?? []) {
    raise(to, 'combination', because);
    takes = [...new Set([...takes, ...also])];
  }
  if (request.fixed !== undefined) chain.push({ code: 'fix-refused', words: request.fixed });
  return { harm, takes };
}

/** A fix mends only what it can mend: it is one of this very symptom. */
function isFixed({ symptom, fixed }: GradeRequest): boolean {
  return fixed !== undefined && (symptom.fixes ?? []).includes(fixed);
}

function isMany({ symptom, alike, places = 1 }: GradeRequest): boolean {
  if (!symptom.many) return false;
  if ('from' in symptom.many) return alike >= symptom.many.from;
  // A share of one place says nothing.
  return places > 1 && alike / places >= symptom.many.share;
}

function harmOfStep({ symptom, stepId }: GradeRequest, chain: Reason[]): Harm {
  if (!symptom.scale) return symptom.harm;
  const step = symptom.scale.steps.find((each) => each.id === stepId);
  if (step) {
    chain.push({ code: 'scale', words: step.words });
    return step.harm;
  }
  const worst = symptom.scale.steps.reduce((a, b) => (isWorse(b.harm, a.harm) ? b : a));
  chain.push({ code: 'worst-step', words: worst.words });
  return worst.harm;
}

interface Under {
  readonly policy: Policy;
  readonly grade: Grade;
  readonly takes: readonly Capability[];
  readonly reasons: readonly Reason[];
}

/** What one policy makes of the facts. Its rules and exceptions only raise; a table with a hole counts as major. */
function gradeUnder(policy: Policy, request: GradeRequest, facts: Facts): Under {
  const reasons: Reason[] = [];
  let { harm } = facts;
  for (const exception of request.symptom.exceptions ?? []) {
    if (exception.policy !== policy.id || !isWorse(exception.harm, harm)) continue;
    // What was put right is judged by what remains.
    if (isFixed(request)) continue;
    harm = exception.harm;
    reasons.push({ code: 'exception', words: `${exception.because} (${exception.source})` });
  }
  const usual = policy.gradeOf[harm] as Grade | undefined;
  if (usual === undefined) {
    reasons.push({ code: 'rule-missing', words: policy.title });
    return { policy, grade: 'major', takes: facts.takes, reasons };
  }
  let grade = usual;
  let takes = facts.takes;
  for (const rule of policy.rules) {
    if (!applies(rule, harm, request, facts)) continue;
    const also = rule.alsoTakes ?? [];
    const raises = worseGrade(grade, rule.grade) !== grade;
    if (!raises && also.every((each) => takes.includes(each))) continue;
    grade = worseGrade(grade, rule.grade);
    takes = [...new Set([...takes, ...also])];
    reasons.push({ code: 'policy', words: `${rule.because} (${rule.source})` });
  }
  const { schedule } = policy;
  const scheduled = schedule && findListed(schedule.standard, request);
  if (!schedule || !scheduled || scheduled.grade === grade)
    return { policy, grade, takes, reasons };
  const words = `${policy.source}, item ${scheduled.item}: ${scheduled.words}`;
  if (worseGrade(grade, scheduled.grade) !== grade)
    return {
      policy,
      grade: scheduled.grade,
      takes,
      reasons: [...reasons, { code: 'schedule', words }],
    };
  // Faults that are worse together are no matter of a list that names each alone.
  const alone = (request.together ?? []).length === 0;
  if (schedule.houseStricter || !alone || grade !== 'major')
    return { policy, grade, takes, reasons: [...reasons, { code: 'house-stricter', words }] };
  return { policy, grade: scheduled.grade, takes, reasons: [{ code: 'schedule', words }] };
}

/** What the schedule says of it now: the worst of the lines that apply. What was put right on the spot is judged by what remains. */
function findListed(standard: string, request: GradeRequest): Listed | undefined {
  const { symptom, stepId, circumstances, alike } = request;
  if (isFixed(request)) return undefined;
  const lines = (symptom.listed ?? []).filter(
    (each) =>
      each.standard === standard &&
      (each.when?.some((circumstance) => circumstances.has(circumstance)) ?? true) &&
      alike >= (each.from ?? 1) &&
      (each.step === undefined || each.step === stepId),
  );
  return lines.find(({ grade }) => grade === 'major') ?? lines[0];
}

function applies(rule: PolicyRule, harm: Harm, request: GradeRequest, { takes }: Facts): boolean {
  return (
    rule.harms.includes(harm) &&
    (rule.systems?.includes(request.symptom.system) ?? true) &&
    (rule.takes?.some((each) => takes.includes(each)) ?? true) &&
    (rule.when?.some((each) => request.circumstances.has(each)) ?? true) &&
    (!rule.whenNeeded || takes.some((each) => each !== 'road' && request.needed?.has(each)))
  );
}

/** No policy at all is the strictest of all. */
function strictest(under: readonly Under[], request: GradeRequest, chain: Reason[]): Graded {
  const { symptom } = request;
  const worst = under.reduce<Under | undefined>(
    (a, b) => (a && worseGrade(a.grade, b.grade) === a.grade ? a : b),
    undefined,
  );
  let grade: Grade = worst?.grade ?? 'major';
  if (!worst) chain.push({ code: 'rule-missing', words: '' });
  else {
    chain.push(...worst.reasons);
    if (under.some((each) => each.grade !== worst.grade))
      chain.push({ code: 'stricter', words: worst.policy.title });
  }
  if (request.raisedTo && worseGrade(grade, request.raisedTo) !== grade) {
    grade = request.raisedTo;
    chain.push({ code: 'raised', words: request.raisedTo });
  }
  const takes = [...new Set(under.flatMap((each) => each.takes))];
  const blocks: readonly Capability[] =
    grade === 'major' ? (takes.length > 0 ? takes : ['road']) : [];
  // What must be done before leaving is done also where it weighs no more than a note, or takes only equipment; put right on the
  // spot, it is done.
  const before = symptom.bars === 'before-leaving' && !isFixed(request) && !blocks.includes('road');
  const limits = grade === 'minor' || before;
  return {
    grade,
    blocks,
    chain,
    // What is out of service is not driven, so no condition goes with it.
    condition: limits ? symptom.condition : undefined,
    bars: limits ? symptom.bars : undefined,
    mostKmh: limits ? symptom.mostKmh : undefined,
    policyId: worst?.policy.id ?? '',
    systems: [symptom.system],
  };
}
