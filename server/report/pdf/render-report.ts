import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { catalogue } from '@nazar/core/catalogue';
import { formatSi, UNITS, unitFor, type UnitHabit } from '@nazar/core/quantity';
import type { Report, ReportAnswer, ReportDefect, ReportFile } from '@nazar/core/report';
import { composeRig } from '@nazar/core/rig';
import PDFDocument from 'pdfkit';
import { drawBead, drawRig, type Mark } from './draw-rig';
import { words } from './words';

const resolver = createRequire(import.meta.url);
const font = (name: string) => readFileSync(resolver.resolve(`@expo-google-fonts/${name}`));
const FONTS = {
  Condensed: font('barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf'),
  Text: font('atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf'),
  Bold: font('atkinson-hyperlegible/700Bold/AtkinsonHyperlegible_700Bold.ttf'),
};

const INK = '#111820';
const SOFT = '#4a5660';

export interface RenderRequest extends ReportFile {
  readonly photos: ReadonlyMap<string, Buffer>;
  readonly habit: UnitHabit;
}

/**
 * The report on paper: tagged, fonts embedded, one page when nothing is wrong. Letter for
 * depots that measure in customary units, A4 for others. The same report gives the same bytes.
 */
export function renderReport(request: RenderRequest): Promise<Buffer> {
  const { report, seal } = request;
  const doc = new PDFDocument({
    size: request.habit === 'customary' ? 'LETTER' : 'A4',
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
  new Page(doc, request).print();
  doc.end();
  return done;
}

class Page {
  private readonly left: number;
  private readonly width: number;

  constructor(
    private readonly doc: PDFKit.PDFDocument,
    private readonly request: RenderRequest,
  ) {
    this.left = doc.page.margins.left;
    this.width = doc.page.width - doc.page.margins.left - doc.page.margins.right;
  }

  print(): void {
    this.head();
    this.drawing();
    this.may();
    this.faults();
    this.carried();
    this.notLooked();
    this.readings();
    this.signature();
    this.after();
    this.foot();
  }

  /** A tagged block; what it draws belongs to it for a screen reader. */
  private tag(type: string, draw: () => void, alt?: string): void {
    const { doc } = this;
    const element = doc.struct(type, alt ? { alt } : {}, draw);
    doc.addStructure(element);
    element.end();
  }

  private room(points: number): void {
    if (this.doc.y + points > this.doc.page.height - this.doc.page.margins.bottom)
      this.doc.addPage();
  }

  private heading(text: string): void {
    this.room(40);
    this.doc.moveDown(0.5);
    this.tag('H2', () =>
      this.doc.font('Condensed').fontSize(13).fillColor(INK).text(text, this.left, this.doc.y, {
        width: this.width,
      }),
    );
  }

  private line(text: string, options: { bold?: boolean; soft?: boolean; indent?: number } = {}) {
    const { bold, soft, indent = 0 } = options;
    this.tag('P', () =>
      this.doc
        .font(bold ? 'Bold' : 'Text')
        .fontSize(9)
        .fillColor(soft ? SOFT : INK)
        .text(text, this.left + indent, this.doc.y, { width: this.width - indent }),
    );
  }

  private head(): void {
    const { doc } = this;
    const { report } = this.request;
    this.tag('H1', () =>
      doc
        .font('Condensed')
        .fontSize(22)
        .fillColor(INK)
        .text(
          `${report.units.map((unit) => unit.number).join(' + ')}  ${words.headline[report.verdict.headline]}`,
          this.left,
          doc.y,
          { width: this.width },
        ),
    );
    this.line(
      `${words.title} · ${words.phase[report.phase]} · ${report.organisation}, ${report.depot}`,
    );
    const { labels } = words;
    const conditions = [
      ...report.conditions.circumstances.map((each) => words.circumstance[each]),
      ...(report.conditions.temperatureC === undefined
        ? []
        : [this.show(report.conditions.temperatureC + 273.15, 'temperature')]),
    ];
    for (const unit of report.units)
      this.line(`${labels.unit} ${unit.number} · ${unit.title} · ${unit.plate}`, { soft: true });
    this.line(
      [
        `${labels.driver} ${report.driver.name}`,
        `${labels.when} ${stamp(report.begun)} to ${stamp(report.signedAt)}`,
        report.conditions.place && `${labels.where} ${report.conditions.place}`,
        report.odometer !== undefined &&
          `${labels.odometer} ${this.show(report.odometer, 'distance')}`,
      ]
        .filter(Boolean)
        .join(' · '),
      { soft: true },
    );
    this.line(
      `${labels.conditions} ${conditions.join(', ') || 'day, dry'} · ${labels.policy} ${report.policy.title} · ${labels.content} ${report.catalogue}`,
      { soft: true },
    );
  }

  private show(si: number, kind: Parameters<typeof unitFor>[0]): string {
    return formatSi(si, unitFor(kind, this.request.habit));
  }

  private drawing(): void {
    const { doc } = this;
    const { report } = this.request;
    const rig = this.rig();
    if (!rig) return;
    doc.moveDown(0.4);
    const y = doc.y;
    let height = 0;
    this.tag(
      'Figure',
      () => {
        height = drawRig(doc, rig, this.marks(report, rig), {
          x: this.left,
          y,
          width: this.width,
          most: 120,
        });
      },
      words.drawing,
    );
    doc.x = this.left;
    doc.y = y + height;
  }

  /** Modules of a later catalogue keep their measures; one that is gone leaves the drawing out. */
  private rig() {
    const { report } = this.request;
    try {
      return composeRig({
        units: report.units.map((unit) => ({ ...unit, moduleId: unit.module, specification: {} })),
        phase: report.phase,
        circumstances: report.conditions.circumstances,
        catalogue,
      });
    } catch (error) {
      if (error instanceof RangeError) return undefined;
      throw error;
    }
  }

  private marks(report: Report, rig: NonNullable<ReturnType<Page['rig']>>): Mark[] {
    return report.defects.flatMap((defect, index) => {
      if (defect.grade === 'sound') return [];
      const placed = rig.units.find(({ unit }) => unit.number === defect.unit);
      const instance = rig.instances.find((each) => each.key === defect.key);
      const spot =
        defect.spot && placed
          ? { x: defect.spot.x + placed.offset, y: defect.spot.y }
          : instance && { x: instance.x, y: instance.y };
      return spot ? [{ ...spot, grade: defect.grade, label: String(index + 1) }] : [];
    });
  }

  private may(): void {
    const { verdict } = this.request.report;
    this.heading(words.sections.may);
    for (const { capability, state, because } of verdict.capabilities) {
      const reasons = because.slice(0, 6).join('; ');
      const rest = because.length > 6 ? ` +${because.length - 6}` : '';
      this.line(
        `${words.capability[capability]}: ${words.state[state]}${reasons && ` – ${reasons}${rest}`}`,
        { bold: state !== 'clear' },
      );
    }
    if (verdict.conditions.length > 0) this.line(`${words.under} ${verdict.conditions.join(' ')}`);
  }

  private faults(): void {
    const { report } = this.request;
    this.heading(words.sections.faults);
    const sound = report.answers.filter(({ outcome }) => outcome === 'sound').length;
    if (report.defects.length === 0) this.line(words.nothing);
    this.line(words.counts(sound, report.answers.length), { soft: true });
    report.defects.forEach((defect, index) => this.fault(defect, index + 1));
  }

  private fault(defect: ReportDefect, index: number): void {
    const { doc, request } = this;
    this.room(60);
    doc.moveDown(0.3);
    const top = doc.y;
    this.tag(
      'Figure',
      () => drawBead(doc, defect.grade, this.left + 6, top + 6, 5),
      words.grade[defect.grade],
    );
    doc.y = top;
    const place = defect.place ? ` (${defect.place})` : '';
    this.line(`${index}. ${defect.unit} · ${defect.title}${place}: ${defect.symptom}`, {
      bold: true,
      indent: 18,
    });
    const reasons = defect.reasons
      .slice(1)
      .map((reason) => reason.words)
      .filter((text) => text !== '');
    this.line(
      [
        words.grade[defect.grade],
        defect.extent,
        reasons.length > 0 && `${words.why} ${reasons.join('; ')}`,
        defect.fixed && `${words.fixed} ${defect.fixed}`,
        defect.condition,
        defect.note,
      ]
        .filter(Boolean)
        .join(' · '),
      { indent: 18 },
    );
    const photos = defect.photos.flatMap((photo) => {
      const bytes = request.photos.get(photo.id);
      return bytes ? [bytes] : [];
    });
    if (photos.length === 0) return;
    this.room(110);
    const y = doc.y + 3;
    photos
      .slice(0, 4)
      .forEach((bytes, at) =>
        this.tag(
          'Figure',
          () => doc.image(bytes, this.left + 18 + at * 122, y, { fit: [116, 96] }),
          `${defect.title}: ${defect.symptom}`,
        ),
      );
    doc.y = y + 100;
  }

  private carried(): void {
    const { carried } = this.request.report;
    if (carried.length === 0) return;
    this.heading(words.sections.carried);
    for (const each of carried)
      this.line(`${words.grade[each.grade]} · ${each.title}: ${each.words}`);
  }

  private notLooked(): void {
    const missed = this.request.report.answers.filter(({ outcome }) => outcome === 'not-looked');
    if (missed.length === 0) return;
    this.heading(words.sections.notLooked);
    for (const answer of missed) this.line(`${nameOf(answer)}: ${answer.reason ?? ''}`);
  }

  private readings(): void {
    const { doc } = this;
    const measured = this.request.report.answers.filter((answer) => answer.readings);
    if (measured.length === 0) return;
    this.heading(words.sections.readings);
    const column = (this.width - 16) / 2;
    const half = Math.ceil(measured.length / 2);
    const pages = Math.ceil(measured.length / 60);
    this.room(Math.min(half, 30) * 11.5);
    const top = doc.y;
    measured.slice(0, pages === 1 ? measured.length : 60).forEach((answer, index) => {
      const at = index < half ? 0 : 1;
      this.tag('P', () =>
        doc
          .font('Text')
          .fontSize(8)
          .fillColor(INK)
          .text(
            `${this.reading(answer)} · ${nameOf(answer)}`,
            this.left + at * (column + 16),
            top + (index - at * half) * 11.5,
            { width: column, height: 11, ellipsis: true },
          ),
      );
    });
    doc.x = this.left;
    doc.y = top + half * 11.5;
  }

  private reading(answer: ReportAnswer): string {
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

  private strokes(strokes: readonly (readonly number[])[], x: number, y: number): void {
    const { doc } = this;
    doc.lineWidth(1).strokeColor(INK).lineCap('round').lineJoin('round');
    for (const stroke of strokes) {
      doc.moveTo(x + stroke[0] * 0.14, y + stroke[1] * 0.14);
      for (let at = 2; at + 1 < stroke.length; at += 2)
        doc.lineTo(x + stroke[at] * 0.14, y + stroke[at + 1] * 0.14);
      doc.stroke();
    }
  }

  private signature(): void {
    const { doc } = this;
    const { report } = this.request;
    this.heading(words.sections.signature);
    this.room(70);
    const top = doc.y;
    this.tag(
      'Figure',
      () => this.strokes(report.signature.strokes, this.left, top),
      `${words.sections.signature} ${report.signature.name}`,
    );
    doc.y = top + 58;
    this.line(`${report.signature.name} · ${stamp(report.signedAt)}`);
  }

  private after(): void {
    const { doc } = this;
    const { additions, report } = this.request;
    if (additions.length === 0) return;
    this.heading(words.sections.after);
    for (const { addition } of additions) {
      const defect = report.defects.find((each) => each.id === addition.defect);
      const what =
        addition.kind === 'acknowledged'
          ? words.acknowledged
          : addition.outcome
            ? words.outcome[addition.outcome]
            : '';
      this.room(70);
      this.line(
        [what, defect?.title, addition.words, addition.until, addition.by.name, stamp(addition.at)]
          .filter(Boolean)
          .join(' · '),
      );
      if (addition.signature) {
        const top = doc.y;
        const { signature } = addition;
        this.tag('Figure', () => this.strokes(signature.strokes, this.left, top), signature.name);
        doc.y = top + 58;
      }
    }
  }

  private foot(): void {
    const { doc } = this;
    const { seal } = this.request;
    this.room(44);
    doc.moveDown(0.5);
    const sequence = seal.chain.map((link) => String(link.sequence)).join(', ');
    this.tag('P', () =>
      doc
        .font('Text')
        .fontSize(7)
        .fillColor(SOFT)
        .text(`${words.guide} ${words.seal(sequence, seal.key, seal.hash)}`, this.left, doc.y, {
          width: this.width,
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
        .text(words.page(page + 1, count), this.left, doc.page.height - 30, {
          width: this.width,
          align: 'right',
          lineBreak: false,
        });
      doc.endMarkedContent();
      doc.page.margins.bottom = bottom;
    }
  }
}

function nameOf(answer: ReportAnswer): string {
  return `${answer.unit} · ${answer.title}${answer.place ? ` (${answer.place})` : ''}`;
}

/** UTC, to the minute; the reader's own habit is for the screen. */
function stamp(iso: string): string {
  return `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC`;
}
