import { tagText } from '@nazar/core/inspection';
import PDFDocument from 'pdfkit';
import { create } from 'qrcode';
import { FONTS } from './fonts';
import { INK, SOFT } from './sheet';

export interface TagSheet {
  readonly unit: { readonly id: string; readonly number: string; readonly title: string };
  readonly tags: readonly {
    readonly zoneId: string;
    readonly title: string;
    readonly code: string;
  }[];
}

const MARGIN = 36;
const COLUMNS = 2;
const HEIGHT = 132;
const SQUARE = 96;

/** A sheet of tags to print, cut and fix to the vehicle: unit, stop, a square for the camera and the code beside it. */
export function renderTags({ unit, tags }: TagSheet): Promise<Buffer> {
  const doc = new PDFDocument({
    size: 'A4',
    margin: MARGIN,
    tagged: true,
    lang: 'en',
    displayTitle: true,
    pdfVersion: '1.7',
    info: { Title: `Tags of ${unit.number}` },
  });
  for (const [name, bytes] of Object.entries(FONTS)) doc.registerFont(name, bytes);
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  const width = (doc.page.width - 2 * MARGIN) / COLUMNS;
  const rows = Math.floor((doc.page.height - 2 * MARGIN) / HEIGHT);
  tags.forEach(({ zoneId, title, code }, index) => {
    const onPage = index % (rows * COLUMNS);
    if (index > 0 && onPage === 0) doc.addPage();
    const x = MARGIN + (onPage % COLUMNS) * width;
    const y = MARGIN + Math.floor(onPage / COLUMNS) * HEIGHT;
    const draw = () => {
      doc.lineWidth(0.5).dash(3, { space: 3 }).strokeColor(SOFT);
      doc.rect(x, y, width, HEIGHT).stroke().undash();
      drawSquare(doc, tagText(`${unit.id}/${zoneId}`, code), x + 12, y + 18, SQUARE);
      const left = x + SQUARE + 24;
      const room = { width: width - SQUARE - 32 };
      doc
        .font('Condensed')
        .fontSize(26)
        .fillColor(INK)
        .text(unit.number, left, y + 14, room);
      doc.font('Text').fontSize(11).text(title, left, doc.y, room);
      doc
        .font('Condensed')
        .fontSize(22)
        .text(code, left, y + HEIGHT - 36, room);
    };
    const element = doc.struct('P', { alt: `${unit.number} ${title}: ${code}` }, draw);
    doc.addStructure(element);
    element.end();
  });
  doc.end();
  return done;
}

/** The square as black fields: sharp at every size. */
function drawSquare(
  doc: PDFKit.PDFDocument,
  text: string,
  x: number,
  y: number,
  size: number,
): void {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const field = size / modules.size;
  doc.fillColor(INK);
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column))
        doc.rect(x + column * field, y + row * field, field + 0.05, field + 0.05).fill();
}
