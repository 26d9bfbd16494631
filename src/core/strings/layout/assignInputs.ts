import { ROUNDING } from '../../kernel/rounding';
import type { PvString } from '../../site/parts';
import { inPrintedOrder } from '../../site/line';
import { newString, onEdge, placeKey } from '../../site/parts';
import { shortestHandOut } from './handOut';
import type { FrozenString, LayoutCount, LayoutProblem } from './problem';
import { parallelOn } from './problem';

/** A string on its unit, not yet on a tracker. */
interface Landed {
  readonly string: PvString;
  readonly plane: number;
  readonly unit: number;
  readonly frozen: FrozenString | null;
}

/** Until it is numbered a new string goes by a name that no part of a design can have. */
const isNew = (s: PvString) => s.id.startsWith('~');

/**
 * Physical strings of each plane to units by the counts of a layout, with the shortest home runs.
 * Strings start side by side along the edge of their plane, so that the way to a unit is |x − x_u| plus what depends on the unit
 * alone: handing strings out from left to right to units from left to right is then the shortest (one-dimensional transport).
 * Where starts were typed they count instead, and the transport is solved. A string that may stay on its unit with its length stays; the
 * others share what is left.
 */
function landStrings(problem: LayoutProblem, counts: readonly LayoutCount[], before: readonly PvString[]): Landed[] {
  const frozenById = new Map(problem.frozen.map((f) => [f.stringId, f]));
  return problem.planes.flatMap((plane, p) => {
    const own = before.filter((s) => s.planeId === plane.id);
    const wanted = new Map<string, number>();
    const slot = (unit: number, modules: number) => `${unit}|${modules}`;
    for (const c of counts) if (c.plane === p) wanted.set(slot(c.unit, c.modules), c.strings);
    const landed = new Map<PvString, Landed>();
    const take = (string: PvString, unit: number, frozen: FrozenString | null) => {
      const left = wanted.get(slot(unit, string.modules)) ?? 0;
      if (left <= 0) return;
      wanted.set(slot(unit, string.modules), left - 1);
      landed.set(string, { string, plane: p, unit, frozen });
    };
    for (const s of own) {
      const frozen = frozenById.get(s.id);
      if (frozen) take(s, frozen.unit, frozen);
    }
    for (const s of own) {
      const unit = s.place ? problem.units.findIndex((u) => u.id === s.place?.inverterId) : -1;
      if (unit >= 0 && !landed.has(s)) take(s, unit, null);
    }
    const open = [...wanted]
      .flatMap(([key, strings]) => {
        const [unit, modules] = key.split('|').map(Number) as [number, number];
        return Array.from({ length: strings }, () => ({ unit, modules }));
      })
      .sort(
        (a, b) =>
          (problem.units[a.unit]?.position?.xM ?? a.unit) - (problem.units[b.unit]?.position?.xM ?? b.unit) ||
          a.unit - b.unit ||
          b.modules - a.modules,
      );
    const free = own.filter((s) => !landed.has(s));
    const handed = byPlace(problem, p, own, free, open) ?? free;
    const fresh = open.map(({ unit, modules }, i): Landed => {
      const reused = handed[i];
      const string = reused ? { ...reused, modules } : newString(`~${p}/${i}`, 0, plane.id, modules);
      return { string, plane: p, unit, frozen: null };
    });
    return [...own.flatMap((s) => landed.get(s) ?? []), ...fresh];
  });
}

/** A slot of a layout that no string fills yet. */
interface Slot {
  readonly unit: number;
  readonly modules: number;
}

/**
 * Free strings by the slots they go to, where somebody typed where strings start: those with the shortest ways in all. Null where nobody did,
 * or where a place is unknown: then the order along the edge decides.
 */
