import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { acInsulationReading } from '../insulation';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  testV: quantity(50, 5000, 'V', 'Test voltage'),
  megohm: quantity(0, 1e5, 'MΩ', 'Lowest resistance of all pairs'),
  seconds: quantity(1, 3600, 's', 'Duration'),
});

/** Insulation of a dead AC run, both ends off and the neutral lifted: every pair, the lowest counts. */
export const AC_INSULATION = kind({
  kind: 'ac-insulation',
  title: 'Insulation of an AC run',
  scopes: ['inverter'],
  values,
  instrument: ['insulation tester'],
  measured: ({ megohm, testV }) => [
    { of: 'insulation', value: megohm, path: 'megohm' },
    { of: 'test voltage', value: testV, path: 'testV' },
  ],
  gates: ['I-ACIR'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-ACIR']);
    const where = onUnit(on, 'run', 'AC run');
    // By the unit's own nominal voltage as well as the survey's: the higher asks the higher test.
    const nominalV = Math.max(design.survey.lineV ?? 0, on.type.nominalLineV);
    return measured(entry, day, ['I-ACIR'], where, ask(RULES.insulation, acInsulationReading(nominalV, v), where));
  },
  form: () => ({
    schema: values,
    blank: { testV: null, megohm: null, seconds: null },
    groups: [{ title: 'Dead run, both ends off, N lifted', paths: ['testV', 'megohm', 'seconds'] }],
    caution: 'The test charges the cable: wait for the tester to discharge it before anybody touches it.',
  }),
  line: (v) => `${v.megohm} MΩ at ${v.testV} V, ${v.seconds} s`,
  printed: {
    title: 'Insulation of AC runs',
    columns: [
      { title: 'Reading', share: 1.2, right: true },
      { title: 'Test voltage', share: 1, right: true },
      { title: 'Duration', share: 1, right: true },
    ],
    row: (v) => [`${v.megohm} MΩ`, `${v.testV} V`, `${v.seconds} s`],
  },
});
