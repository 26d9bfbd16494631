import type { z } from 'zod';
import { calculateRun } from '$core/ac/run';
import { assessRun } from '$core/ac/assess';
import { assessSite } from '$core/assess';
import type { Check } from '$core/kernel/check';
import { worstOf } from '$core/kernel/check';
import { assessLinks } from '$core/links/assess';
import { judgeAcWindow, judgeUnbalance, unbalancePercent } from '$core/proving/acVoltages';
import { dcInsulationTest, judgeDcInsulation } from '$core/proving/insulation';
import { judgeStringTest } from '$core/proving/stringTest';
import { gridCodeOf } from '$core/site/gridCodes';
import { withStrings } from '$core/site/edits';
import { layoutStrings } from '$core/strings/layout/lay';
import { verifyLayout } from '$core/strings/verify';
import { rearGainOf } from '$core/strings/currents';
import { moduleModel, parametersAt } from '$core/strings/curve/diode';
import { evenString, mismatch } from '$core/strings/curve/tracker';
import { homeRunDrop, homeRunOhm } from '$core/strings/dcCable';
import { stringFuse } from '$core/strings/fuses';
import { stringWindow } from '$core/strings/window';
import {
  acVoltagesRequest,
  assessmentSchema,
  checksResponse,
  designRequest,
  fuseRequest,
  fuseResponse,
  homeRunRequest,
  homeRunResponse,
  insulationRequest,
  layoutResponse,
  runRequest,
  stringTestRequest,
  stringTestResponse,
  trackerRequest,
  trackerResponse,
  verdictResponse,
  windowRequest,
  windowResponse,
} from '$lib/schemas/api';

/** One calculation of core as a call without a site: `POST /api/v1/calculations/{name}`. */
interface Calculation<In, Out> {
  readonly summary: string;
  readonly request: z.ZodType<In>;
  readonly response: z.ZodType<Out>;
  readonly compute: (input: In) => unknown;
}

const calculation = <In, Out>(c: Calculation<In, Out>): Calculation<In, Out> => c;
const withWorst = (checks: readonly Check[]) => ({ checks, verdict: worstOf(checks.map((c) => c.verdict)) });

export const CALCULATIONS = {
  'string-window': calculation({
    summary: 'Legal and preferred string lengths of a module on an inverter',
    request: windowRequest,
    response: windowResponse,
    compute: (i) => stringWindow(i),
  }),
  'string-fuse': calculation({
    summary: 'Reverse current and string fuse of strings in parallel',
    request: fuseRequest,
    response: fuseResponse,
    compute: (i) =>
      stringFuse(
        i.module,
        rearGainOf(i.module, i.mounting),
        i.strings,
        i.school,
        i.shortCircuitLimitIsStc ? 1 : undefined,
      ),
  }),
  'dc-home-run': calculation({
    summary: 'Voltage drop and loss of a home run at standard conditions',
    request: homeRunRequest,
    response: homeRunResponse,
    compute: (i) =>
      homeRunDrop(homeRunOhm(i.lengthM, i.sectionMm2, i.conductorC), i.module.impA, i.modules * i.module.umpV),
  }),
  'tracker-curve': calculation({
    summary: 'Highest power of strings on one tracker, each in its own light, together and apart',
    request: trackerRequest,
    response: trackerResponse,
    compute: (i) => {
      const strings = i.strings.map((s) => {
        const model = moduleModel(s.module);
        if (!model) throw new RangeError(`module must describe a real curve (got ${s.module.name})`);
        return evenString(parametersAt(model, s.irradianceWm2, s.cellC), s.modules, s.module.bypassDiodes);
      });
      const { parallel, separateW, lossPercent } = mismatch(strings, { minV: i.mpptMinV, maxV: i.mpptMaxV });
      return { ...parallel, separateW, lossPercent };
    },
  }),
  layout: calculation({
    summary: 'An automatic layout of a design, checked by the independent verifier',
    request: designRequest,
    response: layoutResponse,
    compute: ({ design }) => {
      const layout = layoutStrings(design);
      return { ...layout, violations: verifyLayout(withStrings(design, layout.strings)) };
    },
  }),
  'ac-run': calculation({
    summary: 'Every check of one AC run, from design current to torque',
    request: runRequest,
    response: checksResponse,
    compute: ({ run, inverter, survey }) =>
      withWorst(
        assessRun(
          calculateRun(
            run,
            { id: run.inverterId, tag: run.inverterId, typeId: inverter.id, position: null },
            inverter,
            survey,
          ),
          survey,
        ),
      ),
  }),
  chain: calculation({
    summary: 'Every check of the RS-485 chain of a design',
    request: designRequest,
    response: checksResponse,
    compute: ({ design }) => withWorst(assessLinks(design)),
  }),
  'string-test': calculation({
    summary: 'A string measured before it is plugged: verdict and likeliest causes',
    request: stringTestRequest,
    response: stringTestResponse,
    compute: (i) => {
      const { checks, verdict, coldV, ranking } = judgeStringTest({
        ...i,
        subject: { element: 'string', path: 'string' },
      });
      return { checks, verdict, coldV, causes: ranking.causes };
    },
  }),
  insulation: calculation({
    summary: 'An insulation reading of a DC section',
    request: insulationRequest,
    response: verdictResponse,
    compute: (i) =>
      judgeDcInsulation(
        dcInsulationTest(i.stringUocStcV, i.moduleSystemMaxV),
        i.testV,
        i.megohm,
        i.sectionKw,
        i.moduleSystemMaxV,
      ),
  }),
  'ac-voltages': calculation({
    summary: 'AC voltages at rest against the window of a grid code',
    request: acVoltagesRequest,
    response: verdictResponse,
    compute: (i) => {
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
  assessment: calculation({
    summary: 'Every check of a whole design',
    request: designRequest,
    response: assessmentSchema,
    compute: ({ design }) => assessSite(design),
  }),
} as const;

export type CalculationName = keyof typeof CALCULATIONS;
export const isCalculation = (name: string): name is CalculationName => Object.hasOwn(CALCULATIONS, name);

/** Runs a calculation on input already parsed by its own schema. */
export function compute(name: CalculationName, input: unknown): unknown {
  const c = CALCULATIONS[name] as Calculation<unknown, unknown>;
  return c.compute(input);
}
