import { atPlace } from '@nazar/core/catalogue';
import { hoursLate, type Addition } from '@nazar/core/report';
import type { ReportFile } from '@nazar/core/seal';
import { SOFT, stamp, type Sheet } from './sheet';
import { words } from './words';

/** The driver's signature, and everything that was added to the report since. */
export function printSignatures(
  sheet: Sheet,
  { report, seal, additions }: ReportFile,
  photos: ReadonlyMap<string, Buffer>,
): void {
  sheet.heading(words.sections.signature);
  sheet.signature(report.signature.strokes, `${words.sections.signature} ${report.signature.name}`);
  sheet.line(
    [report.signature.name, stamp(report.signedAt), lateness(report.signedAt, seal.sealedAt)]
      .filter(Boolean)
      .join(' · '),
  );
  if (additions.length === 0) return;
  sheet.heading(words.sections.after);
  for (const { addition, seal: sealed } of additions) {
    const defect = report.defects.find((each) => each.id === addition.defect);
    sheet.room(30);
    sheet.line(
      [
        whatOf(addition),
        defect && atPlace(defect.title, defect.place),
        addition.words,
        addition.parts?.map(({ words: part, count }) => `${count} × ${part}`).join(', '),
        addition.minutes && words.minutes(addition.minutes),
        addition.needs?.map((each) => words.capability[each]).join(', '),
        addition.until,
        addition.by.name,
        stamp(addition.at),
        lateness(addition.at, sealed.sealedAt),
      ]
        .filter(Boolean)
        .join(' · '),
    );
    if (addition.conditions && addition.conditions.length > 0)
      sheet.line(`${words.under} ${addition.conditions.join(' ')}`, { indent: 18 });
    sheet.pictures(
      (addition.photos ?? []).flatMap(({ id }) => photos.get(id) ?? []),
      whatOf(addition),
      18,
    );
    if (addition.signature) sheet.signature(addition.signature.strokes, addition.signature.name);
  }
}

function lateness(enteredAt: string, sealedAt: string): string | undefined {
  const hours = hoursLate(enteredAt, sealedAt);
  return hours === undefined ? undefined : words.late(hours);
}

function whatOf(addition: Addition): string {
  if (addition.kind === 'certified') return words.outcome[addition.outcome ?? ''] ?? '';
  const purpose =
    addition.kind === 'signed-out' ? words.purpose[addition.outcome ?? ''] : undefined;
  return [words.addition[addition.kind], purpose].filter(Boolean).join(' ');
}

/** The seal in words, and a number on each page. */
export function printFoot(sheet: Sheet, { seal }: ReportFile): void {
  const { doc } = sheet;
  sheet.room(44);
  doc.moveDown(0.5);
  const sequence = seal.chain.map((link) => String(link.sequence)).join(', ');
  sheet.tag('P', () =>
    doc
      .font('Text')
      .fontSize(7)
      .fillColor(SOFT)
      .text(`${words.guide} ${words.seal(sequence, seal.key, seal.hash)}`, sheet.left, doc.y, {
        width: sheet.width,
      }),
  );
  const { count } = doc.bufferedPageRange();
  for (let page = 0; page < count; page += 1) {
    doc.switchToPage(page);
    const { bottom } = doc.page.margins;
    doc.page.margins.bottom = 0;
    doc.markContent('Artifact', { type: 'Pagination' });
    doc
      .font('Text')
      .fontSize(8)
      .fillColor(SOFT)
      .text(words.page(page + 1, count), sheet.left, doc.page.height - 30, {
        width: sheet.width,
        align: 'right',
        lineBreak: false,
      });
    doc.endMarkedContent();
    doc.page.margins.bottom = bottom;
  }
}
