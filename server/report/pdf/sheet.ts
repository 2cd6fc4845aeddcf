import type { Stroke } from '@nazar/core/inspection';

export const INK = '#111820';
export const SOFT = '#4a5660';
const STROKE_SCALE = 0.14;
const STROKE_HEIGHT = 58;

interface LineOptions {
  readonly bold?: boolean;
  readonly soft?: boolean;
  readonly indent?: number;
}

/** Tagged blocks flowing down pages: each belongs to the document's structure for a screen reader. */
export class Sheet {
  readonly left: number;
  readonly width: number;

  constructor(readonly doc: PDFKit.PDFDocument) {
    this.left = doc.page.margins.left;
    this.width = doc.page.width - doc.page.margins.left - doc.page.margins.right;
  }

  /** A tagged block; what it draws belongs to it. */
  tag(type: string, draw: () => void, alt?: string): void {
    const { doc } = this;
    const element = doc.struct(type, alt ? { alt } : {}, draw);
    doc.addStructure(element);
    element.end();
  }

  /** Begins a page when there is less room than this, in points. */
  room(points: number): void {
    if (this.doc.y + points > this.bottom) this.doc.addPage();
  }

  get bottom(): number {
    return this.doc.page.height - this.doc.page.margins.bottom;
  }

  title(text: string): void {
    this.tag('H1', () =>
      this.doc.font('Condensed').fontSize(22).fillColor(INK).text(text, this.left, this.doc.y, {
        width: this.width,
      }),
    );
  }

  heading(text: string): void {
    this.room(40);
    this.doc.moveDown(0.5);
    this.tag('H2', () =>
      this.doc.font('Condensed').fontSize(13).fillColor(INK).text(text, this.left, this.doc.y, {
        width: this.width,
      }),
    );
  }

  line(text: string, options: LineOptions = {}): void {
    const { bold, soft, indent = 0 } = options;
    this.tag('P', () =>
      this.doc
        .font(bold ? 'Bold' : 'Text')
        .fontSize(9)
        .fillColor(soft ? SOFT : INK)
        .text(text, this.left + indent, this.doc.y, { width: this.width - indent }),
    );
  }

  /** One-line entries in two columns, down the first, then down the second, over as many pages as they need. */
  columns(entries: readonly string[]): void {
    const { doc } = this;
    const height = 11.5;
    const gap = 16;
    const column = (this.width - gap) / 2;
    let rest = entries;
    while (rest.length > 0) {
      // A few lines at the foot of a page are worse than a new page.
      this.room(Math.min(Math.ceil(rest.length / 2), 6) * height);
      const top = doc.y;
      const fits = Math.max(1, Math.floor((this.bottom - top) / height));
      const rows = Math.min(fits, Math.ceil(rest.length / 2));
      rest.slice(0, rows * 2).forEach((entry, index) => {
        const at = index < rows ? 0 : 1;
        this.tag('P', () =>
          doc
            .font('Text')
            .fontSize(8)
            .fillColor(INK)
            .text(entry, this.left + at * (column + gap), top + (index - at * rows) * height, {
              width: column,
              height: 11,
              ellipsis: true,
            }),
        );
      });
      doc.x = this.left;
      doc.y = top + rows * height;
      rest = rest.slice(rows * 2);
      if (rest.length > 0) doc.addPage();
    }
  }

  /** A drawn signature, as a picture that is called by the name. */
  signature(strokes: readonly Stroke[], name: string): void {
    const { doc } = this;
    this.room(STROKE_HEIGHT + 12);
    const top = doc.y;
    this.tag('Figure', () => this.strokes(strokes, top), name);
    doc.y = top + STROKE_HEIGHT;
  }

  private strokes(strokes: readonly Stroke[], y: number): void {
    const { doc, left: x } = this;
    doc.lineWidth(1).strokeColor(INK).lineCap('round').lineJoin('round');
    for (const stroke of strokes) {
      doc.moveTo(x + stroke[0] * STROKE_SCALE, y + stroke[1] * STROKE_SCALE);
      for (let at = 2; at + 1 < stroke.length; at += 2)
        doc.lineTo(x + stroke[at] * STROKE_SCALE, y + stroke[at + 1] * STROKE_SCALE);
      doc.stroke();
    }
  }

  /** Pictures side by side, at most four. */
  pictures(pictures: readonly Buffer[], alt: string, indent: number): void {
    if (pictures.length === 0) return;
    const { doc } = this;
    this.room(110);
    const y = doc.y + 3;
    pictures
      .slice(0, 4)
      .forEach((bytes, at) =>
        this.tag(
          'Figure',
          () => doc.image(bytes, this.left + indent + at * 122, y, { fit: [116, 96] }),
          alt,
        ),
      );
    doc.y = y + 100;
  }
}

/** UTC, to the minute; the reader's own habit is for the screen. */
export function stamp(iso: string): string {
  return `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC`;
}
