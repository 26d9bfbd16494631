import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  workedBy: enumOf(['service disconnect', 'PV system disconnect', 'rapid shutdown switch'] as const).meta({
    description: 'Worked by',
  }),
  seconds: quantity(0, 600, 's', 'From then to the reading'),
  outsideV: quantity(0, 2000, 'V', 'Highest outside the array, between conductors and to earth'),
  insideV: quantity(0, 2000, 'V', 'Highest inside the array').nullable(),
  listedSystem: z
    .string()
    .trim()
    .max(120)
    .default('')
    .meta({ description: 'Listed hazard control system inside the array, by its name, where there is one' }),
});

/** Rapid shutdown worked while a unit feeds: what its DC conductors still carry half a minute later. */
export const RAPID_SHUTDOWN = kind({
  kind: 'rapid-shutdown',
  title: 'Rapid shutdown',
  scopes: ['inverter'],
  values,
  instrument: ['multimeter', 'PV tester'],
  measured: (v) => [
    { of: 'DC voltage', value: v.outsideV, path: 'outsideV' },
    ...(v.insideV === null ? [] : [{ of: 'DC voltage' as const, value: v.insideV, path: 'insideV' }]),
  ],
  gates: ['I-RAPID'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-RAPID']);
    const where = onUnit(on, 'inverter', 'rapid shutdown');
    return measured(entry, day, ['I-RAPID'], where, ask(RULES.rapid, v, where));
  },
  form: () => ({
    schema: values,
    blank: { workedBy: '', seconds: null, outsideV: null, insideV: null, listedSystem: '' },
    groups: [{ title: '', paths: Object.keys(values.shape) }],
    caution:
      'Clips on before it is worked, hands off while it is live. It makes no conductor dead: isolate and prove before hands go in.',
  }),
  line: ({ seconds, outsideV, insideV, listedSystem }) =>
    `${outsideV} V outside, ${insideV === null ? listedSystem || 'not read' : `${insideV} V`} inside after ${seconds} s`,
  printed: {
    title: 'Rapid shutdown (it makes no conductor dead)',
    columns: [
      { title: 'Worked by', share: 1.4 },
      { title: 'After', share: 0.8, right: true },
      { title: 'Outside', share: 0.8, right: true },
      { title: 'Inside', share: 1 },
    ],
    row: (v) => [
      v.workedBy,
      `${v.seconds} s`,
      `${v.outsideV} V`,
      v.listedSystem || (v.insideV === null ? '–' : `${v.insideV} V`),
    ],
  },
});
