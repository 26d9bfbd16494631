import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { classOf, inverterTypesById, modulesById } from '../site/edits';
import type { Plane, PvString, SiteDesign, SiteInverter } from '../site/siteDesign';
import { trackerCurrents } from './currents';
import { stringWindow } from './window';

export interface Layout {
  readonly strings: readonly PvString[];
  /** Modules that hang on nothing, by plane, and why. Empty when every module is used. */
  readonly remaining: readonly { readonly planeId: string; readonly modules: number; readonly reason: string }[];
  /** Inputs the layout could not do without: with any of them missing nothing is laid out. */
  readonly missing: readonly string[];
}

interface Lengths {
  readonly min: number;
  readonly max: number;
}

/**
 * Lengths that cut N modules into strings of lo…hi with the fewest left over, longest strings first, equal lengths preferred.
 * N can be cut whole iff ⌈N/hi⌉ ≤ ⌊N/lo⌋; s strings then have ⌊N/s⌋ or ⌈N/s⌉ modules. Otherwise as many as fit at hi.
 */
export function cutPlane(modules: number, { min, max }: Lengths): number[] {
  const fewest = Math.ceil(modules / max);
  const most = Math.floor(modules / min);
  if (fewest <= most && modules > 0) {
    const counts = Array.from({ length: most - fewest + 1 }, (_, i) => fewest + i);
    // One length on the whole plane is worth a string or two more: fewer mistakes on the roof.
    const count = counts.slice(0, 3).find((s) => modules % s === 0) ?? fewest;
    const short = Math.floor(modules / count);
    const long = modules - short * count;
    return Array.from({ length: count }, (_, i) => (i < long ? short + 1 : short));
  }
  return Array.from({ length: most }, () => max);
}

/** One inverter while it is being filled. */
interface Filling {
  readonly inverter: SiteInverter;
  readonly type: InverterType;
  /** Tracker by tracker: the strings on it, all of one class and length. */
  readonly trackers: { key: string; strings: PvString[] }[];
  dcW: number;
}

function distanceM(plane: Plane, inverter: SiteInverter): number {
  const a = plane.position;
  const b = inverter.position;
  return a && b ? Math.abs(a.xM - b.xM) + Math.abs(a.yM - b.yM) + Math.abs(a.zM - b.zM) : 0;
}

/**
 * A layout that is always legal: a tracker never mixes module type, tilt, azimuth or length.
 * Simple constructive method: cut each plane into strings, put tracker-fuls on the inverter with the lowest DC/AC ratio that
 * may take them (nearer first when equal), then spread doubled strings over free trackers. It proves nothing about being best.
 */
export function layoutStrings(design: SiteDesign): Layout {
  const modules = modulesById(design);
  const types = inverterTypesById(design);
  const fillings = design.inverters.flatMap((inverter): Filling[] => {
    const type = types.get(inverter.typeId);
    return type ? [{ inverter, type, trackers: [], dcW: 0 }] : [];
  });
  const missing = new Set<string>();
  const remaining: { planeId: string; modules: number; reason: string }[] = [];
  let number = 0;

  for (const plane of design.planes) {
    const module = modules.get(plane.moduleTypeId);
    if (!module || plane.moduleCount === 0) continue;
    const lengths = commonLengths(design, plane, module, fillings, missing);
    if (typeof lengths === 'string') {
      remaining.push({ planeId: plane.id, modules: plane.moduleCount, reason: lengths });
      continue;
    }
    const cut = cutPlane(plane.moduleCount, lengths);
    const uncut = plane.moduleCount - cut.reduce((sum, n) => sum + n, 0);
    if (uncut > 0) {
      remaining.push({
        planeId: plane.id,
        modules: uncut,
        reason: `${plane.moduleCount} modules cannot be cut into strings of ${lengths.min} to ${lengths.max} without a rest`,
      });
    }
    const strings = cut.map((n): PvString => ({
      id: `s-${++number}`,
      number,
      planeId: plane.id,
      modules: n,
      place: null,
    }));
    const homeless = hangOnTrackers(strings, plane, module, fillings);
    const left = homeless.strings.reduce((sum, s) => sum + s.modules, 0);
    if (left > 0) remaining.push({ planeId: plane.id, modules: left, reason: homeless.reason });
  }
  fillings.forEach(spreadDoubles);
  return { strings: fillings.flatMap(numbered), remaining, missing: [...missing] };
}

