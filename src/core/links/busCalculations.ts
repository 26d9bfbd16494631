import { z } from 'zod';
import { loopOhm } from '../conductor/metal';
import { calculation } from '../kernel/discipline';
import { figure, quantity } from '../kernel/schema';
import { BIT_RATES } from './bitRates';
import { lengthLimitM } from './chain';
import { HOP_MOST_M, forwardUs, ipPlan, longestPrefix } from './ethernet/ipPlan';
import { driverLoadOhm, idleV, loopLossDb } from './line/budget';
import { ctMend, ctWiring } from './meter/ctWiring';
import { freeSpaceLossDb, linkMarginDb } from './radio/radioLink';
import { cycleS, deadUnitS, unitS } from './timing/serialLine';

const whole = (min: number, max: number, description: string) =>
  z.number({ error: 'Enter a number.' }).int('Whole numbers.').min(min).max(max).meta({ description });
const bitRate = z.union(BIT_RATES.map((r) => z.literal(r))).meta({ unit: 'bit/s', description: 'Bit rate' });
const text = (description: string) => z.string().trim().min(1).max(40).meta({ description });
const watts = (description: string) => quantity(-1e8, 1e8, 'W', description);
const vars = (description: string) => quantity(-1e8, 1e8, 'var', description);

/** What can be computed about buses and their relatives without a site. */
export const busCalculations = {
  'bus-pair': calculation({
    summary: 'What the pair of an RS-485 bus carries: loop, load on the driver, idle voltage',
    input: z.object({
      lengthM: quantity(0.1, 5000, 'm', 'Cable of the bus'),
      areaMm2: quantity(0.05, 6, 'mm²', 'Section of a conductor'),
      conductorC: quantity(-40, 120, '°C', 'Conductor temperature'),
      unitLoads: quantity(0, 64, '', 'Unit loads of all devices'),
      terminatorOhm: quantity(30, 1000, 'Ω', 'Each of two terminators'),
      pullUpOhm: quantity(50, 100_000, 'Ω', 'Pull-up to D1'),
      pullDownOhm: quantity(50, 100_000, 'Ω', 'Pull-down to D0'),
      supplyV: quantity(1, 24, 'V', 'Supply of the bias'),
      bitRate,
    }),
    output: z.object({
      loopOhm: figure('Ω', 'Loop of the pair'),
      lossDb: figure('dB', 'Loss into the far terminator'),
      driverLoadOhm: figure('Ω', 'Load on a driver'),
      idleNearMv: figure('mV', 'Idle voltage at the biased end'),
      idleFarMv: figure('mV', 'Idle voltage at the far end'),
      lengthMostM: figure('m', 'Longest bus at this bit rate'),
    }),
    run: ({ lengthM, areaMm2, conductorC, unitLoads, terminatorOhm: r, bitRate: rate, ...bias }) => {
      const loop = loopOhm(lengthM, areaMm2, conductorC);
      const idle = idleV({ bias, nearOhm: [r], farOhm: [r], unitLoads, loopOhm: loop });
      return {
        loopOhm: loop,
        lossDb: loopLossDb(loop, r),
        driverLoadOhm: driverLoadOhm([r, r], unitLoads, bias),
        idleNearMv: 1000 * idle.nearV,
        idleFarMv: 1000 * idle.farV,
        lengthMostM: lengthLimitM(rate),
      };
    },
  }),
  'bus-round': calculation({
    summary: 'How long a logger takes for one round over a bus',
    input: z.object({
      bitRate,
      characterBits: z.union([z.literal(10), z.literal(11)]).meta({ unit: 'bit', description: 'Bits a character' }),
      units: whole(1, 247, 'Units asked'),
      silent: whole(0, 247, 'Of them silent'),
      registers: whole(1, 2000, 'Registers of each'),
      turnaroundMs: quantity(0, 10_000, 'ms', 'Pause before an answer'),
      timeoutMs: quantity(1, 60_000, 'ms', 'Wait for an answer'),
      retries: whole(0, 20, 'Asked again'),
    }),
    output: z.object({
      unitS: figure('s', 'One unit'),
      roundS: figure('s', 'One round'),
      silentS: figure('s', 'A silent unit'),
    }),
    run: ({ units, silent, registers, turnaroundMs, timeoutMs, ...of }) => {
      const asking = { ...of, turnaroundS: turnaroundMs / 1000, timeoutS: timeoutMs / 1000, gapS: 0 };
      return {
        unitS: unitS(asking, registers),
        roundS: cycleS(asking, units, registers, silent),
        silentS: deadUnitS(asking),
      };
    },
  }),
  'ct-wiring': calculation({
    summary: 'How the current transformers of a meter are wired, from twelve readings',
    input: z.object({
      ownP1: watts('Inverters feed, L1'),
      ownQ1: vars('Inverters supply, L1'),
      ownP2: watts('Inverters feed, L2'),
      ownQ2: vars('Inverters supply, L2'),
      ownP3: watts('Inverters feed, L3'),
      ownQ3: vars('Inverters supply, L3'),
      meterP1: watts('Meter, export positive, L1'),
      meterQ1: vars('Meter, export positive, L1'),
      meterP2: watts('Meter, export positive, L2'),
      meterQ2: vars('Meter, export positive, L2'),
      meterP3: watts('Meter, export positive, L3'),
      meterQ3: vars('Meter, export positive, L3'),
    }),
    output: z.object({
      channels: z.array(
        z.object({
          phase: z.number().nullable().meta({ description: 'Phase that it measures, 1 to 3; null: nothing comes' }),
          reversed: z.boolean(),
          sure: z.boolean(),
          ratio: z.number().nullable(),
          mend: z.string().meta({ description: 'What to do; empty: right' }),
        }),
      ),
    }),
    run: (r) => {
      const found = ctWiring(
        [
          { p: r.meterP1, q: r.meterQ1 },
          { p: r.meterP2, q: r.meterQ2 },
          { p: r.meterP3, q: r.meterQ3 },
        ],
        [
          { p: r.ownP1, q: r.ownQ1 },
          { p: r.ownP2, q: r.ownQ2 },
          { p: r.ownP3, q: r.ownQ3 },
        ],
      );
      return {
        channels: found.map((w, i) => ({
          phase: w.phase === null ? null : w.phase + 1,
          reversed: w.reversed,
          sure: w.sure,
          ratio: w.ratio,
          mend: ctMend(i, w),
        })),
      };
    },
  }),
  'ip-plan': calculation({
    summary: 'Addresses of units on a chain of Ethernet',
    input: z.object({
      network: text('Network, as 192.0.2.0'),
      prefix: whole(8, 30, 'Prefix'),
      gateway: text('Gateway'),
      first: whole(1, 16_000_000, 'First host'),
      units: whole(1, 247, 'Units'),
    }),
    output: z.object({
      addresses: z.array(z.string()),
      longestPrefix: figure('', 'Longest prefix with room for them and the gateway'),
      forwardUs: figure('µs', 'A full frame to the last, 100 Mbit/s'),
      hopMostM: figure('m', 'Longest hop'),
    }),
    run: (wanted) => ({
      addresses: ipPlan({ ...wanted, reserved: [] }),
      longestPrefix: longestPrefix(wanted.units + 1),
      forwardUs: forwardUs(wanted.units),
      hopMostM: HOP_MOST_M,
    }),
  }),
  'radio-link': calculation({
    summary: 'What is left of a radio link over what its receiver wants',
    input: z.object({
      distanceM: quantity(0.1, 100_000, 'm', 'Distance'),
      mhz: quantity(1, 100_000, 'MHz', 'Frequency'),
      powerDbm: quantity(-50, 50, 'dBm', 'Power sent'),
      gainDb: quantity(-20, 60, 'dB', 'Gain of both antennas'),
      wallsDb: quantity(0, 200, 'dB', 'Lost in walls'),
      sensitivityDbm: quantity(-150, 0, 'dBm', 'Sensitivity of the receiver'),
    }),
    output: z.object({
      lossDb: figure('dB', 'Lost in free space'),
      marginDb: figure('dB', 'Left: 10 wanted, 3 at least'),
    }),
    run: ({ mhz, ...link }) => ({
      lossDb: freeSpaceLossDb(link.distanceM, mhz * 1e6),
      marginDb: linkMarginDb({ ...link, hz: mhz * 1e6 }),
    }),
  }),
};
