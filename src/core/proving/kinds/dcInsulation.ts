import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import type { Entry } from '../entry';
import { trueMs } from '../entry';
import { dcInsulationReading } from '../insulation';
import { PARTS_WITHIN_MS, measured, notThere, onString, resultOf } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  testV: quantity(50, 5000, 'V', 'Test voltage'),
  megohm: quantity(0, 1e5, 'MΩ', 'Resistance'),
  seconds: quantity(1, 3600, 's', 'Duration'),
  part: quantity(1, 12, '', 'Part of the split section').int().default(1),
  ofParts: quantity(1, 12, '', 'Parts it was split into; 1: whole').int().default(1),
});
type Values = z.output<typeof values>;

/** Insulation of a string against earth, the unit unplugged. A large section that reads low is split: it is proved when its parts are. */
export const DC_INSULATION = kind({
  kind: 'dc-insulation',
  title: 'Insulation of a string',
  scopes: ['string'],
  values,
  instrument: ['insulation tester', 'PV tester'],
  measured: ({ megohm, testV }) => [
    { of: 'insulation', value: megohm, path: 'megohm' },
    { of: 'test voltage', value: testV, path: 'testV' },
  ],
  gates: ['D-IR'],
  correctable: true,
  judge({ design, subject, entry, atMs, values: v, beside, day }) {
    const on = lineOf(design).string(subject.id);
    if (!on) return notThere(['D-IR']);
    const where = onString(on);
    const reading = (x: Values) =>
      dcInsulationReading(on.module, on.string.modules, x, entry.instrument, on.type?.dcMaxV ?? null);
    const own = measured(entry, day, ['D-IR'], where, ask(RULES.insulation, reading(v), where));
    const holds = own.says[0]?.result;
    if (v.ofParts === 1 || (holds !== 'pass' && holds !== 'caution')) return own;
    const parts = newestParts(entry, v, beside.near('dc-insulation', atMs, PARTS_WITHIN_MS));
    const others = [...parts].map((x) => resultOf(ask(RULES.insulation, reading(x), where)));
    const whole = parts.length === v.ofParts - 1 && others.every((r) => r === 'pass' || r === 'caution');
    return whole ? own : { checks: own.checks, says: [{ gate: 'D-IR', result: null }] };
  },
  form: () => ({
    schema: values,
    blank: { testV: null, megohm: null, seconds: null, part: 1, ofParts: 1 },
    groups: [{ title: '', paths: ['testV', 'megohm', 'seconds', 'part', 'ofParts'] }],
    caution:
      'Unit unplugged, arresters out, everyone off the array. The test puts up to 1500 V on it; wait for the tester to discharge.',
  }),
  line: (v) =>
    `${v.megohm} MΩ at ${v.testV} V, ${v.seconds} s${v.ofParts > 1 ? `, part ${v.part} of ${v.ofParts}` : ''}`,
  printed: {
    title: 'Insulation of the strings',
    columns: [
      { title: 'Reading', share: 1.2, right: true },
      { title: 'Test voltage', share: 1, right: true },
      { title: 'Duration', share: 1, right: true },
    ],
    row: (v) => [`${v.megohm} MΩ`, `${v.testV} V`, `${v.seconds} s`],
  },
});

/** The newest reading of every other part of the same split, done before this one. */
function newestParts(entry: Entry, own: Values, near: readonly Entry[]): Values[] {
  const newest = new Map<number, Values>();
  for (const r of near)
    if (DC_INSULATION.is(r) && r.id !== entry.id && r.subject.id === entry.subject.id && trueMs(r) <= trueMs(entry)) {
      if (r.values.ofParts !== own.ofParts) newest.clear();
      else if (r.values.part !== own.part) newest.set(r.values.part, r.values);
    }
  return [...newest.values()];
}
