import type { DefectStep } from '@nazar/core/repair';
import type { Knex } from 'knex';

export interface NewStep {
  readonly id: string;
  readonly defectId: string;
  readonly inspectionId: string;
  readonly at: string;
  readonly kind: DefectStep['kind'];
  readonly byId: string;
  readonly words?: string;
  readonly outcome?: string;
  readonly grade?: string;
  readonly minutes?: number;
  readonly parts?: DefectStep['parts'];
  readonly photos?: DefectStep['photos'];
}

/** Keeps steps of defects' lives; a repeated delivery changes nothing. */
export async function insertSteps(
  trx: Knex,
  organisationId: string,
  steps: readonly NewStep[],
): Promise<void> {
  if (steps.length === 0) return;
  await trx('defect_steps')
    .insert(
      steps.map((step) => ({
        id: step.id,
        organisation_id: organisationId,
        defect_id: step.defectId,
        inspection_id: step.inspectionId,
        at: step.at,
        kind: step.kind,
        by_id: step.byId,
        words: step.words ?? null,
        outcome: step.outcome ?? null,
        grade: step.grade ?? null,
        minutes: step.minutes ?? null,
        parts: JSON.stringify(step.parts ?? []),
        photos: JSON.stringify(step.photos ?? []),
      })),
    )
    .onConflict('id')
    .ignore();
}

/** The life of a defect, oldest step first. */
export async function stepsOfDefect(trx: Knex, defectId: string): Promise<DefectStep[]> {
  const rows = await trx('defect_steps as s')
    .leftJoin('people as p', 'p.id', 's.by_id')
    .where('s.defect_id', defectId)
    .orderBy([{ column: 's.at' }, { column: 's.stored_at' }])
    .select('s.*', 'p.name as by_name');
  return rows.map((row) => ({
    at: row.at.toISOString(),
    kind: row.kind,
    by: row.by_name ?? '',
    words: row.words,
    outcome: row.outcome,
    grade: row.grade,
    minutes: row.minutes,
    parts: row.parts,
    photos: row.photos,
  }));
}

/** Whether a signed walk has reported a defect or found it again. */
export async function isFoundAgainSigned(trx: Knex, defectId: string): Promise<boolean> {
  const found = await trx('defect_steps as s')
    .join('inspections as i', 'i.id', 's.inspection_id')
    .where('s.defect_id', defectId)
    .whereIn('s.kind', ['reported', 'confirmed', 'worsened'])
    .whereNotNull('i.signed_at')
    .first('s.id');
  return found !== undefined;
}

/** Links a defect to the repair that did not hold, and marks that repair. */
export async function linkReturn(trx: Knex, defectId: string, repairOf: string): Promise<void> {
  await trx('defects').where({ id: defectId }).update({ return_of: repairOf });
  await trx('defects').where({ id: repairOf }).update({ held: false });
}
