import type { Assessment, Inspection, InstanceAssessment } from '../inspection';
import type { Policy } from '../grading';
import type { CheckInstance, Rig } from '../rig';
import {
  REPORT_FORMAT,
  REPORT_VERSION,
  type Report,
  type ReportAnswer,
  type ReportDefect,
  type ReportReading,
} from './document';

export interface BuildReportRequest {
  readonly id: string;
  readonly inspection: Inspection;
  readonly rig: Rig;
  readonly assessment: Assessment;
  readonly policy: Policy;
  readonly organisation: string;
  readonly depot: string;
  readonly driver: { readonly id: string; readonly name: string };
  /** Hex SHA-256 of the pictures that have arrived, by photo id. */
  readonly photoHashes: ReadonlyMap<string, string>;
}

/**
 * The report of a signed inspection.
 * @throws {RangeError} when it is not begun or not signed.
 */
export function buildReport(request: BuildReportRequest): Report {
  const { inspection, rig, assessment, policy } = request;
  const { begun, signed } = inspection;
  if (!begun || !signed) throw new RangeError('Only a signed inspection has a report.');
  return drop({
    format: REPORT_FORMAT,
    version: REPORT_VERSION,
    id: request.id,
    inspection: inspection.id,
    organisation: request.organisation,
    depot: request.depot,
    units: rig.units.map(({ unit, module }) => ({
      id: unit.id,
      number: unit.number,
      title: unit.title,
      plate: unit.plate,
      module: module.id,
    })),
    phase: begun.phase,
    catalogue: begun.catalogueVersion,
    policy: { id: policy.id, title: policy.title },
    conditions: {
      circumstances: begun.circumstances,
      temperatureC: begun.temperatureC,
      place: begun.place,
    },
    begun: iso(begun.at),
    signedAt: iso(signed.at),
    driver: request.driver,
    odometer: findOdometer(inspection, rig),
    answers: rig.instances.flatMap((instance) => toAnswer(instance, request)),
    defects: rig.instances.flatMap((instance) => toDefect(instance, request)),
    carried: assessment.findings
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
      headline: assessment.verdict.headline,
      shown: signed.headline,
      capabilities: assessment.verdict.capabilities.map(({ capability, state, findings }) => ({
        capability,
        state,
        because: findings.map((finding) => finding.title),
      })),
      conditions: assessment.verdict.conditions,
    },
    signature: signed.signature,
  });
}

function iso(milliseconds: number): string {
  return new Date(milliseconds).toISOString();
}

/** JSON has no undefined; the report must be the same before and after a round trip. */
function drop(report: Report): Report {
  return JSON.parse(JSON.stringify(report)) as Report;
}

function findOdometer(inspection: Inspection, rig: Rig): number | undefined {
  const instance = rig.instances.find(({ check }) => check.reading?.kind === 'distance');
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
      title: instance.check.title,
      place: instance.place?.title,
      outcome: state,
      reason: answer.outcome === 'not-looked' ? answer.reason : undefined,
      at: iso(answer.at),
      readings: toReadings(assessed),
      replaced: request.inspection.replaced.get(instance.key)?.length,
    },
  ];
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
  if (assessed?.answer?.outcome !== 'fault' || !assessed.graded) return [];
  const { fault } = assessed.answer;
  const finding = request.assessment.findings.find((each) => each.about === instance.key);
  const symptom = instance.check.symptoms.find((each) => each.id === fault.symptomId);
  return [
    {
      id: fault.defectId,
      key: instance.key,
      unit: instance.unit.number,
      title: instance.check.title,
      place: instance.place?.title,
      symptom: symptom?.words ?? fault.symptomId,
      extent: symptom?.scale?.steps.find((each) => each.id === fault.stepId)?.words,
      grade: finding?.grade ?? assessed.graded.grade,
      blocks: finding?.blocks ?? assessed.graded.blocks,
      reasons: finding?.chain ?? assessed.graded.chain,
      condition: assessed.graded.condition,
      fixed: fault.fixed,
      note: fault.note,
      photos: fault.photos.map((photo) => ({
        ...photo,
        sha256: request.photoHashes.get(photo.id),
      })),
      spot: fault.spot,
    },
  ];
}
