import { z } from 'zod';
import { checksSchema, withWorst } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { Memo } from '../kernel/memo';
import { figure, partId } from '../kernel/schema';
import { documentSchema } from '../site/base';
import { assessLinks } from './assess';
import { busCalculations } from './busCalculations';
import { chainOrder } from './order/chainOrder';
import { splitChain } from './order/splitChain';
import { onBus } from './edits';
import { chainDeviceSchema, linksFlaws, linksShape } from './part';
import { busResult, linksResults, segmentOf } from './results';
import { BINDS } from './timing/fewestBuses';
import { chainScope } from './wave/chainScope';
import { faultCasesSchema } from './wave/faultCase';
import { HEARD } from './wave/heard';

/** Kicks of a search that is asked for over the API: no clock, so the same question has the same answer. */
const API_KICKS = 100;

const { bus } = chainDeviceSchema.shape;
const segment = z
  .number()
  .int()
  .min(1)
  .default(1)
  .meta({ description: 'Which pair of the bus, counted at its repeaters' });

/** What the chain computes without a stored site. */
export const calculations = {
  ...busCalculations,
  chain: calculation({
    summary: 'Every check of the RS-485 chain of a design',
    input: z.object({ design: documentSchema(linksShape, linksFlaws) }),
    output: checksSchema,
    run: ({ design }) => withWorst(assessLinks(design, linksResults(design), new Memo()).flat()),
  }),
  'bus-scope': calculation({
    summary: 'What every device of the chain of a design hears, wired as planned or with faults',
    input: z.object({ design: documentSchema(linksShape, linksFlaws), bus, segment, faults: faultCasesSchema }),
    output: z.object({
      verdict: z.enum(HEARD),
      passesTo: figure('bit/s', 'Highest rate up to which all pass; null: none').nullable(),
      broken: z.array(z.string()).meta({ description: 'What the standards would not have' }),
      devices: z.array(
        z.object({
          label: z.string(),
          verdict: z.enum(HEARD).meta({ description: 'The worst of both drivers and both ways' }),
          way: z.enum(['out', 'back']),
          finalV: figure('V', 'Where the pair comes to rest'),
          eyeV: figure('V', 'Half the opening of the eye'),
          settleUs: figure('µs', 'Until it stays within a tenth of its end'),
          passesTo: figure('bit/s', 'Highest rate up to which it passes; null: none').nullable(),
        }),
      ),
    }),
    long: true,
    run: ({ design, bus: on, segment: nth, faults }) => {
      const found = chainScope(segmentOf(busResult(design, on), nth), faults);
      if (found.value === null) throw new RangeError(`Not known: ${found.missing.join(', ')}`);
      const { verdict, passesTo, broken, channels } = found.value;
      return {
        verdict,
        passesTo,
        broken: [...broken],
        devices: channels.map(({ label, way, passesTo: to, heard: h }) => ({
          label,
          way,
          verdict: h.verdict,
          finalV: h.finalV,
          eyeV: h.eyeV,
          settleUs: h.settleUs,
          passesTo: to,
        })),
      };
    },
  }),
  'bus-split': calculation({
    summary:
      'The devices of a design over the fewest buses that keep loads, round, addresses and length, with little cable',
    input: z.object({ design: documentSchema(linksShape, linksFlaws) }),
    output: z.object({
      buses: z.array(
        z.object({
          ids: z.array(partId).meta({ description: 'Devices in order, whoever asks first' }),
          lengthM: figure('m', 'Cable of this bus'),
        }),
      ),
      lengthM: figure('m', 'Cable of all'),
      boundM: figure('m', 'What no split over so many can be shorter than'),
      binds: z.array(z.enum(BINDS)).meta({ description: 'What asks for so many' }),
      mostUnits: figure('', 'Most units on one bus'),
    }),
    long: true,
    run: ({ design }) => {
      const found = splitChain(design, { kicks: API_KICKS * 20, timeLimitS: Infinity, nowS: () => 0 });
      if (found.value === null) throw new RangeError(`Not known: ${found.missing.join(', ')}`);
      const { buses, binds, ...split } = found.value;
      return { ...split, binds: [...binds], buses: buses.map((b) => ({ ...b, ids: [...b.ids] })) };
    },
  }),
  'chain-order': calculation({
    summary: 'The shortest order of a bus of a design',
    input: z.object({
      design: documentSchema(linksShape, linksFlaws),
      bus,
      lastId: partId.nullable().default(null).meta({ description: 'Device that it ends at; null: any' }),
      anyFirst: z
        .boolean()
        .default(false)
        .meta({ description: 'Any device may be the first: the logger asks from inside, its terminator out' }),
    }),
    output: z.object({
      ids: z.array(partId).meta({ description: 'Devices in order' }),
      lengthM: figure('m', 'Cable in this order'),
      asItIsM: figure('m', 'Cable as the design has it'),
      proven: z.boolean().meta({ description: 'No other order is shorter' }),
      boundM: figure('m', 'What none can be shorter than'),
    }),
    long: true,
    run: ({ design, bus: on, ...ends }) => {
      const found = chainOrder(onBus(design, on), ends, { kicks: API_KICKS, timeLimitS: Infinity, nowS: () => 0 });
      if (found.value === null) throw new RangeError(`Not known: ${found.missing.join(', ')}`);
      return { ...found.value, ids: [...found.value.ids] };
    },
  }),
};
