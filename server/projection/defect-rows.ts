import { partOf } from '@nazar/core/catalogue';
import { dueOf } from '@nazar/core/grading';
import { isMended, reportsOf, symptomOf, wordsOf } from '@nazar/core/inspection';
import type { Standing } from '../intake/stand';

const RANKS: Readonly<Record<string, number>> = { sound: 0, note: 1, minor: 2, major: 3 };

/** Metres on the odometer that this walk read, of one unit. */
export function odometerOf(
  unitId: string,
  rig: Standing['rig'],
  inspection: Standing['inspection'],
): number | undefined {
  const instance = rig.instances.find(
    ({ unit, check }) => unit.id === unitId && check.reading?.kind === 'distance',
  );
  const answer = instance && inspection.answers.get(instance.key);
  return answer?.outcome === 'measured' ? answer.readings.at(-1)?.value : undefined;
}

/** The faults of a walk as the workshop will see them, graded as they stand now. */
export function defectRows({ inspection, rig, units, policiesOf, assessment }: Standing) {
  const metres = new Map(
    rig.units.map(({ unit }) => [unit.id, odometerOf(unit.id, rig, inspection)]),
  );
  return rig.instances.flatMap((instance) => {
    const assessed = assessment.byKey.get(instance.key);
    const { answer } = assessed ?? {};
    if (!answer || !assessed?.graded) return [];
    const finding = assessment.findings.find((each) => each.about === instance.key);
    const graded = finding ?? assessed.graded;
    const policies = policiesOf(instance.unit.id);
    // What two people have found at one place are two defects; each stands with the worse grade of both.
    return reportsOf(answer).map(({ fault, at, actorId }) => {
      const symptom = symptomOf(instance.check, fault);
      const due = dueOf(policies, graded.grade, symptom?.system, at);
      const mended = isMended(instance.check, fault);
      return {
        id: fault.defectId,
        depot_id: units.find((unit) => unit.id === instance.unit.id)?.depotId,
        unit_id: instance.unit.id,
        inspection_id: inspection.id,
        key: instance.key,
        title: partOf(instance.check),
        place: instance.place?.title,
        symptom: wordsOf(instance.check, fault),
        extent: symptom?.scale?.steps.find((step) => step.id === fault.stepId)?.words,
        grade: graded.grade,
        grade_rank: RANKS[graded.grade],
        blocks: graded.blocks,
        reasons: graded.chain,
        symptom_id: fault.symptomId,
        system: symptom?.system ?? instance.check.symptoms[0].system,
        condition: graded.condition,
        bars: graded.bars,
        most_kmh: graded.mostKmh,
        further: graded.further ?? [],
        policy_ids: policies.map(({ id }) => id),
        due_at: due && new Date(due.at).toISOString(),
        reported_metres: metres.get(instance.unit.id),
        note: fault.note,
        fixed: fault.fixed,
        spot: fault.spot,
        photo_ids: fault.photos.map((photo) => photo.id),
        status: mended && graded.grade === 'note' ? 'fixed' : 'open',
        reported_at: new Date(at).toISOString(),
        reported_by: actorId,
      };
    });
  });
}
