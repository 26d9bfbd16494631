import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import type { Entry, EntryOf } from '../entry';
import { dcInsulationReading } from '../insulation';
import { measured, notThere, onString } from '../judging';
import type { About, Judgement } from '../kind';
import { kind } from '../kind';
import { before, resultOfPart, withParts } from '../parts';
import { PROVING_RULES as RULES } from '../rules';

const values = z
  .object({
    testV: quantity(50, 5000, 'V', 'Test voltage'),
    megohm: quantity(0, 1e5, 'MΩ', 'Resistance'),
    seconds: quantity(1, 3600, 's', 'Duration'),
    part: quantity(1, 12, '', 'Part of the split section').int().default(1),
    ofParts: quantity(1, 12, '', 'Parts it was split into; 1: whole').int().default(1),
  })
  .refine((v) => v.part <= v.ofParts, { path: ['part'], message: 'There are no more parts than it was split into.' });
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
  judge(about): Judgement {
    const { design, subject, entry, values: v, day } = about;
    const on = lineOf(design).string(subject.id);
    if (!on) return notThere(['D-IR']);
    const where = onString(on);
    const judged = (r: Entry & { readonly values: Values }): Judgement => {
      const dcMaxV = on.type?.dcMaxV ?? null;
      const reading = dcInsulationReading(on.module, on.string.modules, r.values, dcMaxV);
      return measured(r, day, ['D-IR'], where, ask(RULES.insulation, reading, where));
    };
    if (v.ofParts === 1) return judged(entry);
    const readings = ofSameSplit(about);
    const parts = others(v).map((part) =>
      resultOfPart(about, {
        gate: 'D-IR',
        at: ['site', subject.id, ...(on.unit ? [on.unit.id] : [])],
        readings: readings.filter((r) => r.values.part === part),
        takes: [],
        judged: (r) => judged(r).says[0]?.result ?? null,
      }),
    );
    return withParts(judged(entry), parts);
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

type Part = Entry & EntryOf<'dc-insulation', Values>;

/** Parts beside the one that was read. */
const others = ({ part, ofParts }: Values): readonly number[] =>
  Array.from({ length: ofParts }, (_, i) => i + 1).filter((n) => n !== part);

/** Readings of the same string before this one, since it was last read whole or split into another number of parts. */
function ofSameSplit(about: About<Values>): readonly Part[] {
  const { subject, values } = about;
  const all = before(about, 'dc-insulation').filter(
    (r): r is Part => DC_INSULATION.is(r) && r.subject.id === subject.id,
  );
  return all.slice(all.findLastIndex((r) => r.values.ofParts !== values.ofParts) + 1);
}
