import {
  SOMETHING_ELSE,
  type Capability,
  type Check,
  type Circumstance,
  type ContentsItem,
} from '../catalogue';
import {
  addUpMinors,
  allOf,
  decideVerdict,
  findBarred,
  gradeSymptom,
  isUnclear,
  markLifted,
  openFinding,
  unreadFinding,
  worstSymptom,
  type CountsAt,
  type Finding,
  type Graded,
  type Reason,
  type Situation,
} from '../grading';
import { findImpossible, judgeReading, type Judgement } from '../measure';
import type { CheckInstance, Rig } from '../rig';
import { countsAt, countFaults, type FaultCounts } from './fault-counts';
import type { AssessRequest, Assessment, InstanceAssessment } from './assessment';
import { droppedUnits, isAsked, rigWithout } from './dropped';
import { named, toFinding } from './findings';
import { findShort } from './contents';
import type { CountedPayload, FaultedPayload } from './payloads';
import { symptomOf } from './symptom-of';
import { mendedSince } from './mended-since';
import { requiredTags } from './tags';
import { withFound } from './with-fault';
import { faultsOf, type Stamp } from './answers';
import type { Inspection } from './inspection';

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
  const judged = new Map(
    rig.instances.flatMap((instance) => {
      const judgement = judgeInstance(instance, { inspection, rig });
      return judgement ? [[instance.key, judgement] as const] : [];
    }),
  );
  const counted = countFaults(inspection, rig, request.known, symptomsOut(judged));
  const tags = requiredTags(rig, inspection.begun?.phase ?? 'pre-trip', inspection.begun?.tags);
  const byKey = new Map<string, InstanceAssessment>();
  for (const instance of rig.instances)
    byKey.set(
      instance.key,
      prove(
        assessInstance(
          instance,
          { inspection, judgement: judged.get(instance.key) },
          situationOf(instance),
          counted,
        ),
        inspection,
        tags,
      ),
    );
  const states = [...byKey.values()];
  const barred = findBarred(
    states,
    (instance) => worstSymptom(instance.check.symptoms, situationOf(instance)).grade === 'major',
  );
  // A test that was left out because of what was found; what nobody saw takes its worst all the same.
  const isBarred = ({ instance, state }: InstanceAssessment) =>
    state === 'not-looked' && barred.get(instance.key)?.state === 'major';
  // What follows for today is asked of a walk that is shown or signed, and not with each entry that comes in.
  const findings = once(() => {
    const found = [
      ...states.flatMap((each) =>
        toFinding(each, situationOf(each.instance), counted, {
          barred: isBarred(each),
          mended:
            inspection.certifications.length === 0
              ? undefined
              : mendedSince(
                  each.instance,
                  inspection,
                  policiesOf(each.instance.unit.id).some(
                    ({ signatures }) => signatures.repair === 'mechanic-and-agent',
                  ),
                ),
        }),
      ),
      ...request.known.flatMap(
        (defect) =>
          openFinding(
            defect,
            byKey.get(defect.key)?.graded?.grade,
            inspection.begun?.at ?? inspection.lastAt,
            policiesOf(defect.unitId),
          ) ?? [],
      ),
      ...request.unread
        .filter(({ defectId }) => !inspection.acknowledged.has(defectId))
        .map(unreadFinding),
    ];
    const systems = new Map(
      request.rig.instances.map(({ key, check }) => [key, check.symptoms[0].system]),
    );
    const added = addUpMinors(found, { policiesOf, systemOf: (about) => systems.get(about) });
    return markLifted(added, (about) => {
      const override = inspection.overrides.get(about);
      return override && { by: override.actorId, at: override.at, words: override.words };
    });
  });
  const notAsked = new Set(
    gone.size === 0
      ? []
      : rig.instances.filter((each) => !isAsked(each, rig, gone)).map(({ key }) => key),
  );
  const isOfTheRig = ({ unitId, about, kind }: Finding) =>
    !gone.has(unitId) && !(kind === 'gap' && notAsked.has(about));
  const missing = states
    .filter(({ state, asksReading }) => state === 'unanswered' || state === 'again' || asksReading)
    // What stays behind is not asked any more; on its own report it is not looked at.
    .filter(({ instance }) => !notAsked.has(instance.key))
    .map(({ instance }) => instance);
  const verdict = once(() =>
    decideVerdict({
      capabilities: rig.capabilities,
      towed: new Set(rig.units.flatMap(({ unit, towed }) => (towed ? [unit.id] : []))),
      findings: gone.size === 0 ? findings() : findings().filter(isOfTheRig),
    }),
  );
  return {
    byKey,
    answered: states.length - missing.length,
    total: states.length,
    missing,
    get findings() {
      return findings();
    },
    barred,
    openStops: new Set(
      request.known
        .filter(({ grade, key }) => grade === 'major' && byKey.get(key)?.state === 'unanswered')
        .map(({ key }) => key),
    ),
    get verdict() {
      return verdict();
    },
  };
}

/** Worked out when it is first asked for. */
function once<T>(work: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: work() }).value;
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

/** What cannot be is no reading: it is left out here, and asked again. */
function judgeInstance(
  { key, check, figures }: CheckInstance,
  { inspection, rig }: Pick<AssessRequest, 'inspection' | 'rig'>,
): Judgement | undefined {
  const answer = inspection.answers.get(key);
  const { reading } = check;
  if (!reading || !answer || !('readings' in answer)) return undefined;
  const values = answer.readings
    .filter((each) => !findImpossible(reading, each.value, figures, each.unit))
    .map(({ value }) => value);
  if (values.length === 0) return undefined;
  return judgeReading({
    reading,
    values,
    specification: figures,
    combinationAir: rig.combinationAir,
  });
}

