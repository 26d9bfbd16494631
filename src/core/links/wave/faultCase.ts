import { z } from 'zod';
import { quantity } from '../../kernel/schema';
import type { Bus, Faults } from './bus';

/** Faults that a scope can be switched to, each with the words it goes by. */
export const FAULT_WORDS = {
  none: 'as planned',
  'far terminator missing': 'far terminator missing',
  'near terminator missing': 'near terminator missing',
  'no terminators': 'no terminators',
  'terminator misplaced': 'far terminator at another device',
  'terminator too many': 'one terminator too many',
  'all terminators': 'terminators on everywhere',
  'open hop': 'pair open before a device',
  'crossed hop': 'pair crossed before a device',
  'swapped pair': 'D1 and D0 swapped at a device',
  stub: 'stub at a device',
  star: 'star from the first device',
  'double bias': 'two devices bias the pair',
} as const;
export type FaultKind = keyof typeof FAULT_WORDS;
export const FAULT_KINDS = Object.keys(FAULT_WORDS) as [FaultKind, ...FaultKind[]];

/** Faults that are at one device. */
export const AT_DEVICE: readonly FaultKind[] = [
  'terminator misplaced',
  'terminator too many',
  'open hop',
  'crossed hop',
  'swapped pair',
  'stub',
];

export const faultCaseSchema = z.object({
  kind: z.enum(FAULT_KINDS).default('none').meta({ description: 'What is wrong with it' }),
  at: z.number().int().min(0).max(599).default(1).meta({ description: 'At which device, counted from 0' }),
  stubM: quantity(0, 500, 'm', 'Length of the stub').default(10),
  arms: z.number().int().min(2).max(20).default(3).meta({ description: 'Branches of the star' }),
});
export type FaultCase = z.infer<typeof faultCaseSchema>;

export const MOST_FAULTS = 4;
/** Faults at once; one of a kind, since each kind has one place on the bus. */
export const faultCasesSchema = z
  .array(faultCaseSchema)
  .max(MOST_FAULTS)
  .refine((all) => new Set(all.map((f) => f.kind)).size === all.length, 'Each kind of fault stands once.')
  .default([]);

/** So many devices on each of so many arms, the first arms longer by one where it does not come out even. */
const armsOf = (devices: number, arms: number): number[] =>
  Array.from({ length: Math.min(arms, devices) }, (_, i) => Math.floor((devices - i - 1) / arms) + 1);

/** What faults change in a bus, one after the other. Throws RangeError where it has no such device, or no hop before it. */
export const faultsOf = (bus: Bus, cases: readonly FaultCase[]): Faults =>
  cases.reduce<Faults>((so, fault) => ({ ...so, ...changeOf(bus, so, fault) }), {});

function changeOf(bus: Bus, so: Faults, { kind, at, stubM, arms }: FaultCase): Faults {
  const last = bus.unitLoads.length - 1;
  const on = so.terminatedAt ?? bus.terminated.flatMap((is, i) => (is ? [i] : []));
  const least = kind === 'open hop' || kind === 'crossed hop' ? 1 : 0;
  if (AT_DEVICE.includes(kind) && !(at >= least && at <= last))
    throw new RangeError(
      `at must be ${least} to ${last}: a device of the chain${least ? ' with a hop before it' : ''} (got ${at})`,
    );
  switch (kind) {
    case 'none':
      return {};
    case 'far terminator missing':
      return { terminatedAt: on.filter((i) => i !== last) };
    case 'near terminator missing':
      return { terminatedAt: on.filter((i) => i !== 0) };
    case 'no terminators':
      return { terminatedAt: [] };
    case 'terminator misplaced':
      return { terminatedAt: [...new Set([...on.filter((i) => i !== last), at])] };
    case 'terminator too many':
      return { terminatedAt: [...new Set([...on, at])] };
    case 'all terminators':
      return { terminatedAt: bus.terminated.map((_, i) => i) };
    case 'open hop':
      return { openHop: at - 1 };
    case 'crossed hop':
      return { crossedHop: at - 1 };
    case 'swapped pair':
      return { swappedAt: at };
    case 'stub':
      return { stub: { at, lengthM: stubM } };
    case 'star':
      return { star: armsOf(last, arms) };
    case 'double bias':
      return { biased: 2 };
  }
}
