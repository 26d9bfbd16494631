import { z } from 'zod';
import { fixed } from '../kernel/quantity';
import { partId, partName, quantity } from '../kernel/schema';
import type { SheetFinding, SheetRule } from './sheetFinding';
import { caution, error, findingsBy, soundSheetWanted } from './sheetFinding';

/** A PV module's data sheet at standard test conditions. Temperature coefficients are per kelvin (1/K). */
export const moduleTypeSchema = z
  .object({
    id: partId,
    name: partName,
    pmaxW: quantity(50, 1000, 'W', 'Rated power'),
    uocV: quantity(5, 200, 'V', 'Open-circuit voltage'),
    iscA: quantity(0.5, 30, 'A', 'Short-circuit current'),
    umpV: quantity(4, 180, 'V', 'Voltage at maximum power'),
    impA: quantity(0.5, 30, 'A', 'Current at maximum power'),
    alphaIscPerK: quantity(-0.0005, 0.003, '1/K', 'Short-circuit current coefficient'),
    betaUocPerK: quantity(-0.006, -0.0018, '1/K', 'Open-circuit voltage coefficient, negative'),
    gammaPmaxPerK: quantity(-0.008, -0.0005, '1/K', 'Power coefficient, negative'),
    nmotC: quantity(30, 60, '°C', 'Cell temperature at 800 W/m², 20 °C, 1 m/s (NMOT or NOCT)'),
    cellsInSeries: quantity(20, 200, 'cells', 'Cells in series').int(),
    bypassDiodes: quantity(0, 6, 'diodes', 'Bypass diodes').int(),
    systemMaxV: quantity(100, 2000, 'V', 'Maximum system voltage'),
    fuseMaxA: quantity(5, 60, 'A', 'Maximum series fuse'),
    bifaciality: quantity(0, 0.95, '', 'Rear side to front side, 0 for single-sided'),
    uocTolerancePercent: quantity(0, 10, '%', 'Tolerance of the open-circuit voltage').nullable().default(null),
    lengthMm: quantity(200, 3500, 'mm', 'Length').nullable().default(null),
    widthMm: quantity(200, 2500, 'mm', 'Width').nullable().default(null),
  })
  .meta({ id: 'ModuleType' });

export type ModuleType = z.infer<typeof moduleTypeSchema>;
export type ModuleField = keyof ModuleType;

type Rule = SheetRule<ModuleType, ModuleField>;

const powerRatio = (m: ModuleType) => (m.umpV * m.impA) / m.pmaxW;
const fillFactor = (m: ModuleType) => (m.umpV * m.impA) / (m.uocV * m.iscA);
const cellV = (m: ModuleType) => m.uocV / m.cellsInSeries;
const percentPerK = (perK: number) => 100 * perK;
const percent = (perK: number) => `${fixed(percentPerK(perK), 3)} %/K`;
const outside = (x: number, lo: number, hi: number) => !(x >= lo && x <= hi);

