import { enumOf, quantity } from '../kernel/schema';
import { known, lacking } from '../kernel/answer';
import type { Answer } from '../kernel/answer';
import { gridWindow } from '../site/gridCodes';
import type { Survey } from '../site/survey';
import { supplySignature } from './measure/supplySignature';
import type { Signature } from './measure/supplySignature';
import type { AcReading } from './readings/acReading';

const V = (what: string, max = 1500) => quantity(0, max, 'V', what);

/** Ten voltages of a supply: lines, to neutral where one is run, neutral to PE, lines to PE. */
export const tenVoltagesShape = {
  l12V: V('L1–L2'),
  l23V: V('L2–L3'),
  l31V: V('L3–L1'),
  l1nV: V('L1–N; empty where no neutral is run').nullable(),
  l2nV: V('L2–N').nullable(),
  l3nV: V('L3–N').nullable(),
  npeV: V('N–PE').nullable(),
  l1peV: V('L1–PE'),
  l2peV: V('L2–PE'),
  l3peV: V('L3–PE'),
} as const;
export const TEN_PATHS = Object.keys(tenVoltagesShape);

/** What is read with them, at the board and at a unit alike. */
export const turningShape = {
  frequencyHz: quantity(40, 70, 'Hz', 'Frequency'),
  rotation: enumOf(['L1-L2-L3', 'reversed'] as const).meta({ description: 'Rotation' }),
} as const;

/** L–PE again at low impedance. */
export const repeatShape = {
  l1peLowV: V('L1–PE at low impedance').nullable(),
  l2peLowV: V('L2–PE at low impedance').nullable(),
  l3peLowV: V('L3–PE at low impedance').nullable(),
} as const;

export interface TenTyped {
  readonly l12V: number;
  readonly l23V: number;
  readonly l31V: number;
  readonly l1nV: number | null;
  readonly l2nV: number | null;
  readonly l3nV: number | null;
  readonly npeV: number | null;
  readonly l1peV: number;
  readonly l2peV: number;
  readonly l3peV: number;
  readonly l1peLowV?: number | null;
  readonly l2peLowV?: number | null;
  readonly l3peLowV?: number | null;
}

/** Three readings, or null unless there are three. */
export const three = (a: number | null | undefined, b: number | null | undefined, c: number | null | undefined) =>
  a == null || b == null || c == null ? null : ([a, b, c] as const);

export const lineVoltages = (v: TenTyped) => [v.l12V, v.l23V, v.l31V] as const;
/** To neutral where it was read, else to PE. */
const phaseVoltages = (v: TenTyped): readonly number[] => three(v.l1nV, v.l2nV, v.l3nV) ?? [v.l1peV, v.l2peV, v.l3peV];
export const neutralRead = (v: TenTyped): boolean => three(v.l1nV, v.l2nV, v.l3nV) !== null;

/** The signature of typed voltages; lacking while the survey names no nominal voltage. */
export function signatureOf(v: TenTyped, nominalV: number | null): Answer<Signature> {
  if (nominalV === null) return lacking('nominal line voltage');
  return known(
    supplySignature(
      {
        lineV: lineVoltages(v),
        toNeutralV: three(v.l1nV, v.l2nV, v.l3nV),
        neutralToPeV: v.npeV,
        toPeV: [v.l1peV, v.l2peV, v.l3peV],
        lowImpedanceV: three(v.l1peLowV, v.l2peLowV, v.l3peLowV),
      },
      nominalV,
    ),
  );
}

interface TurningTyped extends TenTyped {
  readonly frequencyHz: number;
  readonly rotation: AcReading['rotation'];
}

/** Typed voltages as the rules of the grid code ask about them. */
export const acReadingOf = (v: TurningTyped, survey: Survey): AcReading => ({
  lineV: lineVoltages(v),
  phaseV: phaseVoltages(v),
  frequencyHz: v.frequencyHz,
  rotation: v.rotation,
  window: gridWindow(survey),
  nominalHz: survey.frequencyHz,
});

/** Every figure that was read with its path, for the range of the instrument. */
export const acRead = (v: TurningTyped) => [
  ...Object.entries(v).flatMap(([path, value]) =>
    path.endsWith('V') && typeof value === 'number' ? [{ of: 'AC voltage' as const, value, path }] : [],
  ),
  { of: 'frequency' as const, value: v.frequencyHz, path: 'frequencyHz' },
];

/** A form of such readings with nothing typed: the usual rotation stands there to be changed. */
export const acBlank = (shape: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> =>
  Object.fromEntries([...Object.keys(shape).map((k) => [k, null]), ['rotation', 'L1-L2-L3']]);
