import { z } from 'zod';
import { verdictSchema } from '../../kernel/check';
import { calculation } from '../../kernel/discipline';
import { figure, quantity } from '../../kernel/schema';
import { fitVerdict, playMm, rigidFit } from './asDrilled';
import { skewOf } from './skew';

const length = (description: string) => quantity(1, 1e5, 'mm', description);
const place = (description: string) => quantity(-1e5, 1e5, 'mm', description);

/** What can be computed about holes without a site. */
export const setOutCalculations = {
  'mounting-skew': calculation({
    summary: 'How far a rectangle of holes is out of square, by its diagonals',
    input: z.object({
      d1Mm: length('First diagonal'),
      d2Mm: length('Second diagonal'),
      aMm: length('Width'),
      bMm: length('Height'),
    }),
    output: z.object({ skewDeg: figure('°', 'Skew'), shiftMm: figure('mm', 'Shift along the width') }),
    run: skewOf,
  }),
  'mounting-as-drilled': calculation({
    summary: 'Whether a bracket still goes on the holes as drilled, and what to do with the worst',
    input: z.object({
      holes: z
        .array(
          z.object({
            xMm: place('Nominal x'),
            yMm: place('Nominal y'),
            measuredXMm: place('Measured x'),
            measuredYMm: place('Measured y'),
          }),
        )
        .min(2, 'Enter two holes at least.')
        .max(60)
        .meta({ description: 'Holes' }),
      slotMm: quantity(1, 100, 'mm', 'Slot or hole of the bracket'),
      boltMm: quantity(1, 100, 'mm', 'Bolt'),
    }),
    output: z.object({
      dxMm: figure('mm', 'Bracket to the right'),
      dyMm: figure('mm', 'Bracket up'),
      turnDeg: figure('°', 'Turn, anticlockwise'),
      residualsMm: z.array(z.number()).readonly().meta({ unit: 'mm', description: 'Left over by hole' }),
      worstMm: figure('mm', 'Worst'),
      worst: figure('', 'Worst hole'),
      playMm: figure('mm', 'Play'),
      verdict: verdictSchema,
      answer: z.enum(['hang it', 'slot it', 'drill afresh']).meta({ description: 'What to do' }),
    }),
    run: ({ holes, slotMm, boltMm }) => {
      const fit = rigidFit(
        holes,
        holes.map((h) => ({ xMm: h.measuredXMm, yMm: h.measuredYMm })),
      );
      const play = playMm(slotMm, boltMm);
      return { ...fit, worst: fit.worst + 1, playMm: play, ...fitVerdict(fit.worstMm, play) };
    },
  }),
};
