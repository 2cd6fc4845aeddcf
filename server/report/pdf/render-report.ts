import type { UnitHabit } from '@nazar/core/quantity';
import type { ReportFile } from '@nazar/core/seal';
import PDFDocument from 'pdfkit';
import { printFoot, printSignatures } from './afterwards';
import { FONTS } from './fonts';
import { printFindings } from './findings';
import { printHead } from './head';
import { printCounts, printReadings } from './readings';
import { Sheet } from './sheet';
import { words } from './words';

export type Paper = 'a4' | 'letter';

export interface RenderRequest extends ReportFile {
  readonly photos: ReadonlyMap<string, Buffer>;
  readonly habit: UnitHabit;
  readonly paper: Paper;
}

/**
 * The report on paper: tagged, fonts embedded, one page when nothing is wrong. The same report on the same
 * paper gives the same bytes.
 */
export function renderReport(request: RenderRequest): Promise<Buffer> {
  const { report, seal } = request;
  const doc = new PDFDocument({
    size: request.paper === 'letter' ? 'LETTER' : 'A4',
    margins: { top: 40, bottom: 46, left: 44, right: 44 },
    tagged: true,
    lang: 'en',
    displayTitle: true,
    pdfVersion: '1.7',
    bufferPages: true,
    info: {
      Title: `${words.title} ${report.units.map((unit) => unit.number).join(' + ')}`,
      Author: report.driver.name,
      CreationDate: new Date(seal.sealedAt),
      ModDate: new Date(seal.sealedAt),
    },
  });
  for (const [name, bytes] of Object.entries(FONTS)) doc.registerFont(name, bytes);
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  const sheet = new Sheet(doc);
  printHead(sheet, report, request.habit);
  printFindings(sheet, request);
  printReadings(sheet, report);
  printCounts(sheet, report);
  printSignatures(sheet, request, request.photos);
  printFoot(sheet, request);
  doc.end();
  return done;
}
