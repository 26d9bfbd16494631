import { requirePositive } from '../../kernel/require';
import { LAST_ADDRESS } from '../addresses';
import { lengthLimitM } from '../chain';
import { MOST_UNIT_LOADS } from '../line/budget';

/** What decides over the number of buses. */
export const BINDS = ['unit loads', 'poll', 'addresses', 'length'] as const;
export type Binds = (typeof BINDS)[number];

export interface Fewest {
  readonly buses: number;
  readonly binds: readonly Binds[];
  /** Most units on one of them, by loads, round and addresses. */
  readonly mostUnits: number;
  /** What each would ask for alone. */
  readonly by: Readonly<Record<Binds, number>>;
}

interface Wanted {
  readonly units: number;
  /** Of the one that asks, and of each unit. */
  readonly loggerUnitLoads: number;
  readonly unitLoads: number;
  /** One unit's reads, and the round that is wanted, s. */
  readonly unitS: number;
  readonly needS: number;
  /** Least cable that joins them all, m, and the bit rate. */
  readonly leastCableM: number;
  readonly bitRate: number;
}

/**
 * Fewest buses for so many units, and what binds: unit loads, the round, addresses, length. Throws RangeError where no number of buses does:
 * one unit is too much for a bus, or takes longer than the round.
 */
export function fewestBuses(w: Wanted): Fewest {
  requirePositive(
    { units: w.units, unitLoads: w.unitLoads, unitS: w.unitS, needS: w.needS },
    'units',
    'unitLoads',
    'unitS',
    'needS',
  );
  const perLoad = Math.floor((MOST_UNIT_LOADS - w.loggerUnitLoads) / w.unitLoads + 1e-9);
  const perRound = Math.floor(w.needS / w.unitS + 1e-9);
  if (perLoad < 1)
    throw new RangeError(`unitLoads must leave room for one unit beside the logger (got ${w.unitLoads})`);
  if (perRound < 1) throw new RangeError(`needS must let one unit be read (${w.unitS} s) (got ${w.needS})`);
  const by = {
    'unit loads': Math.ceil(w.units / perLoad),
    poll: Math.ceil(w.units / perRound),
    addresses: Math.ceil(w.units / LAST_ADDRESS),
    length: Math.max(1, Math.ceil(w.leastCableM / lengthLimitM(w.bitRate))),
  };
  const buses = Math.max(...Object.values(by));
  const mostUnits = Math.min(perLoad, perRound, LAST_ADDRESS);
  return { buses, binds: BINDS.filter((b) => by[b] === buses), by, mostUnits };
}
