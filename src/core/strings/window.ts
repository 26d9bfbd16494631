import { z } from 'zod';
import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import { inverterSheetWanted } from '../equipment/inverterSheet';
import { moduleSheetWanted } from '../equipment/moduleType';
import { fixed } from '../kernel/quantity';
import type { ModuleMounting } from '../equipment/moduleMounting';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { ceiled, floored } from '../kernel/rounding';
import type { Plane } from '../site/parts';
import type { Survey } from '../site/survey';
import type { ColdBy } from './coldVoltage';
import { coldBy, coldModuleV } from './coldVoltage';
import { dcLimit } from './dcLimit';
import { maximumPowerV, openCircuitV } from './moduleAt';
import { hotCellC } from './temperature';

/** What the length of a string is judged by. Null: nobody has said yet. */
export interface WindowInputs {
  readonly module: ModuleType;
  readonly inverter: InverterType;
  readonly mounting: ModuleMounting;
  readonly coldestC: number | null;
  readonly hottestC: number | null;
  readonly dcLegalMaxV: number | null;
  readonly school: Survey['school'];
  readonly building: Survey['building'];
  readonly cold: ColdBy;
}

/** Legal and preferred lengths of a string, with the voltages of one module behind them. */
export const stringWindowSchema = z
  .object({
    limitV: z.number().meta({ unit: 'V', description: 'The DC limit' }),
    limitedBy: z.string().meta({ description: 'Which of inverter, module, connectors and law it is' }),
    hotCellC: z.number(),
    uocColdV: z.number(),
    uocHotV: z.number(),
    umpHotV: z.number(),
    umpColdV: z.number(),
    minModules: z.number().meta({ description: 'Legal lengths; none where the most is below the least' }),
    maxModules: z.number(),
    preferred: z
      .object({ min: z.number(), max: z.number() })
      .readonly()
      .nullable()
      .meta({ description: 'Lengths that also keep full power; null without a full-power range, or where none fits' }),
    doubt: z
      .object({ verdict: z.enum(['tight', 'stop']), text: z.string() })
      .readonly()
      .nullable()
      .meta({ description: 'An engineered cold voltage that is questioned, or that no module has' }),
    notes: z
      .array(z.object({ code: z.enum(['SW03', 'SW04', 'SW06']), text: z.string() }).readonly())
      .readonly()
      .meta({
        description: 'SW03 no length fits, SW04 none keeps full power, SW06 an engineered cold voltage is questioned',
      }),
    working: z.array(z.string()).readonly(),
  })
  .meta({ id: 'StringWindow' });
export type StringWindow = Readonly<z.infer<typeof stringWindowSchema>>;

const v = (x: number) => fixed(x, 2);

/**
 * Legal and preferred string lengths.
 *   n_max = ⌊V_lim / U_oc,cold⌋ · n_min = max(⌈V_mppt,min / U_mp,hot⌉, ⌈V_start / U_oc,hot⌉)
 *   preferred ⌈V_full,min / U_mp,hot⌉ … ⌊V_full,max / U_mp,cold⌋, inside the legal ones
 * V_lim smallest of inverter, module, connector and legal limit. Cold cell = coldest ambient at dawn; hot cell by NMOT at 1000 W/m².
 * Missing inputs, a start-up or connector voltage the sheet does not give among them, leave no window.
 * Source: IEC 62548-1; NFPA 70 690.7 (recalled).
 */
