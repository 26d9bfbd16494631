import { z } from 'zod';
import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { Lock } from './part';
import type { Plane, PvString, SiteInverter } from '../site/parts';
import type { StringsDesign } from './part';
import { ROUNDING } from '../kernel/rounding';
import { lineOf } from '../site/line';
import { coldOnSite } from './coldVoltage';
import { dcLimitSoFarV } from './dcLimit';
import { windowOnSite } from './window';

const PREDICATES = ['V01', 'V02', 'V03', 'V04', 'V05', 'V06', 'V07', 'V08', 'V09', 'V10', 'V11', 'V12'] as const;

/** A predicate of a legal layout that does not hold, in words. */
export const violationSchema = z.object({ predicate: z.enum(PREDICATES), text: z.string() });
export type Violation = Readonly<z.infer<typeof violationSchema>>;

/** What a layout says of itself, to be held against what it is. */
export interface StatedLayout {
  readonly objective: Readonly<Record<string, number>>;
  readonly bound: Readonly<Record<string, number>>;
  readonly proof: 'optimal' | 'gap';
  /** Modules left over, by plane; those of planes not named are none. */
  readonly unused: Readonly<Record<string, number>>;
}

/** A string where it hangs, with everything it touches looked up. */
interface Placed {
  readonly s: PvString;
  readonly plane: Plane;
  readonly module: ModuleType;
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly place: NonNullable<PvString['place']>;
}

/**
 * Looks at a layout with fresh eyes: from the design alone, with no code of any layout method. Empty when it is legal.
 * V01 modules accounted for · V02 length inside the window · V03 one class and one length a tracker · V04 every string on an input of its
 * own that exists, a Y-branch apart · V05 tracker and connector currents · V06 maximum DC power · V07 no string twice · V08 locks kept ·
 * V09 objective as stated · V10 best only where proved · V11 coldest-morning voltage by the sheet · V12 fuses where strings need them.
 */
export function verifyLayout(design: StringsDesign, stated?: StatedLayout): Violation[] {
  const placed = lookUp(design);
  return [
    ...modulesAccountedFor(design, stated),
    ...stringsOnce(design),
    ...places(design, placed),
    ...lengths(design, placed),
    ...trackers(design, placed),
    ...power(design, placed),
    ...design.locks.flatMap((lock) => lockKept(design, lock, placed)),
    ...(stated ? claims(design, placed, stated) : []),
  ];
}

const say = (predicate: Violation['predicate'], text: string): Violation => ({ predicate, text });

function lookUp(design: StringsDesign): Placed[] {
  const line = lineOf(design);
  return design.strings.flatMap((s): Placed[] => {
    const on = line.placed(s);
    return on?.place && on.unit && on.type
      ? [{ s, plane: on.plane, module: on.module, unit: on.unit, type: on.type, place: on.place }]
      : [];
  });
}

function modulesAccountedFor(design: StringsDesign, stated: StatedLayout | undefined): Violation[] {
  const used = new Map<string, number>();
  for (const s of design.strings) used.set(s.planeId, (used.get(s.planeId) ?? 0) + s.modules);
  return design.planes.flatMap((plane) => {
    const strung = used.get(plane.id) ?? 0;
    const accounted = strung + (stated?.unused[plane.id] ?? 0);
    if (strung > plane.moduleCount)
      return say('V01', `${plane.label}: ${plane.moduleCount} modules drawn, ${strung} in strings.`);
    return stated && accounted !== plane.moduleCount
      ? say('V01', `${plane.label}: ${plane.moduleCount} modules drawn, ${accounted} accounted for.`)
      : [];
  });
}

function stringsOnce(design: StringsDesign): Violation[] {
  const seen = new Set<string>();
  return design.strings.flatMap((s) => {
    if (seen.has(s.id)) return say('V07', `String ${s.number} appears twice.`);
    seen.add(s.id);
    return [];
  });
}

