import { z } from 'zod';
import { verdictSchema } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { enumOf, quantity } from '../kernel/schema';
import { NOMINALS_V, supplySignature } from './measure/supplySignature';
import { three } from './supplyShape';

const lineV = (which: string) => quantity(0, 1500, 'V', which);
const phaseV = (which: string) => quantity(0, 1000, 'V', which);
const unread = (which: string) => phaseV(which).nullable().default(null);

/** What only the meter's low-impedance input tells apart. */
const REPEAT = 'repeat L–PE at low impedance, for a floating supply reads the same without it';

/** What the voltages of a supply say of it, without a site. */
export const supplyCalculations = {
  'supply-signature': calculation({
    summary: 'Which supply stands behind its voltages: six without a neutral, ten with one',
    input: z.object({
      line12V: lineV('L1–L2'),
      line23V: lineV('L2–L3'),
      line31V: lineV('L3–L1'),
      pe1V: phaseV('L1–PE'),
      pe2V: phaseV('L2–PE'),
      pe3V: phaseV('L3–PE'),
      low1V: unread('L1–PE again at low impedance'),
      low2V: unread('L2–PE again at low impedance'),
      low3V: unread('L3–PE again at low impedance'),
      neutral1V: unread('L1–N, where there is a neutral'),
      neutral2V: unread('L2–N'),
      neutral3V: unread('L3–N'),
      neutralToPeV: unread('N–PE'),
      nominalV: enumOf(NOMINALS_V.map(String)).meta({
        unit: 'V',
        description: 'Nominal line voltage',
      }),
    }),
    output: z.object({
      verdict: verdictSchema,
      meaning: z.string().meta({ description: 'It is' }),
      action: z.string().meta({ description: 'Next' }),
    }),
    run: (v) => {
      const read = {
        lineV: [v.line12V, v.line23V, v.line31V],
        toPeV: [v.pe1V, v.pe2V, v.pe3V],
        toNeutralV: three(v.neutral1V, v.neutral2V, v.neutral3V),
        neutralToPeV: v.neutralToPeV,
        lowImpedanceV: three(v.low1V, v.low2V, v.low3V),
      } as const;
      const { verdict, meaning, action, note, wanting } = supplySignature(read, Number(v.nominalV));
      const repeat = wanting === 'repeat' ? `${REPEAT}; then ` : '';
      return { verdict, meaning: note ? `${meaning}; ${note}` : meaning, action: `${repeat}${action}` };
    },
  }),
};
