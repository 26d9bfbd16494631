import { loopOhm } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Hop } from '../chain';
import { askerOf } from '../ends';
import type { Chain, ChainDevice } from '../part';
import { isRepeater } from '../segments';
import { terminatorS } from './busLine';
import type { Bias } from './budget';
import { RECEIVER_V, UNIT_LOAD_OHM, idleV } from './budget';
import { ladderV } from './ladder';

/** A driver at its worst: 2.5 V behind 36 Ω is 1.5 V into 54 Ω (TIA/EIA-485-A, its test load; recalled). */
export const WEAK_DRIVER = { openV: 2.5, ohm: 36 } as const;

/** The lowest level that one unit hears of another, V. */
export interface Level {
  readonly volt: number;
  readonly from: ChainDevice;
  readonly to: ChainDevice;
}

/** What the pair of a chain carries, as far as its inputs are known. */
export interface BusBudget {
  /** Loop of every hop at its hottest, Ω, in the order of the chain. */
  readonly hopOhm: Answer<readonly number[]>;
  /** Terminators at the first device, and elsewhere, Ω; none where a capacitor blocks direct current. */
  readonly terminators: Answer<{ readonly nearOhm: readonly number[]; readonly farOhm: readonly number[] }>;
  /** The bias of the pair; `none` where nobody biases it. */
  readonly bias: Answer<Bias | 'none'>;
  /** D1 − D0 at both ends while nobody drives. */
  readonly idle: Answer<{ readonly nearV: number; readonly farV: number }>;
  readonly worst: Answer<Level>;
}

interface Given {
  readonly chain: Chain;
  readonly hops: readonly Hop[];
  readonly lengthM: Answer<number>;
  /** Unit loads of every device in the order of the chain. */
  readonly loads: readonly (number | null)[];
  readonly unitLoads: Answer<number>;
}

/** Several answers as one, or all that any of them lacks. */
function together<T extends Readonly<Record<string, Answer<unknown>>>>(
  answers: T,
): Answer<{ readonly [K in keyof T]: T[K] extends Answer<infer V> ? V : never }> {
  const missing = [...new Set(Object.values(answers).flatMap((a) => a.missing))];
  return missing.length
    ? lacking(...missing)
    : known(Object.fromEntries(Object.entries(answers).map(([name, a]) => [name, a.value])) as never);
}

function biasOf({ line, devices: [first] }: Chain): Answer<Bias | 'none'> {
  if (line.biasAt === null && first && isRepeater(first))
    return lacking(`whether ${first.label} biases the pair behind it`);
  if (line.biasAt === null) return lacking('where the pair is biased');
  if (line.biasAt === 'nowhere') return known('none');
  const { pullUpOhm, pullDownOhm, biasV } = line;
  const missing = [
    ...(pullUpOhm === null ? ['pull-up of the bias'] : []),
    ...(pullDownOhm === null ? ['pull-down of the bias'] : []),
    ...(biasV === null ? ['supply of the bias'] : []),
  ];
  return pullUpOhm === null || pullDownOhm === null || biasV === null
    ? lacking(...missing)
    : known({ pullUpOhm, pullDownOhm, supplyV: biasV });
}

/**
 * The lowest level between the unit that asks and any other, both ways, V: a driver at its worst against the loads of all, with the bias
 * against it as it is while a space is sent.
 */
function lowestLevel(
  chain: Chain,
  hopOhm: readonly number[],
  loads: readonly number[],
  eachS: number,
  bias: Bias | 'none',
): Level | null {
  const { devices } = chain;
  const asker = askerOf(chain);
  const idle = devices.map(
    (d, i) =>
      (d.terminated ? eachS : 0) +
      (loads[i] as number) / UNIT_LOAD_OHM +
      (i === 0 && bias !== 'none' ? 1 / (bias.pullUpOhm + bias.pullDownOhm) : 0),
  );
  const againstA = bias === 'none' ? 0 : bias.supplyV / (bias.pullUpOhm + bias.pullDownOhm);
  const drivenBy = (at: number) =>
    ladderV({
      hopOhm,
      acrossS: idle.map((s, i) => (i === at ? s + 1 / WEAK_DRIVER.ohm : s)),
      intoA: idle.map((_, i) => (i === at ? WEAK_DRIVER.openV / WEAK_DRIVER.ohm : 0) - (i === 0 ? againstA : 0)),
    });
  const asked = drivenBy(asker);
  let worst: Level | null = null;
  devices.forEach((unit, i) => {
    if (i === asker) return;
    for (const [volt, from, to] of [
      [asked[i], devices[asker], unit],
      [drivenBy(i)[asker], unit, devices[asker]],
    ] as const)
      if (volt !== undefined && from && to && !(worst && worst.volt <= volt)) worst = { volt, from, to };
  });
  return worst;
}

/** Works out what the pair of a chain carries. */
export function busBudget({ chain, hops, lengthM, loads, unitLoads }: Given): BusBudget {
  const { line, devices } = chain;
  const area: Answer<number> = line.areaMm2 === null ? lacking('section of the bus conductors') : known(line.areaMm2);
  const hot: Answer<number> =
    line.conductorC === null ? lacking('temperature of the bus conductors') : known(line.conductorC);
  const ofEach = terminatorS(line);
  const eachS: Answer<number> = ofEach === null ? lacking('resistance of the terminators') : known(ofEach);
  /** What a terminated device has across the pair, Ω: nothing where a capacitor blocks. */
  const ohmOf = (d: ChainDevice): readonly number[] => (d.terminated && ofEach ? [1 / ofEach] : []);
  const bias = biasOf(chain);

  const pair = together({ area, hot, lengthM });
  const hopOhm: BusBudget['hopOhm'] = pair.value
    ? known(hops.map((h) => loopOhm(h.cableM ?? NaN, pair.value.area, pair.value.hot)))
    : lacking(...pair.missing);
  const terminators: BusBudget['terminators'] =
    eachS.value === null
      ? lacking(...eachS.missing)
      : known({ nearOhm: devices.slice(0, 1).flatMap(ohmOf), farOhm: devices.slice(1).flatMap(ohmOf) });

  const idling = together({ hopOhm, terminators, bias, unitLoads });
  const idle: BusBudget['idle'] =
    bias.value === 'none'
      ? known({ nearV: 0, farV: 0 })
      : idling.value === null
        ? lacking(...idling.missing)
        : known(
            idleV({
              ...idling.value.terminators,
              bias: idling.value.bias as Bias,
              unitLoads: idling.value.unitLoads,
              loopOhm: idling.value.hopOhm.reduce((sum, r) => sum + r, 0),
            }),
          );
  const driving = together({ hopOhm, eachS, bias, unitLoads });
  const level =
    driving.value &&
    lowestLevel(
      chain,
      driving.value.hopOhm,
      loads.map((l) => l ?? NaN),
      driving.value.eachS,
      driving.value.bias,
    );
  const worst: BusBudget['worst'] =
    driving.value === null ? lacking(...driving.missing) : level ? known(level) : lacking('at least two devices');
  return { hopOhm, terminators, bias, idle, worst };
}

/** Whether an idle pair is over what every receiver reads as mark. */
export const idleEnough = ({ idle }: BusBudget): boolean => (idle.value?.farV ?? 0) >= RECEIVER_V;