export function stringWindow(i: WindowInputs): Answer<StringWindow> {
  const { module: m, inverter: t } = i;
  const limit = dcLimit({ module: m, inverter: t, survey: i });
  const missing = [
    ...(i.coldestC === null ? ['lowest design temperature'] : []),
    ...(i.hottestC === null ? ['hot design temperature'] : []),
    ...limit.missing,
    ...(t.startV === null ? [`start-up voltage of ${t.name}`] : []),
    ...moduleSheetWanted(m),
    ...inverterSheetWanted(t),
  ];
  if (i.coldestC === null || i.hottestC === null || limit.value === null || t.startV === null || missing.length)
    return lacking(...missing);
  const cold = coldModuleV(m, i.coldestC, i.cold);
  if (cold.value === null) return lacking(...cold.missing);
  const hotC = hotCellC(i.hottestC, m.nmotC, i.mounting);
  if (!(i.coldestC < hotC)) return lacking('a cold design temperature below the hot cell temperature');

  const { limitV, by: limitedBy, because } = limit.value;
  const { uocColdV, doubt, working: coldWorking } = cold.value;
  const uocHotV = openCircuitV(m, hotC);
  const umpHotV = maximumPowerV(m, hotC);
  const umpColdV = maximumPowerV(m, i.coldestC);
  const maxModules = doubt?.verdict === 'stop' ? 0 : floored(limitV / uocColdV);
  const byTracking = ceiled(t.mpptMinV / umpHotV);
  const byStart = ceiled(t.startV / uocHotV);
  const minModules = Math.max(1, byTracking, byStart);
  const preferred = preferredLengths(t, umpHotV, umpColdV, minModules, maxModules);
  const notes = [
    ...(doubt ? [{ code: 'SW06' as const, text: doubt.text }] : []),
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
  return known({
    limitV,
    limitedBy,
    hotCellC: hotC,
    uocColdV,
    uocHotV,
    umpHotV,
    umpColdV,
    minModules,
    maxModules,
    preferred: preferred === 'none' ? null : preferred,
    doubt,
    notes,
    working: [
      because,
      coldWorking,
      `n_max = ⌊${limitV} / ${v(uocColdV)}⌋ = ${maxModules}`,
      `T_cell,hot = ${fixed(hotC, 2)} °C; U_mp,hot = ${v(umpHotV)} V, U_oc,hot = ${v(uocHotV)} V, U_mp,cold = ${v(umpColdV)} V`,
      `n_min = max(⌈${t.mpptMinV} / ${v(umpHotV)}⌉, ⌈${t.startV} / ${v(uocHotV)}⌉) = max(${byTracking}, ${byStart}) = ${minModules}`,
      preferred === null
        ? 'No full-power range on the data sheet'
        : preferred === 'none'
          ? 'No length keeps full power at both ends'
          : `full power: ${preferred.min} to ${preferred.max}`,
    ],
  });
}

function preferredLengths(t: InverterType, umpHotV: number, umpColdV: number, minModules: number, maxModules: number) {
  if (t.fullPowerMinV === null || t.fullPowerMaxV === null) return null;
  const min = Math.max(minModules, ceiled(t.fullPowerMinV / umpHotV));
  const max = Math.min(maxModules, floored(t.fullPowerMaxV / umpColdV));
  return min <= max ? { min, max } : ('none' as const);
}

/**
 * How many kelvin colder the coldest morning may be before n modules reach the limit: x = (V_lim/n − U_oc,cold)/|β_V|.
 * V_lim, U_oc,cold of one module, V · β_V V/K · n modules, from 1. Negative where the limit is passed already.
 */
export function coldReserveK(m: ModuleType, w: StringWindow, modules: number): number {
  return (w.limitV / modules - w.uocColdV) / Math.abs(m.betaUocPerK * m.uocV);
}

/** What a window on a site rests on: a plane's module on an inverter type, under the survey; the site's rated power, W, for the clause that asks it. */
export function windowInputs(
  survey: Survey,
  plane: Plane,
  module: ModuleType,
  inverter: InverterType,
  siteW: number | null,
): WindowInputs {
  const { coldestC, hottestC, dcLegalMaxV, school, building } = survey;
  return {
    module,
    inverter,
    mounting: plane.mounting,
    coldestC,
    hottestC,
    dcLegalMaxV,
    school,
    building,
    cold: coldBy(survey, plane, siteW),
  };
}

/** The window of a plane's module on an inverter type, under the survey of the site. */
export function windowOnSite(
  survey: Survey,
  plane: Plane,
  module: ModuleType,
  inverter: InverterType,
  siteW: number | null,
): Answer<StringWindow> {
  return stringWindow(windowInputs(survey, plane, module, inverter, siteW));
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
  const now = stringWindow(i).value;
  const longest = (over: Partial<WindowInputs>) => stringWindow({ ...i, ...over }).value?.maxModules ?? null;
  const off = (k: number) =>
    i.coldestC === null
      ? []
      : [{ change: k > 0 ? '5 K warmer' : '5 K colder', maxModules: longest({ coldestC: i.coldestC + k }) }];
  const other = i.cold.method === 'table' ? 'coefficient' : 'table';
  const inClass = (limitV: number | undefined) =>
    now && limitV !== undefined
      ? [{ change: `everything at ${limitV} V`, maxModules: floored(limitV / now.uocColdV) }]
      : [];
  return [
    ...off(-5),
    ...off(5),
    { change: `by the ${other} method`, maxModules: longest({ cold: { ...i.cold, method: other } }) },
    ...inClass(now ? CLASSES_V.findLast((v) => v < now.limitV) : undefined),
    ...inClass(now ? CLASSES_V.find((v) => v > now.limitV) : undefined),
  ];
}
