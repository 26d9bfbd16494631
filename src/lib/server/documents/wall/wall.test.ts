import { inflateSync } from 'node:zlib';
import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { applyEdit } from '$core/design';
import { newWall } from '$core/mounting/part';
import { mountingResults } from '$core/mounting/results';
import { setOutSheet } from '$core/mounting/setOut/setOutSheet';
import { siteOf } from '$core/testing/examples';
import { DXF_LAYERS, wallDxf } from './wallDxf';
import { tilesOf, wallSheet } from './wallSheet';

const wall = {
  ...newWall('east', 'East wall', 8000, 3000),
  anchorHoleMm: 13,
  anchorDepthMm: 65,
  obstructions: [
    { id: 'door', kind: 'door or window' as const, xMm: 4600, yMm: 0, widthMm: 1000, heightMm: 2100, marginMm: null },
  ],
};
const design = applyEdit(applyEdit(siteOf(2, []), { kind: 'wall', wall }), {
  kind: 'hang',
  places: [
    { inverterId: 'inv-1', wallId: 'east', xMm: 1100, yMm: 600 },
    { inverterId: 'inv-2', wallId: 'east', xMm: 6450, yMm: 600 },
  ],
});
const { hung } = mountingResults(design);
const paper = { site: 'Test site', state: 'revision 3', wall, hung, sheet: setOutSheet(hung) };

describe('a wall as DXF, read back by another library', () => {
  const read = new DxfParser().parseSync(wallDxf(paper))!;
  const on = (layer: string, type: string) => read.entities.filter((e) => e.layer === layer && e.type === type);

  it('is in millimetres', () => expect(read.header['$INSUNITS']).toBe(4));
  it('keeps every size to the millimetre, on layers by what it is', () => {
    const corners = (layer: string) =>
      on(layer, 'LWPOLYLINE').map((e) =>
        (e as unknown as { vertices: { x: number; y: number }[] }).vertices.map((v) => [v.x, v.y]),
      );
    expect(corners(DXF_LAYERS.wall)).toEqual([
      [
        [0, 0],
        [8000, 0],
        [8000, 3000],
        [0, 3000],
      ],
    ]);
    expect(corners(DXF_LAYERS.obstructions)).toEqual([
      [
        [4600, 0],
        [5600, 0],
        [5600, 2100],
        [4600, 2100],
      ],
    ]);
    expect(corners(DXF_LAYERS.units).map((c) => c[0])).toEqual([
      [1100, 600],
      [6450, 600],
    ]);
  });
  it('has a circle of its diameter where each hole is, from the lower left corner', () => {
    const circles = (layer: string) =>
      on(layer, 'CIRCLE').map((e) => e as unknown as { center: { x: number; y: number }; radius: number });
    expect(circles(DXF_LAYERS.bracketHoles).map((c) => [c.center.x, c.center.y, c.radius])).toEqual([
      [1225, 1160, 6.5],
      [2025, 1160, 6.5],
      [1225, 860, 6.5],
      [2025, 860, 6.5],
      [6575, 1160, 6.5],
      [7375, 1160, 6.5],
      [6575, 860, 6.5],
      [7375, 860, 6.5],
    ]);
    expect(circles(DXF_LAYERS.safetyHoles)).toHaveLength(4);
  });
});

/** What a PDF draws, its streams unpacked. */
const drawn = (pdf: Buffer): string =>
  [...pdf.toString('latin1').matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .flatMap(([, raw]) => {
      try {
        return [inflateSync(Buffer.from(raw ?? '', 'latin1')).toString('latin1')];
      } catch {
        return [];
      }
    })
    .join('\n');

describe('a wall on paper', () => {
  it('stands on one sheet at the first scale that fits, or is cut into tiles', () => {
    expect(tilesOf(1700, 1900)).toEqual({ scale: 10, tiles: [{ fromMm: 0, toMm: 1700 }] });
    expect(tilesOf(3560, 3000)).toMatchObject({ scale: 20, tiles: [{ toMm: 3560 }] });
    expect(tilesOf(8000, 3000)).toMatchObject({ scale: 50, tiles: [{ fromMm: 0, toMm: 8000 }] });
    expect(tilesOf(46_000, 3600)).toEqual({
      scale: 50,
      tiles: [0, 1, 2, 3, 4, 5].map((i) => ({ fromMm: 8900 * i, toMm: Math.min(46_000, 8900 * (i + 1)) })),
    });
    expect(tilesOf(8000, 12_000).scale).toBe(100);
    expect(tilesOf(8000, 3000, 'A3')).toMatchObject({ scale: 25, tiles: [{ toMm: 8000 }] });
    expect(tilesOf(46_000, 3600, 'A3').tiles).toHaveLength(3);
  });
  it('on A3 lies on its side, and keeps its scale: 320 mm wide at 1 : 25', async () => {
    const pdf = await wallSheet(paper, new Date('2026-05-04T08:00:00Z'), 'A3');
    // ISO 216: 420 × 297 mm.
    const [, width = 0, height = 0] = (/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(pdf.toString('latin1')) ?? []).map(
      Number,
    );
    expect([width, height].map((pt) => Math.round((pt * 25.4) / 72))).toEqual([420, 297]);
    const widths = [...drawn(pdf).matchAll(/(-?[\d.]+) (-?[\d.]+) ([\d.]+) ([\d.]+) re/g)].map((m) => Number(m[3]));
    expect(widths.some((w) => Math.abs((w * 25.4) / 72 - 320) < 0.01)).toBe(true);
  });
  it('is drawn to its scale: the wall 160 mm wide at 1 : 50, a bar of 100 mm beside it', async () => {
    const text = drawn(await wallSheet(paper, new Date('2026-05-04T08:00:00Z')));
    const widths = [...text.matchAll(/(-?[\d.]+) (-?[\d.]+) ([\d.]+) ([\d.]+) re/g)].map((m) => Number(m[3]));
    // The page's left margin is 42 points; 72 points are 25.4 mm.
    const mm = (points: number) => (points * 25.4) / 72;
    expect(widths.some((w) => Math.abs(mm(w) - 160) < 0.01)).toBe(true);
    expect(widths.some((w) => Math.abs(mm(w) - 21) < 0.01)).toBe(true);
    const lines = [...text.matchAll(/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/g)].map(
      (m) => Number(m[3]) - Number(m[1]),
    );
    expect(lines.some((w) => Math.abs(mm(w) - 100) < 0.01)).toBe(true);
  });
});
