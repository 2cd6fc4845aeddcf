import { atPlace, faultLine } from '@nazar/core/catalogue';
import { formatSpeedLimit, type UnitHabit } from '@nazar/core/quantity';
import type { Report, ReportAnswer, ReportDefect } from '@nazar/core/report';
import { drawBead } from './draw-rig';
import { stamp, type Sheet } from './sheet';
import { words } from './words';

export interface FindingsRequest {
  readonly report: Report;
  readonly photos: ReadonlyMap<string, Buffer>;
  readonly habit: UnitHabit;
}

/** What the unit may do, its faults, what is carried over, what nobody looked at. */
export function printFindings(sheet: Sheet, request: FindingsRequest): void {
  printVerdict(sheet, request);
  printFaults(sheet, request);
  const { carried, answers } = request.report;
  if (carried.length > 0) {
    sheet.heading(words.sections.carried);
    for (const each of carried)
      sheet.line(`${words.grade[each.grade]} · ${each.title}: ${each.words}`);
  }
  const missed = answers.filter(({ outcome }) => outcome === 'not-looked');
  if (missed.length > 0) {
    sheet.heading(words.sections.notLooked);
    for (const answer of missed) sheet.line(`${nameOf(answer)}: ${answer.reason ?? ''}`);
  }
  const { notAsked } = request.report;
  if (!notAsked) return;
  sheet.heading(words.sections.notAsked);
  for (const { title, reason } of notAsked) sheet.line(`${title}: ${reason}`);
}

const SHOWN = 6;

function printVerdict(sheet: Sheet, { report, habit }: FindingsRequest): void {
  const { verdict, rig } = report;
  sheet.heading(words.sections.may);
  for (const { capability, state, because } of verdict.capabilities) {
    const reasons = because.slice(0, SHOWN).join('; ');
    const rest = because.length > SHOWN ? ` +${because.length - SHOWN}` : '';
    sheet.line(
      `${words.capability[capability]}: ${words.state[state]}${reasons && ` – ${reasons}${rest}`}`,
      { bold: state !== 'clear' },
    );
  }
  if (verdict.conditions.length > 0) sheet.line(`${words.under} ${verdict.conditions.join(' ')}`);
  if (verdict.mostKmh !== undefined)
    sheet.line(words.most(formatSpeedLimit(verdict.mostKmh, habit === 'metric' ? 'km/h' : 'mph')), {
      bold: true,
    });
  const shown = rig?.shown ?? verdict.shown;
  const headline = rig?.headline ?? verdict.headline;
  if (shown !== undefined && shown !== headline)
    sheet.line(
      words.shown(words.headline[shown as typeof headline] ?? shown, words.headline[headline]),
      { bold: true },
    );
}

function printFaults(sheet: Sheet, request: FindingsRequest): void {
  const { report } = request;
  sheet.heading(words.sections.faults);
  const sound = report.answers.filter(({ outcome }) => outcome === 'sound').length;
  if (report.defects.length === 0)
    sheet.line(
      report.carried.length > 0
        ? words.nothingNew(report.carried.length)
        : report.policy.words
          ? `${report.policy.words.sound}. ${words.nothing}`
          : words.nothing,
    );
  sheet.line(words.counts(sound, report.answers.length), { soft: true });
  report.defects.forEach((defect, index) => printFault(sheet, request, defect, index + 1));
}

function printFault(
  sheet: Sheet,
  { report, photos }: FindingsRequest,
  defect: ReportDefect,
  index: number,
): void {
  const { doc } = sheet;
  sheet.room(60);
  doc.moveDown(0.3);
  const top = doc.y;
  sheet.tag(
    'Figure',
    () => drawBead(doc, defect.grade, sheet.left + 6, top + 6, 5),
    words.grade[defect.grade],
  );
  doc.y = top;
  sheet.line(
    `${index}. ${defect.unit} · ${faultLine(defect.title, defect.place, defect.symptom)}`,
    {
      bold: true,
      indent: 18,
    },
  );
  const reasons = defect.reasons
    .slice(1)
    .map((reason) => reason.words)
    .filter((text) => text !== '');
  const ofPolicy = report.policy.words?.[defect.grade];
  sheet.line(
    [
      ofPolicy ? `${words.grade[defect.grade]} (${ofPolicy})` : words.grade[defect.grade],
      defect.extent,
      reasons.length > 0 && `${words.why} ${reasons.join('; ')}`,
      defect.fixed && `${words.fixed} ${defect.fixed}`,
      defect.condition,
      defect.due && `${words.due} ${stamp(defect.due)}`,
      defect.note,
    ]
      .filter(Boolean)
      .join(' · '),
    { indent: 18 },
  );
  sheet.pictures(
    defect.photos.flatMap((photo) => photos.get(photo.id) ?? []),
    faultLine(defect.title, defect.place, defect.symptom),
    18,
  );
}

export function nameOf(answer: ReportAnswer): string {
  return `${answer.unit} · ${atPlace(answer.title, answer.place)}`;
}
