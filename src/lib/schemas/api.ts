import { z } from 'zod';
import { designEditSchema } from '$core/edit';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import { moduleTypeSchema } from '$core/equipment/moduleType';
import { LINE_ELEMENTS } from '$core/kernel/check';
import { quantity } from '$core/kernel/schema';
import { dcCableSchema } from '$core/site/dcSide';
import { RECORD_VALUES, recordSchema } from '$core/proving/record';
import {
  GRID_CODE_FAMILIES,
  acRunSchema,
  planeSchema,
  pvStringSchema,
  siteDesignSchema,
  surveySchema,
} from '$core/site/siteDesign';

/** What goes in and out of the API. Inputs are core's own schemas put together; outputs name what core returns. */

export const verdictSchema = z
  .enum(['holds', 'tight', 'stop', 'unknown'])
  .meta({ id: 'Verdict', description: 'unknown: an input is missing, never to be read as holding' });

export const checkSchema = z
  .object({
    id: z.string().meta({ description: 'Stable name of the check, as ac.palm-width' }),
    subject: z.object({ element: z.enum(LINE_ELEMENTS), path: z.string(), id: z.string().optional() }),
    title: z.string(),
    value: z.number().nullable(),
    limit: z.number().nullable(),
    unit: z.string(),
    margin: z.number().nullable().meta({ unit: '%', description: 'Per cent of the limit left; negative is past it' }),
    verdict: verdictSchema,
    basis: z.object({
      kind: z.enum(['published', 'data sheet', 'practice', 'computed']),
      source: z.string(),
      recalled: z.boolean(),
    }),
    working: z.array(z.string()),
  })
  .meta({ id: 'Check' });

export const assessmentSchema = z.object({
  counts: z.record(verdictSchema, z.number()),
  line: z.array(
    z.object({
      element: z.enum(LINE_ELEMENTS),
      verdict: verdictSchema,
      checks: z.number(),
      smallest: checkSchema.nullable(),
    }),
  ),
  checks: z.array(checkSchema),
});

const temperatures = {
  coldestC: surveySchema.shape.coldestC,
  hottestC: surveySchema.shape.hottestC,
  dcLegalMaxV: surveySchema.shape.dcLegalMaxV,
  school: surveySchema.shape.school.default('IEC'),
  building: surveySchema.shape.building,
  coldMethod: surveySchema.shape.coldMethod,
  engineered: z
    .object({ uocColdV: planeSchema.shape.engineeredUocColdV, document: surveySchema.shape.engineeredDocument })
    .default({ uocColdV: null, document: '' }),
};

export const windowRequest = z.object({
  module: moduleTypeSchema,
  inverter: inverterTypeSchema,
  mounting: planeSchema.shape.mounting,
  ...temperatures,
});
export const fuseRequest = z.object({
  module: moduleTypeSchema,
  mounting: planeSchema.shape.mounting,
  strings: z.number().int().min(1).max(24),
  school: surveySchema.shape.school,
  shortCircuitLimitIsStc: z.boolean().default(false),
});
export const fuseResponse = z.object({
  reverseA: z.number(),
  needed: z.boolean(),
  maxUnfused: z.number(),
  leastA: z.number(),
  mostA: z.number(),
  ratingA: z.number().nullable(),
});

export const homeRunRequest = z.object({
  module: moduleTypeSchema,
  modules: pvStringSchema.shape.modules,
  lengthM: quantity(0.1, 1000, 'm', 'One-way length'),
  sectionMm2: dcCableSchema.shape.sectionMm2.unwrap(),
  conductorC: dcCableSchema.shape.conductorC.default(60),
});
export const homeRunResponse = z.object({
  ohm: z.number(),
  dropV: z.number(),
  dropPercent: z.number(),
  lossW: z.number(),
});

export const trackerRequest = z.object({
  mpptMinV: quantity(50, 1500, 'V', 'Lower end of the tracking range'),
  mpptMaxV: quantity(100, 1600, 'V', 'Upper end of the tracking range'),
  strings: z
    .array(
      z.object({
        module: moduleTypeSchema,
        modules: pvStringSchema.shape.modules,
        irradianceWm2: quantity(0, 1600, 'W/m²', 'Light on the plane'),
        cellC: quantity(-60, 120, '°C', 'Cell temperature'),
      }),
    )
    .min(1)
    .max(24),
});
export const trackerResponse = z.object({
  powerW: z.number(),
  voltageV: z.number(),
  separateW: z.number(),
  lossPercent: z.number(),
});

