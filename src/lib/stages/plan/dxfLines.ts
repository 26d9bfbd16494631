import DxfParser from 'dxf-parser';
import type {
  IArcEntity,
  ICircleEntity,
  IDxf,
  IEntity,
  IInsertEntity,
  ILineEntity,
  ILwpolylineEntity,
} from 'dxf-parser';

/** The lines of a DXF drawing to trace over. What it says in text, hatches and splines is left out: nothing is reckoned from it. */

/** Units of a drawing in metres, by the number its header gives them ($INSUNITS; DXF reference). */
export const DXF_UNITS = [
  { code: 4, name: 'mm', m: 0.001 },
  { code: 5, name: 'cm', m: 0.01 },
  { code: 14, name: 'dm', m: 0.1 },
  { code: 6, name: 'm', m: 1 },
  { code: 7, name: 'km', m: 1000 },
  { code: 1, name: 'in', m: 0.0254 },
  { code: 2, name: 'ft', m: 0.3048 },
  { code: 10, name: 'yd', m: 0.9144 },
] as const;
export type DxfUnit = (typeof DXF_UNITS)[number];

interface At {
  readonly x: number;
  readonly y: number;
}
type Line = readonly At[];

/** Straight pieces of a full circle. */
const PIECES = 48;
/** Blocks in blocks are drawn so deep; one that contains itself ends there. */
const DEEPEST = 6;

function arc(center: At, radius: number, from: number, to: number): Line {
  const sweep = to > from ? to - from : to - from + 2 * Math.PI;
  const n = Math.max(2, Math.ceil((PIECES * sweep) / (2 * Math.PI)));
  return Array.from({ length: n + 1 }, (_, i) => {
    const a = from + (sweep * i) / n;
    return { x: center.x + radius * Math.cos(a), y: center.y + radius * Math.sin(a) };
  });
}

function placed(insert: IInsertEntity, lines: readonly Line[]): Line[] {
  const a = ((insert.rotation ?? 0) * Math.PI) / 180;
  const [sx, sy] = [insert.xScale ?? 1, insert.yScale ?? 1];
  return lines.map((line) =>
    line.map(({ x, y }) => ({
      x: insert.position.x + sx * x * Math.cos(a) - sy * y * Math.sin(a),
      y: insert.position.y + sx * x * Math.sin(a) + sy * y * Math.cos(a),
    })),
  );
}

function linesOf(dxf: IDxf, entity: IEntity, depth = 0): Line[] {
  switch (entity.type) {
    case 'LINE':
      return [(entity as ILineEntity).vertices];
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity;
      const [first] = vertices;
      return [shape && first ? [...vertices, first] : vertices];
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      return [arc(center, radius, 0, 2 * Math.PI)];
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      return [arc(center, radius, startAngle, endAngle)];
    }
    case 'INSERT': {
      const insert = entity as IInsertEntity;
      const block = dxf.blocks?.[insert.name];
      if (!block || depth >= DEEPEST) return [];
      const inside = (block.entities ?? []).flatMap((e) => linesOf(dxf, e, depth + 1));
      const base = block.position ?? { x: 0, y: 0 };
      return placed(
        insert,
        inside.map((line) => line.map((p) => ({ x: p.x - base.x, y: p.y - base.y }))),
      );
    }
    default:
      return [];
  }
}

/** A drawing as it was read, in its own units. */
export interface ReadDrawing {
  readonly lines: readonly Line[];
  /** Null: it says none, and somebody has to. */
  readonly unit: DxfUnit | null;
}

/** Reads a drawing. Throws RangeError with what is wrong with it. */
export function readDxf(text: string): ReadDrawing {
  let dxf: IDxf | null;
  try {
    dxf = new DxfParser().parseSync(text);
  } catch {
    dxf = null;
  }
  if (!dxf) throw new RangeError('This is no DXF drawing that can be read: save it as DXF text (ASCII).');
  const drawing = dxf;
  const lines = drawing.entities
    .flatMap((e) => linesOf(drawing, e))
    .filter((line) => line.length > 1 && line.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y)));
  if (lines.length === 0) throw new RangeError('No lines stand in this drawing: nothing to trace over.');
  const code: unknown = drawing.header?.['$INSUNITS'];
  return { lines, unit: DXF_UNITS.find((u) => u.code === code) ?? null };
}

/** A drawing in metres from its lower left corner, and where that corner lies in the drawing. */
export interface ScaledDrawing {
  readonly widthM: number;
  readonly heightM: number;
  readonly xM: number;
  readonly yM: number;
  /** x and y in turn. */
  readonly lines: readonly (readonly number[])[];
}

/** The drawing to scale. Throws RangeError where it comes out smaller or larger than a site. */
export function scaledDrawing({ lines }: ReadDrawing, unit: DxfUnit): ScaledDrawing {
  const least = { x: Infinity, y: Infinity };
  const most = { x: -Infinity, y: -Infinity };
  for (const line of lines)
    for (const p of line) {
      least.x = Math.min(least.x, p.x);
      least.y = Math.min(least.y, p.y);
      most.x = Math.max(most.x, p.x);
      most.y = Math.max(most.y, p.y);
    }
  const widthM = unit.m * (most.x - least.x);
  const heightM = unit.m * (most.y - least.y);
  requireSite(widthM, heightM, `in ${unit.name}`);
  return {
    widthM,
    heightM,
    xM: unit.m * least.x,
    yM: unit.m * least.y,
    lines: lines.map((line) => line.flatMap((p) => [unit.m * (p.x - least.x), unit.m * (p.y - least.y)])),
  };
}

/** Throws RangeError where a background is no size for a site. */
export function requireSite(widthM: number, heightM: number, how: string): void {
  const words = (m: number) => Number(m.toPrecision(3));
  for (const m of [widthM, heightM])
    if (!(m >= 1 && m <= 20_000))
      throw new RangeError(
        `It would be ${words(widthM)} × ${words(heightM)} m ${how}: 1 to 20 000 m is taken. Look at the scale.`,
      );
}
