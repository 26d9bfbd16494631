import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';
import { HOTTEST_AIR_C, LEAST_FACTOR, derating } from '../../siting/derating';

/** Share of its power a unit still gives in the hottest air around it at this altitude, against the least worth building. */
export const DERATING = rule<HungUnit>()({
  id: 'mounting.derating',
  title: 'Power left in the heat',
  unit: '%',
  basis: practice('usual curves, 45 to 60 °C and 2000 to 3000 m; the data sheet wins'),
  needs: {
    air: { as: 'air at the unit', answer: (h) => h.air },
    altitudeM: { as: 'altitude', of: (h) => h.survey.altitudeM },
  },
  judge: ({ air, altitudeM }) => {
    const airC = Math.min(HOTTEST_AIR_C, air.airC);
    const d = derating(airC, altitudeM);
    const share = (x: number | null) => (x === null ? 'outside its range' : x.toFixed(3));
    const value = 100 * d.factor;
    return found(
      d.verdict,
      () => [
        `f = f_T · f_h = ${share(d.ofTemperature)} · ${share(d.ofAltitude)} at ${fixed(airC, 1)} °C and ${altitudeM} m`,
        air.words,
      ],
      { value, limit: 100 * LEAST_FACTOR, margin: (100 * (value - 100 * LEAST_FACTOR)) / (100 * LEAST_FACTOR) },
    );
  },
});
