import { fixed } from '../kernel/quantity';
import type { InverterType } from './inverterType';
import type { SheetFinding, SheetRule } from './sheetFinding';
import { caution, error, findingsBy, soundSheetWanted } from './sheetFinding';

export type InverterField = Exclude<keyof InverterType, 'bay'> | `bay.${keyof InverterType['bay']}`;

const outside = (x: number, lo: number, hi: number) => !(x >= lo && x <= hi);
const upsideDown = (low: number | null, high: number | null) => low !== null && high !== null && low > high;

/** Slips that turn up on typed data sheets of inverters. Limits: common practice. */
const RULES: Readonly<Record<string, SheetRule<InverterType, InverterField>>> = {
  IS01: (t) =>
    t.startV !== null && t.startV > t.mpptMaxV
      ? error(
          'startV',
          `Start-up ${t.startV} V lies above the tracking range, which ends at ${t.mpptMaxV} V: the unit would never start.`,
        )
      : undefined,
  IS02: (t) =>
    (t.fullPowerMinV !== null && t.fullPowerMinV < t.mpptMinV) ||
    (t.fullPowerMaxV !== null && t.fullPowerMaxV > t.mpptMaxV)
      ? error(
          'fullPowerMinV',
          `The full-power range ${t.fullPowerMinV ?? '–'} to ${t.fullPowerMaxV ?? '–'} V lies outside the tracking range ${t.mpptMinV} to ${t.mpptMaxV} V.`,
        )
      : undefined,
  IS03: (t) =>
    t.dcMaxW !== null && outside(t.dcMaxW / t.ratedW, 0.5, 4)
      ? error(
          'dcMaxW',
          `Maximum DC power is ${fixed(t.dcMaxW / t.ratedW, 2)} of the rated power: another unit, or another model’s line.`,
        )
      : undefined,
  IS04: (t) =>
    t.dcMaxW !== null && !outside(t.dcMaxW / t.ratedW, 0.5, 4) && outside(t.dcMaxW / t.ratedW, 1, 2.2)
      ? caution(
          'dcMaxW',
          `Maximum DC power is ${fixed(t.dcMaxW / t.ratedW, 2)} of the rated power; usual is 1.0 to 2.2.`,
        )
      : undefined,
  IS05: (t) =>
    t.ratedW > t.maxApparentVa
      ? error(
          'maxApparentVa',
          `Rated ${t.ratedW} W is more than the maximum apparent power of ${t.maxApparentVa} VA. Were the two swapped?`,
        )
      : undefined,
  IS06: ({ bay }) =>
    upsideDown(bay.glandClampMinMm, bay.glandClampMaxMm)
      ? error(
          'bay.glandClampMaxMm',
          `The gland clamps from ${bay.glandClampMinMm} mm to ${bay.glandClampMaxMm} mm: upside down.`,
        )
      : undefined,
  IS07: ({ bay }) =>
    upsideDown(bay.torqueMinNm, bay.torqueMaxNm)
      ? error('bay.torqueMaxNm', `Torque from ${bay.torqueMinNm} to ${bay.torqueMaxNm} N·m is upside down.`)
      : undefined,
  IS08: (t) =>
    upsideDown(t.lineMinV, t.lineMaxV) ||
    (t.lineMinV !== null && t.nominalLineV < t.lineMinV) ||
    (t.lineMaxV !== null && t.nominalLineV > t.lineMaxV)
      ? error(
          'lineMaxV',
          `The grid window ${t.lineMinV ?? '–'} to ${t.lineMaxV ?? '–'} V does not hold the nominal ${t.nominalLineV} V.`,
        )
      : undefined,
  IS09: ({ bay }) =>
    bay.glandSealSplitMm !== null &&
    ((bay.glandClampMinMm !== null && bay.glandSealSplitMm < bay.glandClampMinMm) ||
      (bay.glandClampMaxMm !== null && bay.glandSealSplitMm > bay.glandClampMaxMm))
      ? caution(
          'bay.glandSealSplitMm',
          `The inner seal comes out from ${bay.glandSealSplitMm} mm, outside what the gland clamps.`,
        )
      : undefined,
};

/** Findings on an inverter's data sheet, IS01…IS09: nothing that rests on a sheet with an error is judged; cautions show. Common practice. */
export const inverterFindings = (t: InverterType): SheetFinding<InverterField>[] => findingsBy(RULES, t);

/** What is asked for while an inverter's sheet has errors. */
export const inverterSheetWanted = (t: InverterType): string[] => soundSheetWanted(t.name, inverterFindings(t));
