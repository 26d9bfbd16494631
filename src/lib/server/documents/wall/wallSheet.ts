import { obstructionsOf } from '$core/mounting/clearances';
import { PASSES_PERCENT } from '$core/mounting/fixing/tighteningOrder';
import { LEVEL_MM, SET_OUT_TOLERANCE } from '$core/mounting/setOut/setOutSheet';
import { fixed } from '$core/kernel/quantity';
import type { Paper, Pen } from '../pdf';
import { Sheets } from '../pdf';
import type { WallOnPaper } from './wallOnPaper';

/** Points a millimetre of paper. */
const PT_MM = 72 / 25.4;
/** Scales of a drawing, 1 : so much; the first at which the wall stands on one sheet, else the last, in tiles. */
const SCALES = [10, 20, 25, 50];
/** What a drawing takes of its paper, mm: the width, and most of the height under title and heading. */
const PAPERS_MM: Readonly<Record<Paper, { readonly width: number; readonly height: number }>> = {
  A4: { width: 178, height: 200 },
  A3: { width: 388, height: 190 },
};
/** Length of the bar that shows whether the printer kept the scale, mm of paper. */
const BAR_MM = 100;
/** Room under a drawing for its dimensions and the bar, mm of paper. */
const UNDER_MM = 15;

interface Tile {
  readonly fromMm: number;
  readonly toMm: number;
}

/** The scale of a wall's drawing and the pieces it is cut into. */
export function tilesOf(
  widthMm: number,
  heightMm: number,
  paper: Paper = 'A4',
): { readonly scale: number; readonly tiles: readonly Tile[] } {
  const room = PAPERS_MM[paper];
  const fits = (scale: number) => widthMm / scale <= room.width && heightMm / scale <= room.height;
  const high = SCALES.filter((s) => heightMm / s <= room.height);
  const scale = SCALES.find(fits) ?? high.at(-1) ?? Math.ceil(heightMm / room.height / 50) * 50;
  const each = room.width * scale;
  const count = Math.ceil(widthMm / each);
  return {
    scale,
    tiles: Array.from({ length: count }, (_, i) => ({ fromMm: i * each, toMm: Math.min(widthMm, (i + 1) * each) })),
  };
}

/** The sheet that goes to the wall: drawing to scale, every hole in running dimensions, what checks them, the order of tightening. */
export async function wallSheet(w: WallOnPaper, madeAt = new Date(), paper: Paper = 'A4'): Promise<Buffer> {
  const { wall, hung, sheet } = w;
  const made = madeAt.toISOString().slice(0, 16).replace('T', ' ');
  const sheets = new Sheets({
    title: `Set-out ${wall.label}`,
    subject: 'Set-out of a wall',
    paper,
    footer: `${w.site} · ${wall.label} · ${w.state} · made ${made} UTC · Bolt Yard`,
  });
  sheets.title(wall.label, `${w.site} · set-out · ${w.state}`);
  const bore = wall.anchorHoleMm === null ? 'by the anchor' : `${wall.anchorHoleMm} × ${wall.anchorDepthMm ?? '–'}`;
  const { scale, tiles } = tilesOf(wall.widthMm, wall.heightMm, paper);
  for (const tile of tiles) {
    const part = tiles.length > 1 ? `, ${fixed(tile.fromMm, 0)} to ${fixed(tile.toMm, 0)} mm` : '';
    sheets.heading(`Seen from the front, 1 : ${scale}${part}`);
    const height = (wall.heightMm / scale + UNDER_MM) * PT_MM;
    const words = `${wall.label}${part}: ${hung.map((h) => `${h.unit.tag} at ${h.at.xMm}, ${h.at.yMm} mm`).join('; ') || 'nothing hangs yet'}`;
    sheets.figure(words, height, (pen) => draw(pen, w, scale, tile));
  }
  sheets
    .heading('Holes')
    .paragraph(
      `X from the plumb line at the left end, Y from one level line ${LEVEL_MM} mm over the highest point of the floor, by laser. Running dimensions, never chained. Holes ±${SET_OUT_TOLERANCE.holeMm} mm, diagonals ±${SET_OUT_TOLERANCE.diagonalMm} mm, level ${SET_OUT_TOLERANCE.levelMmPerM} mm a metre. Safety screws are nominal: hang, mark, take down, drill, hang again.`,
    )
    .table(
      [
        { title: 'Hole', share: 1 },
        { title: 'Unit', share: 2 },
        { title: 'X, mm', share: 1.5, right: true },
        { title: 'Y, mm', share: 1.5, right: true },
        { title: 'Ø × depth, mm', share: 2, right: true },
        { title: 'When', share: 4 },
      ],
      sheet.holes.map((h) => [
        h.name,
        h.tag,
        fixed(h.xMm, 0),
        fixed(h.yMm, 0),
        h.kind === 'bracket' ? bore : '–',
        h.kind === 'bracket' ? 'now' : 'after the trial hang',
      ]),
      'No unit hangs on this wall, or their sheets give no holes.',
    )
    .heading('Check with the tape')
    .list(sheet.checks.map((c) => `${c.from} to ${c.to}: ${fixed(c.mm, 1)} mm`))
    .heading(`Tighten crosswise: ${PASSES_PERCENT.join(', ')} %, then once round`)
    .list(sheet.orders.map((o) => `${o.tag}: ${o.holes.join(', ')}`))
    .heading('Before the drill')
    .list([
      'Sweep with a detector; a hit moves the whole bracket, not a hole. Old walls: asbestos first. Dust extraction.',
      'Brush and blow every hole twice. A bad hole is filled, and drilled afresh two depths away at least.',
      'Walls and frames stay the structural engineer’s word. Over 2 m edge protection; ladders are no lift platform.',
      'Not energised before safety screws, earths and torque are on record.',
    ]);
  return sheets.bytes();
}

