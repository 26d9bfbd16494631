import type { ModuleType } from '../../equipment/moduleType';
import { STC_C, STC_W_M2 } from '../../kernel/quantity';
import { inverterTypesById, modulesById } from '../../site/edits';
import type { SiteDesign } from '../../site/siteDesign';
import { lightOnPlane } from '../../sun/irradiance';
import type { WeatherYear } from '../../weather/weatherYear';
import { moduleModel, parametersAt } from '../curve/diode';
import type { ModuleModel } from '../curve/diode';
import { sharedMaximum } from '../curve/parallel';
import { homeRunLengths, homeRunOhm } from '../dcCable';
import { idealityV, openCircuitInLightV } from '../moduleAt';
import type { LitHour } from './lightStates';
import { clearSkyHours, fileHours } from './lightStates';

/** DC to AC of the inverter where its sheet gives no curve (common practice). */
export const AC_EFFICIENCY = 0.98;
/** Clearness where nobody entered any (common practice; the result says that it rests on it). */
export const CLEARNESS_WHERE_UNKNOWN = 0.6;
/** Under this light an open-circuit voltage proves nothing. */
const LEAST_LIGHT_WM2 = 20;

export interface UnitYear {
  readonly inverterId: string;
  readonly tag: string;
  readonly dcW: number;
  readonly ratedW: number;
  readonly dcKwh: number;
  readonly acKwh: number;
  readonly clippedKwh: number;
  readonly clippedPercent: number;
  readonly clippedHours: number;
  /** Hours with light in which no string reaches the start-up voltage. */
  readonly waitingHours: number;
}

export interface TrackerYear {
  readonly inverterId: string;
  readonly tracker: number;
  readonly strings: number;
  readonly dcKwh: number;
  /** What unlike strings on it cost against trackers of their own; 0 for like ones. */
  readonly mismatchKwh: number;
}

export interface YearResult {
  readonly units: readonly UnitYear[];
  readonly trackers: readonly TrackerYear[];
  /** Mean AC power of the site, kW, by month and hour of the day in standard time. */
  readonly heatMapKw: readonly (readonly number[])[];
  readonly monthlyKwh: readonly number[];
  readonly planes: readonly { readonly planeId: string; readonly label: string; readonly kwhM2: number }[];
  readonly globalKwhM2: number;
  readonly dcKwh: number;
  readonly acKwh: number;
  readonly clippedPercent: number;
  readonly mismatchKwh: number;
  readonly cableKwh: number;
  readonly kwhPerKwp: number;
  /** What the result rests on, and what is not in it. */
  readonly assumptions: readonly string[];
}

export type YearAnswer =
  | { readonly result: YearResult; readonly missing: readonly [] }
  | { readonly result: null; readonly missing: readonly string[] };

/** Strings of a tracker that see the same light and have the same length. */
interface Part {
  readonly plane: number;
  readonly modules: number;
  readonly strings: number;
  /** Sum of the cable resistances of its strings over their number, Ω. */
  readonly ohm: number;
}
interface Tracker {
  readonly unit: number;
  readonly tracker: number;
  readonly parts: readonly Part[];
  readonly mixed: boolean;
  /** Trackers mixed in the same way share one calculation an hour. */
  readonly mixKey: string;
}

export interface YearOptions {
  readonly year: number;
  readonly weather: WeatherYear | null;
  readonly onMonth?: (month: number) => void;
}

/**
 * Energy of a year, hour by hour.
 *   P_dc = P_stc·G_eff/1000·(1 + γ(T_c − 25))·(1 − loss), cable loss R·I² taken off, T_c by NOCT on the light of the plane
 *   P_ac = min(0.98·Σ P_dc, rating) · clipped = 100(1 − ΣP_ac/Σ 0.98·P_dc)
 * Unlike strings on one tracker are reckoned by their curves: the same power less what sharing a voltage costs.
 * Sun at mid-hour. Neither horizon, rows in front, snow nor the rear side are in it.
 * Source: NOCT method (IEC 61215), Hay & Davies 1980, De Soto 2006; common practice for losses.
 */
