import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { sheetFindings } from '../equipment/moduleType';
import { fixed } from '../kernel/quantity';
import type { Plane, SiteDesign, Survey } from '../site/siteDesign';
import type { ColdMethod, EngineeredCold } from './coldVoltage';
import { coldModuleV } from './coldVoltage';
import { legalLimit } from './legalLimit';
import { maximumPowerV, openCircuitV } from './moduleAt';
import { hotCellC } from './temperature';
import type { Mounting } from './temperature';

/** What the length of a string is judged by. Null: nobody has said yet. */
export interface WindowInputs {
  readonly module: ModuleType;
  readonly inverter: InverterType;
  readonly mounting: Mounting;
  readonly coldestC: number | null;
  readonly hottestC: number | null;
  readonly dcLegalMaxV: number | null;
  readonly school: Survey['school'];
  readonly building: Survey['building'];
  readonly coldMethod: ColdMethod;
  readonly engineered: EngineeredCold;
}

export interface StringWindow {
  /** Smallest of inverter, module and legal limit, V, and which one it is. */
  readonly limitV: number;
  readonly limitedBy: string;
  readonly hotCellC: number;
  readonly uocColdV: number;
  readonly uocHotV: number;
  readonly umpHotV: number;
  readonly umpColdV: number;
  /** Legal lengths, modules. Empty when max < min. */
  readonly minModules: number;
  readonly maxModules: number;
  /** Lengths that also keep full power, inside the legal ones; null where the sheet gives no full-power range or none fits. */
  readonly preferred: { readonly min: number; readonly max: number } | null;
  /** SW03 no length fits, SW04 none keeps full power, SW06 an engineered cold voltage is questioned. */
  readonly notes: readonly { readonly code: 'SW03' | 'SW04' | 'SW06'; readonly text: string }[];
  readonly working: readonly string[];
}

export type WindowAnswer =
  | { readonly window: StringWindow; readonly missing: readonly [] }
  | { readonly window: null; readonly missing: readonly string[] };

/** A number that was built to sit on a limit holds: slack of the rounding. */
const SLACK = 1e-9;
const v = (x: number) => fixed(x, 2);

/**
 * Legal and preferred string lengths.
 *   n_max = ⌊V_lim / U_oc,cold⌋ · n_min = max(⌈V_mppt,min / U_mp,hot⌉, ⌈V_start / U_oc,hot⌉)
 *   preferred ⌈V_full,min / U_mp,hot⌉ … ⌊min(V_full,max, V_mppt,max) / U_mp,cold⌋, inside the legal ones
 * V_lim smallest of inverter, module, connector and legal limit. Cold cell = coldest ambient at dawn; hot cell by NMOT at 1000 W/m².
 * Missing inputs, a start-up or connector voltage the sheet does not give among them, leave no window.
 * Source: IEC 62548-1; NFPA 70 690.7 (recalled).
 */
export function stringWindow(i: WindowInputs): WindowAnswer {
  const { module: m, inverter: t } = i;
  const legal = legalLimit(i);
  const sheetErrors = sheetFindings(m)
    .filter((f) => f.severity === 'error')
    .map((f) => f.code);
  const missing = [
    ...(i.coldestC === null ? ['lowest design temperature'] : []),
    ...(i.hottestC === null ? ['hot design temperature'] : []),
    ...(legal === null ? ['legal DC limit, or whether the array is on a building'] : []),
    ...(t.connectorMaxV === null ? [`connector voltage of ${t.name}`] : []),
    ...(t.startV === null ? [`start-up voltage of ${t.name}`] : []),
    ...(sheetErrors.length ? [`a data sheet of ${m.name} without errors (${sheetErrors.join(', ')})`] : []),
  ];
  if (
    i.coldestC === null ||
    i.hottestC === null ||
    legal === null ||
    t.connectorMaxV === null ||
    t.startV === null ||
    sheetErrors.length
  ) {
    return { window: null, missing };
  }
  const cold = coldModuleV(m, i.coldestC, i.coldMethod, i.engineered);
  if (cold.uocColdV === null) return { window: null, missing: [cold.missing] };
  const hotC = hotCellC(i.hottestC, m.nmotC, i.mounting);
  if (!(i.coldestC < hotC))
    return { window: null, missing: ['a cold design temperature below the hot cell temperature'] };

  const limits = [
    { by: `${t.name} maximum input voltage`, limitV: t.dcMaxV },
    { by: `${m.name} system voltage`, limitV: m.systemMaxV },
    { by: `${t.name} connectors`, limitV: t.connectorMaxV },
    legal,
  ];
  const lowest = limits.reduce((a, b) => (b.limitV < a.limitV ? b : a));
  const { uocColdV } = cold;
  const uocHotV = openCircuitV(m, hotC);
  const umpHotV = maximumPowerV(m, hotC);
  const umpColdV = maximumPowerV(m, i.coldestC);
  const maxModules = Math.floor(lowest.limitV / uocColdV + SLACK);
  const byTracking = Math.ceil(t.mpptMinV / umpHotV - SLACK);
  const byStart = Math.ceil(t.startV / uocHotV - SLACK);
  const minModules = Math.max(1, byTracking, byStart);
  const preferred = preferredLengths(t, umpHotV, umpColdV, minModules, maxModules);
  const notes = [
    ...(cold.caution ? [{ code: 'SW06' as const, text: cold.caution }] : []),
    ...(maxModules < minModules
      ? [
          {
            code: 'SW03' as const,
            text: `No string length fits: cold needs at most ${maxModules}, heat needs at least ${minModules}. Module and inverter do not belong together.`,
          },
        ]
      : []),
    ...(maxModules >= minModules && preferred === 'none'
      ? [
          {
            code: 'SW04' as const,
            text: `Legal lengths ${minModules} to ${maxModules}, but none keeps full power at both ends.`,
          },
        ]
      : []),
  ];
  return {
    missing: [],
    window: {
      limitV: lowest.limitV,
      limitedBy: lowest.by,
      hotCellC: hotC,
      uocColdV,
      uocHotV,
      umpHotV,
      umpColdV,
      minModules,
      maxModules,
      preferred: preferred === 'none' ? null : preferred,
      notes,
      working: [
        `V_lim = min(${limits.map((l) => `${l.limitV} V`).join(', ')}) = ${lowest.limitV} V (${lowest.by})`,
        cold.working,
        `n_max = ⌊${lowest.limitV} / ${v(uocColdV)}⌋ = ${maxModules}`,
        `T_cell,hot = ${fixed(hotC, 2)} °C; U_mp,hot = ${v(umpHotV)} V, U_oc,hot = ${v(uocHotV)} V, U_mp,cold = ${v(umpColdV)} V`,
        `n_min = max(⌈${t.mpptMinV} / ${v(umpHotV)}⌉, ⌈${t.startV} / ${v(uocHotV)}⌉) = max(${byTracking}, ${byStart}) = ${minModules}`,
        preferred === null
          ? 'No full-power range on the data sheet'
          : preferred === 'none'
            ? 'No length keeps full power at both ends'
            : `full power: ${preferred.min} to ${preferred.max}`,
      ],
    },
  };
}

