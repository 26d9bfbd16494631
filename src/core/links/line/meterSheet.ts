import { loopOhm } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import type { ChainDevice } from '../part';
import type { ChainResult } from '../results';
import { UNIT_LOAD_OHM, shortAtM } from './budget';
import { terminatorS } from './busLine';
import { ladderV } from './ladder';

/** What a meter across the pair has to read at one device. Ω at 20 °C, everything off and the bias out; null: open. */
export interface MeterRow {
  readonly device: ChainDevice;
  /** Both plugs in; the plug to the next device out; the plug from the device before out. */
  readonly bothOhm: number | null;
  readonly backOhm: number | null;
  readonly onOhm: number | null;
  /** D1 − D0, powered and nobody sending, mV; null where nobody biases the pair or the bias is not known. */
  readonly idleMv: number | null;
}
export interface MeterSheet {
  readonly rows: readonly MeterRow[];
  readonly terminatorOhm: number;
  /** Loop of a metre of the pair, Ω/m, and its length, m. */
  readonly loopOhmPerM: number;
  readonly lengthM: number;
}

const METER_C = 20;

/** What is across the pair at one place of a chain of terminators, Ω; null where there is nothing. */
function seenOhm(hopOhm: readonly number[], acrossS: readonly number[], at: number): number | null {
  return acrossS.some((s) => s > 0)
    ? (ladderV({ hopOhm, acrossS, intoA: acrossS.map((_, i) => (i === at ? 1 : 0)) })[at] ?? null)
    : null;
}

/** The readings of a chain that is wired as it is planned, device by device. */
export function meterSheet({ chain, hops, lengthM, loads, budget }: ChainResult): Answer<MeterSheet> {
  const { devices, line } = chain;
  const { areaMm2, terminatorOhm } = line;
  const eachS = terminatorS(line);
  const missing = [
    ...(areaMm2 === null ? ['section of the bus conductors'] : []),
    ...(eachS === null || terminatorOhm === null ? ['resistance of the terminators'] : []),
    ...lengthM.missing,
  ];
  if (areaMm2 === null || eachS === null || terminatorOhm === null || lengthM.value === null)
    return lacking(...missing);
  const hopOhm = hops.map((h) => loopOhm(h.cableM ?? NaN, areaMm2, METER_C));
  const ends = devices.map((d) => (d.terminated ? eachS : 0));
  const bias = budget.bias.value;
  const idle =
    bias === null || bias === 'none' || loads.includes(null)
      ? null
      : ladderV({
          hopOhm,
          acrossS: ends.map(
            (s, i) => s + (loads[i] as number) / UNIT_LOAD_OHM + (i ? 0 : 1 / (bias.pullUpOhm + bias.pullDownOhm)),
          ),
          intoA: ends.map((_, i) => (i ? 0 : bias.supplyV / (bias.pullUpOhm + bias.pullDownOhm))),
        });
  return known({
    terminatorOhm,
    loopOhmPerM: loopOhm(1, areaMm2, METER_C),
    lengthM: lengthM.value,
    rows: devices.map((device, i) => ({
      device,
      bothOhm: seenOhm(hopOhm, ends, i),
      backOhm: seenOhm(hopOhm.slice(0, i), ends.slice(0, i + 1), i),
      onOhm: seenOhm(hopOhm.slice(i), ends.slice(i), 0),
      idleMv: idle ? 1000 * (idle[i] as number) : null,
    })),
  });
}

/** A reading this near to what is expected is that one: leads, plugs and a warm cable, share and Ω (common practice). */
const NEAR = 0.05;
const LEADS_OHM = 0.5;
/** A pair across which nothing passes direct current reads at least this, Ω: receivers that are off, in parallel (common practice). */
export const OPEN_OHM = 1000;
/** Whether a reading is what was expected, both Ω. */
export const nearOhm = (readOhm: number, expectedOhm: number): boolean =>
  Math.abs(readOhm - expectedOhm) <= NEAR * expectedOhm + LEADS_OHM;

/**
 * What an ohm reading at the first device says of a chain that was planned with a terminator at both ends and nowhere else, or with none that
 * passes direct current: right, a terminator missing, one too many, open or short, and where. Ω, from 0 (RangeError below, by `shortAtM`).
 */
export function readingMeans({ terminatorOhm: r, loopOhmPerM, lengthM, rows }: MeterSheet, readOhm: number): string {
  const right = rows[0]?.bothOhm ?? null;
  const loop = loopOhmPerM * lengthM;
  const near = (ohm: number) => nearOhm(readOhm, ohm);
  const parallel = (...ohms: number[]) => 1 / ohms.reduce((sum, o) => sum + 1 / o, 0);
  const third = {
    most: Math.max(parallel(r, loop + r / 2), parallel(r / 2, loop + r)),
    least: parallel(r / 2, loop + r),
  };
  if (right === null)
    return readOhm >= OPEN_OHM
      ? 'Open, as planned: no terminator passes direct current.'
      : 'Something passes direct current: a terminator without a capacitor, a short, or a device that is still powered.';
  if (readOhm > 10 * (r + loop)) return 'Open: no terminator is seen, or the plug is out.';
  if (near(right)) return `As planned: ${fixed(right, 1)} Ω.`;
  if (near(r)) return 'The near terminator alone: the far one is missing, or the pair is open on the way.';
  if (near(r + loop)) return 'The far terminator alone: the near one is missing.';
  if (readOhm <= LEADS_OHM) return 'Short at this device.';
  const shorted =
    readOhm <= parallel(r, loop)
      ? `A short about ${fixed(shortAtM(readOhm, r, loopOhmPerM), 0)} m along the cable`
      : '';
  if (readOhm >= third.least * (1 - NEAR) && readOhm <= third.most * (1 + NEAR))
    return `Three terminators: look for one that is on inside the chain.${shorted && ` Or: ${shorted}.`}`;
  if (shorted) return `${shorted}.`;
  if (readOhm < third.least) return 'Several terminators too many.';
  return 'None of the usual: terminators of another value, or a device that is still powered.';
}
