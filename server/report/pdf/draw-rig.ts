import type { Shape } from '@nazar/core/catalogue';
import type { Rig } from '@nazar/core/rig';

type Document = PDFKit.PDFDocument;

const FILL: Readonly<Record<Shape['role'], string>> = {
  body: '#d8dde2',
  cab: '#e7ebee',
  glass: '#b9c5cf',
  deck: '#f1f3f4',
  frame: '#c4cbd1',
  tank: '#d8dde2',
  wheel: '#3a444d',
  lamp: '#c4cbd1',
  drawbar: '#9aa5ae',
  hopper: '#d8dde2',
  blade: '#b9c5cf',
  boom: '#e7ebee',
  platform: '#e7ebee',
  outrigger: '#9aa5ae',
  track: '#5c6871',
};

export interface Mark {
  /** Metres in the rig's frame. */
  readonly x: number;
  readonly y: number;
  readonly grade: 'note' | 'minor' | 'major';
  readonly label: string;
}

/** The rig from above, front to the left, to scale. Returns the height it took, in points. */
export function drawRig(
  doc: Document,
  rig: Rig,
  marks: readonly Mark[],
  box: { readonly x: number; readonly y: number; readonly width: number; readonly most: number },
): number {
  const scale = Math.min(box.width / (rig.length + 1), box.most / (rig.width + 1));
  const at = (x: number, y: number): [number, number] => [
    box.x + (x + 0.5) * scale,
    box.y + (y + rig.width / 2 + 0.5) * scale,
  ];
  for (const { module, offset, aside } of rig.units)
    for (const shape of module.shapes) {
      const [x, y] = at(offset + shape.x, aside + shape.y);
      doc.lineWidth(0.5).strokeColor('#5c6871');
      if (shape.kind === 'line')
        doc
          .moveTo(x, y)
          .lineTo(x + shape.length * scale, y + shape.width * scale)
          .stroke();
      else
        doc
          .roundedRect(x, y, shape.length * scale, shape.width * scale, (shape.round ?? 0) * scale)
          .fillAndStroke(FILL[shape.role], '#5c6871');
    }
  for (const mark of marks) {
    const [x, y] = at(mark.x, mark.y);
    drawBead(doc, mark.grade, x, y, 5);
    doc
      .font('Condensed')
      .fontSize(8)
      .fillColor('#111820')
      .text(mark.label, x + 8, y - 5, {
        lineBreak: false,
      });
  }
  return (rig.width + 1) * scale;
}

/** The beads of the app on paper: half-filled note, notched ring minor, solid block major. */
export function drawBead(
  doc: Document,
  grade: 'sound' | 'note' | 'minor' | 'major',
  x: number,
  y: number,
  radius: number,
): void {
  doc.lineWidth(1.6).strokeColor('#111820').fillColor('#111820');
  if (grade === 'major') {
    doc.rect(x - radius, y - radius, radius * 2, radius * 2).fill();
    return;
  }
  doc.circle(x, y, radius).fillAndStroke('#ffffff', '#111820');
  if (grade === 'sound') doc.circle(x, y, radius * 0.4).fill('#111820');
  if (grade === 'note')
    doc
      .path(`M ${x} ${y - radius} A ${radius} ${radius} 0 0 0 ${x} ${y + radius} Z`)
      .fill('#111820');
  if (grade === 'minor')
    doc
      .path(
        `M ${x - radius * 0.7} ${y - radius - 2} L ${x + radius * 0.7} ${y - radius - 2} L ${x} ${y} Z`,
      )
      .fill('#111820');
}
