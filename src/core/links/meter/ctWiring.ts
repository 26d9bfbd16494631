import { requirePositive } from '../../kernel/require';

/** Active and reactive power of one phase, W and var. */
export interface Power {
  readonly p: number;
  readonly q: number;
}
const sizeOf = ({ p, q }: Power) => Math.hypot(p, q);

/** What stands in a channel's current transformer, by the turn of its power against the phase's own, in steps of 60°. */
const BY_TURN = {
  0: { phase: 0, reversed: false },
  180: { phase: 0, reversed: true },
  120: { phase: 1, reversed: false },
  [-120]: { phase: 2, reversed: false },
  [-60]: { phase: 1, reversed: true },
  60: { phase: 2, reversed: true },
} as const;

export interface ChannelWiring {
  /** Nothing comes: shorted or unplugged. */
  readonly dead: boolean;
  /** Phase whose current it measures, 0 to 2; null of a dead one. */
  readonly phase: number | null;
  readonly reversed: boolean;
  /** What is left of the angle, °: within 15 sure, beyond to be repeated at more power. */
  readonly restDeg: number;
  readonly sure: boolean;
  /** Size against the phase it measures; and how that stands. */
  readonly ratio: number | null;
  readonly ratioVerdict: 'holds' | 'tight' | 'stop' | null;
}

/** Less than this share of the reference is nothing; so far from a step is sure; so far from 1 a ratio holds, and is tight (common practice). */
const DEAD_SHARE = 0.02;
const SURE_DEG = 15;
const RATIO_HOLDS = 0.02;
const RATIO_TIGHT = 0.05;

const turnOf = (a: Power, b: Power) => {
  const deg = ((Math.atan2(a.q, a.p) - Math.atan2(b.q, b.p)) * 180) / Math.PI;
  return deg > 180 ? deg - 360 : deg <= -180 ? deg + 360 : deg;
};

/**
 * How the three current transformers of a meter are wired, from what its channels show and what is known to flow, phase by phase, both counted
 * alike (export positive): the meter's volts are right and its phases in sequence. The reference is the inverters' own power, or the step between
 * off and on. Of 48 wirings the powers with their vars tell each; active powers alone leave doubt at unity. Throws RangeError without reference
 * power. Common practice of meter commissioning.
 */
export function ctWiring(
  measured: readonly [Power, Power, Power],
  reference: readonly [Power, Power, Power],
): ChannelWiring[] {
  return measured.map((seen, channel) => {
    const own = reference[channel] as Power;
    requirePositive({ reference: sizeOf(own) }, 'reference');
    if (sizeOf(seen) < DEAD_SHARE * sizeOf(own))
      return { dead: true, phase: null, reversed: false, restDeg: 0, sure: true, ratio: null, ratioVerdict: null };
    const turn = turnOf(seen, own);
    const step = 60 * Math.round(turn / 60);
    const { phase: on, reversed } = BY_TURN[(step === -180 ? 180 : step) as keyof typeof BY_TURN];
    const phase = (channel + on) % 3;
    const ratio = sizeOf(seen) / sizeOf(reference[phase] as Power);
    const off = Math.abs(ratio - 1);
    const restDeg = turn - step;
    return {
      dead: false,
      phase,
      reversed,
      restDeg,
      sure: Math.abs(restDeg) <= SURE_DEG,
      ratio,
      ratioVerdict: off <= RATIO_HOLDS ? 'holds' : off <= RATIO_TIGHT ? 'tight' : 'stop',
    };
  });
}

const PHASES = ['L1', 'L2', 'L3'] as const;

/** What to do at a channel, a sentence; empty where it is right. */
export function ctMend(channel: number, w: ChannelWiring): string {
  if (w.dead) return 'Nothing comes: shorted or unplugged. Never open a live secondary: short it first.';
  const own = PHASES[channel] ?? '';
  const words = [
    ...(w.phase === channel ? [] : [`measures the current of ${PHASES[w.phase ?? 0]}: take it to ${own}`]),
    ...(w.reversed ? ['is reversed: change k and l'] : []),
    ...(w.ratioVerdict === 'stop' ? [`ratio is off: divide the set one by ${(w.ratio ?? 1).toFixed(3)}`] : []),
  ];
  return words.length
    ? `${words.join('; ')}.${w.sure ? '' : ' Repeat at more power first.'}`
    : w.sure
      ? ''
      : 'Repeat at more power.';
}

/** Burden of the leads of a current transformer, VA: 2·ρ·L/A·I², ρ of copper at 20 °C by the caller's loop. */
export function leadBurdenVa(loopOhm: number, amp: number): number {
  requirePositive({ loopOhm, amp }, 'loopOhm', 'amp');
  return loopOhm * amp ** 2;
}
