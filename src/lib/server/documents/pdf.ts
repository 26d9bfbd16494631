import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

/** The few things a printed sheet is made of: headings, tables over pages, drawings, a numbered footer. Tagged for readers that speak it, with bookmarks. */

const require = createRequire(import.meta.url);
const REGULAR = require.resolve('inter-font/ttf/Inter-Regular.ttf');
const BOLD = require.resolve('inter-font/ttf/Inter-Bold.ttf');

const MARGIN = 42;
const INK = '#1f1b16';
const DIM = '#5d564b';
const RULE = '#c9bda7';

/** A4 upright, or A3 on its side. */
export type Paper = 'A4' | 'A3';

export interface Column {
  readonly title: string;
  /** Share of the width; shares need not sum to 1. */
  readonly share: number;
  readonly right?: boolean;
}

/** Draws a figure in points, from the left upper corner of its frame. */
export interface Pen {
  /** Width of the frame. */
  readonly width: number;
  line(points: readonly (readonly [x: number, y: number])[], weight?: number): void;
  box(x: number, y: number, width: number, height: number, filled?: boolean): void;
  /** One line of text, cut to the width; `x` is its left, middle or right. */
  text(
    text: string,
    x: number,
    y: number,
    width: number,
    how?: { size?: number; bold?: boolean; align?: 'center' | 'right' },
  ): void;
}

type Tag = 'H1' | 'H2' | 'P' | 'L' | 'LI' | 'Table' | 'TR' | 'TH' | 'TD' | 'Figure';
type Struct = ReturnType<PDFKit.PDFDocument['struct']>;

export class Sheets {
  readonly #doc: PDFKit.PDFDocument;
  readonly #root: Struct;
  readonly #footer: string;

