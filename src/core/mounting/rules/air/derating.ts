import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';
import { LEAST_FACTOR, derating } from '../../siting/derating';

/** Share of its power a unit still gives in the hot design temperature at this altitude, against the least worth building. */
export const DERATING = rule<HungUnit>()({
  id: 'mounting.derating',
  title: 'Power left in the heat',
  unit: '%',
  basis: practice('usual curves, 45 to 60 °C and 2000 to 3000 m; the data sheet wins'),
  needs: {
    hottestC: { as: 'hot design temperature', of: (h) => h.survey.hottestC },
    altitudeM: { as: 'altitude', of: (h) => h.survey.altitudeM },
  },
  judge: ({ hottestC, altitudeM }) => {
    const d = derating(hottestC, altitudeM);
    const share = (x: number | null) => (x === null ? 'outside its range' : x.toFixed(3));
    const value = 100 * d.factor;
    return found(
      d.verdict,
      () => [`f = f_T · f_h = ${share(d.ofTemperature)} · ${share(d.ofAltitude)} at ${hottestC} °C and ${altitudeM} m`],
      { value, limit: 100 * LEAST_FACTOR, margin: (100 * (value - 100 * LEAST_FACTOR)) / (100 * LEAST_FACTOR) },
    );
  },
});
