import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { askerOf } from '../ends';
import type { ChainResult } from '../results';
import { isRepeater } from '../segments';
import type { Fewest } from './fewestBuses';
import { fewestBuses } from './fewestBuses';
import { ROUND_SHARE, roundOf } from './round';

/** Fewest buses for the devices of a chain: every unit counts as the heaviest of them, and the round as four fifths of the one wanted. */
export function fewestOf({ chain, loads, lengthM, unitLoads }: ChainResult): Answer<Fewest> {
  const round = roundOf(chain);
  const missing = [...round.missing, ...lengthM.missing, ...unitLoads.missing];
  const at = askerOf(chain);
  const units = chain.devices.flatMap((d, i) => (i === at || isRepeater(d) ? [] : [loads[i] ?? NaN]));
  if (missing.length || !round.value || !units.length)
    return lacking(...new Set(missing.length ? missing : ['at least two devices']));
  const { unitS, needS, asking } = round.value;
  const wanted = {
    units: units.length,
    loggerUnitLoads: loads[at] ?? NaN,
    unitLoads: Math.max(...units),
    unitS,
    needS: ROUND_SHARE * needS,
    leastCableM: lengthM.value ?? NaN,
    bitRate: asking.bitRate,
  };
  try {
    return known(fewestBuses(wanted));
  } catch (cause) {
    if (!(cause instanceof RangeError)) throw cause;
    return lacking(cause.message);
  }
}
