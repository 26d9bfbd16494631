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
import { earthFaultPlace } from './measure/earthFault';
import { sameValues } from './measure/sameValues';
import { supplyCalculations } from './supplyCalculations';
import { DC_INSULATION } from './kinds/dcInsulation';
import { STRING_TEST, stringChecks } from './kinds/stringTest';
import { stringReading } from './readings/stringReading';

const textSchema = z.object({ verdict: verdictSchema, text: z.string() });
const causeSchema = z.object({
  cause: z.string(),
  words: z.string(),
  next: z.string(),
  safety: z.string(),
  probability: z.number(),
});

const lineVoltage = quantity(0, 1500, 'V', 'Voltage between two lines');

/** A reading of the insulation, of whichever part it is. */
const { part: _part, ofParts: _ofParts, ...insulationRead } = DC_INSULATION.values.shape;

/** What the record judges without a stored site. */
export const calculations = {
  ...supplyCalculations,
  'string-test': calculation({
    summary: 'A string measured before it is plugged: verdict and likeliest causes',
    input: z.object({
      module: moduleTypeSchema,
      modules: quantity(1, 60, 'modules', 'Modules in series').int(),
      ...STRING_TEST.values.omit({ lightAt: true }).shape,
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
  'earth-fault': calculation({
    summary: 'Where a string touches earth, from the voltages of its poles to earth',
    input: z.object({
      modules: quantity(1, 60, 'modules', 'Modules in series').int(),
      plusV: quantity(-3000, 3000, 'V', '+ to earth'),
      minusV: quantity(-3000, 3000, 'V', '− to earth'),
      uocV: quantity(1, 3000, 'V', 'U_oc of the string now'),
      meterOhm: quantity(1000, 1e9, 'Ω', 'Resistance of the meter').default(1e7),
    }),
    output: z.object({
      found: z.enum(['error', 'no fixed fault', 'fault']),
      atModules: z.number().nullable(),
      ohm: z.number().nullable(),
      between: z.tuple([z.number(), z.number()]).nullable(),
    }),
    run: (i) => {
      const place = earthFaultPlace(i.modules, i.plusV, i.minusV, i.uocV, i.meterOhm);
      return place.found === 'fault'
        ? { ...place, between: [place.between[0], place.between[1]] as [number, number] }
        : { found: place.found, atModules: null, ohm: null, between: null };
    },
  }),
  'same-torques': calculation({
    summary: 'Whether equal torques of many joints want a question',
    input: z.object({
      valuesNm: z.array(z.number().positive()).min(1).max(200),
      stepNm: quantity(0.001, 10, 'N·m', 'Display step of the tool'),
      targetNm: quantity(0.5, 400, 'N·m', 'Target'),
      mode: z.enum(['click', 'readout']),
    }),
    output: z.object({ count: z.number(), most: z.number(), chance: z.number().nullable(), ask: z.boolean() }),
    run: (i) => sameValues(i.valuesNm, i.stepNm, i.targetNm, i.mode),
  }),
  insulation: calculation({
    summary: 'An insulation reading of a DC section',
    input: z.object({
      stringUocStcV: quantity(1, 3000, 'V', 'String U_oc at STC'),
      moduleSystemMaxV: quantity(100, 2000, 'V', 'Module system voltage'),
      sectionKw: quantity(0, 10000, 'kW', 'Power of the section'),
      ...insulationRead,
    }),
    output: textSchema,
    run: (i) => {
      const test = dcInsulationTest(i.stringUocStcV, i.moduleSystemMaxV);
      const { value, missing } = judgeDcInsulation(test, i.testV, i.megohm, i.sectionKw, i.moduleSystemMaxV);
      return value
        ? { verdict: value.verdict, text: value.text() }
        : { verdict: 'unknown' as const, text: missing.join(', ') };
    },
  }),
  'ac-voltages': calculation({
    summary: 'AC voltages at rest against the window of a grid code',
    input: z.object({
      gridCode: z.enum(GRID_CODE_FAMILIES),
      nominalLineV: quantity(200, 1000, 'V', 'Nominal line voltage'),
      lineV: z.tuple([lineVoltage, lineVoltage, lineVoltage]),
      phaseV: z.array(quantity(0, 1000, 'V', 'Voltage to neutral')).max(3),
    }),
    output: textSchema,
    run: (i) => {
      const code = gridCodeOf(i.gridCode);
      if (!code) throw new RangeError(`gridCode must be a known family (got ${i.gridCode})`);
      if (i.lineV.every((v) => v === 0)) return { verdict: 'stop' as const, text: 'no voltage on any line' };
      const window = judgeAcWindow(code, i.nominalLineV, i.lineV, i.phaseV);
      const unbalance = unbalancePercent(i.lineV);
      return {
        verdict: worstOf([window.verdict, judgeUnbalance(unbalance)]),
        text: `furthest from nominal ${window.worstPu.toFixed(4)} pu; unbalance ${unbalance.toFixed(2)} %`,
      };
    },
  }),
};
