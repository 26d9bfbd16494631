import { z } from 'zod';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Check } from '../../kernel/check';
import { quantity } from '../../kernel/schema';
import { inSeries } from '../fault/network';
import type { RunResult } from '../results';
import { RESISTANCE } from '../rules/readings/resistance';
import type { VoltagePath } from './path';
import { resistanceByTwoReadings } from './twoReadings';

const volts = (description: string) => quantity(150, 1200, 'V', description).nullable();
const kilowatts = (description: string) => quantity(0, 100_000, 'kW', description).nullable();

/** What is read at two powers, at the unit and at the board in the same minute. */
export const readingsSchema = z.object({
  unitFirstV: volts('First, at the unit, line to line'),
  boardFirstV: volts('First, at the board, line to line'),
  unitFirstKw: kilowatts('First, power of the unit'),
  siteFirstKw: kilowatts('First, power of all units'),
  unitSecondV: volts('Second, at the unit, line to line'),
  boardSecondV: volts('Second, at the board, line to line'),
  unitSecondKw: kilowatts('Second, power of the unit'),
  siteSecondKw: kilowatts('Second, power of all units'),
});
export type Readings = z.infer<typeof readingsSchema>;

const NEEDED = 'both readings of voltage and power';
const W = 1000;

/** Of readings that are not all there, or too near each other, there is no resistance. */
function resistance(values: readonly (number | null)[]): Answer<number> {
  const [nearA, farA, kwA, nearB, farB, kwB] = values;
  if (nearA == null || farA == null || kwA == null || nearB == null || farB == null || kwB == null)
    return lacking(NEEDED);
  try {
    return known(
      resistanceByTwoReadings(
        { nearV: nearA, farV: farA, powerW: W * kwA },
        { nearV: nearB, farV: farB, powerW: W * kwB },
      ),
    );
  } catch (cause) {
    if (!(cause instanceof RangeError)) throw cause;
    return lacking('two readings at least 1 kW apart');
  }
}

/** Whose the voltage is: the run by unit and board, the source by the board alone and the power of all units. */
export function readingChecks(r: Readings, run: RunResult, path: Answer<VoltagePath>): readonly Check[] {
  const own = resistance([r.unitFirstV, r.boardFirstV, r.unitFirstKw, r.unitSecondV, r.boardSecondV, r.unitSecondKw]);
  // The source behind everything is not read: it is taken to stay where it is, at the first of the two.
  const source = resistance([
    r.boardFirstV,
    r.boardFirstV,
    r.siteFirstKw,
    r.boardSecondV,
    r.boardFirstV,
    r.siteSecondKw,
  ]);
  const { impedance, inverter } = run;
  const runOhm = impedance.value ? known(impedance.value.ohm) : lacking<number>(...impedance.missing);
  const sourceOhm = path.value ? known(inSeries(...path.value.trunk).ohm) : lacking<number>(...path.missing);
  return [
    RESISTANCE.check(
      { part: 'run', readOhm: own, calculatedOhm: runOhm },
      { element: 'run', path: `${inverter.tag} / AC run`, id: inverter.id },
    ),
    RESISTANCE.check(
      { part: 'source', readOhm: source, calculatedOhm: sourceOhm },
      { element: 'grid', path: 'grid to board' },
    ),
  ];
}
