import { z } from 'zod';
import { quantity } from '../../kernel/schema';
import { kind } from '../kind';

const values = z.object({
  reference: z.string().trim().min(3, 'Name the letter.').max(120).meta({ description: 'Letter of the operator' }),
  validUntil: z.iso.date('Enter the last day as YYYY-MM-DD.').meta({ description: 'Valid to the end of' }),
  limitKw: quantity(0, 1e6, 'kW', 'Limit it sets').nullable(),
});

/** The operator's permission, or the written consent to a test, for as long as it says. */
export const PERMISSION = kind({
  kind: 'permission',
  title: 'Permission of the operator',
  scopes: ['site'],
  values,
  instrument: null,
  gates: ['S-PTO'],
  correctable: true,
  untilDay: (v) => v.validUntil,
  judge: ({ values: v, day }) => ({
    checks: [],
    says: [{ gate: 'S-PTO', result: day <= v.validUntil ? 'pass' : null }],
  }),
  form: () => ({
    schema: values,
    blank: { reference: '', validUntil: '', limitKw: null },
    groups: [{ title: '', paths: ['reference', 'validUntil', 'limitKw'] }],
  }),
  line: (v) => `${v.reference}, valid to ${v.validUntil}${v.limitKw === null ? '' : `, ${v.limitKw} kW`}`,
  printed: null,
});
