import type { Circumstance, Symptom } from '../catalogue';
import {
  decideVerdict,
  gradeSymptom,
  worseGrade,
  worstSymptom,
  type Finding,
  type Grade,
  type Graded,
  type Policy,
  type Reason,
  type Verdict,
} from '../grading';
import { judgeReading, type Judgement } from '../measure';
import type { CheckInstance, Rig } from '../rig';
import type { Answer, Inspection } from './fold';

/** A defect of an earlier walk that nobody has certified or only put off. */
export interface KnownDefect {
  readonly id: string;
  readonly key: string;
  readonly unitId: string;
  readonly title: string;
  readonly grade: Grade;
  readonly blocks: Finding['blocks'];
  readonly words: string;
}

/** A repair that the next driver must read before leaving. */
export interface UnreadRepair {
  readonly defectId: string;
  readonly unitId: string;
  readonly title: string;
  readonly words: string;
}

export type InstanceState =
  'unanswered' | 'sound' | 'note' | 'minor' | 'major' | 'not-looked' | 'again';

export interface InstanceAssessment {
  readonly instance: CheckInstance;
  readonly state: InstanceState;
  readonly answer?: Answer;
  readonly judgement?: Judgement;
  readonly graded?: Graded;
}

export interface Assessment {
  readonly byKey: ReadonlyMap<string, InstanceAssessment>;
  readonly answered: number;
  readonly total: number;
  /** Instances that still need an answer, in the rig's order. */
  readonly missing: readonly CheckInstance[];
  readonly findings: readonly Finding[];
  readonly verdict: Verdict;
}

export interface AssessRequest {
  readonly inspection: Inspection;
  readonly rig: Rig;
  readonly policy: Policy;
  readonly known: readonly KnownDefect[];
  readonly unread: readonly UnreadRepair[];
}

/** Everything the log says about the rig, graded, and what follows for today. */
export function assess(request: AssessRequest): Assessment {
  const { inspection, rig, policy } = request;
  const circumstances = circumstancesOf(inspection, rig);
  const situation = {
    circumstances,
    policy,
    name: [policy.id, ...[...circumstances].sort()].join(' '),
  };
  const alike = countAlike(inspection, rig);
  const byKey = new Map<string, InstanceAssessment>();
  for (const instance of rig.instances)
    byKey.set(instance.key, assessInstance(instance, request, circumstances, alike));
  const states = [...byKey.values()];
  const findings = addUpMinors(
    [...states.flatMap((each) => toFinding(each, situation)), ...carried(request, byKey)],
    rig,
    policy,
  );
  const missing = states
    .filter(({ state }) => state === 'unanswered' || state === 'again')
    .map(({ instance }) => instance);
  return {
    byKey,
    answered: states.length - missing.length,
    total: states.length,
    missing,
    findings,
    verdict: decideVerdict({
      capabilities: rig.capabilities,
      firstUnitId: rig.units[0].unit.id,
      findings,
    }),
  };
}

/** What a gap is weighed under; the same name means the same weights. */
interface Situation {
  readonly name: string;
  readonly circumstances: ReadonlySet<Circumstance>;
  readonly policy: Policy;
}

export function circumstancesOf(inspection: Inspection, rig: Rig): ReadonlySet<Circumstance> {
  const set = new Set<Circumstance>(inspection.begun?.circumstances ?? []);
  if (rig.towing) set.add('towing');
  return set;
}

/** How often each symptom of a check was found on one unit. */
function countAlike(inspection: Inspection, rig: Rig): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { key, unit, check } of rig.instances) {
    const answer = inspection.answers.get(key);
    if (answer?.outcome !== 'fault' || answer.fault.fixed !== undefined) continue;
    const alike = `${unit.id}/${check.id}/${answer.fault.symptomId}`;
    counts.set(alike, (counts.get(alike) ?? 0) + 1);
  }
  return counts;
}

function assessInstance(
  instance: CheckInstance,
  { inspection, rig, policy }: AssessRequest,
  circumstances: ReadonlySet<Circumstance>,
  alike: Map<string, number>,
): InstanceAssessment {
  const answer = inspection.answers.get(instance.key);
  if (!answer) return { instance, state: 'unanswered' };
  const { check, unit } = instance;
  if (answer.outcome === 'not-looked') return { instance, answer, state: 'not-looked' };
  if (answer.outcome === 'sound') {
    // A required reading cannot be waved through.
    if (check.reading?.required) return { instance, answer, state: 'unanswered' };
    return { instance, answer, state: 'sound' };
  }
  const judgement =
    check.reading && answer.readings.length > 0
      ? judgeReading({
          reading: check.reading,
          values: answer.readings.map((reading) => reading.value),
          specification: unit.specification,
          combinationAir: rig.combinationAir,
        })
      : undefined;
  if (answer.outcome === 'measured') {
    if (!judgement || judgement.outcome === 'within')
      return { instance, answer, judgement, state: 'sound' };
    if (judgement.outcome === 'again') return { instance, answer, judgement, state: 'again' };
    const graded = gradeReading(check.symptoms, judgement, circumstances, policy);
    return { instance, answer, judgement, graded, state: toState(graded.grade) };
  }
  const { fault } = answer;
  const symptom = check.symptoms.find((each) => each.id === fault.symptomId);
  const named = symptom
    ? gradeSymptom({
        symptom,
        stepId: fault.stepId,
        circumstances,
        alike: alike.get(`${unit.id}/${check.id}/${symptom.id}`) ?? 1,
        policy,
        fixed: check.fixes.length > 0 ? fault.fixed : undefined,
        raisedTo: fault.raisedTo,
      })
    : // A symptom this catalogue does not know: the worst that the check can mean.
      worstSymptom(check.symptoms, circumstances, policy);
  const measured =
    judgement && judgement.outcome !== 'within'
      ? gradeReading(check.symptoms, judgement, circumstances, policy)
      : undefined;
  const graded =
    measured && worseGrade(named.grade, measured.grade) !== named.grade ? measured : named;
  return { instance, answer, judgement, graded, state: toState(graded.grade) };
}

