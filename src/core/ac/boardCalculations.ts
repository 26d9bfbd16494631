import { z } from 'zod';
import { calculation } from '../kernel/discipline';
import { figure, quantity } from '../kernel/schema';
import { lacking } from '../kernel/answer';
import { boardSchema } from '../site/parts';
import { apartByCurves } from './board/curves';
import { DELAY_LEAST_S, staysApart, staysIn } from './board/staysIn';
import { amps, answered } from './calculationFields';

const curvePoint = boardSchema.shape.branchCurves.unwrap().element.shape;

/** What can be computed about a board without a site. */
export const boardCalculations = {
  'ac-discrimination-curves': calculation({
    summary: 'Up to which fault current a main breaker leaves it to the breaker of a run, by their curves',
    input: z.object({
      mainCurve: boardSchema.shape.mainCurve.unwrap().min(2),
      branchCurve: z
        .array(z.object({ currentA: curvePoint.currentA, clearsS: curvePoint.clearsS }))
        .min(2)
        .max(60)
        .meta({ description: 'Points of the curve of the run’s breaker' }),
      branchA: amps('Breaker of the run'),
      faultA: quantity(10, 200_000, 'A', 'Short-circuit current at the board'),
    }),
    output: z.object({
      leavesToA: figure('A', 'The main leaves a fault to the branch up to').nullable(),
      onFault: z.boolean().meta({ description: 'Up to the largest fault there can be' }),
      words: z.string(),
    }),
    run: ({ mainCurve, branchCurve, branchA, faultA }) => {
      const branchCurves = branchCurve.map((p) => ({ ...p, breakerA: branchA }));
      const by = apartByCurves({ mainCurve, branchCurves }, [branchA], faultA);
      const { toA, words } = answered(by ?? lacking('curves'));
      return { leavesToA: Number.isFinite(toA) ? toA : null, onFault: toA >= faultA, words };
    },
  }),
  'ac-discrimination': calculation({
    summary: 'Up to which fault current a main breaker leaves it to the breaker of a run',
    input: z.object({
      mainMagneticA: quantity(10, 100_000, 'A', 'Magnetic setting of the main breaker'),
      mainDelayS: quantity(0, 5, 's', `Its short-time delay, 0 if none; it waits from ${DELAY_LEAST_S} s on`),
      mainInstantA: quantity(0, 200_000, 'A', 'Its instantaneous override, 0 if off'),
      faultA: quantity(10, 200_000, 'A', 'Short-circuit current at the board'),
      branchA: amps('Breaker of the largest run'),
      mainA: amps('Main breaker'),
    }),
    output: z.object({
      leavesToA: figure('A', 'The main leaves a fault to the branch up to').nullable(),
      onFault: z.boolean().meta({ description: 'Up to the largest fault there can be' }),
      onOverload: z.boolean().meta({ description: 'Main at least twice the branch' }),
    }),
    run: ({ faultA, branchA, mainA, ...main }) => {
      const { toA } = answered(staysIn(main));
      return {
        leavesToA: Number.isFinite(toA) ? toA : null,
        onFault: toA >= faultA,
        onOverload: staysApart(mainA, branchA),
      };
    },
  }),
};
