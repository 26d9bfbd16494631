import { z } from 'zod';
import { ask } from '../../kernel/rule';
import { partId, quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { measured, onSite } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const kw = (what: string) => quantity(-1e5, 1e5, 'kW', what);
const values = z.object({
  unitId: partId.meta({ description: 'Unit that was switched on' }),
  beforeKw: kw('Site meter before, export positive'),
  afterKw: kw('Site meter after'),
  unitKw: quantity(0, 1e4, 'kW', 'Power the unit shows'),
  change1Kw: kw('Change on L1').nullable(),
  change2Kw: kw('Change on L2').nullable(),
  change3Kw: kw('Change on L3').nullable(),
});

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
    };
    return measured(entry, day, ['S-METER'], where, ask(RULES.meter, reading, where));
  },
  form: (design) => ({
    schema: values.extend({
      unitId: z
        .enum(design.inverters.map((u) => u.id) as [string, ...string[]])
        .meta({ description: 'Unit that was switched on' }),
    }),
    blank: {
      unitId: design.inverters[0]?.id ?? '',
      beforeKw: null,
      afterKw: null,
      unitKw: null,
      change1Kw: null,
      change2Kw: null,
      change3Kw: null,
    },
    groups: [{ title: 'Load steady, power factor 1', paths: Object.keys(values.shape) }],
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
