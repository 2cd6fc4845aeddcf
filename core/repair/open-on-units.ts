import type { KnownDefect, UnreadRepair } from '../grading';
import type { DefectRecord } from './defect-record';
import { OPEN_STATUSES, UNREAD_STATUSES, atPlace } from '../catalogue';

/** What of a defect bears on a walk round its unit. */
export type DefectOnUnit = Pick<
  DefectRecord,
  | 'id'
  | 'unitId'
  | 'inspectionId'
  | 'key'
  | 'title'
  | 'place'
  | 'grade'
  | 'blocks'
  | 'symptom'
  | 'symptomId'
  | 'system'
  | 'condition'
  | 'bars'
  | 'mostKmh'
  | 'further'
  | 'reportedAt'
  | 'until'
  | 'status'
  | 'outcomeWords'
>;

/** What a walk knows before its first entry. */
export interface OpenOnUnits {
  /** Open since an earlier walk. */
  readonly known: readonly KnownDefect[];
  /** Mended, and not read yet by a driver. */
  readonly unread: readonly UnreadRepair[];
}

function toKnown(defect: DefectOnUnit): KnownDefect {
  return {
    id: defect.id,
    key: defect.key,
    unitId: defect.unitId,
    title: atPlace(defect.title, defect.place),
    grade: defect.grade,
    blocks: defect.blocks,
    words: defect.symptom,
    symptomId: defect.symptomId ?? undefined,
    system: defect.system ?? undefined,
    condition: defect.condition ?? undefined,
    bars: defect.bars ?? undefined,
    mostKmh: defect.mostKmh ?? undefined,
    ...(defect.further && defect.further.length > 0 && { further: defect.further }),
    reportedAt: Date.parse(defect.reportedAt),
    until: defect.status === 'deferred' ? (defect.until ?? undefined) : undefined,
  };
}

/**
 * What bears on a walk round these units: defects that are open on them since other walks, and repairs that nobody has read.
 * @param inspectionId what this very walk reported is in its own log and left out here
 */
export function openOnUnits(
  unitIds: readonly string[],
  inspectionId: string,
  defects: readonly DefectOnUnit[],
): OpenOnUnits {
  const others = defects
    .filter((defect) => unitIds.includes(defect.unitId) && defect.inspectionId !== inspectionId)
    // The oldest first, in whatever order they were told: a verdict reads the same on every device.
    .sort((a, b) => compareText(a.reportedAt, b.reportedAt) || compareText(a.id, b.id));
  return {
    known: others.filter(({ status }) => OPEN_STATUSES.includes(status)).map(toKnown),
    unread: others
      .filter(({ status }) => UNREAD_STATUSES.includes(status))
      .map((defect) => ({
        defectId: defect.id,
        unitId: defect.unitId,
        title: atPlace(defect.title, defect.place),
        words: defect.outcomeWords ?? '',
      })),
  };
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
