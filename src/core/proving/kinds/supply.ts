import { z } from 'zod';
import { fixed } from '../../kernel/quantity';
import { ask } from '../../kernel/rule';
import { measured, onSite } from '../judging';
import { kind } from '../kind';
import { PROVING_RULES as RULES } from '../rules';
import {
  TEN_PATHS,
  acBlank,
  acRead,
  acReadingOf,
  repeatShape,
  signatureOf,
  tenVoltagesShape,
  turningShape,
} from '../supplyShape';

const values = z.object({
  ...tenVoltagesShape,
  ...repeatShape,
  ...turningShape,
});

/** The supply at the board: ten voltages, the low-impedance repeat, frequency and rotation, before anything rests on it. */
export const SUPPLY = kind({
  kind: 'supply',
  title: 'Supply at the board',
  scopes: ['site'],
  values,
  instrument: ['multimeter'],
  measured: acRead,
  gates: ['S-SUPPLY'],
  correctable: true,
  judge({ design, entry, values: v, day }) {
    const { survey } = design;
    const where = onSite('grid', `${design.board.label} / supply`);
    const reading = { signature: signatureOf(v, survey.lineV), service: survey.service, repeatWanted: true };
    const ac = acReadingOf(v, survey);
    return measured(entry, day, ['S-SUPPLY'], where, [
      ...ask(RULES.supply, reading, where),
      ...ask(RULES.ac, ac, where),
    ]);
  },
  form: ({ survey }) => ({
    schema: values,
    blank: acBlank(values.shape),
    groups: [
      {
        title:
          survey.service === 'earthed wye, neutral not brought out'
            ? 'Nine voltages: no neutral is run'
            : 'Ten voltages',
        paths: TEN_PATHS,
      },
      {
        title: 'The same again at low impedance: a floating supply copies a wye without it',
        paths: Object.keys(repeatShape),
      },
      { title: '', paths: ['frequencyHz', 'rotation'] },
    ],
    caution: 'Live board: one hand, barrier the rest, meter proved before and after.',
  }),
  line: (v) => `${fixed(v.l12V, 1)} / ${fixed(v.l23V, 1)} / ${fixed(v.l31V, 1)} V, ${v.frequencyHz} Hz, ${v.rotation}`,
  printed: {
    title: 'Supply at the board',
    columns: [
      { title: 'Line to line', share: 2 },
      { title: 'To PE', share: 2 },
      { title: 'N–PE', share: 0.8, right: true },
      { title: 'Frequency', share: 1, right: true },
    ],
    row: (v) => [
      `${fixed(v.l12V, 1)} / ${fixed(v.l23V, 1)} / ${fixed(v.l31V, 1)} V`,
      `${fixed(v.l1peV, 1)} / ${fixed(v.l2peV, 1)} / ${fixed(v.l3peV, 1)} V`,
      v.npeV === null ? '–' : `${v.npeV} V`,
      `${v.frequencyHz} Hz`,
    ],
  },
});
