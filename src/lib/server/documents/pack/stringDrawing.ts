import { lineOf } from '$core/site/line';
import type { PvString, SiteInverter } from '$core/site/parts';
import type { InverterType } from '$core/equipment/inverterType';
import type { HandOver } from '../../services/handOver';
import type { Pen, Sheets } from '../pdf';

/** One row of inputs, points; the head above them. */
const ROW = 15;
const HEAD = 16;
/** Units side by side. */
const ABREAST = 3;

interface Drawn {
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly strings: readonly PvString[];
}

/** The string map as the units look from the front: rows of inputs, each with the number of its string and its modules. */
export function stringDrawingPage(sheets: Sheets, { design }: HandOver): void {
  const line = lineOf(design);
  const units = design.inverters.flatMap((unit): Drawn[] => {
    const on = line.unit(unit.id);
    return on ? [{ unit, type: on.type, strings: on.strings }] : [];
  });
  sheets.newPage().heading('String map, drawn');
  if (units.length === 0) sheets.paragraph('No inverter is drawn yet.');
  for (let from = 0; from < units.length; from += ABREAST) {
    const row = units.slice(from, from + ABREAST);
    const height = HEAD + ROW * Math.max(...row.map((d) => d.type.trackers));
    sheets.figure(row.map(inWords).join('; '), height, (pen) => row.forEach((d, i) => draw(pen, d, i)));
  }
}

const inWords = ({ unit, strings }: Drawn): string =>
  `${unit.tag}: ${strings.map((s) => `input ${s.place?.tracker}.${s.place?.input} string ${s.number}`).join(', ') || 'no string'}`;

function draw(pen: Pen, { unit, type, strings }: Drawn, column: number): void {
  const gap = 12;
  const width = (pen.width - gap * (ABREAST - 1)) / ABREAST;
  const left = column * (width + gap);
  pen.text(unit.tag, left, 2, width, { bold: true, size: 9 });
  const each = (width - 16) / type.inputsPerTracker;
  for (let t = 1; t <= type.trackers; t++) {
    const y = HEAD + (t - 1) * ROW;
    pen.text(String(t), left + 12, y + 3, 14, { align: 'right' });
    for (let input = 1; input <= type.inputsPerTracker; input++) {
      const hung = strings.filter((s) => s.place?.tracker === t && s.place.input === input);
      const x = left + 16 + (input - 1) * each;
      pen.box(x, y, each - 2, ROW - 2, hung.length > 0);
      if (hung.length)
        pen.text(hung.map((s) => `${s.number}·${s.modules}`).join(' + '), x + 3, y + 3, each - 8, { bold: true });
    }
  }
}
