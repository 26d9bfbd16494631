import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

/** The few things a printed sheet is made of: headings, lines, tables over pages, a numbered footer. */

const require = createRequire(import.meta.url);
const REGULAR = require.resolve('inter-font/ttf/Inter-Regular.ttf');
const BOLD = require.resolve('inter-font/ttf/Inter-Bold.ttf');

const MARGIN = 42;
const INK = '#1f1b16';
const DIM = '#5d564b';
const RULE = '#c9bda7';

export interface Column {
  readonly title: string;
  /** Share of the width; shares need not sum to 1. */
  readonly share: number;
  readonly right?: boolean;
}

export class Sheets {
  readonly #doc: PDFKit.PDFDocument;
  readonly #footer: string;

  constructor(info: { title: string; subject: string; footer: string }) {
    this.#footer = info.footer;
    this.#doc = new PDFDocument({
      size: 'A4',
      margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + 18 },
      bufferPages: true,
      info: { Title: info.title, Subject: info.subject, Creator: 'Bolt Yard' },
      lang: 'en',
      pdfVersion: '1.7',
    });
    this.#doc.registerFont('regular', REGULAR).registerFont('bold', BOLD).font('regular').fontSize(9).fillColor(INK);
  }

  get #width() {
    return this.#doc.page.width - 2 * MARGIN;
  }
  get #bottom() {
    return this.#doc.page.height - MARGIN - 18;
  }
  #need(height: number) {
    if (this.#doc.y + height > this.#bottom) this.#doc.addPage();
  }

  title(text: string, under: string): this {
    this.#doc
      .font('bold')
      .fontSize(20)
      .text(text, MARGIN)
      .font('regular')
      .fontSize(10)
      .fillColor(DIM)
      .text(under)
      .fillColor(INK)
      .moveDown(0.8);
    return this;
  }

  heading(text: string): this {
    this.#need(60);
    this.#doc.moveDown(0.8).font('bold').fontSize(12).text(text, MARGIN).moveDown(0.25);
    const { y } = this.#doc;
    this.#doc
      .moveTo(MARGIN, y)
      .lineTo(MARGIN + this.#width, y)
      .lineWidth(1)
      .strokeColor(INK)
      .stroke()
      .moveDown(0.3)
      .font('regular')
      .fontSize(9);
    return this;
  }

  paragraph(text: string): this {
    this.#need(24);
    this.#doc.font('regular').fontSize(9).text(text, MARGIN, undefined, { width: this.#width }).moveDown(0.3);
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
        this.#doc.fillColor(DIM).text(label, x, y, { width: half * 0.45 });
        const left = this.#doc.y;
        this.#doc.fillColor(INK).text(value, x + half * 0.45, y, { width: half * 0.52 });
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
      cells.forEach((cell, i) => {
        const width = widths[i] ?? 0;
        this.#doc
          .fillColor(bold ? DIM : INK)
          .text(cell, x + 3, y + 2, { width: width - 6, align: columns[i]?.right ? 'right' : 'left' });
        x += width;
      });
      this.#doc
        .moveTo(MARGIN, y + height)
        .lineTo(MARGIN + this.#width, y + height)
        .lineWidth(bold ? 0.9 : 0.4)
        .strokeColor(bold ? INK : RULE)
        .stroke();
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
      this.#doc
        .text(this.#footer, MARGIN, y, { lineBreak: false })
        .text(`page ${i + 1} of ${count}`, MARGIN, y, { width: this.#width, align: 'right', lineBreak: false });
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
