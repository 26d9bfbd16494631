import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringReading } from '../../readings/stringReading';

/** Volts below zero from which a reading is reversed and not noise (common practice). */
const REVERSED_BELOW_V = -10;

/** Sign of the voltage at the plug, red on positive. */
export const POLARITY = rule<StringReading>()({
  id: 'proving.polarity',
  title: 'Polarity',
  unit: 'V',
  basis: published('IEC 62446-1, 6.3'),
  needs: {},
  judge: (_, { voltageV }) =>
    voltageV > 0
      ? found('holds', () => [`${fixed(voltageV, 1)} V with red on positive`], { value: voltageV })
      : found(
          'stop',
          () => [
            `${fixed(voltageV, 1)} V`,
            voltageV < REVERSED_BELOW_V
              ? 'Reversed: leave it unplugged, do not close the switch.'
              : 'No voltage: walk the string, listen for the click of each connector.',
          ],
          { value: voltageV },
        ),
});
