import { lineWords } from '$core/ac/cableWords';
import type { RunResult } from '$core/ac/results';
import { fixed } from '$core/kernel/quantity';
import { lineOf } from '$core/site/line';
import type { HandOver } from '../../services/handOver';
import type { Pen, Sheets } from '../pdf';
import { known } from './words';

/** A rated figure as the plate has it. */
const rated = (value: number | null, unit: string): string =>
  value === null ? known(value, unit) : `${value} ${unit}`;

/** Height of one unit in the drawing, points, and how many stand on one page. */
const ROW = 30;
const ROWS_A_PAGE = 20;

/** From the strings of every unit to the grid, drawn as one line; long sites go on over pages. */
export function oneLinePage(sheets: Sheets, h: HandOver): void {
  sheets.newPage().heading('One-line diagram');
  if (h.runs.length === 0) {
    sheets.paragraph('No inverter is drawn yet.');
    return;
  }
  for (let from = 0; from < h.runs.length; from += ROWS_A_PAGE) {
    const runs = h.runs.slice(from, from + ROWS_A_PAGE);
    const [first, last] = [runs[0]?.inverter.tag, runs.at(-1)?.inverter.tag];
    if (from > 0) sheets.newPage();
    sheets.figure(
      `One-line diagram of ${first} to ${last}: strings, inverter, run and breaker of each unit to ${h.design.board.label}, main breaker, transformer and grid`,
      runs.length * ROW + 46,
      (pen) => draw(pen, h, runs),
    );
  }
}

function draw(pen: Pen, h: HandOver, runs: readonly RunResult[]): void {
  const { board, survey } = h.design;
  const line = lineOf(h.design);
  const [strings, unit, breaker, bus] = [0, 78, 318, 372];
  pen.text('strings', strings, 0, 74);
  pen.text('inverter', unit, 0, 90);
  pen.text('run', unit + 104, 0, 120);
  pen.text('breaker', breaker - 24, 0, 60);
  pen.text(board.label, bus - 30, 0, 120, { bold: true });
  const top = 14;
  runs.forEach((r, i) => {
    const y = top + i * ROW + ROW / 2;
    const own = line.unit(r.inverter.id)?.strings ?? [];
    pen.text(`${own.length} strings`, strings, y - 9, 62);
    pen.text(`${own.reduce((sum, s) => sum + s.modules, 0)} modules`, strings, y + 1, 62);
    pen.line([
      [62, y],
      [unit, y],
    ]);
    pen.box(unit, y - 11, 96, 22, true);
    pen.text(r.inverter.tag, unit + 4, y - 9, 88, { bold: true, size: 8 });
    pen.text(`${fixed(r.type.ratedW / 1000, 0)} kW, ${r.type.nominalLineV} V`, unit + 4, y + 1, 88);
    pen.line([
      [unit + 96, y],
      [breaker - 12, y],
    ]);
    pen.text(lineWords(r), unit + 104, y - 10, 126);
    pen.text(`${known(r.lengthM, 'm')}, PE ${rated(r.run.peMm2, 'mm²')}`, unit + 104, y + 2, 126);
    // A breaker: the line is open by a blade.
    pen.line(
      [
        [breaker - 12, y],
        [breaker + 8, y - 7],
      ],
      1.2,
    );
    pen.line([
      [breaker + 10, y],
      [bus, y],
    ]);
    pen.text(rated(r.run.breakerA, 'A'), breaker - 10, y + 2, 50);
  });
  const bottom = top + runs.length * ROW;
  pen.line(
    [
      [bus, top],
      [bus, bottom],
    ],
    3,
  );
  const y = (top + bottom) / 2;
  pen.line([
    [bus, y],
    [bus + 22, y],
  ]);
  pen.line(
    [
      [bus + 22, y],
      [bus + 40, y - 7],
    ],
    1.2,
  );
  pen.line([
    [bus + 42, y],
    [pen.width - 62, y],
  ]);
  pen.text(`main ${rated(board.mainBreakerA, 'A')}`, bus + 12, y + 4, 80);
  pen.box(pen.width - 62, y - 14, 62, 28);
  pen.text(survey.transformerKva === null ? 'supply' : `${survey.transformerKva} kVA`, pen.width - 31, y - 10, 58, {
    align: 'center',
    bold: true,
  });
  pen.text(`${rated(survey.lineV, 'V')} grid`, pen.width - 31, y + 2, 58, { align: 'center' });
}
