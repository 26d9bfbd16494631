import { requirePositive, requireWithin } from '../../kernel/require';
import { LAST_ADDRESS } from '../addresses';
import { BIT_RATES } from '../bitRates';

/** Times of a serial line that speaks Modbus RTU, s. Source: Modbus over Serial Line V1.02, 2.5.1; Application Protocol V1.1b3 (recalled). */

/** A line as its ports are set: bit/s, and bits a character: 11 with parity or a second stop bit, 10 as 8N1. */
export interface SerialLine {
  readonly bitRate: number;
  readonly characterBits: 10 | 11;
}

function requireRate(bitRate: number): void {
  if (!BIT_RATES.some((r) => r === bitRate))
    throw new RangeError(`bitRate must be one of ${BIT_RATES.join(', ')} bit/s (got ${bitRate})`);
}

/** One character, s. Throws RangeError for a bit rate that no port has. */
export function characterS({ bitRate, characterBits }: SerialLine): number {
  requireRate(bitRate);
  return characterBits / bitRate;
}

/** Above this the silences are fixed, bit/s and s (Modbus over Serial Line V1.02, 2.5.1.1; recalled). */
const FIXED_ABOVE = 19_200;
const FIXED_S = { t15: 750e-6, t35: 1750e-6 } as const;

/** Silences that part characters of one frame (1.5) and frames (3.5), s. */
export function silencesS(line: SerialLine): { readonly t15: number; readonly t35: number } {
  const c = characterS(line);
  return line.bitRate > FIXED_ABOVE ? FIXED_S : { t15: 1.5 * c, t35: 3.5 * c };
}

/** Characters of a read: 8 of a request, 5 of an answer, two a register. */
const READ_CHARACTERS = 13;
const REQUEST_CHARACTERS = 8;
/** Most registers in one read (Modbus Application Protocol V1.1b3; recalled). */
const REGISTERS_MOST = 125;

/** How the one that asks goes about it. s, from 0. */
export interface Asking extends SerialLine {
  /** From the end of a question to the answer of a unit. */
  readonly turnaroundS: number;
  /** How long an answer is waited for. */
  readonly timeoutS: number;
  /** How often a question without an answer is asked again. */
  readonly retries: number;
  /** Rest between two questions beyond the silence. */
  readonly gapS: number;
}

/** One read of so many registers, s: (13 + 2R)·t_c + 2·t_3.5 + turnaround + gap. R 1…125 (RangeError else). */
export function transactionS(asking: Asking, registers: number): number {
  requireWithin('registers', registers, 1, REGISTERS_MOST);
  requireWithin('turnaroundS', asking.turnaroundS, 0, Infinity, 's');
  requireWithin('gapS', asking.gapS, 0, Infinity, 's');
  return (
    (READ_CHARACTERS + 2 * registers) * characterS(asking) +
    2 * silencesS(asking).t35 +
    asking.turnaroundS +
    asking.gapS
  );
}

/** Registers as reads of at most 125. */
function blocksOf(registers: number): number[] {
  requireWithin('registers', registers, 1, 65_536);
  return Array.from({ length: Math.ceil(registers / REGISTERS_MOST) }, (_, i) =>
    Math.min(REGISTERS_MOST, registers - i * REGISTERS_MOST),
  );
}

/** All reads of one unit, s. */
export const unitS = (asking: Asking, registers: number): number =>
  blocksOf(registers).reduce((sum, block) => sum + transactionS(asking, block), 0);

/** What a unit costs that does not answer, s: (retries + 1)(8·t_c + timeout + t_3.5 + gap). */
export function deadUnitS(asking: Asking): number {
  requireWithin('timeoutS', asking.timeoutS, 0, Infinity, 's');
  requireWithin('retries', asking.retries, 0, 20);
  return (
    (asking.retries + 1) *
    (REQUEST_CHARACTERS * characterS(asking) + asking.timeoutS + silencesS(asking).t35 + asking.gapS)
  );
}

/**
 * One round over all units, s. Dead ones are asked for their first block, once in so many rounds (`slow`, 1 or more; mean). Throws RangeError
 * for more dead units than units.
 */
export function cycleS(asking: Asking, units: number, registers: number, dead = 0, slow = 1): number {
  requireWithin('units', units, 0, Infinity);
  requireWithin('dead', dead, 0, units);
  requireWithin('slow', slow, 1, Infinity);
  return (units - dead) * unitS(asking, registers) + (dead * deadUnitS(asking)) / slow;
}

/** Asking every address there is and hearing nothing, s: 247·(8·t_c + t_3.5 + timeout). */
export function scanS(line: SerialLine, timeoutS: number, addresses = LAST_ADDRESS): number {
  requirePositive({ timeoutS }, 'timeoutS');
  return addresses * (REQUEST_CHARACTERS * characterS(line) + silencesS(line).t35 + timeoutS);
}