export const windowResponse = z.object({
  missing: z.array(z.string()),
  window: z
    .object({
      limitV: z.number(),
      limitedBy: z.string(),
      hotCellC: z.number(),
      uocColdV: z.number(),
      uocHotV: z.number(),
      umpHotV: z.number(),
      umpColdV: z.number(),
      minModules: z.number(),
      maxModules: z.number(),
      preferred: z.object({ min: z.number(), max: z.number() }).nullable(),
      notes: z.array(z.object({ code: z.string(), text: z.string() })),
      working: z.array(z.string()),
    })
    .nullable(),
});

export const designRequest = z.object({ design: siteDesignSchema });
export const layoutResponse = z.object({
  strings: z.array(pvStringSchema),
  remaining: z.array(z.object({ planeId: z.string(), modules: z.number(), reason: z.string() })),
  missing: z.array(z.string()),
  violations: z.array(z.object({ predicate: z.string(), text: z.string() })),
});

export const runRequest = z.object({ run: acRunSchema, inverter: inverterTypeSchema, survey: surveySchema });
export const checksResponse = z.object({ checks: z.array(checkSchema), verdict: verdictSchema });

export const stringTestRequest = z.object({
  module: moduleTypeSchema,
  modules: quantity(1, 60, 'modules', 'Modules in series').int(),
  ...RECORD_VALUES['string-test'].shape,
  coldestC: temperatures.coldestC,
  limitV: temperatures.dcLegalMaxV.meta({ unit: 'V', description: 'Smallest of inverter, module and legal limit' }),
  sistersV: z.array(z.number().min(0).max(3000)).max(500),
  otherModules: z.number().int().min(1).max(60).nullable(),
});
export const stringTestResponse = checksResponse.extend({
  coldV: z.number().nullable(),
  causes: z.array(
    z.object({ cause: z.string(), words: z.string(), next: z.string(), safety: z.string(), probability: z.number() }),
  ),
});

export const insulationRequest = z.object({
  stringUocStcV: quantity(1, 3000, 'V', 'String U_oc at STC'),
  moduleSystemMaxV: quantity(100, 2000, 'V', 'Module system voltage'),
  sectionKw: quantity(0, 10000, 'kW', 'Power of the section'),
  ...RECORD_VALUES.insulation.shape,
});
export const acVoltagesRequest = z.object({
  gridCode: z.enum(GRID_CODE_FAMILIES),
  nominalLineV: quantity(200, 1000, 'V', 'Nominal line voltage'),
  lineV: z.tuple([z.number(), z.number(), z.number()]),
  phaseV: z.array(z.number()).max(3),
});
export const verdictResponse = z.object({ verdict: verdictSchema, text: z.string() });

export const editRequest = z.object({ revision: z.number().int().min(1), edit: designEditSchema });
export const undoRequest = z.object({ revision: z.number().int().min(1) });
export const storedResponse = z.object({
  siteId: z.string(),
  revision: z.number(),
  design: siteDesignSchema,
  canUndo: z.boolean(),
});
export const releaseRequest = z.object({
  revision: z.number().int().min(1),
  by: z.string().trim().min(1, 'Say who releases it.').max(80),
});
export const releaseResponse = z.object({ letter: z.string() });
export const createRequest = z.object({ name: surveySchema.shape.name });
export const createResponse = z.object({ siteId: z.string() });
export const recordResponse = z.object({
  record: recordSchema,
  verdict: verdictSchema,
  checks: z.array(checkSchema),
  known: z.boolean(),
});

export const problemSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number(),
    detail: z.string(),
    errors: z.array(z.object({ pointer: z.string(), detail: z.string() })).optional(),
  })
  .meta({
    id: 'Problem',
    description: 'RFC 9457 problem details; pointer is an RFC 6901 JSON Pointer into the request',
  });

export const shelfRequest = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('module'), sheet: moduleTypeSchema }),
  z.object({ kind: z.literal('inverter'), sheet: inverterTypeSchema }),
]);
export const shelfResponse = z.object({ modules: z.array(moduleTypeSchema), inverters: z.array(inverterTypeSchema) });
export const shelfPutResponse = z.object({ id: z.string() });

export const stringListResponse = z.object({ strings: z.array(pvStringSchema) });
