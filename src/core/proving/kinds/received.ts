import { z } from 'zod';
import type { SiteDesign } from '../../design';
import type { Packed } from '../../equipment/inverterBody';
import { ask } from '../../kernel/rule';
import { quantity } from '../../kernel/schema';
import { lineOf } from '../../site/line';
import { onUnit } from '../judging';
import { SAYS_NOTHING, kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';

const count = (description: string) => quantity(0, 9999, '', description).int();
/** Photos of one box. */
export const PHOTOS_MOST = 12;
const photo = z.string().regex(/^[0-9a-f]{64}$/, 'A photo is named by the SHA-256 of its bytes.');
const values = z.object({
  serial: z
    .string()
    .trim()
    .min(3, 'Type the serial number from the label.')
    .max(40)
    .meta({ description: 'Serial number, from the label' }),
  packagingWhole: z.boolean().meta({ description: 'Packaging whole' }),
  carrierTold: z.boolean().meta({ description: 'Damage told to the carrier' }),
  /** Photos of label, packaging and damage that the site keeps. */
  photos: z.array(photo).max(PHOTOS_MOST, 'Twelve photos a box at most.').default([]),
  items: z
    .array(
      z
        .object({ item: z.string().min(1).max(60), got: count('Came'), damaged: count('Of it damaged') })
        .refine(({ got, damaged }) => damaged <= got, { path: ['damaged'], message: 'No more are damaged than came.' }),
    )
    .max(40)
    .refine((items) => new Set(items.map((i) => i.item)).size === items.length, 'Every thing is counted once.'),
});

const packingOf = (design: SiteDesign, unitId: string): readonly Packed[] =>
  lineOf(design).unit(unitId)?.type.body.packing ?? [];

/** The box of a unit as it came: counted against its packing list, damage and serial. It closes no gate. */
export const RECEIVED = kind({
  kind: 'received',
  title: 'Received',
  scopes: ['inverter'],
  values,
  instrument: null,
  gates: [],
  signer: 'helper',
  correctable: true,
  judge({ design, subject, values: v }) {
    const on = lineOf(design).unit(subject.id);
    if (!on) return SAYS_NOTHING;
    const box = { ...v, typeName: on.type.name, packing: on.type.body.packing };
    return { checks: ask(RULES.received, box, onUnit(on, 'wall', 'received')), says: [] };
  },
  form: (design, subject) => {
    const packing = packingOf(design, subject.id);
    if (packing.length === 0) return null;
    const { items: _, photos: _p, ...rest } = values.shape;
    const fields = packing.flatMap(({ item, perUnit }, i) => [
      [`got${i}`, count(`${item}, ${perUnit} expected`)] as const,
      [`damaged${i}`, count(`${item}, of them damaged`)] as const,
    ]);
    const schema = z.object({ ...rest, ...Object.fromEntries(fields) });
    return {
      schema,
      blank: {
        serial: '',
        packagingWhole: false,
        carrierTold: false,
        ...Object.fromEntries(fields.map(([k]) => [k, k.startsWith('damaged') ? 0 : null])),
      },
      groups: [
        { title: '', paths: ['serial', 'packagingWhole', 'carrierTold'] },
        { title: 'In the box', paths: fields.map(([k]) => k) },
      ],
      toValues: (typed) => ({
        serial: typed['serial'],
        packagingWhole: typed['packagingWhole'],
        carrierTold: typed['carrierTold'],
        items: packing.map(({ item }, i) => ({ item, got: typed[`got${i}`], damaged: typed[`damaged${i}`] })),
      }),
      caution:
        'Look at the packaging first: damage goes to the carrier before anybody signs. The box stays on its pallet.',
    };
  },
  line: (v) => {
    const damaged = v.items.reduce((sum, i) => sum + i.damaged, 0);
    return `serial ${v.serial}; ${v.items.length} things counted${damaged ? `, ${damaged} damaged` : ''}${v.packagingWhole ? '' : ', packaging damaged'}${v.photos.length ? `; photos: ${v.photos.length}` : ''}`;
  },
  printed: {
    title: 'Received',
    columns: [
      { title: 'Serial', share: 1.4 },
      { title: 'Counted', share: 2.6 },
    ],
    row: (v) => [
      v.serial,
      v.items.map((i) => `${i.got} ${i.item}${i.damaged ? ` (${i.damaged} damaged)` : ''}`).join('; '),
    ],
  },
});
