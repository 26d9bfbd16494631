import { z } from 'zod';
import { moduleTypeSchema } from '../equipment/moduleType';
import { known, lacking } from '../kernel/answer';
import { checksSchema, verdictSchema, withWorst, worstOf } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { quantity } from '../kernel/schema';
import { GRID_CODE_FAMILIES, gridCodeOf } from '../site/gridCodes';
import { surveySchema } from '../site/survey';
import { coldByInputs, coldInputs } from '../strings/calculations';
import { coldModuleV } from '../strings/coldVoltage';
import { judgeAcWindow, judgeUnbalance, unbalancePercent } from './acVoltages';
import { dcInsulationTest, judgeDcInsulation } from './insulation';
import { stringChecks } from './judge';
import { stringReading } from './readings/stringReading';
import { RECORD_VALUES } from './record';

const textSchema = z.object({ verdict: verdictSchema, text: z.string() });
const causeSchema = z.object({
  cause: z.string(),
  words: z.string(),
  next: z.string(),
  safety: z.string(),
  probability: z.number(),
});

/** What the record judges without a stored site. */
export const provingCalculations = {
  'string-test': calculation({
    summary: 'A string measured before it is plugged: verdict and likeliest causes',
    input: z.object({
      module: moduleTypeSchema,
      modules: quantity(1, 60, 'modules', 'Modules in series').int(),
      ...RECORD_VALUES['string-test'].shape,
      ...coldInputs,
      limitV: surveySchema.shape.dcLegalMaxV.meta({
        unit: 'V',
        description: 'Smallest of inverter, module, connectors and legal limit',
      }),
      sistersV: z.array(z.number().min(0).max(3000)).max(500),
      otherModules: z.number().int().min(1).max(60).nullable(),
    }),
    output: checksSchema.extend({ coldV: z.number().nullable(), causes: z.array(causeSchema).readonly() }),
    run: ({ limitV, coldestC, coldMethod, engineered, countUocTolerance, school, ...i }) => {
      const reading = stringReading({
        ...i,
        coldestC,
        cold:
          coldestC === null
            ? lacking('lowest design temperature')
            : coldModuleV(i.module, coldestC, coldByInputs({ coldMethod, engineered, countUocTolerance, school })),
        limitV: limitV === null ? lacking('DC limit') : known(limitV),
      });
      const checks = stringChecks(reading, { element: 'string', path: 'string' });
      return { ...withWorst(checks), coldV: reading.coldV, causes: reading.ranking.causes };
    },
  }),
  insulation: calculation({
    summary: 'An insulation reading of a DC section',
    input: z.object({
      stringUocStcV: quantity(1, 3000, 'V', 'String U_oc at STC'),
      moduleSystemMaxV: quantity(100, 2000, 'V', 'Module system voltage'),
      sectionKw: quantity(0, 10000, 'kW', 'Power of the section'),
      ...RECORD_VALUES.insulation.shape,
    }),
    output: textSchema,
    run: (i) => {
      const test = dcInsulationTest(i.stringUocStcV, i.moduleSystemMaxV);
      const { value, missing } = judgeDcInsulation(test, i.testV, i.megohm, i.sectionKw, i.moduleSystemMaxV);
      return value ?? { verdict: 'unknown' as const, text: missing.join(', ') };
    },
  }),
  'ac-voltages': calculation({
    summary: 'AC voltages at rest against the window of a grid code',
    input: z.object({
      gridCode: z.enum(GRID_CODE_FAMILIES),
      nominalLineV: quantity(200, 1000, 'V', 'Nominal line voltage'),
      lineV: z.tuple([z.number(), z.number(), z.number()]),
      phaseV: z.array(z.number()).max(3),
    }),
    output: textSchema,
    run: (i) => {
      const code = gridCodeOf(i.gridCode);
      if (!code) throw new RangeError(`gridCode must be a known family (got ${i.gridCode})`);
      const window = judgeAcWindow(code, i.nominalLineV, i.lineV, i.phaseV);
      const unbalance = unbalancePercent(i.lineV);
      return {
        verdict: worstOf([window.verdict, judgeUnbalance(unbalance)]),
        text: `furthest from nominal ${window.worstPu.toFixed(4)} pu; unbalance ${unbalance.toFixed(2)} %`,
      };
    },
  }),
};
