import { onSite } from '../mounting/wallPosition';
import { onPlanDeg } from '../site/plan';
import type { Position } from '../site/position';
import type { DesignEdit, SiteDesign } from '.';
import { onEdge } from '../site/parts';

/** What stands on the plan, whoever it belongs to, and the edit that puts it elsewhere. */

export const THING_KINDS = ['room', 'tray', 'plane', 'wall', 'unit', 'board', 'device', 'spot'] as const;
export type ThingKind = (typeof THING_KINDS)[number];

export interface Thing {
  readonly kind: ThingKind;
  readonly id: string;
  readonly label: string;
  /** Where it is held: its point, its first corner, its lower left corner. Null: it is nowhere yet. */
  readonly position: Position | null;
  /** Its points seen from above: one, the ends of a line, corners. Empty where it is nowhere. */
  readonly shape: readonly Position[];
  /** The way it faces on the plan, clockwise from straight up; null for what faces nowhere. */
  readonly facesDeg: number | null;
  /** The wall that carries it: it is moved on the wall, or with it. */
  readonly carriedBy: string | null;
}

type Placed = Pick<Thing, 'kind' | 'id' | 'label' | 'position'> & Partial<Thing>;
const thing = (t: Placed): Thing => ({
  shape: t.position ? [t.position] : [],
  facesDeg: null,
  carriedBy: null,
  ...t,
});
const shifted = (p: Position, xM: number, yM: number): Position => ({ ...p, xM: p.xM + xM, yM: p.yM + yM });

/** Everything on the plan of a design: what lies below others first. */
export function planThings(d: SiteDesign): Thing[] {
  const walls = new Map(d.walls.map((w) => [w.id, w]));
  const hung = new Map(d.hung.map((h) => [h.inverterId, h]));
  const types = new Map(d.equipment.inverters.map((t) => [t.id, t]));
  return [
    ...d.plan.rooms.map(({ id, label, xM, yM, zM, widthM, depthM }) => {
      const position = { xM, yM, zM };
      const corners = [
        [0, 0],
        [widthM, 0],
        [widthM, depthM],
        [0, depthM],
      ] as const;
      return thing({ kind: 'room', id, label, position, shape: corners.map(([x, y]) => shifted(position, x, y)) });
    }),
    ...d.plan.trays.map(({ id, label, points }) =>
      thing({ kind: 'tray', id, label, position: points[0] ?? null, shape: points }),
    ),
    ...d.planes.map((plane) => {
      const { id, label, position, azimuthDeg } = plane;
      const end = onEdge(plane, 1);
      return thing({
        kind: 'plane',
        id,
        label,
        position,
        shape: position && end ? [position, end] : [],
        facesDeg: onPlanDeg(d.plan, azimuthDeg),
      });
    }),
    ...d.walls.map((w) => {
      const right = onSite(d.plan, w, w.widthMm, 0);
      const facesDeg = w.facesDeg === null ? null : onPlanDeg(d.plan, w.facesDeg);
      const { id, label, origin } = w;
      return thing({
        kind: 'wall',
        id,
        label,
        position: origin,
        shape: origin && right ? [origin, right] : [],
        facesDeg,
      });
    }),
    ...d.inverters.map(({ id, tag, typeId, position }) => {
      const at = hung.get(id);
      const wall = at && walls.get(at.wallId);
      const widthMm = types.get(typeId)?.body.widthMm ?? 0;
      const ends = wall && [0, widthMm].map((x) => onSite(d.plan, wall, at.xMm + x, at.yMm));
      const shape = ends?.filter((p) => p !== null) ?? [];
      const base = { kind: 'unit', id, label: tag, position } as const;
      if (!wall || shape.length === 0) return thing(base);
      const facesDeg = wall.facesDeg === null ? null : onPlanDeg(d.plan, wall.facesDeg);
      return thing({ ...base, shape, facesDeg, carriedBy: wall.label });
    }),
    thing({ kind: 'board', id: 'board', label: d.board.label, position: d.board.position }),
    ...d.chain.devices
      .filter((c) => c.inverterId === null && c.portOf === null)
      .map(({ id, label, position }) => thing({ kind: 'device', id, label, position })),
    ...d.plan.spots.map(({ id, label, position }) => thing({ kind: 'spot', id, label, position })),
  ];
}

const found = <T extends { readonly id: string }>(items: readonly T[], id: string): T => {
  const item = items.find((i) => i.id === id);
  if (!item) throw new RangeError(`There is no ${id} on the plan.`);
  return item;
};
const shiftedBy = (from: Position, to: Position) => (p: Position) => ({
  xM: p.xM + to.xM - from.xM,
  yM: p.yM + to.yM - from.yM,
  zM: p.zM + to.zM - from.zM,
});

/** The edit that puts a thing elsewhere, by the point it is held at. Throws RangeError on a thing that is not there. */
export function putAt(d: SiteDesign, { kind, id }: Pick<Thing, 'kind' | 'id'>, to: Position): DesignEdit {
  switch (kind) {
    case 'room':
      return { kind: 'room', room: { ...found(d.plan.rooms, id), ...to } };
    case 'tray': {
      const tray = found(d.plan.trays, id);
      return { kind: 'tray', tray: { ...tray, points: tray.points.map(shiftedBy(tray.points[0] as Position, to)) } };
    }
    case 'plane':
      return { kind: 'plane', plane: { ...found(d.planes, id), position: to } };
    case 'wall':
      return { kind: 'wall', wall: { ...found(d.walls, id), origin: to } };
    case 'unit':
      return { kind: 'inverter', inverter: { ...found(d.inverters, id), position: to } };
    case 'board':
      return { kind: 'board', board: { ...d.board, position: to } };
    case 'device':
      return { kind: 'chain-device', device: { ...found(d.chain.devices, id), position: to } };
    case 'spot':
      return { kind: 'spot', spot: { ...found(d.plan.spots, id), position: to } };
  }
}

/** The edit that puts one corner of a tray elsewhere. Throws RangeError on a tray that is not there. */
export function cornerAt(d: SiteDesign, trayId: string, corner: number, to: Position): DesignEdit {
  const tray = found(d.plan.trays, trayId);
  return { kind: 'tray', tray: { ...tray, points: tray.points.map((p, i) => (i === corner ? to : p)) } };
}
