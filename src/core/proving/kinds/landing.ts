import { z } from 'zod';
import type { SiteDesign } from '../../design';
import { medianOfSorted } from '../../kernel/statistics';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { partId, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { classOf } from '../../site/parts';
import { dcLimitOn } from '../../strings/dcLimit';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';
import { SISTERS_MIN } from '../sisters';

const voltageV = quantity(-2000, 3000, 'V', 'Voltage at the input');
const values = z.object({
  inputs: z
    .array(z.object({ stringId: partId, voltageV }))
    .min(1)
    .max(600),
  clicked: z
    .literal(true, { error: 'Click and pull every plug.' })
    .meta({ description: 'Every plug clicked and pulled' }),
  capped: z.literal(true, { error: 'Cap every unused input.' }).meta({ description: 'Unused inputs capped' }),
});
type Values = z.output<typeof values>;

function inputsOf(design: SiteDesign, unitId: string, v: Values) {
  const line = lineOf(design);
  const read = new Map(v.inputs.map((i) => [i.stringId, i.voltageV]));
  const hung = (line.unit(unitId)?.strings ?? []).flatMap((s) => {
    const on = line.placed(s);
    return on ? [{ on, volts: read.get(s.id) ?? null, like: classOf(on.plane) }] : [];
  });
  // Volts per module of like strings, in rising order.
  const moduleV = new Map<string, number[]>();
  for (const { on, volts, like } of hung) {
    if (volts === null || !(volts > 0)) continue;
    const of = moduleV.get(like);
    if (of) of.push(volts / on.string.modules);
    else moduleV.set(like, [volts / on.string.modules]);
  }
  for (const of of moduleV.values()) of.sort((a, b) => a - b);
  return hung.map(({ on, volts, like }) => {
    const { modules } = on.string;
    const all = moduleV.get(like) ?? [];
    const own = volts === null ? -1 : all.indexOf(volts / modules);
    const others = own < 0 ? all : all.filter((_, i) => i !== own);
    const limit = dcLimitOn(on, design.survey)?.value;
    return {
      name: `tracker ${on.place?.tracker} input ${on.place?.input}, string ${on.string.number}`,
      voltageV: volts,
      limitV: limit?.limitV ?? null,
      alikeV: others.length >= SISTERS_MIN ? medianOfSorted(others) * modules : null,
      modules,
    };
  });
}

/** Every string landed: volts and sign at every input of the unit, plugs clicked and pulled, unused inputs capped. */
export const LANDING = kind({
  kind: 'landing',
  title: 'Strings landed at the unit',
  scopes: ['inverter'],
  values,
  instrument: ['PV tester', 'multimeter'],
  measured: (v) => v.inputs.map((i, n) => ({ of: 'DC voltage', value: i.voltageV, path: `inputs.${n}.voltageV` })),
  gates: ['I-DCLAND'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    const inputs = inputsOf(design, subject.id, v);
    if (!on || inputs.length === 0) return notThere(['I-DCLAND']);
    const where = onUnit(on, 'inverter', 'DC inputs');
    return measured(
      entry,
      day,
      ['I-DCLAND'],
      where,
      inputs.flatMap((i) => ask(RULES.landing, i, where)),
    );
  },
  form: (design, subject) => {
    const line = lineOf(design);
    const strings = line.printedStrings.filter((s) => s.place?.inverterId === subject.id);
    const named = (i: number) => `input${i}`;
    const words = (s: (typeof strings)[number]) =>
      `${s.place?.tracker}.${s.place?.input}${s.place?.branch === 2 ? ' Y' : ''} · string ${s.number}`;
    return {
      schema: z.object({
        ...Object.fromEntries(strings.map((s, i) => [named(i), voltageV.meta({ unit: 'V', description: words(s) })])),
        clicked: z.boolean().meta({ description: 'Every plug clicked and pulled' }),
        capped: z.boolean().meta({ description: 'Unused inputs capped' }),
      }),
      blank: { ...Object.fromEntries(strings.map((_, i) => [named(i), null])), clicked: false, capped: false },
      groups: [
        { title: 'Volts at every input, red on positive', paths: strings.map((_, i) => named(i)) },
        { title: '', paths: ['clicked', 'capped'] },
      ],
      toValues: ({ clicked, capped, ...typed }) => ({
        inputs: strings.map((s, i) => ({ stringId: s.id, voltageV: typed[named(i)] })),
        clicked,
        capped,
      }),
      caution: 'Strings in light are live. Switches open, one input at a time, never a plug under current.',
    };
  },
  line: (v) => {
    const volts = v.inputs.map((i) => i.voltageV);
    return `${volts.length} inputs, ${fixed(Math.min(...volts), 1)} to ${fixed(Math.max(...volts), 1)} V, plugs pulled, caps on`;
  },
  printed: {
    title: 'Strings landed',
    columns: [
      { title: 'Inputs', share: 0.7, right: true },
      { title: 'Lowest', share: 0.9, right: true },
      { title: 'Highest', share: 0.9, right: true },
    ],
    row: (v) => {
      const volts = v.inputs.map((i) => i.voltageV);
      return [String(volts.length), `${fixed(Math.min(...volts), 1)} V`, `${fixed(Math.max(...volts), 1)} V`];
    },
  },
});
