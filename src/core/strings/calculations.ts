import { z } from 'zod';
import { homeRunOhm } from '../conductor/pvCable';
import { inverterTypeSchema } from '../equipment/inverterType';
import { moduleTypeSchema } from '../equipment/moduleType';
import { calculation } from '../kernel/discipline';
import { quantity } from '../kernel/schema';
import { documentSchema } from '../site/base';
import { planeSchema, pvStringSchema } from '../site/parts';
import { surveySchema } from '../site/survey';
import { withStrings } from './arrange';
import type { ColdBy } from './coldVoltage';
import { rearGainOf } from './currents';
import { moduleModel, parametersAt } from './curve/diode';
import { evenString, mismatch } from './curve/tracker';
import { stringFuse, stringFuseSchema } from './fuses';
import { homeRunDrop, homeRunDropSchema } from './homeRun';
import { layoutSchema, legalLayout } from './layout/legalLayout';
import { dcCableSchema, stringsFlaws, stringsShape } from './part';
import { verifyLayout, violationSchema } from './verify';
import { stringWindow, stringWindowSchema } from './window';

/** What a string's voltages are judged by, as the survey and the sheets give it. */
export const coldInputs = {
  coldestC: surveySchema.shape.coldestC,
  coldMethod: surveySchema.shape.coldMethod,
  engineered: z
    .object({
      uocColdV: planeSchema.shape.engineeredUocColdV,
      document: surveySchema.shape.engineeredDocument,
      siteW: quantity(0, 1e9, 'W', 'Rated power of the site').nullable().default(null),
    })
    .default({ uocColdV: null, document: '', siteW: null }),
  countUocTolerance: surveySchema.shape.countUocTolerance,
  school: surveySchema.shape.school.default('IEC'),
};
type ColdInputs = z.infer<z.ZodObject<Omit<typeof coldInputs, 'coldestC'>>>;

export const coldByInputs = ({ coldMethod, engineered, countUocTolerance, school }: ColdInputs): ColdBy => ({
  method: coldMethod,
  engineered: { ...engineered, school },
  countTolerance: countUocTolerance,
});

const trackerString = z.object({
  module: moduleTypeSchema,
  modules: pvStringSchema.shape.modules,
  irradianceWm2: quantity(0, 1600, 'W/m²', 'Light on the plane'),
  cellC: quantity(-60, 120, '°C', 'Cell temperature'),
});

/** What the string side computes without a site. */
export const calculations = {
  'string-window': calculation({
    summary: 'Legal and preferred string lengths of a module on an inverter',
    input: z.object({
      module: moduleTypeSchema,
      inverter: inverterTypeSchema,
      mounting: planeSchema.shape.mounting,
      ...coldInputs,
      hottestC: surveySchema.shape.hottestC,
      dcLegalMaxV: surveySchema.shape.dcLegalMaxV,
      building: surveySchema.shape.building,
    }),
    output: z.object({ missing: z.array(z.string()).readonly(), window: stringWindowSchema.nullable() }),
    run: (i) => {
      const { value: window, missing } = stringWindow({ ...i, cold: coldByInputs(i) });
      return { window, missing };
    },
  }),
  'string-fuse': calculation({
    summary: 'Reverse current and string fuse of strings in parallel',
    input: z.object({
      module: moduleTypeSchema,
      rearShare: planeSchema.shape.rearShare,
      strings: z.number().int().min(1).max(24),
      school: surveySchema.shape.school,
      shortCircuitLimitIsStc: z.boolean().default(false),
    }),
    output: stringFuseSchema,
    run: (i) => {
      const gain = rearGainOf(i.module, { label: i.module.name, rearShare: i.rearShare });
      if (gain.value === null) throw new RangeError(`rearShare must be given for ${i.module.name}, which sees behind`);
      return stringFuse(i.module, gain.value, i.strings, i.school, i.shortCircuitLimitIsStc ? 1 : undefined);
    },
  }),
  'dc-home-run': calculation({
    summary: 'Voltage drop and loss of a home run at standard conditions',
    input: z.object({
      module: moduleTypeSchema,
      modules: pvStringSchema.shape.modules,
      lengthM: quantity(0.1, 1000, 'm', 'One-way length'),
      sectionMm2: dcCableSchema.shape.sectionMm2.unwrap(),
      conductorC: dcCableSchema.shape.conductorC.default(60),
    }),
    output: homeRunDropSchema,
    run: (i) =>
      homeRunDrop(homeRunOhm(i.lengthM, i.sectionMm2, i.conductorC), i.module.impA, i.modules * i.module.umpV),
  }),
  'tracker-curve': calculation({
    summary: 'Highest power of strings on one tracker, each in its own light, together and apart',
    input: z.object({
      mpptMinV: quantity(50, 1500, 'V', 'Lower end of the tracking range'),
      mpptMaxV: quantity(100, 1600, 'V', 'Upper end of the tracking range'),
      strings: z.array(trackerString).min(1).max(24),
    }),
    output: z.object({ powerW: z.number(), voltageV: z.number(), separateW: z.number(), lossPercent: z.number() }),
    run: (i) => {
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
    input: z.object({ design: documentSchema(stringsShape, stringsFlaws) }),
    output: layoutSchema.extend({ violations: z.array(violationSchema).readonly() }),
    run: ({ design }) => {
      const layout = legalLayout(design);
      return { ...layout, violations: verifyLayout(withStrings(design, layout.strings)) };
    },
  }),
};
