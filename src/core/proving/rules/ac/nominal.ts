import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { NOMINALS_V, isNominal } from '../../measure/supplySignature';
import type { AcReading } from '../../readings/acReading';

/** The nominal voltage that everything AC is held against is one that supplies have. */
export const NOMINAL = rule<AcReading>()({
  id: 'proving.nominal',
  title: 'Nominal voltage is one that supplies have',
  unit: 'V',
  basis: practice(`${NOMINALS_V.join(', ')} V`),
  needs: {
    lineV: {
      as: 'nominal line voltage',
      of: ({ window }) => (window.value && isNominal(window.value.nominalV) ? window.value.nominalV : null),
      missing: ({ window }) =>
        window.value
          ? [`the nominal line voltage: ${window.value.nominalV} V is none that supplies have`]
          : window.missing,
    },
  },
  judge: ({ lineV }) => found('holds', () => [`${lineV} V`], { value: lineV }),
});
