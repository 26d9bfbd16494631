import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { partId, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, onSite } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const kw = (what: string) => quantity(-1e5, 1e5, 'kW', what);
const ratio = (what: string) => quantity(1, 10_000, ': 1', what);
const values = z.object({
  unitId: partId.meta({ description: 'Unit that was switched on' }),
  beforeKw: kw('Site meter before, export positive'),
  afterKw: kw('Site meter after'),
  unitKw: quantity(0, 1e4, 'kW', 'Power the unit shows'),
  change1Kw: kw('Change on L1').nullable(),
  change2Kw: kw('Change on L2').nullable(),
  change3Kw: kw('Change on L3').nullable(),
  /** Left out of readings of before it was asked for. */
  transformers: z.boolean().nullable().optional().meta({ description: 'It measures through current transformers' }),
  plateRatio: ratio('Ratio on the plates of the transformers').nullable().optional(),
  shownRatio: ratio('Ratio read back from the meter').nullable().optional(),
});

/** What was set in the meter, read back. */
const RATIO = ['transformers', 'plateRatio', 'shownRatio'] as const;

/** The site meter while a unit comes on at unity power factor: its step, and the signature of its current transformers. */
export const METER = kind({
  kind: 'meter',
  title: 'Site meter',
  scopes: ['site'],
  values,
  instrument: ['multimeter', 'clamp meter', 'stopwatch'],
  gates: ['S-METER'],
  correctable: true,
  judge({ design, entry, values: v, day }) {
    const where = onSite('grid', 'site meter');
    const { change1Kw: a, change2Kw: b, change3Kw: c } = v;
    const reading = {
      ...v,
      ratedKw: (lineOf(design).unit(v.unitId)?.type.ratedW ?? Number.NaN) / 1000 || null,
      changeKw: a === null || b === null || c === null ? null : [a, b, c],
      transformers: v.transformers ?? null,
      plateRatio: v.plateRatio ?? null,
      shownRatio: v.shownRatio ?? null,
    };
    return measured(entry, day, ['S-METER'], where, ask(RULES.meter, reading, where));
  },
  form: (design) => ({
    schema: values.extend({
      unitId: z
        .enum(design.inverters.map((u) => u.id) as [string, ...string[]])
        .meta({ description: 'Unit that was switched on' }),
      ...Object.fromEntries(RATIO.map((k) => [k, values.shape[k].unwrap()])),
    }),
    blank: {
      unitId: design.inverters[0]?.id ?? '',
      beforeKw: null,
      afterKw: null,
      unitKw: null,
      change1Kw: null,
      change2Kw: null,
      change3Kw: null,
      ...Object.fromEntries(RATIO.map((k) => [k, null])),
    },
    groups: [
      {
        title: 'Load steady, power factor 1',
        paths: Object.keys(values.shape).filter((k) => !(RATIO as readonly string[]).includes(k)),
      },
      { title: 'Set in the meter', paths: RATIO },
    ],
    caution: 'Never open a live secondary of a current transformer: short it first.',
  }),
  line: (v) => `${v.beforeKw} to ${v.afterKw} kW for ${v.unitKw} kW`,
  printed: {
    title: 'Site meter',
    columns: [
      { title: 'Before', share: 1, right: true },
      { title: 'After', share: 1, right: true },
      { title: 'Unit', share: 1, right: true },
    ],
    row: (v) => [`${v.beforeKw} kW`, `${v.afterKw} kW`, `${v.unitKw} kW`],
  },
});