function draw(pen: Pen, { wall, hung, sheet }: WallOnPaper, scale: number, tile: Tile): void {
  const pt = (mm: number) => (mm / scale) * PT_MM;
  const x = (mm: number) => pt(mm - tile.fromMm);
  const y = (mm: number) => pt(wall.heightMm - mm);
  const inTile = (from: number, to: number) => to > tile.fromMm && from < tile.toMm;
  /** A box cut to the tile. */
  const box = (left: number, bottom: number, width: number, height: number, filled: boolean) => {
    const [from, to] = [Math.max(left, tile.fromMm), Math.min(left + width, tile.toMm)];
    if (to > from) pen.box(x(from), y(bottom + height), pt(to - from), pt(height), filled);
  };
  box(0, 0, wall.widthMm, wall.heightMm, false);
  for (const o of obstructionsOf(wall)) {
    if (!inTile(o.xMm, o.xMm + o.widthMm)) continue;
    box(o.xMm, o.yMm, o.widthMm, o.heightMm, true);
    pen.text(o.label, x(Math.max(o.xMm, tile.fromMm)) + 2, y(o.yMm + o.heightMm) + 2, 80, { size: 6 });
  }
  const units = hung.flatMap((h) => (h.size.value ? [{ ...h, body: h.size.value }] : []));
  units.forEach(({ at, body, unit }, i) => {
    if (!inTile(at.xMm, at.xMm + body.widthMm)) return;
    box(at.xMm, at.yMm, body.widthMm, body.heightMm, false);
    pen.text(unit.tag, x(at.xMm + body.widthMm / 2), y(at.yMm + body.heightMm / 2) - 3, 70, {
      bold: true,
      align: 'center',
    });
    if (at.xMm >= tile.fromMm)
      pen.text(String(at.xMm), x(at.xMm), y(0) + 4 + 8 * (i % 2), 40, { align: 'center', size: 6.5 });
  });
  for (const h of sheet.holes) {
    if (!inTile(h.xMm, h.xMm)) continue;
    const [hx, hy] = [x(h.xMm), y(h.yMm + LEVEL_MM)];
    pen.line(
      [
        [hx - 2, hy],
        [hx + 2, hy],
      ],
      0.5,
    );
    pen.line(
      [
        [hx, hy - 2],
        [hx, hy + 2],
      ],
      0.5,
    );
  }
  pen.line(
    [
      [x(tile.fromMm), y(LEVEL_MM)],
      [x(tile.toMm), y(LEVEL_MM)],
    ],
    0.3,
  );
  pen.text(`level line, ${LEVEL_MM} mm`, x(tile.fromMm) + 2, y(LEVEL_MM) - 9, 90, { size: 6 });
  const bar = y(0) + 30;
  const barPt = BAR_MM * PT_MM;
  pen.line(
    [
      [0, bar],
      [barPt, bar],
    ],
    1.2,
  );
  for (const end of [0, barPt])
    pen.line(
      [
        [end, bar - 4],
        [end, bar + 4],
      ],
      1.2,
    );
  pen.text(`${BAR_MM} mm on paper: measure it before you trust the scale`, barPt + 8, bar - 4, 260, { size: 7 });
}
