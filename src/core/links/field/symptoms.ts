import { requireWithin } from '../../kernel/require';

/** How the units of a bus answered, in chain order: shares of good answers, of wrong CRC and of silence. */
export interface Rates {
  readonly ok: number;
  readonly crc: number;
  readonly silent: number;
}

export const CAUSES = {
  HEALTHY: { cause: 'nothing', test: '', fix: '' },
  TRUNK: {
    cause: 'wrong port, bit rate or parity; pair crossed, open or shorted at the logger; logger terminal out',
    test: 'Idle D1 − D0 at the logger; ohms across the unpowered pair: 60 right, 120 one terminator or an open, open none, 0 short.',
    fix: 'Port settings first, then the plug, then the pair.',
  },
  BREAK_OR_CROSS_AFTER: {
    cause: 'conductor broken or crossed in that hop, or its plug loose',
    test: 'Unplug after the last good device and meter the pair onwards: 120 Ω; sign of D1 − D0 at the next.',
    fix: 'Land the hop anew.',
  },
  DUPLICATE: {
    cause: 'two or more units hold one address',
    test: 'Switch one of the suspects off: the other comes clean. A constant block reads well, the serial does not.',
    fix: 'Give each an address of its own.',
  },
  LAST_UNIT: {
    cause: 'last hop open, or that unit not addressed, not powered, or D1 and D0 swapped',
    test: 'Display or LED on? Address shown? Sign of D1 − D0 at its terminals? Then the last hop.',
    fix: 'As found.',
  },
  ONE_SILENT: {
    cause: 'address, D1 and D0 at that unit, its plug, or the unit is off',
    test: 'Display or LED on? Address shown? Sign of D1 − D0 at its terminals?',
    fix: 'As found.',
  },
  SEVERAL_SILENT: {
    cause: 'units not addressed yet, without power, or of another register profile',
    test: 'Scan addresses 1 and 247; then the addressing walk.',
    fix: 'Address them.',
  },
  ONE_NOISY: {
    cause: 'loose terminal, long stub, shield earthed twice, its own bias or terminator on',
    test: 'Move the wires at that unit; look for a terminator switch that was left on.',
    fix: 'As found.',
  },
  FAR_END: {
    cause: 'far terminator missing or at the wrong unit; cable too long or thin; bit rate too high',
    test: 'Count terminators; ohms across the unpowered pair; one bit rate lower, and count again.',
    fix: 'Move the terminator; thicker pair; lower rate; a repeater.',
  },
  BUS_NOISE: {
    cause: 'no terminators, none or two bias points, shield or reference missing, beside power cable, two that ask',
    test: 'Idle D1 − D0 over 200 mV? A second one that asks? Errors with the inverters off, at night?',
    fix: 'As found.',
  },
} as const;
export type Cause = keyof typeof CAUSES;

export interface Symptom {
  readonly code: Cause;
  /** The device it is at or after, or from which on, counted from 1; null where it is the whole bus. */
  readonly at: number | null;
}

/** Never answers; always does; wrong bytes at least so often (common practice). */
const DEAD_OK = 0.02;
const DEAD_CRC = 0.5;
const GOOD_OK = 0.98;
const GARBLED_CRC = 0.1;
/** So much worse than the first third is the last one when it is the far end. */
const FAR_WORSE = 0.1;
/** Shares are counted: they may miss 1 by this. */
const SUM_SLACK = 1e-6;

const dead = (r: Rates) => r.ok <= DEAD_OK && r.crc < DEAD_CRC;
const good = (r: Rates) => r.ok >= GOOD_OK;
const garbled = (r: Rates) => !dead(r) && r.crc >= GARBLED_CRC;
const mean = (rates: readonly Rates[]) => rates.reduce((sum, r) => sum + r.ok, 0) / rates.length;

/**
 * The cause that fits what a bus shows, the first that does. Throws RangeError for no devices, and for shares that are none or do not make a
 * whole. Common practice of fault finding.
 */
export function symptomOf(rates: readonly Rates[]): Symptom {
  requireWithin('devices', rates.length, 1, Infinity);
  for (const r of rates) {
    for (const share of ['ok', 'crc', 'silent'] as const) requireWithin(share, r[share], 0, 1);
    requireWithin('ok + crc + silent', r.ok + r.crc + r.silent, 1 - SUM_SLACK, 1 + SUM_SLACK);
  }
  const n = rates.length;
  const where = (is: (r: Rates) => boolean) => rates.flatMap((r, i) => (is(r) ? [i + 1] : []));
  const [deads, goods, garbleds] = [where(dead), where(good), where(garbled)];
  const [onlyDead] = deads;
  const [onlyGarbled] = garbleds;
  const whole = (code: Cause): Symptom => ({ code, at: null });
  if (goods.length === n) return whole('HEALTHY');
  if (deads.length === n) return whole('TRUNK');
  const before = n - deads.length;
  if (deads.length >= 2 && deads.every((d, i) => d === before + i + 1) && before >= 1 && !garbleds.length)
    return { code: 'BREAK_OR_CROSS_AFTER', at: before };
  const restGood = (others: number) => goods.length === n - others;
  if (garbleds.length === 1 && onlyGarbled && deads.length >= 1 && restGood(1 + deads.length))
    return { code: 'DUPLICATE', at: onlyGarbled };
  if (deads.length === 1 && onlyDead && restGood(1))
    return onlyDead === n ? { code: 'LAST_UNIT', at: n } : { code: 'ONE_SILENT', at: onlyDead };
  if (deads.length >= 2 && restGood(deads.length)) return whole('SEVERAL_SILENT');
  if (garbleds.length === 1 && onlyGarbled && restGood(1)) return { code: 'ONE_NOISY', at: onlyGarbled };
  const third = Math.max(1, Math.floor(n / 3));
  const first = mean(rates.slice(0, third));
  if (first >= GOOD_OK && mean(rates.slice(-third)) <= first - FAR_WORSE) return { code: 'FAR_END', at: n - third + 1 };
  return whole('BUS_NOISE');
}

/** Plugs that have to be pulled to find one fault among so many devices by halves: ⌈log₂(n + 1)⌉. */
export const halfSplits = (devices: number): number => Math.ceil(Math.log2(devices + 1));