function byPlace(
  problem: LayoutProblem,
  plane: number,
  own: readonly PvString[],
  free: readonly PvString[],
  open: readonly Slot[],
): (PvString | undefined)[] | null {
  const edge = problem.planes[plane];
  const units = [...new Set(open.map((s) => s.unit))];
  const ends = units.flatMap((u) => problem.units[u]?.position ?? []);
  const going = free.slice(0, open.length);
  const starts = going.flatMap((s) => s.start ?? (edge && onEdge(edge, (own.indexOf(s) + 0.5) / own.length)) ?? []);
  if (going.every((s) => !s.start) || ends.length < units.length || starts.length < going.length) return null;
  const ways = starts.map((s) => ends.map((e) => Math.abs(s.xM - e.xM) + Math.abs(s.yM - e.yM)));
  const handed = shortestHandOut(
    ways,
    units.map((u) => open.filter((s) => s.unit === u).length),
  );
  const queues = units.map((_, at) => going.filter((_s, i) => handed[i] === at));
  return open.map(({ unit }) => queues[units.indexOf(unit)]?.shift());
}

/** Strings of one class and length on one unit. */
interface Group {
  readonly members: Landed[];
  readonly parallel: number;
  readonly trackers: number[];
}

/**
 * Trackers and inputs of one unit: groups in the order of their first string; each gets ⌈s/K⌉ trackers, spare ones go one by one to
 * the group with most strings a tracker; consecutive; strings spread evenly; inputs from 1. Frozen strings keep their tracker and input.
 */
function hangOnTrackers(problem: LayoutProblem, unit: number, members: readonly Landed[]): PvString[] {
  const groups = new Map<string, Group>();
  for (const m of members) {
    const key = `${problem.planes[m.plane]?.classKey}|${m.string.modules}`;
    const group = groups.get(key) ?? { members: [], parallel: parallelOn(problem, m.plane, unit), trackers: [] };
    groups.set(key, group);
    group.members.push(m);
    if (m.frozen && !group.trackers.includes(m.frozen.tracker)) group.trackers.push(m.frozen.tracker);
  }
  const all = [...groups.values()];
  const wanted = new Map(all.map((g) => [g, Math.max(g.trackers.length, Math.ceil(g.members.length / g.parallel))]));
  const most = problem.units[unit]?.trackers ?? 0;
  let spare = most - [...wanted.values()].reduce((a, b) => a + b, 0);
  for (; spare > 0; spare--) {
    const load = (g: Group) => g.members.length / (wanted.get(g) ?? 1);
    const fullest = all.reduce<Group | null>((a, b) => (load(b) > (a ? load(a) : 1) + ROUNDING ? b : a), null);
    if (!fullest) break;
    wanted.set(fullest, (wanted.get(fullest) ?? 0) + 1);
  }
  const taken = new Set(all.flatMap((g) => g.trackers));
  let next = 1;
  for (const g of all) {
    while (g.trackers.length < (wanted.get(g) ?? 0)) {
      while (taken.has(next)) next++;
      taken.add(next);
      g.trackers.push(next);
    }
    g.trackers.sort((a, b) => a - b);
  }
  return all.flatMap((g) => hangGroup(problem.units[unit]?.id ?? '', g));
}

function hangGroup(inverterId: string, group: Group): PvString[] {
  const inputs = new Map(group.trackers.map((t) => [t, new Set<number>()]));
  for (const { frozen } of group.members) if (frozen) inputs.get(frozen.tracker)?.add(frozen.input);
  // Consecutive strings share a tracker: each tracker's share is settled first, the extra ones on the first trackers.
  const share = new Map(group.trackers.map((t) => [t, inputs.get(t)?.size ?? 0]));
  for (let left = group.members.filter((m) => !m.frozen).length; left > 0; left--) {
    const emptiest = group.trackers.reduce((a, b) => ((share.get(b) ?? 0) < (share.get(a) ?? 0) ? b : a));
    share.set(emptiest, (share.get(emptiest) ?? 0) + 1);
  }
  let at = 0;
  return group.members.map(({ string, frozen }) => {
    if (frozen) return string;
    let tracker = group.trackers[at] ?? 1;
    while ((inputs.get(tracker)?.size ?? 0) >= (share.get(tracker) ?? 0) && at < group.trackers.length - 1)
      tracker = group.trackers[++at] ?? 1;
    const used = inputs.get(tracker) ?? new Set<number>();
    let input = 1;
    while (used.has(input)) input++;
    used.add(input);
    return { ...string, place: { inverterId, tracker, input, branch: 1 } };
  });
}