function gradeReading(
  symptoms: readonly Symptom[],
  judgement: Exclude<Judgement, { outcome: 'within' }>,
  circumstances: ReadonlySet<Circumstance>,
  policy: Policy,
): Graded {
  const symptom = symptoms.find((each) => each.id === judgement.symptom);
  const graded = symptom
    ? gradeSymptom({ symptom, circumstances, alike: 1, policy })
    : worstSymptom(symptoms, circumstances, policy);
  const reason: Reason =
    judgement.outcome === 'no-limit'
      ? { code: 'limit-missing', words: judgement.field }
      : { code: 'limit', words: judgement.limit.source };
  return { ...graded, chain: [...graded.chain, reason] };
}

function toState(grade: Grade): InstanceState {
  return grade;
}

function titleOf({ check, place }: CheckInstance): string {
  return place ? `${check.title} (${place.title})` : check.title;
}

/** Not looked is not sound: it weighs as the worst that the check could have shown. */
function toFinding(
  { instance, state, graded, answer }: InstanceAssessment,
  situation: Situation,
): Finding[] {
  if (state === 'unanswered') return [unansweredFinding(instance, situation)];
  if (state === 'again')
    return [gapFinding(instance, { code: 'measure-again', words: '' }, situation)];
  if (state === 'not-looked') {
    const words = answer?.outcome === 'not-looked' ? answer.reason : '';
    return [gapFinding(instance, { code: 'not-looked', words }, situation)];
  }
  if (!graded || graded.grade === 'sound') return [];
  const { key: about, unit } = instance;
  return [{ kind: 'fault', about, unitId: unit.id, title: titleOf(instance), ...graded }];
}

function gapFinding(instance: CheckInstance, reason: Reason, situation: Situation): Finding {
  const { circumstances, policy } = situation;
  const worst = worstSymptom(instance.check.symptoms, circumstances, policy);
  return {
    kind: 'gap',
    about: instance.key,
    unitId: instance.unit.id,
    title: titleOf(instance),
    grade: worst.grade,
    blocks: worst.blocks,
    chain: [reason, ...worst.chain],
  };
}

/** Most of a walk is unanswered most of the time, and each touch asks again: made once per situation. */
const unanswered = new WeakMap<
  CheckInstance,
  { readonly name: string; readonly finding: Finding }
>();

function unansweredFinding(instance: CheckInstance, situation: Situation): Finding {
  const known = unanswered.get(instance);
  if (known?.name === situation.name) return known.finding;
  const finding = gapFinding(instance, { code: 'unanswered', words: '' }, situation);
  unanswered.set(instance, { name: situation.name, finding });
  return finding;
}

/** Open defects that this walk has not looked at again, and repairs nobody has read. */
function carried(
  { known, unread, inspection }: AssessRequest,
  byKey: ReadonlyMap<string, InstanceAssessment>,
): Finding[] {
  const open = known
    // A fault found again at the same place carries its own, present grade; the worse of both counts.
    .filter((defect) => {
      const now = byKey.get(defect.key)?.graded?.grade;
      return !now || worseGrade(now, defect.grade) !== now;
    })
    .map((defect): Finding => ({
      kind: 'known-open',
      about: defect.id,
      unitId: defect.unitId,
      title: defect.title,
      grade: defect.grade,
      blocks: defect.blocks,
      chain: [{ code: 'known-open', words: defect.words }],
    }));
  const repairs = unread
    .filter((repair) => !inspection.acknowledged.has(repair.defectId))
    .map((repair): Finding => ({
      kind: 'repair-unread',
      about: repair.defectId,
      unitId: repair.unitId,
      title: repair.title,
      grade: 'major',
      blocks: ['road'],
      chain: [{ code: 'repair-unread', words: repair.words }],
    }));
  return [...open, ...repairs];
}

/** Several minor faults in one system of one unit are a major where the policy says so. */
function addUpMinors(findings: Finding[], rig: Rig, policy: Policy): Finding[] {
  const from = policy.minorsMakeMajor;
  if (from === undefined) return findings;
  const systemOf = new Map(rig.instances.map(({ key, check }) => [key, check.symptoms[0].system]));
  const counts = new Map<string, number>();
  const groupOf = (finding: Finding) =>
    finding.kind === 'fault' && finding.grade === 'minor'
      ? `${finding.unitId}/${systemOf.get(finding.about) ?? ''}`
      : undefined;
  for (const finding of findings) {
    const group = groupOf(finding);
    if (group) counts.set(group, (counts.get(group) ?? 0) + 1);
  }
  return findings.map((finding) => {
    const group = groupOf(finding);
    const count = group ? (counts.get(group) ?? 0) : 0;
    if (count < from) return finding;
    const reason: Reason = { code: 'minors-add-up', words: String(count) };
    return { ...finding, grade: 'major', blocks: ['road'], chain: [...finding.chain, reason] };
  });
}
