import { describe, expect, it } from 'vitest';
import { crc16 } from './crc';
import {
  answerPdu,
  exceptionPdu,
  openRtu,
  openTcp,
  readPdu,
  registersOf,
  requestLength,
  rtuFrame,
  tcpFrame,
  writeManyPdu,
  writeOnePdu,
} from './frames';

const bytes = (hex: string) => Uint8Array.from(hex.split(' ').map((b) => parseInt(b, 16)));
const ascii = (text: string) => Uint8Array.from([...text].map((c) => c.charCodeAt(0)));

/** Check values of CRC-16/MODBUS; 02 07 → 41 12 on the wire (Modbus over Serial Line V1.02, 6.2; recalled). */
describe('CRC-16', () => {
  it.each([
    [ascii('123456789'), 0x4b37],
    [bytes('02 07'), 0x1241],
    [Uint8Array.from([]), 0xffff],
    [bytes('00'), 0x40bf],
  ])('of %s', (of, crc) => expect(crc16(of)).toBe(crc));
  it('goes low byte first', () => expect(rtuFrame({ unit: 2, pdu: bytes('07') })).toEqual(bytes('02 07 41 12')));
});

/** What is asked and answered, in both clothes; transaction 1. */
const FRAMES = [
  ['state of unit 5', 5, readPdu(100, 1), '05 03 00 64 00 01 C4 51', '00 01 00 00 00 06 05 03 00 64 00 01'],
  ['state 3', 5, answerPdu(3, [3]), '05 03 02 00 03 09 85', '00 01 00 00 00 05 05 03 02 00 03'],
  ['serial of unit 1', 1, readPdu(10, 8), '01 03 00 0A 00 08 64 0E', '00 01 00 00 00 06 01 03 00 0A 00 08'],
  ['by function 4', 12, readPdu(114, 2, 4), '0C 04 00 72 00 02 D0 CD', '00 01 00 00 00 06 0C 04 00 72 00 02'],
  ['active power', 12, readPdu(114, 2), '0C 03 00 72 00 02 65 0D', '00 01 00 00 00 06 0C 03 00 72 00 02'],
  ['98765 W', 12, answerPdu(3, [1, 0x81cd]), '0C 03 04 00 01 81 CD D6 F6', '00 01 00 00 00 07 0C 03 04 00 01 81 CD'],
  ['address 7 for unit 1', 1, writeOnePdu(30, 7), '01 06 00 1E 00 07 A8 0E', '00 01 00 00 00 06 01 06 00 1E 00 07'],
  [
    'clock of unit 7',
    7,
    writeManyPdu(32, [0x6955, 0xb900]),
    '07 10 00 20 00 02 04 69 55 B9 00 91 23',
    '00 01 00 00 00 0B 07 10 00 20 00 02 04 69 55 B9 00',
  ],
  ['unlock', 7, writeOnePdu(39, 0x5a5a), '07 06 00 27 5A 5A 83 3C', '00 01 00 00 00 06 07 06 00 27 5A 5A'],
  ['no such register', 9, exceptionPdu(3, 2), '09 83 02 41 33', '00 01 00 00 00 03 09 83 02'],
  ['silent behind the gateway', 9, exceptionPdu(3, 11), '09 83 0B 81 35', '00 01 00 00 00 03 09 83 0B'],
] as const;

describe('a frame', () => {
  it.each(FRAMES)('%s', (_, unit, pdu, rtu, tcp) => {
    expect(rtuFrame({ unit, pdu })).toEqual(bytes(rtu));
    expect(openRtu(bytes(rtu))).toEqual({ unit, pdu });
    expect(tcpFrame({ unit, pdu }, 1)).toEqual(bytes(tcp));
    expect(openTcp(bytes(tcp))).toEqual({ adu: { unit, pdu }, transaction: 1, length: bytes(tcp).length });
  });
  it('that is cut or changed is none', () => {
    const whole = bytes('05 03 02 00 03 09 85');
    expect(openRtu(whole.slice(0, 3))).toBe('too short');
    expect(openRtu(whole.slice(0, 6))).toBe('wrong CRC');
    for (let i = 0; i < whole.length; i++)
      expect(openRtu(whole.map((b, at) => (at === i ? b ^ 0x10 : b))), String(i)).toBe('wrong CRC');
  });
  it('behind TCP waits until it is whole, and knows a foreign protocol', () => {
    const whole = bytes('00 01 00 00 00 06 05 03 00 64 00 01');
    for (let n = 0; n < whole.length; n++) expect(openTcp(whole.slice(0, n))).toBeNull();
    expect(openTcp(Uint8Array.from([...whole, 9, 9]))).toMatchObject({ length: 12 });
    expect(openTcp(bytes('00 01 00 07 00 06 05 03 00 64 00 01'))).toBe('foreign');
    expect(openTcp(bytes('00 01 00 00 00 01 05 03'))).toBe('foreign');
    expect(openTcp(bytes('00 01 00 00 00 FF 05 03'))).toBe('foreign');
  });
  it('of a request ends where its function says', () => {
    expect(requestLength(bytes('05'))).toBeNull();
    expect(requestLength(bytes('05 03'))).toBe(8);
    expect(requestLength(bytes('05 10 00 20 00 02'))).toBeNull();
    expect(requestLength(bytes('07 10 00 20 00 02 04'))).toBe(13);
    expect(requestLength(bytes('07 2B'))).toBe(0);
  });
  it('of an answer has as many registers as it says', () => {
    expect(registersOf(answerPdu(3, [1, 65_535]))).toEqual([1, 65_535]);
    expect(() => registersOf(bytes('03 04 00 01'))).toThrow(/as long as it says/);
  });
  it('asks for what there can be', () => {
    expect(() => readPdu(0, 126)).toThrow(/count/);
    expect(() => writeOnePdu(0, 65_536)).toThrow(/value/);
    expect(() => writeManyPdu(0, [])).toThrow(/values/);
  });
});
