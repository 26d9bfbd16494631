import { z } from 'zod';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { enumOf, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { sameClass } from '../../site/parts';
import { measured, notThere, onString } from '../judging';
import { kind } from '../kind';
import { stringCurrent } from '../measure/stringCurrent';
import { PROVING_RULES as RULES } from '../rules';
import { SISTERS_WITHIN_MS } from '../sisters';

const values = z.object({
  currentA: quantity(0, 100, 'A', 'Current'),
  by: enumOf(['running, after switch-on', 'short circuit through a rated switch'] as const).meta({
    description: 'How it was read',
  }),
  irradianceStartWm2: quantity(0, 1600, 'W/m²', 'Irradiance at the start'),
  irradianceEndWm2: quantity(0, 1600, 'W/m²', 'Irradiance at the end'),
  cellC: quantity(-40, 110, '°C', 'Cell temperature'),
});

/** The current of a string in its light: through a switch rated for it, or running after switch-on. */
export const STRING_CURRENT = kind({
  kind: 'string-current',
  title: 'Current of a string',
  scopes: ['string'],
  values,
  instrument: ['clamp meter', 'PV tester'],
  measured: ({ currentA }) => [{ of: 'current', value: currentA, path: 'currentA' }],
  gates: ['D-ISC'],
  correctable: true,
  judge({ design, subject, entry, atMs, values: v, beside, day }) {
    const line = lineOf(design);
    const on = line.string(subject.id);
    if (!on) return notThere(['D-ISC']);
    const sisters = new Map<string, number>();
    for (const r of beside.near('string-current', atMs, SISTERS_WITHIN_MS)) {
      const other = line.string(r.subject.id);
      if (STRING_CURRENT.is(r) && r.subject.id !== subject.id && other && sameClass(other.plane, on.plane))
        sisters.set(r.subject.id, r.values.currentA);
    }
    const proof = stringCurrent(on.module, { ...v, sistersA: [...sisters.values()] });
    const where = onString(on);
    return measured(entry, day, ['D-ISC'], where, ask(RULES.current, { currentA: v.currentA, proof }, where));
  },
  form: () => ({
    schema: values,
    blank: {
      currentA: null,
      by: 'running, after switch-on',
      irradianceStartWm2: null,
      irradianceEndWm2: null,
      cellC: null,
    },
    groups: [{ title: '', paths: ['currentA', 'by', 'irradianceStartWm2', 'irradianceEndWm2', 'cellC'] }],
    caution: 'Make and break only with a switch rated for this DC voltage and current, never with the plugs.',
  }),
  line: (v) => `${fixed(v.currentA, 2)} A at ${v.irradianceStartWm2} W/m² (${v.by})`,
  printed: {
    title: 'Currents of the strings',
    columns: [
      { title: 'Current', share: 1, right: true },
      { title: 'Light', share: 1, right: true },
      { title: 'How', share: 2 },
    ],
    row: (v) => [`${fixed(v.currentA, 2)} A`, `${v.irradianceStartWm2} W/m²`, v.by],
  },
});
