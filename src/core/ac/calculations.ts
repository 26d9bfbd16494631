import { z } from 'zod';
import { inverterTypeSchema } from '../equipment/inverterType';
import { checksSchema, withWorst } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { surveySchema } from '../site/survey';
import { runChecks } from './assess';
import { bayCalculations } from './bayCalculations';
import { boardCalculations } from './boardCalculations';
import { acRunSchema } from './part';
import { runResult } from './results';
import { runCalculations } from './runCalculations';
import { voltageCalculations } from './voltagePath/calculations';

/** What the AC side computes without a site. */
export const calculations = {
  ...runCalculations,
  ...voltageCalculations,
  ...bayCalculations,
  ...boardCalculations,
  'ac-run': calculation({
    summary: 'Every check of one AC run, from design current to torque',
    input: z.object({ run: acRunSchema, inverter: inverterTypeSchema, survey: surveySchema }),
    output: checksSchema,
    run: ({ run, inverter, survey }) => {
      const unit = { id: run.inverterId, tag: run.inverterId, typeId: inverter.id, position: null };
      return withWorst(runChecks(runResult(run, unit, inverter, survey)));
    },
  }),
};