export function yearOfEnergy(design: SiteDesign, options: YearOptions): YearAnswer {
  const { survey, energy } = design;
  const missing = [
    ...(survey.latitudeDeg === null ? ['latitude'] : []),
    ...(survey.longitudeDeg === null ? ['longitude'] : []),
    ...(options.weather === null && energy.monthlyMeanC === null
      ? ['monthly mean temperatures, or a weather file']
      : []),
    ...(design.strings.some((s) => s.place) ? [] : ['strings on inputs']),
  ];
  if (survey.latitudeDeg === null || survey.longitudeDeg === null || missing.length) return { result: null, missing };
  const offsetH = energy.utcOffsetH ?? Math.round(survey.longitudeDeg / 15);
  const hours: Iterable<LitHour> = options.weather
    ? fileHours(options.weather, survey.latitudeDeg, survey.longitudeDeg)
    : clearSkyHours({
        year: options.year,
        latitudeDeg: survey.latitudeDeg,
        longitudeDeg: survey.longitudeDeg,
        utcOffsetH: offsetH,
        clearness: energy.clearness ?? Array.from({ length: 12 }, () => CLEARNESS_WHERE_UNKNOWN),
        monthlyMeanC: energy.monthlyMeanC ?? [],
        dailyRangeK: energy.dailyRangeK,
      });
  return { missing: [], result: summed(design, hours, options, assumptionsOf(design, options, offsetH)) };
}

function assumptionsOf(design: SiteDesign, { weather }: YearOptions, offsetH: number): string[] {
  const { energy } = design;
  return [
    ...(weather
      ? [`Weather: ${weather.label}.`, ...weather.notes]
      : ['No weather file: a clear sky dimmed by monthly clearness. It shows proportions, not a yield to promise.']),
    ...(weather === null && energy.clearness === null
      ? [`Clearness ${CLEARNESS_WHERE_UNKNOWN} every month: nobody entered any.`]
      : []),
    ...(energy.utcOffsetH === null && weather === null
      ? [`Standard time taken as UTC${offsetH >= 0 ? '+' : '−'}${Math.abs(offsetH)} from the longitude.`]
      : []),
    `Losses ${energy.lossPercent} %, inverter ${100 * AC_EFFICIENCY} %, ground ${energy.albedo}.`,
    design.dcCable.sectionMm2 === null
      ? 'DC cable: section not known, no cable loss taken off.'
      : `DC cable ${design.dcCable.sectionMm2} mm².`,
    'Not in it: horizon, rows in front, snow, the rear side of modules.',
  ];
}

function trackersOf(design: SiteDesign): Tracker[] {
  const planeAt = new Map(design.planes.map((p, i) => [p.id, i]));
  const unitAt = new Map(design.inverters.map((u, i) => [u.id, i]));
  const lengths = homeRunLengths(design.strings, design.planes, design.inverters);
  const { sectionMm2, conductorC } = design.dcCable;
  const groups = new Map<
    string,
    {
      unit: number;
      tracker: number;
      parts: Map<string, { plane: number; modules: number; strings: number; ohm: number }>;
    }
  >();
  for (const s of design.strings) {
    const plane = planeAt.get(s.planeId);
    const unit = s.place ? unitAt.get(s.place.inverterId) : undefined;
    if (!s.place || plane === undefined || unit === undefined) continue;
    const key = `${unit}/${s.place.tracker}`;
    const group = groups.get(key) ?? { unit, tracker: s.place.tracker, parts: new Map() };
    groups.set(key, group);
    const part = group.parts.get(`${plane}|${s.modules}`) ?? { plane, modules: s.modules, strings: 0, ohm: 0 };
    const lengthM = lengths.get(s.id) ?? null;
    part.ohm += sectionMm2 === null || lengthM === null ? 0 : homeRunOhm(lengthM, sectionMm2, conductorC);
    part.strings += 1;
    group.parts.set(`${plane}|${s.modules}`, part);
  }
  return [...groups.values()].map((g): Tracker => {
    const parts = [...g.parts.values()].map((p) => ({ ...p, ohm: p.ohm / p.strings }));
    return {
      unit: g.unit,
      tracker: g.tracker,
      parts,
      mixed: parts.length > 1,
      mixKey: `${design.inverters[g.unit]?.typeId}:${parts.map((p) => `${p.plane},${p.modules},${p.strings}`).join(';')}`,
    };
  });
}

interface LitPlane {
  readonly effectiveWm2: number;
  readonly cellC: number;
  /** Power of one module, W, before losses. */
  readonly moduleW: number;
  readonly currentA: number;
  /** Open-circuit voltage of one module, V; 0 where the light is too weak to tell. */
  readonly openV: number;
}

