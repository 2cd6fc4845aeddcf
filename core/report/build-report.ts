import { partOf, type SwitchedOffCheck } from '../catalogue';
import {
  droppedUnits,
  faultsOf,
  findHasty,
  findDwells,
  rigWithout,
  symptomOf,
  wordsOf,
  type Assessment,
  type Inspection,
  type InstanceAssessment,
} from '../inspection';
import { decideVerdict, dueOf, type Policy } from '../grading';
import type { CheckInstance, Rig } from '../rig';
import { toCourse } from './course';
import {
  REPORT_FORMAT,
  REPORT_VERSION,
  type Report,
  type ReportAnswer,
  type ReportDefect,
  type ReportReading,
} from './document';

export interface BuildReportRequest {
  /** Id of the report of each unit of the rig, by the unit's id. */
  readonly reportIds: ReadonlyMap<string, string>;
  /** The unit of the rig that this report is of. */
  readonly unitId: string;
  readonly inspection: Inspection;
  readonly rig: Rig;
  readonly assessment: Assessment;
  /** Of the unit, the walk's own first. */
  readonly policies: readonly Policy[];
  readonly organisation: string;
  readonly depot: string;
  readonly driver: { readonly id: string; readonly name: string };
  /** Hex SHA-256 of the pictures that have arrived, by photo id. */
  readonly photoHashes: ReadonlyMap<string, string>;
  /** Hex SHA-256 of the log of the walk up to its signature. */
  readonly log?: string;
}

/**
 * The report of one unit of a signed inspection.
 * @throws {RangeError} when it is not begun or not signed, or the unit is not of its rig.
 */
export function buildReport(request: BuildReportRequest): Report {
  const { inspection, rig, assessment, unitId } = request;
  const { begun, signed } = inspection;
  if (!begun || !signed) throw new RangeError('Only a signed inspection has a report.');
  const placed = rig.units.find(({ unit }) => unit.id === unitId);
  const [policy, ...beside] = request.policies;
  if (!placed) throw new RangeError('This unit was not part of the walk.');
  const { towing } = rigWithout(rig, droppedUnits(rig, inspection.course));
  const instances = rig.instances.filter(({ unit }) => unit.id === unitId);
  const findings = assessment.findings.filter((finding) => finding.unitId === unitId);
  const verdict = decideVerdict({
    capabilities: placed.module.capabilities.filter((each) => each !== 'tow' || towing),
    towed: new Set(),
    findings,
  });
  const toUnit = ({ unit }: Rig['units'][number]) => ({
    id: unit.id,
    number: unit.number,
    title: unit.title,
    plate: unit.plate,
    module: unit.moduleId,
    ...(unit.fitted && unit.fitted.length > 0 && { fitted: unit.fitted }),
  });
  return drop({
    format: REPORT_FORMAT,
    version: REPORT_VERSION,
    id: idOf(request, unitId),
    inspection: inspection.id,
    organisation: request.organisation,
    depot: request.depot,
    units: [toUnit(placed)],
    rig: {
      units: rig.units.map((each) => ({
        ...toUnit(each),
        report: idOf(request, each.unit.id),
      })),
      headline: assessment.verdict.headline,
      shown: signed.headline,
    },
    job: begun.job,
    phase: begun.phase,
    catalogue: begun.catalogueVersion,
    house: begun.houseVersion,
    log: request.log,
    notAsked: toNotAsked([
      ...(placed.module.switchedOff ?? []),
      ...rig.barred.flatMap(({ unit: of, check, carries }) =>
        of.id === unitId && carries
          ? [
              {
                check: check.id,
                title: partOf(check),
                reason: `Not made with ${carries.number} in or on it.`,
              },
            ]
          : [],
      ),
    ]),
    policy: {
      id: policy.id,
      title: policy.title,
      words: policy.words,
      beside: beside.length > 0 ? beside.map(({ title }) => title) : undefined,
    },
    conditions: {
      circumstances: begun.circumstances,
      temperatureC: begun.temperatureC,
      place: begun.place,
    },
    begun: iso(begun.at),
    signedAt: iso(signed.at),
    driver: request.driver,
    odometer: findOdometer(inspection, instances),
    pace: toPace(request),
    course: toCourse(inspection, rig, unitId),
    answers: instances.flatMap((instance) => toAnswer(instance, request)),
    defects: instances.flatMap((instance) => toDefect(instance, request)),
    carried: findings
      .filter((finding) => finding.kind === 'known-open' || finding.kind === 'repair-unread')
      .map((finding) => ({
        about: finding.about,
        title: finding.title,
        grade: finding.grade,
        words: finding.chain[0].words,
      })),
    acknowledged: [...inspection.acknowledged].map(([defect, stamp]) => ({
      defect,
      at: iso(stamp.at),
    })),
    verdict: {
      headline: verdict.headline,
      mostKmh: verdict.mostKmh,
      capabilities: verdict.capabilities.map((each) => ({
        capability: each.capability,
        state: each.state,
        because: each.findings.map((finding) => finding.title),
      })),
      conditions: verdict.conditions,
    },
    // Drawn by hand; the name is the one that the server knows the signer by, whatever the device wrote.
    signature: { ...signed.signature, name: request.driver.name },
  });
}