/** Lengths legal on every inverter that can take the plane's modules: the full-power ones where they use as many modules. */
function commonLengths(
  design: SiteDesign,
  plane: Plane,
  module: ModuleType,
  fillings: readonly Filling[],
  missing: Set<string>,
): Lengths | string {
  if (fillings.length === 0) return 'there is no inverter yet';
  let legal: Lengths = { min: 1, max: Infinity };
  let preferred: Lengths | null = { min: 1, max: Infinity };
  for (const type of new Set(fillings.map((f) => f.type))) {
    const answer = stringWindow({ module, inverter: type, mounting: plane.mounting, ...temperaturesOf(design) });
    if (!answer.window) {
      answer.missing.forEach((m) => missing.add(m));
      return `string lengths are unknown: ${answer.missing.join(', ')} missing`;
    }
    const w = answer.window;
    legal = { min: Math.max(legal.min, w.minModules), max: Math.min(legal.max, w.maxModules) };
    preferred = preferred &&
      w.preferred && { min: Math.max(preferred.min, w.preferred.min), max: Math.min(preferred.max, w.preferred.max) };
  }
  if (legal.max < legal.min) return `no string length is legal on every inverter type (${legal.min} to ${legal.max})`;
  const used = (l: Lengths) => cutPlane(plane.moduleCount, l).reduce((sum, n) => sum + n, 0);
  return preferred && preferred.min <= preferred.max && used(preferred) >= used(legal) ? preferred : legal;
}

export function temperaturesOf(design: SiteDesign) {
  const { coldestC, hottestC, dcLegalMaxV } = design.survey;
  return { coldestC, hottestC, dcLegalMaxV };
}

/** How many equal strings one tracker of the type bears: its inputs, its currents, the unfused modules. */
function stringsATracker(module: ModuleType, type: InverterType, plane: Plane): number {
  const connectorTooSmall =
    type.connectorMaxA !== null && trackerCurrents(module, type, plane.mounting, 1).inputA > type.connectorMaxA;
  return connectorTooSmall
    ? 0
    : Math.min(type.inputsPerTracker, trackerCurrents(module, type, plane.mounting, 1).maxStrings);
}

function hangOnTrackers(strings: readonly PvString[], plane: Plane, module: ModuleType, fillings: readonly Filling[]) {
  let reason = '';
  const homeless: PvString[] = [];
  for (const length of [...new Set(strings.map((s) => s.modules))].sort((a, b) => b - a)) {
    const key = `${classOf(plane)}|${length}`;
    const waiting = strings.filter((s) => s.modules === length);
    while (waiting.length > 0) {
      const best = roomiest(fillings, plane, module, key, waiting);
      if (typeof best === 'string') {
        reason = best;
        homeless.push(...waiting);
        break;
      }
      const taken = waiting.splice(0, best.count);
      const open = best.filling.trackers.find((t) => t.key === key && t.strings.length < best.capacity);
      if (open) open.strings.push(...taken);
      else best.filling.trackers.push({ key, strings: taken });
      best.filling.dcW += taken.reduce((sum, s) => sum + s.modules * module.pmaxW, 0);
    }
  }
  return { strings: homeless, reason };
}

/** The inverter whose DC/AC ratio stays lowest with the next tracker-ful, and how many strings go there; or why none takes any. */
function roomiest(
  fillings: readonly Filling[],
  plane: Plane,
  module: ModuleType,
  key: string,
  waiting: readonly PvString[],
) {
  const stringW = (waiting[0]?.modules ?? 0) * module.pmaxW;
  const offers = fillings.map((filling) => {
    const capacity = stringsATracker(module, filling.type, plane);
    const open = filling.trackers.find((t) => t.key === key && t.strings.length < capacity);
    const free = open ? capacity - open.strings.length : filling.trackers.length < filling.type.trackers ? capacity : 0;
    const watts =
      filling.type.dcMaxW === null ? Infinity : Math.floor((filling.type.dcMaxW - filling.dcW) / stringW + 1e-9);
    const count = Math.max(0, Math.min(free, waiting.length, watts));
    return {
      filling,
      capacity,
      free,
      count,
      ratio: (filling.dcW + count * stringW) / filling.type.ratedW,
      away: distanceM(plane, filling.inverter),
    };
  });
  const able = offers.filter((o) => o.count > 0);
  if (able.length === 0) {
    if (offers.every((o) => o.capacity === 0))
      return 'one string already carries more current than an input or a tracker stands';
    return offers.some((o) => o.free > 0)
      ? 'the inverters with a free tracker have reached their maximum DC power'
      : 'every tracker is taken';
  }
  return able.reduce((a, b) =>
    b.ratio < a.ratio - 1e-9 || (Math.abs(b.ratio - a.ratio) <= 1e-9 && b.away < a.away) ? b : a,
  );
}

/** Strings spread over the free trackers before any tracker carries two: each tracks its own maximum then. */
function spreadDoubles(filling: Filling): void {
  while (filling.trackers.length < filling.type.trackers) {
    const fullest = filling.trackers.reduce<Filling['trackers'][number] | null>(
      (a, b) => (b.strings.length > (a?.strings.length ?? 1) ? b : a),
      null,
    );
    const moved = fullest?.strings.pop();
    if (!fullest || !moved) return;
    const at = filling.trackers.indexOf(fullest);
    filling.trackers.splice(at + 1, 0, { key: fullest.key, strings: [moved] });
  }
}

function numbered(filling: Filling): PvString[] {
  return filling.trackers.flatMap((tracker, t) =>
    tracker.strings.map((s, i) => ({ ...s, place: { inverterId: filling.inverter.id, tracker: t + 1, input: i + 1 } })),
  );
}
