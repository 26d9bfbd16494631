import { requireWithin } from '../../kernel/require';
import { crc16 } from './crc';

/** Frames of Modbus: a PDU in an RTU frame or behind a TCP header (Modbus Application Protocol V1.1b3; Messaging on TCP/IP V1.0b; recalled). */

export const EXCEPTIONS = {
  1: 'illegal function',
  2: 'illegal data address',
  3: 'illegal data value',
  4: 'device failure',
  6: 'device busy',
  10: 'gateway path unavailable',
  11: 'gateway target silent',
} as const;

export interface Adu {
  readonly unit: number;
  readonly pdu: Uint8Array;
}

const word = (n: number) => [(n >> 8) & 0xff, n & 0xff];

/** Reads so many registers from an address, function 03 or 04. */
export function readPdu(address: number, count: number, fn: 3 | 4 = 3): Uint8Array {
  requireWithin('address', address, 0, 65_535);
  requireWithin('count', count, 1, 125);
  return Uint8Array.from([fn, ...word(address), ...word(count)]);
}
/** Writes one register, function 06. */
export function writeOnePdu(address: number, value: number): Uint8Array {
  requireWithin('value', value, 0, 65_535);
  return Uint8Array.from([6, ...word(address), ...word(value)]);
}
/** Writes registers from an address on, function 16. */
export function writeManyPdu(address: number, values: readonly number[]): Uint8Array {
  requireWithin('values', values.length, 1, 123);
  return Uint8Array.from([16, ...word(address), ...word(values.length), 2 * values.length, ...values.flatMap(word)]);
}

/** The answer to a read: its registers. */
export const answerPdu = (fn: number, registers: readonly number[]): Uint8Array =>
  Uint8Array.from([fn, 2 * registers.length, ...registers.flatMap(word)]);
export const exceptionPdu = (fn: number, code: keyof typeof EXCEPTIONS): Uint8Array =>
  Uint8Array.from([fn | 0x80, code]);

/** Registers of the answer to a read. Throws RangeError where the bytes do not belong to one. */
export function registersOf(pdu: Uint8Array): number[] {
  const count = (pdu[1] ?? 0) / 2;
  if (pdu.length !== 2 + 2 * count || !Number.isInteger(count))
    throw new RangeError(`pdu must be as long as it says (got ${pdu.length} bytes)`);
  return Array.from({ length: count }, (_, i) => ((pdu[2 + 2 * i] as number) << 8) | (pdu[3 + 2 * i] as number));
}

/** An RTU frame: unit, PDU, CRC with its low byte first. */
export function rtuFrame({ unit, pdu }: Adu): Uint8Array {
  requireWithin('unit', unit, 0, 255);
  const body = Uint8Array.from([unit, ...pdu]);
  const crc = crc16(body);
  return Uint8Array.from([...body, crc & 0xff, crc >> 8]);
}

/** What came instead of a frame. */
export type Garbled = 'too short' | 'wrong CRC';

/** An RTU frame taken apart, or what is wrong with it. */
export function openRtu(frame: Uint8Array): Adu | Garbled {
  if (frame.length < 4) return 'too short';
  const crc = (frame[frame.length - 1] as number) * 256 + (frame[frame.length - 2] as number);
  return crc16(frame.subarray(0, -2)) === crc ? { unit: frame[0] as number, pdu: frame.slice(1, -2) } : 'wrong CRC';
}

/** A frame behind the TCP header: transaction, protocol 0, length, unit. */
export function tcpFrame({ unit, pdu }: Adu, transaction: number): Uint8Array {
  return Uint8Array.from([...word(transaction), 0, 0, ...word(pdu.length + 1), unit, ...pdu]);
}

/** The first frame of a TCP stream; null while it is not whole; `foreign` where it is none of this protocol. */
export function openTcp(
  bytes: Uint8Array,
): { readonly adu: Adu; readonly transaction: number; readonly length: number } | 'foreign' | null {
  if (bytes.length < 8) return null;
  const at = (i: number) => ((bytes[i] as number) << 8) | (bytes[i + 1] as number);
  const length = at(4);
  if (at(2) !== 0 || length < 2 || length > 254) return 'foreign';
  if (bytes.length < 6 + length) return null;
  return { transaction: at(0), length: 6 + length, adu: { unit: bytes[6] as number, pdu: bytes.slice(7, 6 + length) } };
}

/** Length of an RTU request by its function code, bytes with CRC; null while that is not known, 0 for a function that nobody has here. */
export function requestLength(bytes: Uint8Array): number | null {
  const fn = bytes[1];
  if (fn === undefined) return null;
  if (fn >= 1 && fn <= 6) return 8;
  if (fn !== 15 && fn !== 16) return 0;
  const count = bytes[6];
  return count === undefined ? null : 9 + count;
}