function toPace({ inspection, rig, unitId }: BuildReportRequest): Report['pace'] {
  const stays = findDwells(inspection, rig).filter((stay) => stay.unitId === unitId);
  const round = (seconds: number) => Math.round(seconds * 10) / 10;
  return {
    stops: stays.length,
    hasty: findHasty(stays).map(({ title, checks, seconds, floor }) => ({
      title,
      checks,
      seconds: round(seconds),
      floor: round(floor),
    })),
  };
}

function toNotAsked(off: readonly SwitchedOffCheck[] | undefined): Report['notAsked'] {
  return off && off.length > 0 ? off.map(({ title, reason }) => ({ title, reason })) : undefined;
}

function iso(milliseconds: number): string {
  return new Date(milliseconds).toISOString();
}

/** JSON has no undefined; the report must be the same before and after a round trip. */
function drop(report: Report): Report {
  return JSON.parse(JSON.stringify(report)) as Report;
}

function idOf({ reportIds }: BuildReportRequest, unitId: string): string {
  const id = reportIds.get(unitId);
  if (id === undefined) throw new RangeError('Each unit of the rig needs the id of its report.');
  return id;
}

/** Metres, from the unit's own odometer. */
function findOdometer(
  inspection: Inspection,
  instances: readonly CheckInstance[],
): number | undefined {
  const instance = instances.find(({ check }) => check.reading?.kind === 'distance');
  const answer = instance && inspection.answers.get(instance.key);
  return answer?.outcome === 'measured' ? answer.readings.at(-1)?.value : undefined;
}

function toAnswer(instance: CheckInstance, request: BuildReportRequest): ReportAnswer[] {
  const assessed = request.assessment.byKey.get(instance.key);
  const { answer } = assessed ?? {};
  if (!assessed || !answer) return [];
  const state =
    assessed.state === 'unanswered' || assessed.state === 'again' ? 'not-looked' : assessed.state;
  return [
    {
      key: instance.key,
      unit: instance.unit.number,
      check: instance.check.id,
      title: partOf(instance.check),
      place: instance.place?.title,
      outcome: state,
      reason: answer.outcome === 'not-looked' ? answer.reason : undefined,
      at: iso(answer.at),
      helper: helperOf(answer.actorId, request.inspection),
      together: answer.outcome === 'sound' ? answer.together : undefined,
      readings: toReadings(assessed),
      counted: toCounted(instance, request),
      replaced: request.inspection.replaced.get(instance.key)?.length,
    },
  ];
}

function helperOf(actorId: string, { begun, course }: Inspection): string | undefined {
  if (actorId === begun?.actorId) return undefined;
  return course.helpers.find((helper) => helper.phone && helper.actorId === actorId)?.name;
}

function toCounted(
  { key, contents }: CheckInstance,
  { inspection }: BuildReportRequest,
): ReportAnswer['counted'] {
  const count = contents && inspection.counts.get(key);
  return (
    count &&
    contents.map(({ id, title, count: expected }) => {
      const entry = count.items.find((each) => each.id === id);
      return { title, expected, found: entry?.found ?? 0, until: entry?.until };
    })
  );
}

function toReadings({ answer, judgement }: InstanceAssessment): ReportReading[] | undefined {
  if (!answer || (answer.outcome !== 'measured' && answer.outcome !== 'fault')) return undefined;
  if (answer.readings.length === 0) return undefined;
  const limit = judgement && judgement.outcome !== 'no-limit' ? judgement.limit : undefined;
  return answer.readings.map((reading) => ({
    value: reading.value,
    unit: reading.unit,
    typed: reading.typed,
    instrument: reading.instrument,
    at: iso(reading.at),
    limit: limit && { side: limit.side, value: limit.value, source: limit.source },
  }));
}

function toDefect(instance: CheckInstance, request: BuildReportRequest): ReportDefect[] {
  const assessed = request.assessment.byKey.get(instance.key);
  const { answer, graded } = assessed ?? {};
  if (!assessed || !answer || !graded) return [];
  const finding = request.assessment.findings.find((each) => each.about === instance.key);
  return faultsOf(answer).map((fault) => {
    const symptom = symptomOf(instance.check, fault);
    return {
      id: fault.defectId,
      key: instance.key,
      unit: instance.unit.number,
      title: partOf(instance.check),
      place: instance.place?.title,
      symptom: wordsOf(instance.check, fault),
      extent: symptom?.scale?.steps.find((each) => each.id === fault.stepId)?.words,
      grade: finding?.grade ?? graded.grade,
      blocks: finding?.blocks ?? graded.blocks,
      reasons: finding?.chain ?? graded.chain,
      condition: finding?.condition,
      mostKmh: finding?.mostKmh,
      due: toDue(request, finding?.grade ?? graded.grade, symptom?.system, assessed),
      fixed: fault.fixed,
      note: fault.note,
      photos: fault.photos.map((photo) => ({
        ...photo,
        sha256: request.photoHashes.get(photo.id),
      })),
      spot: fault.spot,
    };
  });
}

function toDue(
  { policies }: BuildReportRequest,
  grade: ReportDefect['grade'],
  system: Parameters<typeof dueOf>[2],
  { answer }: InstanceAssessment,
): string | undefined {
  const due = answer && dueOf(policies, grade, system, answer.at);
  return due && iso(due.at);
}
