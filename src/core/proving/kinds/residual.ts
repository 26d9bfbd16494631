import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  type: enumOf(['A', 'F', 'B', 'B+'] as const).meta({ description: 'Type' }),
  ratedMa: quantity(5, 30000, 'mA', 'Rated residual current'),
  delayed: z.boolean().meta({ description: 'Delayed (type S)' }),
  atRatedMs: quantity(0, 5000, 'ms', 'Trip time at 1 ×'),
  atFiveMs: quantity(0, 5000, 'ms', 'Trip time at 5 ×').nullable(),
  tripsAtHalf: z.boolean().meta({ description: 'Trips at half its rating' }),
  rampMa: quantity(0, 60000, 'mA', 'Trip current of the ramp'),
  smoothRamp: z.boolean().meta({ description: 'Ramp of smooth direct current' }),
  typeAAllowed: z.boolean().nullable().meta({ description: 'The unit’s maker allows another type than B' }),
});

/** The residual-current device of a run, tested: type, rating, times and ramp. */
export const RESIDUAL = kind({
  kind: 'residual',
  title: 'Residual-current device',
  scopes: ['inverter'],
  values,
  instrument: ['residual-current tester'],
  measured: ({ atRatedMs, atFiveMs, rampMa }) => [
    { of: 'trip time', value: atRatedMs, path: 'atRatedMs' },
    ...(atFiveMs === null ? [] : [{ of: 'trip time' as const, value: atFiveMs, path: 'atFiveMs' }]),
    { of: 'residual current', value: rampMa, path: 'rampMa' },
  ],
  gates: ['I-RCD'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-RCD']);
    const where = onUnit(on, 'run', 'residual-current device');
    const { delayed, atFiveMs } = v;
    const checks = ask(RULES.residual, { ...v, apparentKva: on.type.maxApparentVa / 1000 }, where);
    const atFive = atFiveMs === null ? [] : ask(RULES.residualFive, { delayed, atFiveMs }, where);
    return measured(entry, day, ['I-RCD'], where, checks.concat(atFive));
  },
  form: () => ({
    schema: values,
    blank: {
      type: 'B',
      ratedMa: null,
      delayed: false,
      atRatedMs: null,
      atFiveMs: null,
      tripsAtHalf: false,
      rampMa: null,
      smoothRamp: false,
      typeAAllowed: null,
    },
    groups: [{ title: '', paths: Object.keys(values.shape) }],
    caution: 'Live test: everyone off the run; the device will trip.',
  }),
  line: (v) => `type ${v.type}, ${v.ratedMa} mA, ${v.atRatedMs} ms`,
  printed: {
    title: 'Residual-current devices',
    columns: [
      { title: 'Type', share: 0.6 },
      { title: 'Rated', share: 0.8, right: true },
      { title: 'Trip time', share: 0.9, right: true },
      { title: 'Trip current', share: 1, right: true },
    ],
    row: (v) => [v.type, `${v.ratedMa} mA`, `${v.atRatedMs} ms`, `${v.rampMa} mA`],
  },
});