function preferredLengths(t: InverterType, umpHotV: number, umpColdV: number, minModules: number, maxModules: number) {
  if (t.fullPowerMinV === null || t.fullPowerMaxV === null) return null;
  const min = Math.max(minModules, Math.ceil(t.fullPowerMinV / umpHotV - SLACK));
  const max = Math.min(maxModules, Math.floor(Math.min(t.fullPowerMaxV, t.mpptMaxV) / umpColdV + SLACK));
  return min <= max ? { min, max } : ('none' as const);
}

/** How many kelvin colder the coldest morning may be before n modules reach the limit: x = (V_lim/n − U_oc,cold)/|β_V|. */
export function coldReserveK(m: ModuleType, w: StringWindow, modules: number): number {
  return (w.limitV / modules - w.uocColdV) / Math.abs(m.betaUocPerK * m.uocV);
}

/** What a window on a site rests on: a plane's module on an inverter type, under the survey. */
export function windowInputs(
  design: SiteDesign,
  plane: Plane,
  module: ModuleType,
  inverter: InverterType,
): WindowInputs {
  const { coldestC, hottestC, dcLegalMaxV, school, building, coldMethod, engineeredDocument } = design.survey;
  return {
    module,
    inverter,
    mounting: plane.mounting,
    coldestC,
    hottestC,
    dcLegalMaxV,
    school,
    building,
    coldMethod,
    engineered: { uocColdV: plane.engineeredUocColdV, document: engineeredDocument },
  };
}

/** The window of a plane's module on an inverter type, under the survey of the site. */
export function windowOnSite(
  design: SiteDesign,
  plane: Plane,
  module: ModuleType,
  inverter: InverterType,
): WindowAnswer {
  return stringWindow(windowInputs(design, plane, module, inverter));
}

/** One thing changed in the inputs, and the longest string that would be legal then. */
export interface Alternative {
  readonly change: string;
  readonly maxModules: number | null;
}

/** Voltage classes of DC equipment, V. */
const CLASSES_V = [600, 1000, 1100, 1500, 2000] as const;

/** What the longest legal string would be with the coldest morning 5 K off, by the other method, and in the voltage classes below and above. */
export function alternatives(i: WindowInputs): Alternative[] {
  const { window: now } = stringWindow(i);
  const longest = (over: Partial<WindowInputs>) => stringWindow({ ...i, ...over }).window?.maxModules ?? null;
  const off = (k: number) =>
    i.coldestC === null
      ? []
      : [{ change: k > 0 ? '5 K warmer' : '5 K colder', maxModules: longest({ coldestC: i.coldestC + k }) }];
  const other = i.coldMethod === 'table' ? 'coefficient' : 'table';
  const inClass = (limitV: number | undefined) =>
    now && limitV !== undefined
      ? [{ change: `everything at ${limitV} V`, maxModules: Math.floor(limitV / now.uocColdV + SLACK) }]
      : [];
  return [
    ...off(-5),
    ...off(5),
    { change: `by the ${other} method`, maxModules: longest({ coldMethod: other }) },
    ...inClass(now ? CLASSES_V.findLast((v) => v < now.limitV) : undefined),
    ...inClass(now ? CLASSES_V.find((v) => v > now.limitV) : undefined),
  ];
}
