import type { Bar, Capability, Circumstance, ContentsItem, Symptom, System } from '../catalogue';
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
  type Situation,
  type Verdict,
} from '../grading';
import { judgeReading, type Judgement } from '../measure';
import type { CheckInstance, Rig } from '../rig';
import { countCompany, type Company } from './alike';
import { droppedUnits, isAsked, rigWithout } from './dropped';
import { addUpMinors, carriedFindings, markLifted, named, toFinding } from './findings';
import { findShort } from './contents';
import type { CountedPayload } from './events';
import { requiredTags } from './tags';
import { withFound } from './with-fault';
import type { Answer, Inspection, Stamp } from './fold';

/** A defect of an earlier walk that nobody has certified or only put off. */
export interface KnownDefect {
  readonly id: string;
  readonly key: string;
  readonly unitId: string;
  readonly title: string;
  readonly grade: Grade;
  readonly blocks: Finding['blocks'];
  readonly words: string;
  readonly symptomId?: string;
  readonly system?: System;
  /** Milliseconds since 1970. */
  readonly reportedAt?: number;
  /** ISO date it was put off to. */
  readonly until?: string;
  readonly condition?: string;
  readonly bars?: Bar;
  readonly mostKmh?: number;
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
  /** Of each unit by its id; see policiesOfWalk. */
  readonly policiesOf: (unitId: string) => readonly Policy[];
  readonly known: readonly KnownDefect[];
  readonly unread: readonly UnreadRepair[];
}

/** Everything the log says about the rig, graded, and what follows for today. */
export function assess(request: AssessRequest): Assessment {
  const { policiesOf } = request;
  const inspection = withFound(request.inspection);
  const gone = droppedUnits(request.rig, inspection.course);
  const rig = rigWithout(request.rig, gone);
  const circumstances = circumstancesOf(inspection, rig);
  const needed = neededOf(inspection);
  const situations = new Map(
    rig.units.map(({ unit }) => [
      unit.id,
      named({ circumstances, needed, policies: policiesOf(unit.id) }),
    ]),
  );
  const situationOf = ({ unit }: CheckInstance) =>
    situations.get(unit.id) ?? named({ circumstances, needed, policies: policiesOf(unit.id) });
  const company = countCompany(inspection, rig, request.known);
  const tags = requiredTags(rig, inspection.begun?.phase ?? 'pre-trip', inspection.begun?.tags);
  const byKey = new Map<string, InstanceAssessment>();
  for (const instance of rig.instances)
    byKey.set(
      instance.key,
      prove(
        assessInstance(instance, { inspection, rig }, situationOf(instance), company),
        inspection,
        tags,
      ),
    );
  const states = [...byKey.values()];
  const found = [
    ...states.flatMap((each) => toFinding(each, situationOf(each.instance))),
    ...carriedFindings({ ...request, inspection }, byKey),
  ];
  const findings = markLifted(addUpMinors(found, request), inspection.overrides);
  const notAsked = new Set(
    rig.instances.filter((each) => !isAsked(each, rig, gone)).map(({ key }) => key),
  );
  const isOfTheRig = ({ unitId, about, kind }: Finding) =>
    !gone.has(unitId) && !(kind === 'gap' && notAsked.has(about));
  const missing = states
    .filter(({ state }) => state === 'unanswered' || state === 'again')
    // What stays behind is not asked any more; on its own report it is not looked at.
    .filter(({ instance }) => !notAsked.has(instance.key))
    .map(({ instance }) => instance);
  return {
    byKey,
    answered: states.length - missing.length,
    total: states.length,
    missing,
    findings,
    verdict: decideVerdict({
      capabilities: rig.capabilities,
      towed: new Set(rig.units.flatMap(({ unit, towed }) => (towed ? [unit.id] : []))),
      findings: gone.size === 0 ? findings : findings.filter(isOfTheRig),
    }),
  };
}

export function circumstancesOf(inspection: Inspection, rig: Rig): ReadonlySet<Circumstance> {
  const set = new Set<Circumstance>(inspection.begun?.circumstances ?? []);
  if (rig.towing) set.add('towing');
  return set;
}

/** What today's job needs beyond the road. */
export function neededOf(inspection: Inspection): ReadonlySet<Capability> {
  return new Set(inspection.begun?.job?.needs ?? []);
}

/** Where presence must be proven, nothing is sound before the tag was read. */
function prove(
  assessed: InstanceAssessment,
  { course }: Inspection,
  tags: ReadonlySet<string>,
): InstanceAssessment {
  const { zoneKey } = assessed.instance;
  if (assessed.state !== 'sound' || !tags.has(zoneKey) || course.present.has(zoneKey))
    return assessed;
  return { ...assessed, state: 'unanswered' };
}

function assessInstance(
  instance: CheckInstance,
  { inspection, rig }: Pick<AssessRequest, 'inspection' | 'rig'>,
  situation: Situation,
  company: Company,
): InstanceAssessment {
  const answer = inspection.answers.get(instance.key);
  if (!answer) return { instance, state: 'unanswered' };
  const { check, unit } = instance;
  if (answer.outcome === 'not-looked') return { instance, answer, state: 'not-looked' };
  if (answer.outcome === 'sound') {
    // A required reading cannot be waved through.
    if (check.reading?.required) return { instance, answer, state: 'unanswered' };
    // Nor can a list that was not counted, or that is short.
    if (instance.contents && !isComplete(instance.contents, inspection.counts.get(instance.key)))
      return { instance, answer, state: 'unanswered' };
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
    const graded = gradeReading(check.symptoms, judgement, situation);
    return { instance, answer, judgement, graded, state: graded.grade };
  }
  const { fault } = answer;
  const symptom = check.symptoms.find((each) => each.id === fault.symptomId);
  const of = [unit.id, check.id, fault.symptomId] as const;
  const named = symptom
    ? gradeSymptom({
        symptom,
        stepId: fault.stepId,
        ...situation,
        alike: company.alike(...of),
        places: company.places(unit.id, check.id),
        together: company.together(...of),
        fixed: check.fixes.length > 0 ? fault.fixed : undefined,
        raisedTo: fault.raisedTo,
      })
    : // A symptom this catalogue does not know: the worst that the check can mean.
      worstSymptom(check.symptoms, situation);
  const measured =
    judgement && judgement.outcome !== 'within'
      ? gradeReading(check.symptoms, judgement, situation)
      : undefined;
  const graded =
    measured && worseGrade(named.grade, measured.grade) !== named.grade ? measured : named;
  return { instance, answer, judgement, graded, state: graded.grade };
}

function isComplete(
  list: readonly ContentsItem[],
  count: (CountedPayload & Stamp) | undefined,
): boolean {
  if (!count) return false;
  return findShort(list, count.items, new Date(count.at).toISOString().slice(0, 10)).length === 0;
}

function gradeReading(
  symptoms: readonly Symptom[],
  judgement: Exclude<Judgement, { outcome: 'within' }>,
  situation: Situation,
): Graded {
  const symptom = symptoms.find((each) => each.id === judgement.symptom);
  const graded = symptom
    ? gradeSymptom({ symptom, alike: 1, ...situation })
    : worstSymptom(symptoms, situation);
  const reason: Reason =
    judgement.outcome === 'no-limit'
      ? { code: 'limit-missing', words: judgement.field }
      : { code: 'limit', words: judgement.limit.source };
  return { ...graded, chain: [...graded.chain, reason] };
}
