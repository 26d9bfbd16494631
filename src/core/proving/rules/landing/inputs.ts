import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';

/** One input at the unit with its string landed. */
export interface LandedInput {
  readonly name: string;
  /** Null: not read. */
  readonly voltageV: number | null;
  readonly limitV: number | null;
  /** Median of the like inputs read with it, carried to its length, V; null with fewer than three. */
  readonly alikeV: number | null;
  readonly modules: number;
}

/** How many modules an input may lie off the median of its like before it is another string (common practice). */
const OFF_MODULES = 0.5;

/** Sign and volts of every input at the unit: positive, under the limit, and like its neighbours in the same light. */
export const LANDED_INPUT = rule<LandedInput>()({
  id: 'proving.landed-input',
  title: 'Input reads positive and like its neighbours',
  unit: 'V',
  basis: practice('volts and sign at every input; half a module apart at most'),
  reads: 'DC voltage',
  needs: {
    voltageV: { as: 'voltage at this input', of: (i) => i.voltageV },
    limitV: { as: 'DC limit', of: (i) => i.limitV },
  },
  judge: ({ voltageV, limitV }, { name, alikeV, modules }) => {
    const off = alikeV === null ? 0 : modules * Math.abs(1 - voltageV / alikeV);
    const trouble =
      voltageV <= 0
        ? 'reversed or dead: do not close the switch'
        : voltageV > limitV
          ? 'over the DC limit: unplug it'
          : off > OFF_MODULES
            ? `${fixed(off, 2)} modules from its like: another string?`
            : null;
    return found(
      trouble ? 'stop' : 'holds',
      () => [
        `${name}: ${fixed(voltageV, 1)} V${alikeV === null ? '' : `; like inputs ${fixed(alikeV, 1)} V`}`,
        ...(trouble ? [trouble] : []),
      ],
      {
        value: voltageV,
        limit: limitV,
        margin: (100 * (limitV - voltageV)) / limitV,
      },
    );
  },
});