function places(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const byInput = new Map<string, Placed[]>();
  const known = new Set(placed.map((h) => h.s.id));
  const nowhere = design.strings
    .filter((s) => s.place !== null && !known.has(s.id))
    .map((s) => say('V04', `String ${s.number} hangs on an inverter that does not exist.`));
  const off = placed.flatMap((h) => {
    const at = `${h.unit.tag}.${h.place.tracker}.${h.place.input}`;
    const exists = h.place.tracker <= h.type.trackers && h.place.input <= h.type.inputsPerTracker;
    const group = byInput.get(at);
    if (group) group.push(h);
    else byInput.set(at, [h]);
    return exists ? [] : [say('V04', `${at} does not exist.`)];
  });
  const twice = [...byInput].flatMap(([at, group]) => {
    const branches = new Set(group.map((h) => h.place.branch));
    if (branches.size < group.length) return [say('V04', `${at} is used twice.`)];
    if (group.length === 1 && group[0]?.place.branch === 2)
      return [say('V04', `${at} has the second branch of a Y alone.`)];
    return new Set(group.map((h) => h.s.modules)).size > 1
      ? [say('V03', `${at}: a Y joins strings of different length.`)]
      : [];
  });
  return [...nowhere, ...off, ...twice];
}

function lengths(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const windows = new Map<string, ReturnType<typeof windowOnSite>>();
  return placed.flatMap(({ s, plane, module, unit, type }) => {
    const key = `${plane.id}|${type.id}`;
    const answer = windows.get(key) ?? windowOnSite(design.survey, plane, module, type);
    windows.set(key, answer);
    const w = answer.value;
    const found: Violation[] = [];
    if (w && (s.modules < w.minModules || s.modules > w.maxModules))
      found.push(
        say(
          'V02',
          `String ${s.number} has ${s.modules} modules; ${unit.tag} takes ${w.minModules} to ${w.maxModules}.`,
        ),
      );
    const one = coldOnSite(design.survey, plane, module).value?.uocColdV ?? null;
    const limitV = dcLimitSoFarV({ module, inverter: type, survey: design.survey });
    if (one !== null && s.modules * one > limitV * (1 + ROUNDING))
      found.push(
        say('V11', `String ${s.number}: ${(s.modules * one).toFixed(1)} V on the coldest morning; limit ${limitV} V.`),
      );
    return found;
  });
}

function trackers(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const groups = new Map<string, Placed[]>();
  for (const h of placed) {
    const key = `${h.unit.tag}.${h.place.tracker}`;
    const group = groups.get(key);
    if (group) group.push(h);
    else groups.set(key, [h]);
  }
  const oneA = (h: Placed) => (1 + h.module.bifaciality * REAR_SHARE[h.plane.mounting]) * h.module.iscA;
  return [...groups].flatMap(([name, group]) => {
    const [first] = group;
    if (!first) return [];
    const { type, module } = first;
    const found: Violation[] = [];
    const unlike = group.some(
      (h) => classKey(h) !== classKey(first) || h.module !== module || h.s.modules !== first.s.modules,
    );
    if (unlike) {
      const kinds = new Set(
        group.map(
          (h) => `${h.module.name}, ${h.plane.tiltDeg}° tilt, ${h.plane.azimuthDeg}° azimuth, ${h.s.modules} modules`,
        ),
      );
      found.push(say('V03', `${name} mixes ${[...kinds].join(' and ')}.`));
    }
    const amps = group.reduce((sum, h) => sum + (type.shortCircuitLimitIsStc ? 1 : 1.25) * oneA(h), 0);
    if (amps > type.trackerShortCircuitMaxA * (1 + ROUNDING))
      found.push(say('V05', `${name}: ${amps.toFixed(1)} A on ${type.trackerShortCircuitMaxA} A.`));
    for (const input of new Set(group.map((h) => h.place.input))) {
      const inputA = group.filter((h) => h.place.input === input).reduce((sum, h) => sum + 1.25 * oneA(h), 0);
      if (type.connectorMaxA !== null && inputA > type.connectorMaxA * (1 + ROUNDING))
        found.push(say('V05', `${name}.${input}: ${inputA.toFixed(1)} A on a ${type.connectorMaxA} A connector.`));
    }
    const reverseA = group.reduce((sum, h) => sum + 1.25 * oneA(h), 0) - Math.min(...group.map((h) => 1.25 * oneA(h)));
    if (reverseA > module.fuseMaxA * (1 + ROUNDING) && design.dcCable.fuseA === null)
      found.push(
        say(
          'V12',
          `${name}: ${group.length} strings need fuses (${reverseA.toFixed(1)} A back into one; module fuse ${module.fuseMaxA} A).`,
        ),
      );
    return found;
  });
}

