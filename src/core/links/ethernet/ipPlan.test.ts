import { describe, expect, it } from 'vitest';
import { freeSpaceLossDb, linkMarginDb } from '../radio/radioLink';
import { forwardUs, ipPlan, longestPrefix } from './ipPlan';

const plan = (over: Partial<Parameters<typeof ipPlan>[0]> = {}) =>
  ipPlan({ network: '192.0.2.0', prefix: 27, gateway: '192.0.2.1', first: 10, reserved: [], units: 18, ...over });

/** Addresses for documentation: RFC 5737. */
describe('addresses of a chain of Ethernet', () => {
  it('are .10 to .27 of 192.0.2.0/27 for 18 units', () => {
    expect(plan()).toEqual(Array.from({ length: 18 }, (_, i) => `192.0.2.${10 + i}`));
  });
  it('step around gateway and what is reserved, and end before the broadcast', () => {
    expect(plan({ gateway: '192.0.2.11', reserved: ['192.0.2.13'], units: 4 })).toEqual(
      [10, 12, 14, 15].map((n) => `192.0.2.${n}`),
    );
    expect(plan({ units: 21 }).at(-1)).toBe('192.0.2.30');
    expect(() => plan({ units: 22 })).toThrow(/room for 21/);
    expect(plan({ network: '10.0.255.0', prefix: 24, gateway: '10.0.255.1', first: 1, units: 0 })).toEqual([]);
  });
  it.each([
    [{ network: '192.0.2.8' }, /network must begin at a multiple of its 32/],
    [{ network: '192.0.2' }, /network must be four numbers/],
    [{ network: '192.0.2.256' }, /network must be four numbers/],
    [{ gateway: '192.0.2.31' }, /gateway must be a host/],
    [{ gateway: '192.0.2.0' }, /gateway must be a host/],
    [{ prefix: 31 }, /prefix must be 8 to 30/],
    [{ first: 31 }, /first must be 1 to 30/],
    [{ reserved: ['here'] }, /reserved must be four numbers/],
  ])('are none with %j', (over, why) => expect(() => plan(over)).toThrow(why));
  it.each([
    [20, 27],
    [30, 27],
    [31, 26],
    [1, 30],
  ])('of %s hosts want a prefix of %s', (hosts, prefix) => expect(longestPrefix(hosts)).toBe(prefix));
  it.each([
    [1, 123.04],
    [10, 1230.4],
    [31, 3814.24],
  ])('%s hops add %s µs to a full frame at 100 Mbit/s', (hops, us) => expect(forwardUs(hops)).toBeCloseTo(us, 9));
});

/** ITU-R P.525 (recalled). */
describe('a radio link', () => {
  it.each([
    [10, 2.4e9, 60.052025],
    [50, 2.4e9, 74.031425],
    [100, 868e6, 71.218195],
  ])('over %s m at %s Hz loses %s dB', (m, hz, db) => expect(freeSpaceLossDb(m, hz)).toBeCloseTo(db, 4));
  it('has left what is not lost on the way and in walls', () => {
    const link = { powerDbm: 10, gainDb: 4, wallsDb: 12, sensitivityDbm: -90, distanceM: 50, hz: 2.4e9 };
    expect(linkMarginDb(link)).toBeCloseTo(10 + 4 - 74.031425 - 12 + 90, 4);
    expect(() => linkMarginDb({ ...link, distanceM: 0 })).toThrow(/distanceM/);
    expect(() => linkMarginDb({ ...link, wallsDb: -1 })).toThrow(/wallsDb/);
  });
});
