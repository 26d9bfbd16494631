import type { Answer } from '../../kernel/answer';
import { given } from '../../kernel/answer';
import type { Chain } from '../part';
import { BIT_RATES } from '../bitRates';
import { isRepeater } from '../segments';
import type { Asking } from './serialLine';
import { cycleS, deadUnitS, unitS } from './serialLine';

/** A round of the logger over the units of a chain, as it is planned. */
export interface Round {
  readonly asking: Asking;
  readonly registers: number;
  readonly needS: number;
  readonly units: number;
  /** One unit, all of them, and what one that is silent costs, s. */
  readonly unitS: number;
  readonly cycleS: number;
  readonly deadS: number;
}

/** Units that are asked: all on the chain but the one that asks, logger or lead unit. */
const askedOf = ({ devices }: Chain) => Math.max(0, devices.filter((d) => !isRepeater(d)).length - 1);

/** Both frames of an exchange through every repeater of the bus, each held up by a character at most (common practice), s. */
const repeatedS = ({ devices }: Chain, characterS: number) => 2 * devices.filter(isRepeater).length * characterS;

/** The round of a chain, or what it lacks. */
export function roundOf(chain: Chain): Answer<Round> {
  const { poll, bitRate } = chain;
  return given(
    {
      'at least two devices': chain.devices.length < 2 ? null : true,
      'bit rate': bitRate,
      'registers read of each unit': poll.registers,
      'round that is wanted': poll.needS,
      'pause of the units before they answer': poll.turnaroundMs,
      'wait for an answer': poll.timeoutMs,
      'retries of the logger': poll.retries,
      'bits of a character': poll.characterBits,
    },
    (k) => {
      const asking: Asking = {
        bitRate: k['bit rate'],
        characterBits: k['bits of a character'],
        turnaroundS:
          k['pause of the units before they answer'] / 1000 +
          repeatedS(chain, k['bits of a character'] / k['bit rate']),
        timeoutS: k['wait for an answer'] / 1000,
        retries: k['retries of the logger'],
        gapS: 0,
      };
      const registers = k['registers read of each unit'];
      const units = askedOf(chain);
      return {
        asking,
        registers,
        units,
        needS: k['round that is wanted'],
        unitS: unitS(asking, registers),
        cycleS: cycleS(asking, units, registers),
        deadS: deadUnitS(asking),
      };
    },
  );
}

/** Share of the wanted round that may be used (common practice). */
export const ROUND_SHARE = 0.8;

/** What would bring a round under what is wanted, the cheapest first; each with the round it gives, s, or null where it alone cannot. */
export interface Cure {
  readonly what: string;
  readonly cycleS: number | null;
}

/** Fewer registers a round, a higher bit rate, one more bus: the order in which they cost. A shorter wait helps only where units are silent. */
export function cures(round: Round): readonly Cure[] {
  const { asking, units, registers, needS, deadS } = round;
  const fits = (s: number) => s <= ROUND_SHARE * needS;
  const fewer = Array.from({ length: registers - 1 }, (_, i) => registers - 1 - i).find((r) =>
    fits(cycleS(asking, units, r)),
  );
  const faster = BIT_RATES.find((r) => r > asking.bitRate && fits(cycleS({ ...asking, bitRate: r }, units, registers)));
  const perBus = Math.floor((ROUND_SHARE * needS) / round.unitS + 1e-9);
  const buses = perBus < 1 ? null : Math.ceil(units / perBus);
  return [
    {
      what: fewer ? `${fewer} registers a round, the others in a slower one` : 'fewer registers do not do it',
      cycleS: fewer ? cycleS(asking, units, fewer) : null,
    },
    { what: `a shorter wait: each silent unit costs ${deadS.toFixed(2)} s a round`, cycleS: null },
    {
      what: faster ? `${faster} bit/s` : 'no higher bit rate does it: the units’ own pause is the limit',
      cycleS: faster ? cycleS({ ...asking, bitRate: faster }, units, registers) : null,
    },
    {
      what: buses === null ? 'no number of buses does it: one unit takes longer' : `${buses} buses`,
      cycleS: buses === null ? null : cycleS(asking, Math.ceil(units / buses), registers),
    },
  ];
}