/** Slips that turn up on typed data sheets, most harmful ones as errors. Limits: common practice. */
const RULES: Readonly<Record<string, Rule>> = {
  DS02: (m) => (m.impA >= m.iscA ? error('impA', 'Imp must be below Isc. Were the two swapped?') : undefined),
  DS03: (m) => (m.umpV >= m.uocV ? error('umpV', 'Vmp must be below Voc. Were the two swapped?') : undefined),
  DS04: (m) =>
    Math.abs(powerRatio(m) - 1) > 0.03
      ? error(
          'pmaxW',
          `Vmp × Imp gives ${fixed(m.umpV * m.impA, 1)} W but Pmax says ${m.pmaxW} W. One of the three belongs to another power class.`,
        )
      : undefined,
  DS05: (m) => {
    const off = Math.abs(powerRatio(m) - 1);
    return off > 0.01 && off <= 0.03
      ? caution('pmaxW', `Vmp × Imp and Pmax differ by ${fixed(100 * off, 1)} %. Check the power class column.`)
      : undefined;
  },
  DS06: (m) =>
    outside(fillFactor(m), 0.65, 0.85)
      ? error('uocV', `Fill factor ${fixed(fillFactor(m), 3)} is outside what silicon modules reach. A digit is wrong.`)
      : undefined,
  DS07: (m) =>
    !outside(fillFactor(m), 0.65, 0.85) && outside(fillFactor(m), 0.72, 0.83)
      ? caution('uocV', `Fill factor ${fixed(fillFactor(m), 3)} is unusual. Check Voc, Isc, Vmp, Imp.`)
      : undefined,
  DS08: (m) =>
    m.impA < m.iscA && outside(m.impA / m.iscA, 0.88, 0.98)
      ? caution('impA', `Imp/Isc is ${fixed(m.impA / m.iscA, 3)}; usual is 0.88 to 0.98.`)
      : undefined,
  DS09: (m) =>
    m.umpV < m.uocV && outside(m.umpV / m.uocV, 0.76, 0.9)
      ? caution('umpV', `Vmp/Voc is ${fixed(m.umpV / m.uocV, 3)}; usual is 0.76 to 0.90.`)
      : undefined,
  DS10: (m) =>
    m.betaUocPerK >= 0
      ? error('betaUocPerK', 'The Voc coefficient must be negative: the sign was lost. Cold makes voltage rise.')
      : undefined,
  DS11: (m) =>
    m.gammaPmaxPerK >= 0
      ? error('gammaPmaxPerK', 'The Pmax coefficient must be negative: the sign was lost.')
      : undefined,
  DS12: (m) =>
    outside(percentPerK(m.alphaIscPerK), 0, 0.12)
      ? caution('alphaIscPerK', 'The Isc coefficient is usually 0.03 to 0.07 %/K. Was it mA/K?')
      : undefined,
  DS13: (m) => {
    const b = percentPerK(m.betaUocPerK);
    return (b >= -0.6 && b < -0.4) || (b > -0.2 && b <= -0.18)
      ? caution('betaUocPerK', 'The Voc coefficient is usually −0.24 to −0.36 %/K. Check it.')
      : undefined;
  },
  DS14: (m) =>
    m.gammaPmaxPerK < 0 && outside(percentPerK(m.gammaPmaxPerK), -0.55, -0.2)
      ? caution('gammaPmaxPerK', 'The Pmax coefficient is usually −0.24 to −0.45 %/K.')
      : undefined,
  DS15: (m) =>
    outside(cellV(m), 0.3, 0.8)
      ? error('cellsInSeries', `Voc / cells is ${fixed(cellV(m), 3)} V. The cell count is wrong.`)
      : undefined,
  DS16: (m) =>
    cellV(m) >= 0.3 && cellV(m) < 0.45
      ? caution(
          'cellsInSeries',
          `Voc / cells is ${fixed(cellV(m), 3)} V: half-cut modules print twice the series count. Use ${m.cellsInSeries / 2}?`,
        )
      : undefined,
  DS17: (m) =>
    cellV(m) >= 0.45 && cellV(m) <= 0.8 && outside(cellV(m), 0.58, 0.77)
      ? caution('cellsInSeries', `Voc / cells is ${fixed(cellV(m), 3)} V; silicon is 0.60 to 0.76 V.`)
      : undefined,
  DS18: (m) =>
    m.bypassDiodes === 0
      ? caution('bypassDiodes', 'No bypass diodes: one shaded cell can stop the string.')
      : undefined,
  DS19: (m) =>
    m.bypassDiodes > 0 && cellV(m) >= 0.45 && m.cellsInSeries / m.bypassDiodes > 24
      ? caution(
          'bypassDiodes',
          `${fixed(m.cellsInSeries / m.bypassDiodes, 0)} cells per diode is more than usual. Check both numbers.`,
        )
      : undefined,
  DS20: (m) =>
    ![600, 1000, 1500].includes(m.systemMaxV)
      ? caution('systemMaxV', `System voltage ${m.systemMaxV} V is not a usual class.`)
      : undefined,
  DS21: (m) =>
    m.fuseMaxA < 1.5 * m.iscA
      ? caution(
          'fuseMaxA',
          `The printed fuse ${m.fuseMaxA} A is below 1.5 × Isc: no legal string fuse exists; at most ${1 + Math.floor(m.fuseMaxA / (1.25 * m.iscA))} strings in parallel.`,
        )
      : undefined,
  DS22: (m) => (outside(m.nmotC, 38, 52) ? caution('nmotC', `NMOT ${m.nmotC} °C is unusual (42 to 48).`) : undefined),
  DS23: (m) =>
    outside(m.bifaciality, 0, 0.95)
      ? error('bifaciality', 'Bifaciality is a ratio 0 to 0.95, not per cent.')
      : undefined,
  DS24: (m) => {
    const b = percentPerK(m.betaUocPerK);
    return b < -0.6 || (b > -0.18 && b < 0)
      ? error(
          'betaUocPerK',
          `${percent(m.betaUocPerK)} is no Voc coefficient of silicon. If the sheet says V/K or mV/K choose that unit: it would be ${fixed((100 * b) / m.uocV, 3)} or ${fixed((0.1 * b) / m.uocV, 5)} %/K.`,
        )
      : undefined;
  },
};

const REQUIRED = ['pmaxW', 'uocV', 'iscA', 'umpV', 'impA'] as const;

/**
 * Findings on a data sheet, DS01…DS24: errors block sizing, cautions show. DS01 ends the list.
 * Works on numbers out of range too, since it is what explains them to the person typing.
 * Source: common practice for silicon modules.
 */
export function sheetFindings(m: ModuleType): SheetFinding<ModuleField>[] {
  const missing = REQUIRED.find((field) => !(m[field] > 0));
  if (missing) return [{ code: 'DS01', ...error(missing, `Enter ${missing}: a number above 0 (use the STC column).`) }];
  return findingsBy(RULES, m);
}

/** What is asked for while a module's sheet has errors. */
export const moduleSheetWanted = (m: ModuleType): string[] => soundSheetWanted(m.name, sheetFindings(m));
