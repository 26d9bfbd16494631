import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { sheetFindings } from '../equipment/moduleType';
import { fixed } from '../kernel/quantity';
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
  /** Codes of the handbook of this trade: SW03 no length fits, SW04 none keeps full power. */
  readonly notes: readonly { readonly code: 'SW03' | 'SW04'; readonly text: string }[];
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
 * V_lim smallest of inverter, module and legal limit. Cold cell = coldest ambient at dawn; hot cell by NMOT at 1000 W/m².
 * Missing inputs, a start-up voltage the sheet does not give among them, leave no window. Source: IEC 62548-1, coefficient method.
 */
export function stringWindow(i: WindowInputs): WindowAnswer {
  const { module: m, inverter: t } = i;
  const sheetErrors = sheetFindings(m)
    .filter((f) => f.severity === 'error')
    .map((f) => f.code);
  const missing = [
    ...(i.coldestC === null ? ['lowest design temperature'] : []),
    ...(i.hottestC === null ? ['hot design temperature'] : []),
    ...(i.dcLegalMaxV === null ? ['legal DC limit'] : []),
    ...(t.startV === null ? [`start-up voltage of ${t.name}`] : []),
    ...(sheetErrors.length ? [`a data sheet of ${m.name} without errors (${sheetErrors.join(', ')})`] : []),
  ];
  if (i.coldestC === null || i.hottestC === null || i.dcLegalMaxV === null || t.startV === null || sheetErrors.length) {
    return { window: null, missing };
  }
  const hotC = hotCellC(i.hottestC, m.nmotC, i.mounting);
  if (!(i.coldestC < hotC))
    return { window: null, missing: ['a cold design temperature below the hot cell temperature'] };

  const limits = [
    { by: `${t.name} maximum input voltage`, limitV: t.dcMaxV },
    { by: `${m.name} system voltage`, limitV: m.systemMaxV },
    { by: 'legal limit', limitV: i.dcLegalMaxV },
  ];
  const lowest = limits.reduce((a, b) => (b.limitV < a.limitV ? b : a));
  const uocColdV = openCircuitV(m, i.coldestC);
  const uocHotV = openCircuitV(m, hotC);
  const umpHotV = maximumPowerV(m, hotC);
  const umpColdV = maximumPowerV(m, i.coldestC);
  const maxModules = Math.floor(lowest.limitV / uocColdV + SLACK);
  const byTracking = Math.ceil(t.mpptMinV / umpHotV - SLACK);
  const byStart = Math.ceil(t.startV / uocHotV - SLACK);
  const minModules = Math.max(1, byTracking, byStart);
  const preferred = preferredLengths(t, umpHotV, umpColdV, minModules, maxModules);
  const notes = [
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
        `U_oc,cold = ${m.uocV} V × (1 + (${m.betaUocPerK}) × (${i.coldestC} − 25)) = ${v(uocColdV)} V`,
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
