import type { Report } from '@nazar/core/report';
import { stringify } from 'csv-stringify/sync';

/** A table of a report as CSV (RFC 4180). Cells that a spreadsheet would take for a formula are escaped. */
export function toCsv(report: Report, table: 'defects' | 'readings'): string {
  const rows = table === 'defects' ? defectRows(report) : readingRows(report);
  return stringify(rows, {
    header: true,
    record_delimiter: 'windows',
    cast: { string: withoutFormula },
  });
}

/** What a spreadsheet would take for a formula, also behind a line break within a cell, is plain text. */
export function withoutFormula(text: string): string {
  return text
    .replace(/^(?=\s*[=+\-@＝＋－＠])/, "'")
    .replace(/([\r\n\t\v\f\u2028\u2029])([ \u00a0]*)(?=[=+\-@＝＋－＠])/g, "$1'$2");
}

function defectRows(report: Report) {
  return report.defects.map((defect) => ({
    report: report.id,
    unit: defect.unit,
    signed_at: report.signedAt,
    part: defect.title,
    place: defect.place ?? '',
    symptom: defect.symptom,
    extent: defect.extent ?? '',
    grade: defect.grade,
    takes: defect.blocks.join(' '),
    reasons: defect.reasons.map(({ words }) => words).join(' > '),
    condition: defect.condition ?? '',
    due: defect.due ?? '',
    fixed: defect.fixed ?? '',
    note: defect.note ?? '',
  }));
}

function readingRows(report: Report) {
  return report.answers.flatMap((answer) =>
    (answer.readings ?? []).map((reading) => ({
      report: report.id,
      unit: answer.unit,
      at: reading.at,
      part: answer.title,
      place: answer.place ?? '',
      value_si: reading.value,
      typed: reading.typed,
      typed_unit: reading.unit,
      instrument: reading.instrument,
      limit_side: reading.limit?.side ?? '',
      limit_si: reading.limit?.value ?? '',
      limit_source: reading.limit?.source ?? '',
    })),
  );
}
