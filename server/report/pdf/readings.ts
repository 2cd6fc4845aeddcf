import { formatSi, UNITS } from '@nazar/core/quantity';
import type { Report, ReportAnswer } from '@nazar/core/report';
import { nameOf } from './findings';
import type { Sheet } from './sheet';
import { words } from './words';

/** Every reading with the limit it was held against; none is left out. */
export function printReadings(sheet: Sheet, report: Report): void {
  const measured = report.answers.filter((answer) => answer.readings);
  if (measured.length === 0) return;
  sheet.heading(words.sections.readings);
  sheet.columns(measured.map((answer) => `${toWords(answer)} · ${nameOf(answer)}`));
}

/** What was counted of each list, with the dates that were read. */
export function printCounts(sheet: Sheet, report: Report): void {
  const counted = report.answers.filter((answer) => answer.counted);
  if (counted.length === 0) return;
  sheet.heading(words.sections.counted);
  sheet.columns(
    counted.map((answer) => {
      const items = (answer.counted ?? []).map(
        ({ title, found, expected, until }) =>
          `${title} ${found}/${expected}${until ? ` (${until})` : ''}`,
      );
      return `${nameOf(answer)}: ${items.join(', ')}`;
    }),
  );
}

function toWords(answer: ReportAnswer): string {
  const readings = answer.readings ?? [];
  const shown = readings
    .map((each) => {
      const mark = each.instrument === 'simulated-sensor' ? ` (${words.simulated})` : '';
      return `${formatSi(each.value, each.unit)}${mark}`;
    })
    .join(', ');
  const { limit, unit } = readings[readings.length - 1];
  const places = UNITS[unit].decimals + (UNITS[unit].kind === 'pressure' ? 0 : 1);
  return limit
    ? `${shown} (${words.limit[limit.side]} ${formatSi(limit.value, unit, places)})`
    : shown;
}