/** Numbers strings consecutively in the printed order of the inputs: unit by unit, tracker by tracker. Strings in `keep` keep theirs. */
export function numberStrings(
  strings: readonly PvString[],
  unitIds: readonly string[],
  keep: ReadonlySet<string> = new Set(),
): PvString[] {
  const taken = new Set(strings.filter((s) => keep.has(s.id)).map((s) => s.number));
  const ids = new Set(strings.filter((s) => !isNew(s)).map((s) => s.id));
  let next = 0;
  const numbered = new Map<PvString, PvString>();
  for (const s of inPrintedOrder(strings, unitIds)) {
    if (keep.has(s.id)) {
      numbered.set(s, s);
      continue;
    }
    do next++;
    while (taken.has(next));
    let id = s.id;
    for (let n = next; id.startsWith('~'); n += 10_000) if (!ids.has(`s-${n}`)) ids.add((id = `s-${n}`));
    numbered.set(s, { ...s, id, number: next });
  }
  return strings.map((s) => numbered.get(s) ?? s);
}

/** Same strings, same lengths, same unit as before: nothing on this unit has to move. */
function untouched(members: readonly Landed[], before: readonly PvString[], unitId: string): boolean {
  const was = before.filter((s) => s.place?.inverterId === unitId);
  const byId = new Map(was.map((s) => [s.id, s]));
  return was.length === members.length && members.every((m) => byId.get(m.string.id)?.modules === m.string.modules);
}

/** Legal as it hangs: one class and length a tracker, no input twice, inside the trackers in use. */
function hangsCleanly(problem: LayoutProblem, unit: number, members: readonly Landed[]): boolean {
  const kinds = new Map<number, string>();
  const keys = new Set<string>();
  const loads = new Map<number, number>();
  return members.every(({ string: s, plane }) => {
    if (!s.place) return false;
    const { tracker } = s.place;
    const kind = `${problem.planes[plane]?.classKey}|${s.modules}`;
    const load = (loads.get(tracker) ?? 0) + 1;
    loads.set(tracker, load);
    const clean =
      (kinds.get(tracker) ?? kind) === kind &&
      !keys.has(placeKey(s.place)) &&
      tracker <= (problem.units[unit]?.trackers ?? 0) &&
      load <= parallelOn(problem, plane, unit);
    kinds.set(tracker, kind);
    keys.add(placeKey(s.place));
    return clean;
  });
}

/**
 * Strings with unit, tracker, input and number, from the counts of a layout. Strings of before stay where they can: on their unit, and
 * on their input where nothing on the unit changed. With nothing before, numbers run in the printed order of the inputs.
 */
export function assignInputs(
  problem: LayoutProblem,
  counts: readonly LayoutCount[],
  before: readonly PvString[] = [],
): PvString[] {
  const landed = landStrings(problem, counts, before);
  const hung = new Map<string, PvString[]>();
  problem.units.forEach((unit, u) => {
    const members = landed.filter((l) => l.unit === u);
    const keep = untouched(members, before, unit.id) && hangsCleanly(problem, u, members);
    hung.set(unit.id, keep ? members.map((m) => m.string) : hangOnTrackers(problem, u, members));
  });
  const order = new Map(landed.map((l, i) => [l.string.id, i]));
  const all = problem.units
    .flatMap((u) => hung.get(u.id) ?? [])
    .sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0));
  const kept = new Set(all.filter((s) => !isNew(s)).map((s) => s.id));
  return numberStrings(
    all,
    problem.units.map((u) => u.id),
    kept,
  );
}
