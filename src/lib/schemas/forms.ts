import { z } from 'zod';
import type { ModuleType } from '$core/equipment/moduleType';
import { moduleTypeSchema, sheetFindings } from '$core/equipment/moduleType';
import { partName } from '$core/kernel/schema';
import type { ChainDevice } from '$core/links/part';
import type { Plane, PvString, SiteInverter } from '$core/site/parts';
import type { Position } from '$core/site/position';
import { chainDeviceSchema } from '$core/links/part';
import type { Wall } from '$core/mounting/part';
import { wallSchema } from '$core/mounting/part';
import { planeSchema, pvStringSchema, siteInverterSchema } from '$core/site/parts';
import type { DcCable, EnergyInputs } from '$core/strings/part';
import { dcCableSchema, energyInputsSchema } from '$core/strings/part';
import { positionSchema } from '$core/site/position';

/** What forms take in people's units and shapes, turned into core's once. */

const coordinates = {
  xM: positionSchema.shape.xM.nullable(),
  yM: positionSchema.shape.yM.nullable(),
  zM: positionSchema.shape.zM.nullable(),
};
interface Coordinates {
  xM: number | null;
  yM: number | null;
  zM: number | null;
}

/** A place is known when all three numbers are. */
function positionOf({ xM, yM, zM }: Coordinates): Position | null {
  return xM === null || yM === null || zM === null ? null : { xM, yM, zM };
}
const coordinatesOf = (p: Position | null): Coordinates => p ?? { xM: null, yM: null, zM: null };

/** Half a place is no place: says which numbers are still wanted. */
export function halfPlace(values: Record<string, unknown>): { path: string; text: string }[] {
  const empty = Object.keys(coordinates).filter((k) => values[k] === null);
  return empty.length === 0 || empty.length === 3
    ? []
    : empty.map((path) => ({ path, text: 'Give all three numbers of the place, or none.' }));
}

export const planeForm = planeSchema.omit({ id: true, position: true }).extend(coordinates);
export const planeToForm = ({ id: _id, position, ...p }: Plane) => ({ ...p, ...coordinatesOf(position) });
export const planeFromForm = (id: string, { xM, yM, zM, ...p }: z.infer<typeof planeForm>): Plane => ({
  id,
  ...p,
  position: positionOf({ xM, yM, zM }),
});

export const inverterForm = siteInverterSchema.omit({ id: true, position: true }).extend(coordinates);
export const inverterToForm = ({ id: _id, position, ...i }: SiteInverter) => ({ ...i, ...coordinatesOf(position) });
export const inverterFromForm = (id: string, { xM, yM, zM, ...i }: z.infer<typeof inverterForm>): SiteInverter => ({
  id,
  ...i,
  position: positionOf({ xM, yM, zM }),
});

export const wallForm = wallSchema.omit({ id: true, origin: true }).extend(coordinates);
export const wallToForm = ({ id: _id, origin, ...w }: Wall) => ({ ...w, ...coordinatesOf(origin) });
export const wallFromForm = (id: string, { xM, yM, zM, ...w }: z.infer<typeof wallForm>): Wall => ({
  id,
  ...w,
  origin: positionOf({ xM, yM, zM }),
});

export const chainDeviceForm = chainDeviceSchema
  .omit({
    id: true,
    kind: true,
    inverterId: true,
    position: true,
    portOf: true,
    terminated: true,
    terminatedBeyond: true,
    hopFromId: true,
  })
  .extend(coordinates);
/** A device beside the one before it: a route measured to another device is none here. */
export const chainDeviceToForm = (
  {
    id: _id,
    kind: _k,
    inverterId: _i,
    portOf: _p,
    terminated: _t,
    terminatedBeyond: _b,
    position,
    hopM: _h,
    hopFromId: _f,
    ...d
  }: ChainDevice,
  hopM: number | null,
) => ({ ...d, hopM, ...coordinatesOf(position) });
export const chainDeviceFromForm = (
  device: ChainDevice,
  before: ChainDevice | null,
  { xM, yM, zM, ...d }: z.infer<typeof chainDeviceForm>,
): ChainDevice => ({
  ...device,
  ...d,
  hopFromId: d.hopM === null ? null : (before?.id ?? null),
  position: positionOf({ xM, yM, zM }),
});

