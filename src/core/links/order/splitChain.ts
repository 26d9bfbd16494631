import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { FIRST_BUS } from '../buses';
import { lengthLimitM } from '../chain';
import { withOnly } from '../edits';
import { askerOf } from '../ends';
import type { LinksDesign } from '../part';
import { chainResult } from '../results';
import { isUnit } from '../segments';
import type { Binds } from '../timing/fewestBuses';
import { fewestOf } from '../timing/fewestOf';
import type { BusSplit } from './busSplit';
import { splitOverBuses } from './busSplit';
import { hopCosts, lengthOfM } from './costs';
import type { Budget } from './search';

/** The devices of a design over as many buses as they need. */
export interface SplitChain extends Omit<BusSplit, 'buses'> {
  readonly buses: readonly { readonly ids: readonly string[]; readonly lengthM: number }[];
  /** What asks for so many buses; length, where fewer had units enough. */
  readonly binds: readonly Binds[];
  readonly mostUnits: number;
}

const SEED = 1;
/** So many buses more are tried where the fewest cannot keep the length. */
const MORE_MOST = 8;

/** All units on one bus behind whoever asks on the first of them: split over buses that keep their limits, none needs a repeater. */
function onOne(design: LinksDesign): LinksDesign {
  const { devices } = design.chain;
  const asker = devices[askerOf(design.chain)];
  return withOnly(
    design,
    devices.filter((d) => d === asker || isUnit(d)).map((d) => ({ ...d, bus: FIRST_BUS })),
  );
}

/** Splits the units of a design over the fewest buses that keep loads, round, addresses and length, each from whoever asks, wherever they are now. */
export function splitChain(of: LinksDesign, budget: Budget): Answer<SplitChain> {
  const design = onOne(of);
  const { chain } = design;
  const results = chainResult(design, FIRST_BUS);
  const fewest = fewestOf(results);
  const costs = hopCosts(design);
  if (fewest.value === null || costs.value === null || chain.bitRate === null)
    return lacking(...new Set([...fewest.missing, ...costs.missing]));
  const { devices } = chain;
  const first = askerOf(chain);
  const order = [first, ...devices.flatMap((_, i) => (i === first ? [] : [i]))];
  const from = order.map((a) => order.map((b) => costs.value[a]?.[b] ?? Infinity));
  const { mostUnits, binds } = fewest.value;
  for (let more = 0; more <= MORE_MOST; more++) {
    const limits = { buses: fewest.value.buses + more, mostUnits, mostM: lengthLimitM(chain.bitRate) };
    try {
      const { buses, ...split } = splitOverBuses(from, limits, SEED, budget);
      return known({
        ...split,
        buses: buses.map((units) => ({
          ids: [0, ...units].flatMap((at) => devices[order[at] as number]?.id ?? []),
          lengthM: lengthOfM(from, [0, ...units]),
        })),
        binds: more ? ['length'] : binds,
        mostUnits,
      });
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
    }
  }
  return lacking(`a bit rate that reaches every device (${chain.bitRate} bit/s: ${lengthLimitM(chain.bitRate)} m)`);
}