  constructor(info: { title: string; subject: string; footer: string; paper?: Paper }) {
    this.#footer = info.footer;
    this.#doc = new PDFDocument({
      size: info.paper ?? 'A4',
      // The larger sheet lies on its side: what it is for is wide.
      layout: info.paper === 'A3' ? 'landscape' : 'portrait',
      margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + 18 },
      bufferPages: true,
      info: { Title: info.title, Subject: info.subject, Creator: 'Bolt Yard' },
      lang: 'en',
      pdfVersion: '1.7',
      tagged: true,
      displayTitle: true,
    });
    this.#root = this.#doc.struct('Document');
    this.#doc.addStructure(this.#root);
    this.#doc.registerFont('regular', REGULAR).registerFont('bold', BOLD).font('regular').fontSize(9).fillColor(INK);
  }

  get #width() {
    return this.#doc.page.width - 2 * MARGIN;
  }
  get #bottom() {
    return this.#doc.page.height - MARGIN - 18;
  }
  /** Draws something as what it is. */
  #as(tag: Tag, draw: () => void, under: Struct = this.#root): void {
    under.add(this.#doc.struct(tag, {}, draw));
  }
  /** Draws what says nothing by itself: rules, the footer. */
  #artifact(draw: () => void): void {
    this.#doc.markContent('Artifact');
    draw();
    this.#doc.endMarkedContent();
  }
  #need(height: number) {
    if (this.#doc.y + height > this.#bottom) this.#doc.addPage();
  }

  title(text: string, under: string): this {
    this.#doc.outline.addItem(text);
    this.#as('H1', () => this.#doc.font('bold').fontSize(20).text(text, MARGIN));
    this.#as('P', () => this.#doc.font('regular').fontSize(10).fillColor(DIM).text(under).fillColor(INK));
    this.#doc.moveDown(0.8);
    return this;
  }

  heading(text: string): this {
    this.#need(60);
    this.#doc.outline.addItem(text);
    this.#doc.moveDown(0.8);
    this.#as('H2', () => this.#doc.font('bold').fontSize(12).text(text, MARGIN));
    this.#doc.moveDown(0.25);
    this.#rule(this.#doc.y, 1, INK);
    this.#doc.moveDown(0.3).font('regular').fontSize(9);
    return this;
  }

  /** A line over the width. */
  #rule(y: number, weight: number, colour: string): void {
    this.#artifact(() =>
      this.#doc
        .moveTo(MARGIN, y)
        .lineTo(MARGIN + this.#width, y)
        .lineWidth(weight)
        .strokeColor(colour)
        .stroke(),
    );
  }

  paragraph(text: string): this {
    this.#need(24);
    this.#as('P', () => this.#doc.font('regular').fontSize(9).text(text, MARGIN, undefined, { width: this.#width }));
    this.#doc.moveDown(0.3);
    return this;
  }

  list(items: readonly string[]): this {
    for (const item of items) this.paragraph(`•  ${item}`);
    return this;
  }

  /** Label and value side by side, two columns over the width. */
  facts(facts: readonly (readonly [string, string])[]): this {
    const half = this.#width / 2;
    for (let at = 0; at < facts.length; at += 2) {
      this.#need(16);
      const { y } = this.#doc;
      const heights = [0, 1].map((side) => {
        const [label, value] = facts[at + side] ?? ['', ''];
        const x = MARGIN + side * half;
        let left = y;
        this.#as('P', () => {
          this.#doc.fillColor(DIM).text(label, x, y, { width: half * 0.45 });
          left = this.#doc.y;
          this.#doc.fillColor(INK).text(value, x + half * 0.45, y, { width: half * 0.52 });
        });
        return Math.max(left, this.#doc.y) - y;
      });
      this.#doc.y = y + Math.max(...heights) + 2;
    }
    this.#doc.x = MARGIN;
    return this;
  }

  table(columns: readonly Column[], rows: readonly (readonly string[])[], empty = 'None.'): this {
    if (rows.length === 0) return this.paragraph(empty);
    const total = columns.reduce((sum, c) => sum + c.share, 0);
    const widths = columns.map((c) => (this.#width * c.share) / total);
    const table = this.#doc.struct('Table');
    this.#root.add(table);
    const draw = (cells: readonly string[], bold: boolean) => {
      this.#doc.font(bold ? 'bold' : 'regular').fontSize(bold ? 7.5 : 8);
      const height =
        Math.max(...cells.map((cell, i) => this.#doc.heightOfString(cell, { width: (widths[i] ?? 0) - 6 }))) + 4;
      if (this.#doc.y + height > this.#bottom) {
        this.#doc.addPage();
        if (!bold)
          draw(
            columns.map((c) => c.title),
            true,
          );
        this.#doc.font('regular').fontSize(8);
      }
      const { y } = this.#doc;
      let x = MARGIN;
      const row = this.#doc.struct('TR');
      table.add(row);
      cells.forEach((cell, i) => {
        const width = widths[i] ?? 0;
        this.#as(
          bold ? 'TH' : 'TD',
          () =>
            this.#doc
              .fillColor(bold ? DIM : INK)
              .text(cell, x + 3, y + 2, { width: width - 6, align: columns[i]?.right ? 'right' : 'left' }),
          row,
        );
        x += width;
      });
      this.#rule(y + height, bold ? 0.9 : 0.4, bold ? INK : RULE);
      this.#doc.x = MARGIN;
      this.#doc.y = y + height;
    };
    draw(
      columns.map((c) => c.title),
      true,
    );
    for (const row of rows) draw(row, false);
    this.#doc.fillColor(INK).moveDown(0.4);
    return this;
  }

  /** A drawing that stays on one page, with words for those who do not see it. */
  figure(alt: string, height: number, draw: (pen: Pen) => void): this {
    this.#need(height + 8);
    const top = this.#doc.y;
    const figure = this.#doc.struct('Figure', { alt }, () => draw(this.#pen(MARGIN, top)));
    this.#root.add(figure);
    this.#doc.x = MARGIN;
    this.#doc.y = top + height + 8;
    this.#doc.font('regular').fontSize(9).fillColor(INK);
    return this;
  }

  #pen(left: number, top: number): Pen {
    const doc = this.#doc;
    return {
      width: this.#width,
      line(points, weight = 0.8) {
        points.forEach(([x, y], i) => (i === 0 ? doc.moveTo(left + x, top + y) : doc.lineTo(left + x, top + y)));
        doc.lineWidth(weight).strokeColor(INK).stroke();
      },
      box(x, y, width, height, filled = false) {
        doc.rect(left + x, top + y, width, height).lineWidth(0.8);
        if (filled) doc.fillAndStroke('#efe6d4', INK).fillColor(INK);
        else doc.strokeColor(INK).stroke();
      },
      text(text, x, y, width, { size = 7, bold = false, align } = {}) {
        doc
          .font(bold ? 'bold' : 'regular')
          .fontSize(size)
          .fillColor(INK);
        const at = align === 'center' ? x - width / 2 : align === 'right' ? x - width : x;
        doc.text(text, left + at, top + y, {
          width,
          height: size * 1.4,
          lineBreak: false,
          ellipsis: true,
          ...(align ? { align } : {}),
        });
      },
    };
  }

  newPage(): this {
    this.#doc.addPage();
    return this;
  }

  /** Numbers the pages and gives the bytes. */
  async bytes(): Promise<Buffer> {
    const { start, count } = this.#doc.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.#doc.switchToPage(start + i);
      this.#doc.page.margins.bottom = 0;
      this.#doc.font('regular').fontSize(7.5).fillColor(DIM);
      const y = this.#doc.page.height - MARGIN;
      this.#artifact(() =>
        this.#doc
          .text(this.#footer, MARGIN, y, { lineBreak: false })
          .text(`page ${i + 1} of ${count}`, MARGIN, y, { width: this.#width, align: 'right', lineBreak: false }),
      );
    }
    const chunks: Buffer[] = [];
    return new Promise((resolve, reject) => {
      this.#doc
        .on('data', (chunk: Buffer) => chunks.push(chunk))
        .on('end', () => resolve(Buffer.concat(chunks)))
        .on('error', reject);
      this.#doc.end();
    });
  }
}