/** The symptom that each reading stands for which is out of a limit. */
function symptomsOut(judged: ReadonlyMap<string, Judgement>): Map<string, string> {
  return new Map(
    [...judged].flatMap(([key, judgement]) =>
      judgement.outcome === 'out' || judgement.outcome === 'no-limit'
        ? [[key, judgement.symptom] as const]
        : [],
    ),
  );
}

interface Seen {
  readonly inspection: Inspection;
  readonly judgement?: Judgement;
}

function assessInstance(
  instance: CheckInstance,
  { inspection, judgement }: Seen,
  situation: Situation,
  counted: FaultCounts,
): InstanceAssessment {
  const answer = inspection.answers.get(instance.key);
  if (!answer) return { instance, state: 'unanswered' };
  const { check } = instance;
  if (answer.outcome === 'not-looked') return { instance, answer, state: 'not-looked' };
  if (answer.outcome === 'sound') {
    // What takes the vehicle apart leaves it so.
    if (check.leaves) return { instance, answer, state: 'unanswered' };
    // A required reading cannot be waved through.
    if (check.reading?.required) return { instance, answer, state: 'unanswered' };
    // Nor can a list that was not counted, or that is short.
    if (instance.contents && !isComplete(instance.contents, inspection.counts.get(instance.key)))
      return { instance, answer, state: 'unanswered' };
    return { instance, answer, state: 'sound' };
  }
  const of = countsAt(instance, counted);
  if (answer.outcome === 'measured') {
    // Only what cannot be was typed.
    if (check.reading && !judgement) return { instance, answer, state: 'again' };
    if (!judgement || judgement.outcome === 'within')
      return { instance, answer, judgement, state: 'sound' };
    if (judgement.outcome === 'again') return { instance, answer, judgement, state: 'again' };
    const graded = gradeReading(instance, judgement, situation, of);
    return { instance, answer, judgement, graded, state: graded.grade };
  }
  const said = faultsOf(answer).map((fault) => gradeFault(check, fault, situation, of));
  const named = allOf(said);
  const measured =
    judgement && judgement.outcome !== 'within'
      ? [gradeReading(instance, judgement, situation, of)]
      : [];
  // A mild word is no way round the number: until it is there, it weighs as the worst that the number could say.
  const asksReading = check.reading?.required && !judgement && named.grade !== 'major';
  const graded = allOf([
    ...said,
    ...measured,
    ...(asksReading ? [gradeUnmeasured(check, situation, of)] : []),
  ]);
  return {
    instance,
    answer,
    judgement,
    graded,
    state: graded.grade,
    ...(asksReading && { asksReading }),
  };
}

function gradeFault(
  check: Check,
  fault: FaultedPayload,
  situation: Situation,
  counted: CountsAt,
): Graded {
  const symptom = symptomOf(check, fault);
  // A symptom that this catalogue does not know: the worst that the check can mean.
  if (!symptom) return worstSymptom(check.symptoms, situation, counted);
  const named = gradeSymptom({
    symptom,
    stepId: fault.stepId,
    ...situation,
    alike: counted.alike(symptom),
    places: counted.places,
    together: counted.together(symptom),
    fixed: fault.fixed,
    raisedTo: fault.raisedTo,
  });
  return symptom.id === SOMETHING_ELSE && isUnclear(fault.other ?? {})
    ? allOf([named, worstSymptom(check.symptoms, situation, counted)])
    : named;
}

/** The worst that a number could say which nobody has read. */
function gradeUnmeasured(check: Check, situation: Situation, counted: CountsAt): Graded {
  const bands = new Set(check.reading?.bands.map(({ symptom }) => symptom));
  const symptoms = check.symptoms.filter(({ id }) => bands.has(id));
  const worst = worstSymptom(symptoms.length > 0 ? symptoms : check.symptoms, situation, counted);
  return {
    ...worst,
    chain: [{ code: 'reading-missing', words: check.reading?.ask ?? '' }, ...worst.chain],
  };
}

function isComplete(
  list: readonly ContentsItem[],
  count: (CountedPayload & Stamp) | undefined,
): boolean {
  if (!count) return false;
  return findShort(list, count.items, new Date(count.at).toISOString().slice(0, 10)).length === 0;
}

function gradeReading(
  { check: { symptoms }, fields }: CheckInstance,
  judgement: Exclude<Judgement, { outcome: 'within' }>,
  situation: Situation,
  counted: CountsAt,
): Graded {
  const symptom = symptoms.find((each) => each.id === judgement.symptom);
  const graded = symptom
    ? gradeSymptom({
        symptom,
        ...situation,
        alike: counted.alike(symptom),
        places: counted.places,
        together: counted.together(symptom),
      })
    : worstSymptom(symptoms, situation, counted);
  const titleOf = (field: string) => fields?.find(({ id }) => id === field)?.title ?? field;
  if (judgement.outcome === 'no-limit')
    return {
      ...graded,
      chain: [...graded.chain, { code: 'limit-missing', words: titleOf(judgement.field) }],
    };
  const { limit } = judgement;
  const lax: Reason[] = limit.instead
    ? [{ code: 'card-laxer', words: titleOf(limit.instead) }]
    : [];
  return {
    ...graded,
    chain: [...graded.chain, { code: 'limit', words: limit.source }, ...lax],
  };
}
