import { catalogue } from '@nazar/core/content';
import { formatSi, unitFor, type UnitHabit } from '@nazar/core/quantity';
import { marksOfReport, rigOfReport, type Report } from '@nazar/core/report';
import { drawRig } from './draw-rig';
import { stamp, type Sheet } from './sheet';
import { words } from './words';

/** Which unit, in which rig, who, when, where, under what, graded by what. */
export function printHead(sheet: Sheet, report: Report, habit: UnitHabit): void {
  const { labels } = words;
  const numbers = report.units.map((unit) => unit.number).join(' + ');
  sheet.title(`${numbers}  ${words.headline[report.verdict.headline]}`);
  sheet.line(
    `${words.title} · ${words.phase[report.phase]} · ${report.organisation}, ${report.depot}`,
  );
  for (const unit of report.units)
    sheet.line(`${labels.unit} ${unit.number} · ${unit.title} · ${unit.plate}`, { soft: true });
  if (report.rig && report.rig.units.length > 1)
    sheet.line(
      words.rig(
        report.rig.units.map((unit) => unit.number).join(' + '),
        words.headline[report.rig.headline],
      ),
      { soft: true },
    );
  sheet.line(
    [
      `${labels.driver} ${report.driver.name}`,
      `${labels.when} ${stamp(report.begun)} to ${stamp(report.signedAt)}`,
      report.conditions.place && `${labels.where} ${report.conditions.place}`,
      report.odometer !== undefined &&
        `${labels.odometer} ${formatSi(report.odometer, unitFor('distance', habit))}`,
    ]
      .filter(Boolean)
      .join(' · '),
    { soft: true },
  );
  const conditions = report.conditions.circumstances.map((each) => words.circumstance[each]);
  const { temperatureC } = report.conditions;
  if (temperatureC !== undefined)
    conditions.push(formatSi(temperatureC + 273.15, unitFor('temperature', habit)));
  sheet.line(
    `${labels.conditions} ${conditions.join(', ') || 'day, dry'} · ${labels.policy} ${report.policy.title} · ${labels.content} ${report.catalogue}${report.house ? ` + ${report.house}` : ''}`,
    { soft: true },
  );
  if (report.policy.beside)
    sheet.line(words.stricter(report.policy.beside.join(', ')), { soft: true });
  if (report.job)
    sheet.line(
      `${words.job} ${[report.job.title, ...report.job.needs.map((each) => words.capability[each])]
        .filter(Boolean)
        .join(', ')}`,
      { soft: true },
    );
  printDrawing(sheet, report);
}

/** Modules of a later catalogue keep their measures; one that is gone leaves the drawing out. */
function printDrawing(sheet: Sheet, report: Report): void {
  const rig = rigOfReport(report, catalogue);
  if (!rig) return;
  const { doc } = sheet;
  doc.moveDown(0.4);
  const y = doc.y;
  const marks = marksOfReport(report, rig).flatMap(({ defect, number, x, y: across }) =>
    defect.grade === 'sound' ? [] : [{ x, y: across, grade: defect.grade, label: String(number) }],
  );
  let height = 0;
  sheet.tag(
    'Figure',
    () => {
      height = drawRig(doc, rig, marks, { x: sheet.left, y, width: sheet.width, most: 120 });
    },
    words.drawing,
  );
  doc.x = sheet.left;
  doc.y = y + height;
}
