import { z } from 'zod';
import { designCurrent } from '../../ac/designCurrent';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, notThere, onUnit } from '../judging';
import { kind } from '../kind';
import { thermalScan } from '../measure/thermalScan';
import { PROVING_RULES as RULES } from '../rules';

const values = z.object({
  hottestC: quantity(-40, 300, '°C', 'Hottest joint'),
  likeC: quantity(-40, 300, '°C', 'A like joint beside it'),
  ambientC: quantity(-40, 80, '°C', 'Ambient'),
  currentA: quantity(0, 2000, 'A', 'Current in the run'),
  minutes: quantity(0, 1440, 'min', 'Minutes at this load'),
  where: z
    .string()
    .trim()
    .min(1, 'Name the hottest joint.')
    .max(60)
    .meta({ description: 'Which joint is the hottest' }),
});

/** A thermal scan under load: the hottest joint against its like and against the ambient, carried to full load. */
export const THERMAL = kind({
  kind: 'thermal',
  title: 'Thermal scan',
  scopes: ['inverter'],
  values,
  instrument: ['thermal camera'],
  measured: (v) => [
    { of: 'temperature', value: v.hottestC, path: 'hottestC' },
    { of: 'temperature', value: v.likeC, path: 'likeC' },
  ],
  gates: ['I-THERM'],
  correctable: true,
  judge({ design, subject, entry, values: v, day }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return notThere(['I-THERM']);
    const where = onUnit(on, 'lug', 'thermal scan');
    const full = designCurrent(on.type.maxApparentVa, on.type.nominalLineV, on.type.outputMaxA);
    const proof = thermalScan({
      likeK: v.hottestC - v.likeC,
      riseK: v.hottestC - v.ambientC,
      currentA: v.currentA,
      fullLoadA: full.currentA,
      minutes: v.minutes,
    });
    return measured(entry, day, ['I-THERM'], where, ask(RULES.thermal, { proof }, where));
  },
  form: () => ({
    schema: values,
    blank: { hottestC: null, likeC: null, ambientC: null, currentA: null, minutes: null, where: '' },
    groups: [{ title: '', paths: Object.keys(values.shape) }],
    caution: 'Live and hot: cover open only as the sheet allows. Bright lugs lie: tape first.',
  }),
  line: (v) => `${v.hottestC} °C at ${v.where}, like joint ${v.likeC} °C, ${v.currentA} A for ${v.minutes} min`,
  printed: {
    title: 'Thermal scans',
    columns: [
      { title: 'Hottest', share: 0.8, right: true },
      { title: 'Like joint', share: 0.8, right: true },
      { title: 'Ambient', share: 0.8, right: true },
      { title: 'Current', share: 0.8, right: true },
    ],
    row: (v) => [`${v.hottestC} °C`, `${v.likeC} °C`, `${v.ambientC} °C`, `${v.currentA} A`],
  },
});