/** The parts of a list of strings as people write it: 3, 7-12. */
const listParts = (text: string): string[] =>
  text
    .replaceAll(/ *- */g, '-')
    .split(/[,; ]+/)
    .filter((part) => part !== '');
const stringNumbers = z
  .string()
  .trim()
  .max(400)
  .refine((text) => listParts(text).every((part) => /^\d{1,4}(-\d{1,4})?$/.test(part)), {
    message: 'List strings by number, as 3, 7-12.',
  });

/** The cable as it is typed: the strings an accepted drop is for go by their numbers. */
export const dcCableForm = dcCableSchema.omit({ dropStringIds: true }).extend({
  dropStrings: stringNumbers.meta({ description: 'Strings for which it is accepted, by number' }),
});
type Numbered = Pick<PvString, 'id' | 'number'>;

/** Numbers one after the other, with runs drawn together. */
function listed(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of [...numbers].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && n === last[1] + 1) last[1] = n;
    else runs.push([n, n]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}-${to}`)).join(', ');
}
const numbersIn = (text: string): number[] =>
  listParts(text).flatMap((part) => {
    const [from = 0, to = from] = part.split('-').map(Number);
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
  });

export const dcCableToForm = ({ dropStringIds, ...cable }: DcCable, strings: readonly Numbered[]) => ({
  ...cable,
  dropStrings: listed(strings.filter((s) => dropStringIds.includes(s.id)).map((s) => s.number)),
});
export const dcCableFromForm = (
  { dropStrings, ...cable }: z.infer<typeof dcCableForm>,
  strings: readonly Numbered[],
): DcCable => {
  const wanted = new Set(numbersIn(dropStrings));
  return { ...cable, dropStringIds: strings.filter((s) => wanted.has(s.number)).map((s) => s.id) };
};
/** An accepted drop wants all three of reason, bound and strings, and strings that are there. */
export function halfAcceptance(
  values: Record<string, unknown>,
  strings: readonly Numbered[],
): { path: string; text: string }[] {
  const { dropReason, dropMostPercent, dropStrings } = values as z.infer<typeof dcCableForm>;
  const known = new Set(strings.map((s) => s.number));
  const unknown = numbersIn(dropStrings).filter((n) => !known.has(n));
  if (unknown.length) return [{ path: 'dropStrings', text: `There is no string ${listed(unknown)} on this site.` }];
  const given = [dropReason !== '', dropMostPercent !== null, dropStrings !== ''];
  if (given.every(Boolean) || !given.some(Boolean)) return [];
  return [
    ...(given[0]
      ? []
      : [{ path: 'dropReason', text: 'Say why the drop is accepted, or leave bound and strings empty.' }]),
    ...(given[1] ? [] : [{ path: 'dropMostPercent', text: 'Say up to what drop it is accepted.' }]),
    ...(given[2] ? [] : [{ path: 'dropStrings', text: 'Say for which strings it is accepted, as 3, 7-12.' }]),
  ];
}

/** Values one behind the other, as they are copied from a table; null where there are none. A decimal comma is one. */
const valuesIn = (text: string): number[] | null =>
  text.trim() === ''
    ? null
    : text
        .trim()
        .split(/[\s;]+/)
        .map((value) => Number(value.replace(/,$/, '').replace(',', '.')));

/** Twelve values in one field: what is wrong with one of them says with which. */
const twelveIn = (field: 'clearness' | 'monthlyMeanC', description: string, unit: string) =>
  z
    .string()
    .max(400)
    .superRefine((text, ctx) => {
      for (const { path, message } of energyInputsSchema.shape[field].safeParse(valuesIn(text)).error?.issues ?? [])
        ctx.addIssue({ code: 'custom', message: path.length ? `Value ${Number(path[0]) + 1}: ${message}` : message });
    })
    .meta({ description, unit, wide: true });

/** What a year of energy is reckoned from, as it is typed. */
export const energyForm = energyInputsSchema.extend({
  monthlyMeanC: twelveIn('monthlyMeanC', 'Monthly mean temperature, twelve values, January first', '°C'),
  clearness: twelveIn('clearness', 'Monthly clearness, twelve values, January first; empty: 0.6', '0 to 1'),
  utcOffsetH: energyInputsSchema.shape.utcOffsetH.meta({
    description: 'Standard time against UTC; empty: by longitude',
    unit: 'h',
  }),
});
const inRow = (values: readonly number[] | null): string => values?.join(' ') ?? '';
export const energyToForm = (energy: EnergyInputs): z.infer<typeof energyForm> => ({
  ...energy,
  monthlyMeanC: inRow(energy.monthlyMeanC),
  clearness: inRow(energy.clearness),
});
export const energyFromForm = (typed: z.infer<typeof energyForm>): EnergyInputs => ({
  ...typed,
  monthlyMeanC: valuesIn(typed.monthlyMeanC),
  clearness: valuesIn(typed.clearness),
});

/** What was measured of one string, beside where it hangs. */
export const stringMeasuresForm = pvStringSchema.pick({ lengthM: true, leadsM: true, yM: true });
export const stringMeasuresToForm = ({ lengthM, lengthToId, leadsM, yM, place }: PvString) => ({
  lengthM: place?.inverterId === lengthToId ? lengthM : null,
  leadsM,
  yM,
});
export const stringWithMeasures = (string: PvString, values: z.infer<typeof stringMeasuresForm>): PvString => ({
  ...string,
  ...values,
  lengthToId: values.lengthM === null ? null : (string.place?.inverterId ?? null),
});

export const COEFFICIENT_UNITS = ['%/K', 'V/K, A/K, W/K', 'mV/K, mA/K, mW/K'] as const;
export type CoefficientUnit = (typeof COEFFICIENT_UNITS)[number];

const coefficient = (description: string) => z.number({ error: 'Enter a number.' }).meta({ description });

/** A data sheet as it is typed: coefficients in the unit of the sheet, everything else as core has it. */
export const moduleSheetForm = moduleTypeSchema
  .omit({ id: true, alphaIscPerK: true, betaUocPerK: true, gammaPmaxPerK: true })
  .extend({
    name: partName,
    coefficientUnit: z.enum(COEFFICIENT_UNITS).meta({ description: 'Unit of the coefficients' }),
    alpha: coefficient('Short-circuit current coefficient'),
    beta: coefficient('Open-circuit voltage coefficient, negative'),
    gamma: coefficient('Power coefficient, negative'),
  });
export type ModuleSheetForm = z.infer<typeof moduleSheetForm>;

/** 1/K from what the sheet prints: per cent, or absolute against the value at standard conditions. */
function perKelvin(value: number, unit: CoefficientUnit, atStc: number): number {
  if (unit === '%/K') return value / 100;
  return value / (unit === 'V/K, A/K, W/K' ? 1 : 1000) / atStc;
}

/** Per cent with the digits of a data sheet: 0.0010 % is under any print. */
const inPercent = (perK: number) => Number((100 * perK).toFixed(6));

export function moduleFromForm(
  id: string,
  { coefficientUnit: unit, alpha, beta, gamma, ...f }: ModuleSheetForm,
): ModuleType {
  return {
    id,
    ...f,
    alphaIscPerK: perKelvin(alpha, unit, f.iscA),
    betaUocPerK: perKelvin(beta, unit, f.uocV),
    gammaPmaxPerK: perKelvin(gamma, unit, f.pmaxW),
  };
}

export function moduleToForm({ id: _id, alphaIscPerK, betaUocPerK, gammaPmaxPerK, ...m }: ModuleType): ModuleSheetForm {
  return {
    ...m,
    coefficientUnit: '%/K',
    alpha: inPercent(alphaIscPerK),
    beta: inPercent(betaUocPerK),
    gamma: inPercent(gammaPmaxPerK),
  };
}

const FORM_FIELD: Readonly<Partial<Record<keyof ModuleType, string>>> = {
  alphaIscPerK: 'alpha',
  betaUocPerK: 'beta',
  gammaPmaxPerK: 'gamma',
};

/** Findings on the typed sheet beside the field they belong to. */
export function moduleFormFindings(
  form: ModuleSheetForm,
): { path: string; text: string; severity: 'error' | 'caution' }[] {
  return sheetFindings(moduleFromForm('typed', form)).map((f) => ({
    path: FORM_FIELD[f.field] ?? f.field,
    text: `${f.text} (${f.code})`,
    severity: f.severity,
  }));
}
