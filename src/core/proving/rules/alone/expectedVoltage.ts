import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringReading } from '../../readings/stringReading';

/** Departure from the expected value that passes and that is borne, per cent (common practice). */
const PASSES_PERCENT = 5;
const BORNE_PERCENT = 10;

/** How a string without sisters reads against the value expected in this light, V. */
export const EXPECTED_VOLTAGE = rule<StringReading>()({
  id: 'proving.expected-voltage',
  title: 'Reads as expected (no sisters yet)',
  unit: 'V',
  basis: practice('within 5 % of the expected value; 10 % at most'),
  needs: {},
  judge: (_, { modules, voltageV, ranking: { expected, deviationPercent: off } }) =>
    found(
      Math.abs(off) <= PASSES_PERCENT ? 'holds' : Math.abs(off) <= BORNE_PERCENT ? 'tight' : 'stop',
      () => [
        `${modules} × ${fixed(expected.moduleV, 2)} V = ${fixed(expected.stringV, 1)} V expected; ${fixed(off, 2)} %`,
      ],
      { value: voltageV, limit: expected.stringV },
    ),
});
