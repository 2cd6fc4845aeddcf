import { GRADES } from '@nazar/core/grading';
import type { NewStep } from '../store/defect-steps';
import type { defectRows } from './defect-rows';
import type { ProjectRequest } from './project-request';

/** What faults of this batch are in the life of their defects: reported, found again, or found worse. */
export function findingSteps(
  { standing, accepted }: Pick<ProjectRequest, 'standing' | 'accepted'>,
  defects: ReturnType<typeof defectRows>,
): NewStep[] {
  const rows = new Map(defects.map((row) => [row.id, row]));
  const before = new Map(standing.known.map((defect) => [defect.id, defect]));
  return accepted.flatMap((event): NewStep[] => {
    const row =
      event.type === 'faulted' || event.type === 'found'
        ? rows.get(event.payload.defectId)
        : undefined;
    if (!row) return [];
    const known = before.get(row.id);
    const worse = known && GRADES.indexOf(row.grade) > GRADES.indexOf(known.grade);
    return [
      {
        id: event.id,
        defectId: row.id,
        inspectionId: standing.inspection.id,
        at: new Date(event.at).toISOString(),
        kind: known ? (worse ? 'worsened' : 'confirmed') : 'reported',
        byId: event.actorId,
        words: row.note,
        grade: row.grade,
      },
    ];
  });
}
