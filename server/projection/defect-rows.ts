import type { Standing } from '../intake/take-in';

const RANKS: Readonly<Record<string, number>> = { sound: 0, note: 1, minor: 2, major: 3 };

/** The faults of a walk as the workshop will see them, graded as they stand now. */
export function defectRows({ inspection, rig, units, assessment }: Standing) {
  return rig.instances.flatMap((instance) => {
    const assessed = assessment.byKey.get(instance.key);
    if (assessed?.answer?.outcome !== 'fault' || !assessed.graded) return [];
    const { fault } = assessed.answer;
    const finding = assessment.findings.find((each) => each.about === instance.key);
    const symptom = instance.check.symptoms.find((each) => each.id === fault.symptomId);
    const graded = finding ?? assessed.graded;
    const mended = fault.fixed !== undefined && graded.chain.some(({ code }) => code === 'fixed');
    return [
      {
        id: fault.defectId,
        depot_id: units.find((unit) => unit.id === instance.unit.id)?.depotId,
        unit_id: instance.unit.id,
        inspection_id: inspection.id,
        key: instance.key,
        title: instance.check.title,
        place: instance.place?.title,
        symptom: symptom?.words ?? fault.symptomId,
        extent: symptom?.scale?.steps.find((step) => step.id === fault.stepId)?.words,
        grade: graded.grade,
        grade_rank: RANKS[graded.grade],
        blocks: graded.blocks,
        reasons: graded.chain,
        condition: assessed.graded.condition,
        note: fault.note,
        fixed: fault.fixed,
        spot: fault.spot,
        photo_ids: fault.photos.map((photo) => photo.id),
        status: mended && graded.grade === 'note' ? 'fixed' : 'open',
        reported_at: new Date(assessed.answer.at).toISOString(),
        reported_by: assessed.answer.actorId,
      },
    ];
  });
}
