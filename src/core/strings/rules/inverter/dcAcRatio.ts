import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { RATIO_LEAST_PERCENT, RATIO_MOST_PERCENT } from '../../dcAcRatio';
import type { LoadedInverter } from '../../onInput';

/** DC power over rated AC power, per cent. Outside the usual range wastes copper or sun and harms nothing: tight. */
export const DC_AC_RATIO = rule<LoadedInverter>()({
  id: 'strings.dc-ac-ratio',
  title: 'DC/AC ratio',
  unit: '%',
  basis: practice('90 to 150 % is usual'),
  needs: { dcW: { as: 'strings', of: (u) => u.dcW } },
  judge: ({ dcW }, { type: { ratedW } }) => {
    const percent = (100 * dcW) / ratedW;
    const [small, large] = [percent < RATIO_LEAST_PERCENT, percent > RATIO_MOST_PERCENT];
    return found(
      small || large ? 'tight' : 'holds',
      () => [
        `${fixed(dcW / 1000, 2)} kW / ${fixed(ratedW / 1000, 1)} kW = ${fixed(percent, 1)} %`,
        ...(small ? ['The inverter is larger than needed.'] : large ? ['Above the usual 150 %.'] : []),
      ],
      {
        value: percent,
        limit: RATIO_MOST_PERCENT,
        margin: large ? null : (100 * (RATIO_MOST_PERCENT - percent)) / RATIO_MOST_PERCENT,
      },
    );
  },
});
