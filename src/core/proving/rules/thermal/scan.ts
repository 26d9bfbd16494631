import type { Answer } from '../../../kernel/answer';
import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { ThermalSchool, ThermalVerdict } from '../../measure/thermalScan';
import { EXPONENT, RISE_MOST_K } from '../../measure/thermalScan';

export interface ThermalReading {
  readonly proof: Answer<ThermalVerdict>;
}

/** Hottest joint carried to full load, K over ambient and over a like joint. */
export const THERMAL_SCAN = rule<ThermalReading>()({
  id: 'proving.thermal-scan',
  title: 'Hottest joint at full load',
  unit: 'K',
  basis: published('NETA MTS, Table 100.18; IEC 61439-1, Table 6; load correction common practice'),
  needs: { proof: { as: 'a scan under load', answer: (r) => r.proof } },
  judge: ({ proof: { load, atFull, bySquare, asRead } }) =>
    found(
      atFull.verdict,
      () => [
        `at ${fixed(100 * load, 0)} % load, factor (I_max/I)^${EXPONENT}`,
        `${kelvin(atFull)} at full load`,
        `other schools: by the square of the current ${kelvin(bySquare)} (${bySquare.verdict}); as read ${kelvin(asRead)} (${asRead.verdict})`,
      ],
      {
        value: atFull.riseK,
        limit: RISE_MOST_K,
        margin: (100 * (RISE_MOST_K - atFull.riseK)) / RISE_MOST_K,
      },
    ),
});

const kelvin = ({ likeK, riseK }: ThermalSchool) =>
  `${fixed(likeK, 1)} K over a like joint, ${fixed(riseK, 1)} K over ambient`;