function power(design: StringsDesign, placed: readonly Placed[]): Violation[] {
  const watts = new Map<string, number>();
  for (const h of placed) watts.set(h.unit.id, (watts.get(h.unit.id) ?? 0) + h.s.modules * h.module.pmaxW);
  return design.inverters.flatMap((unit) => {
    const [own, limit] = [watts.get(unit.id) ?? 0, lineOf(design).inverterType(unit.typeId)?.dcMaxW ?? null];
    return limit !== null && own > limit * (1 + ROUNDING)
      ? [say('V06', `${unit.tag}: ${(own / 1000).toFixed(1)} kW on ${(limit / 1000).toFixed(1)} kW.`)]
      : [];
  });
}

function lockKept(design: StringsDesign, lock: Lock, placed: readonly Placed[]): Violation[] {
  const broken = (what: string) => [say('V08', `The lock on ${what} was not kept.`)];
  const line = lineOf(design);
  const tag = (id: string) => line.tag(id);
  const label = (id: string) => line.planeLabel(id);
  switch (lock.kind) {
    case 'string': {
      const on = line.string(lock.stringId);
      return on?.place ? [] : broken(`string ${on?.string.number ?? lock.stringId}`);
    }
    case 'plane-length': {
      const own = placed.filter((h) => h.plane.id === lock.planeId);
      return own.some((h) => h.s.modules !== lock.modules)
        ? broken(`${lock.modules} modules a string on ${label(lock.planeId)}`)
        : [];
    }
    case 'plane-inverter': {
      const allowed = new Set(
        design.locks.flatMap((l) => (l.kind === 'plane-inverter' && l.planeId === lock.planeId ? [l.inverterId] : [])),
      );
      const own = placed.filter((h) => h.plane.id === lock.planeId);
      return own.some((h) => !allowed.has(h.unit.id))
        ? broken(`${label(lock.planeId)} to ${tag(lock.inverterId)}`)
        : [];
    }
    case 'inverter-empty':
      return placed.some((h) => h.unit.id === lock.inverterId) ? broken(`${tag(lock.inverterId)} empty`) : [];
    case 'free-trackers': {
      const own = placed.filter((h) => h.unit.id === lock.inverterId);
      const type = line.unit(lock.inverterId)?.type;
      const used = new Set(own.map((h) => h.place.tracker)).size;
      return type && type.trackers - used < lock.count
        ? broken(`${lock.count} free trackers of ${tag(lock.inverterId)}`)
        : [];
    }
    case 'no-doubling': {
      const seen = new Set<string>();
      const twice = placed.some((h) => {
        const key = `${h.unit.id}/${h.place.tracker}`;
        return seen.has(key) || !seen.add(key);
      });
      return twice ? broken('one string a tracker') : [];
    }
    case 'max-lengths':
      return distinctLengths(placed) > lock.count ? broken(`at most ${lock.count} lengths`) : [];
    case 'ratio': {
      const out = dcAcRatios(design, placed).some(
        (r) =>
          (lock.minPercent !== null && 100 * r < lock.minPercent - 1e-6) ||
          (lock.maxPercent !== null && 100 * r > lock.maxPercent + 1e-6),
      );
      return out ? broken('the DC/AC ratio') : [];
    }
    case 'use-all': {
      const used = placed.reduce((sum, h) => sum + h.s.modules, 0);
      return used < design.planes.reduce((sum, p) => sum + p.moduleCount, 0) ? broken('every module used') : [];
    }
  }
}

const classKey = (h: Placed) => `${h.module.id}|${h.plane.tiltDeg}|${h.plane.azimuthDeg}`;

function distinctLengths(placed: readonly Placed[]): number {
  return new Set(placed.map((h) => `${classKey(h)}|${h.s.modules}`)).size;
}