function summed(design: SiteDesign, hours: Iterable<LitHour>, options: YearOptions, assumptions: string[]): YearResult {
  const modules = modulesById(design);
  const types = inverterTypesById(design);
  const sheets = design.planes.map((p) => modules.get(p.moduleTypeId));
  const models = new Map<string, ModuleModel | null>();
  const modelOf = (m: ModuleType) => {
    if (!models.has(m.id)) models.set(m.id, moduleModel(m));
    return models.get(m.id) ?? null;
  };
  const trackers = trackersOf(design);
  const units = design.inverters.map((u) => ({
    unit: u,
    type: types.get(u.typeId),
    own: trackers.flatMap((tracker, index) => (design.inverters[tracker.unit] === u ? [{ tracker, index }] : [])),
  }));
  const kept = 1 - design.energy.lossPercent / 100;
  const trackerKwh = trackers.map(() => 0);
  const mismatchKwh = trackers.map(() => 0);
  const unitSums = units.map(() => ({ dc: 0, ac: 0, clipped: 0, clippedHours: 0, waiting: 0 }));
  const planeWh = design.planes.map(() => 0);
  const heat = Array.from({ length: 12 }, () => Array.from({ length: 24 }, () => 0));
  const monthlyKwh = Array.from({ length: 12 }, () => 0);
  let [cableWh, globalWh] = [0, 0];
  let month = -1;
  const usable = sheets.every(
    (m, i) => !m || !trackers.some((t) => t.mixed && t.parts.some((p) => p.plane === i)) || modelOf(m),
  );
  const said = usable
    ? assumptions
    : [...assumptions, 'A module sheet describes no real curve: mismatch on its trackers is not computed.'];

  for (const hour of hours) {
    if (hour.month !== month) options.onMonth?.((month = hour.month));
    for (const { weight, light } of hour.states) {
      globalWh += weight * light.globalWm2;
      const lit = design.planes.map((plane, p): LitPlane | null => {
        const m = sheets[p];
        if (!m) return null;
        const on = lightOnPlane(light, hour.sun, plane, hour.i0nWm2, design.energy.albedo);
        planeWh[p] = (planeWh[p] ?? 0) + weight * on.totalWm2;
        const cellC = hour.ambientC + ((m.nmotC - 20) / 800) * on.totalWm2;
        const sun = on.effectiveWm2 / STC_W_M2;
        return {
          effectiveWm2: on.effectiveWm2,
          cellC,
          moduleW: m.pmaxW * sun * (1 + m.gammaPmaxPerK * (cellC - STC_C)),
          currentA: m.impA * sun,
          openV: on.effectiveWm2 >= LEAST_LIGHT_WM2 ? openCircuitInLightV(m, cellC, on.effectiveWm2, idealityV(m)) : 0,
        };
      });
      const mixes = new Map<string, number>();
      const shareKept = (t: Tracker): number => {
        const known = mixes.get(t.mixKey);
        if (known !== undefined) return known;
        const found = mixKept(t, lit, sheets, modelOf, types.get(design.inverters[t.unit]?.typeId ?? ''));
        mixes.set(t.mixKey, found);
        return found;
      };
      units.forEach(({ type, own }, u) => {
        const sums = unitSums[u];
        if (!type || !sums || own.length === 0) return;
        let dcW = 0;
        let highestV = 0;
        for (const { tracker: t, index: i } of own) {
          let trackerW = 0;
          for (const part of t.parts) {
            const l = lit[part.plane];
            const m = sheets[part.plane];
            if (!l || !m) continue;
            const cableW = part.ohm * l.currentA * l.currentA;
            cableWh += weight * part.strings * cableW;
            trackerW += part.strings * Math.max(0, part.modules * l.moduleW * kept - cableW);
            highestV = Math.max(highestV, part.modules * l.openV);
          }
          if (t.mixed) {
            const share = shareKept(t);
            mismatchKwh[i] = (mismatchKwh[i] ?? 0) + (weight * trackerW * (1 - share)) / 1000;
            trackerW *= share;
          }
          trackerKwh[i] = (trackerKwh[i] ?? 0) + (weight * trackerW) / 1000;
          dcW += trackerW;
        }
        const wanted = AC_EFFICIENCY * dcW;
        const ac = Math.min(wanted, type.ratedW);
        sums.dc += (weight * dcW) / 1000;
        sums.ac += (weight * ac) / 1000;
        sums.clipped += (weight * (wanted - ac)) / 1000;
        if (wanted > type.ratedW) sums.clippedHours += weight;
        if (type.startV !== null && highestV > 0 && highestV < type.startV) sums.waiting += weight;
        const row = heat[hour.month];
        if (row) row[hour.hour] = (row[hour.hour] ?? 0) + (weight * ac) / 1000;
        monthlyKwh[hour.month] = (monthlyKwh[hour.month] ?? 0) + (weight * ac) / 1000;
      });
    }
  }

  const perUnit = units.map(({ unit, type, own }, u): UnitYear => {
    const s = unitSums[u] ?? { dc: 0, ac: 0, clipped: 0, clippedHours: 0, waiting: 0 };
    const dcW = own.reduce(
      (sum, { tracker: t }) =>
        sum + t.parts.reduce((w, p) => w + p.strings * p.modules * (sheets[p.plane]?.pmaxW ?? 0), 0),
      0,
    );
    return {
      inverterId: unit.id,
      tag: unit.tag,
      dcW,
      ratedW: type?.ratedW ?? 0,
      dcKwh: s.dc,
      acKwh: s.ac,
      clippedKwh: s.clipped,
      clippedPercent: s.ac + s.clipped > 0 ? (100 * s.clipped) / (s.ac + s.clipped) : 0,
      clippedHours: s.clippedHours,
      waitingHours: s.waiting,
    };
  });
  const total = (of: (u: UnitYear) => number) => perUnit.reduce((sum, u) => sum + of(u), 0);
  const acKwh = total((u) => u.acKwh);
  const clippedKwh = total((u) => u.clippedKwh);
  const dcW = total((u) => u.dcW);
  const days = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  return {
    units: perUnit,
    trackers: trackers.map((t, i) => ({
      inverterId: design.inverters[t.unit]?.id ?? '',
      tracker: t.tracker,
      strings: t.parts.reduce((sum, p) => sum + p.strings, 0),
      dcKwh: trackerKwh[i] ?? 0,
      mismatchKwh: mismatchKwh[i] ?? 0,
    })),
    heatMapKw: heat.map((row, m) => row.map((kwh) => kwh / (days[m] ?? 30))),
    monthlyKwh,
    planes: design.planes.map((p, i) => ({ planeId: p.id, label: p.label, kwhM2: (planeWh[i] ?? 0) / 1000 })),
    globalKwhM2: globalWh / 1000,
    dcKwh: total((u) => u.dcKwh),
    acKwh,
    clippedPercent: acKwh + clippedKwh > 0 ? (100 * clippedKwh) / (acKwh + clippedKwh) : 0,
    mismatchKwh: mismatchKwh.reduce((a, b) => a + b, 0),
    cableKwh: cableWh / 1000,
    kwhPerKwp: dcW > 0 ? acKwh / (dcW / 1000) : 0,
    assumptions: said,
  };
}

