import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { InsulationReading } from '../../insulation';

/** Insulation resistance of a DC section or a dead AC run, MΩ. A reading that proves nothing leaves no verdict. */
export const RESISTANCE = rule<InsulationReading>()({
  id: 'proving.insulation',
  title: 'Insulation resistance',
  unit: 'MΩ',
  basis: published('IEC 62446-1, 6.7, Table 2; IEC 60364-6, Table 6.1'),
  reads: 'insulation',
  needs: { proof: { as: 'a test that proves something', answer: (r) => r.proof } },
  judge: ({ proof }, { megohm, minimumMohm, basis }) =>
    found(proof.verdict, () => [proof.text()], {
      value: megohm,
      limit: minimumMohm,
      margin: (100 * (megohm - minimumMohm)) / minimumMohm,
      basis,
    }),
});