/** DC power over rated power of the units that the layout may fill. */
function dcAcRatios(design: StringsDesign, placed: readonly Placed[]): number[] {
  const empty = new Set(design.locks.flatMap((l) => (l.kind === 'inverter-empty' ? [l.inverterId] : [])));
  return design.inverters
    .filter((u) => !empty.has(u.id))
    .flatMap((u) => {
      const type = lineOf(design).inverterType(u.typeId);
      const watts = placed.filter((h) => h.unit.id === u.id).reduce((sum, h) => sum + h.s.modules * h.module.pmaxW, 0);
      return type ? [watts / type.ratedW] : [];
    });
}

function claims(design: StringsDesign, placed: readonly Placed[], stated: StatedLayout): Violation[] {
  const ratios = dcAcRatios(design, placed);
  const spread = ratios.length ? Math.max(...ratios) - Math.min(...ratios) : 0;
  const byClass = new Map<string, number[]>();
  for (const h of placed) byClass.set(classKey(h), [...(byClass.get(classKey(h)) ?? []), h.s.modules]);
  const kept = (unit: SiteInverter) =>
    design.locks.reduce((sum, l) => sum + (l.kind === 'free-trackers' && l.inverterId === unit.id ? l.count : 0), 0);
  const doubled = design.inverters.reduce((sum, unit) => {
    const type = lineOf(design).inverterType(unit.typeId);
    const strings = placed.filter((h) => h.unit.id === unit.id).length;
    return sum + Math.max(0, strings - ((type?.trackers ?? 0) - kept(unit)));
  }, 0);
  const homeRunM = placed.reduce((sum, h) => {
    const [a, b] = [h.plane.position, h.unit.position];
    if (!a || !b) return sum;
    const way = Math.abs(a.xM + h.plane.edgeM / 2 - b.xM) + Math.abs(a.yM - b.yM) + Math.abs(a.zM - b.zM);
    return sum + 2 * 1.1 * way;
  }, 0);
  const recomputed: Readonly<Record<string, number>> = {
    unused: design.planes.reduce((sum, p) => sum + p.moduleCount, 0) - placed.reduce((sum, h) => sum + h.s.modules, 0),
    balanceBand: Math.max(0, Math.ceil(spread / 0.05 - 1 - ROUNDING)),
    distinctLengths: distinctLengths(placed),
    homeRunM,
    lengthSpread: [...byClass.values()].reduce((sum, n) => sum + Math.max(...n) - Math.min(...n), 0),
    doubled,
  };
  const words: Readonly<Record<string, string>> = {
    unused: 'number of modules left over',
    balanceBand: 'balance band',
    distinctLengths: 'number of lengths',
    homeRunM: 'length of home runs',
    lengthSpread: 'spread of lengths',
    doubled: 'number of doubled strings',
  };
  const off = (a: number, b: number) => Math.abs(a - b) > 1e-6 * Math.max(1, Math.abs(b));
  const wrong = Object.entries(recomputed)
    .filter(
      ([level, value]) => off(stated.objective[level] ?? Number.NaN, value) || stated.objective[level] === undefined,
    )
    .map(([level, value]) =>
      say('V09', `The stated ${words[level]} is ${stated.objective[level]}; it recomputes to ${value}.`),
    );
  const proved = Object.keys(recomputed).every(
    (level) => !off(stated.bound[level] ?? Number.NaN, stated.objective[level] ?? 0),
  );
  const beyond = Object.keys(recomputed).some(
    (level) =>
      (stated.bound[level] ?? 0) > (stated.objective[level] ?? 0) + 1e-6 * Math.max(1, stated.objective[level] ?? 0),
  );
  const claimed = (stated.proof === 'optimal' && !proved) || beyond ? [say('V10', 'Claimed best without proof.')] : [];
  return [...wrong, ...claimed];
}

/** Share of light on the rear side by mounting, common practice; written down a second time on purpose, so that a slip in one shows. */
const REAR_SHARE: Readonly<Record<StringsDesign['planes'][number]['mounting'], number>> = {
  ground_rack: 0.1,
  tracker: 0.12,
  flat_roof_low: 0.03,
  flat_roof_white: 0.06,
  pitched_gap: 0,
  pitched_close: 0,
  flush: 0,
};