/** What is left of the power of unlike strings when they share a tracker, 0…1; 1 where a sheet describes no curve. */
function mixKept(
  t: Tracker,
  lit: readonly (LitPlane | null)[],
  sheets: readonly (ModuleType | undefined)[],
  modelOf: (m: ModuleType) => ModuleModel | null,
  type: { readonly mpptMinV: number; readonly mpptMaxV: number } | undefined,
): number {
  if (!type) return 1;
  const window = { minV: type.mpptMinV, maxV: type.mpptMaxV };
  const strings = [];
  for (const part of t.parts) {
    const [l, m] = [lit[part.plane], sheets[part.plane]];
    const model = m && modelOf(m);
    if (!l || !model) return 1;
    if (l.effectiveWm2 < 1) continue;
    const parameters = parametersAt(model, Math.min(1600, l.effectiveWm2), Math.min(120, l.cellC));
    for (let n = 0; n < part.strings; n++) strings.push({ parameters, modules: part.modules });
  }
  if (strings.length < 2) return 1;
  const { parallelW, separateW } = sharedMaximum(strings, window);
  return separateW > 0 ? parallelW / separateW : 1;
}

/** What is odd about a unit's DC/AC ratio or clipping, in words; empty where nothing is (common practice: 90 to 150 %, 3 % clipped). */
export function ratioWords(u: Pick<UnitYear, 'dcW' | 'ratedW' | 'clippedPercent'>): string {
  const percent = (100 * u.dcW) / u.ratedW;
  if (percent < 90) return 'larger than needed (SY02)';
  if (percent > 150) return 'above the usual 150 % (SY03)';
  return u.clippedPercent > 3 ? 'clips more than 3 % (SY04)' : '';
}
