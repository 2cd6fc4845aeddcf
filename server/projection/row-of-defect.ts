import { standOfDefect, type Certificate, type DefectReport } from '@nazar/core/repair';
import type { defectRows } from './defect-rows';

export type DefectRow = ReturnType<typeof defectRows>[number];
type Report = DefectReport & { readonly row: DefectRow };

/** What all walks say of a defect, and the workshop's last word. */
export interface Told {
  readonly reports: readonly Report[];
  readonly certificate: Certificate | undefined;
}

/** How a defect stands, and its row; without one where no walk says anything of it any more. */
export function rowOfDefect({ reports, certificate }: Told) {
  const { status, leading, first } = standOfDefect(reports, certificate);
  return {
    status,
    row: leading && first ? merged(leading.row, first.row, reports) : undefined,
  };
}

/** The words of the report that leads, with what all of them have in common. */
function merged(
  leading: DefectRow,
  first: DefectRow,
  reports: readonly Report[],
): DefectRow & { readonly confirmed_at: string | null | undefined } {
  const rows = reports.map(({ row }) => row);
  const dues = rows.flatMap(({ due_at: due }) => due ?? []).sort();
  return {
    ...leading,
    inspection_id: first.inspection_id,
    reported_at: first.reported_at,
    reported_by: first.reported_by,
    reported_metres: first.reported_metres,
    // Found again, it does not get more time.
    due_at: dues.at(0),
    note: leading.note ?? rows.findLast(({ note }) => note !== undefined)?.note,
    spot: leading.spot ?? rows.find(({ spot }) => spot !== undefined)?.spot,
    photo_ids: [...new Set([leading, ...rows].flatMap((row) => row.photo_ids))],
    confirmed_at:
      rows.length > 1
        ? rows
            .map((row) => row.reported_at)
            .sort()
            .at(-1)
        : null,
  };
}

/** @param receivedAt of what nobody had named before it is of no matter: there is no certificate to hold it against */
export function toReport(row: DefectRow, receivedAt: number): Report {
  return {
    inspectionId: row.inspection_id,
    at: Date.parse(row.reported_at),
    receivedAt,
    grade: row.grade,
    mended: row.status === 'fixed',
    row,
  };
}
