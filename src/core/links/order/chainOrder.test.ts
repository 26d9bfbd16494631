import { describe, expect, it } from 'vitest';
import { siteOf } from '../../testing/examples';
import { calculations } from '../calculations';
import { withDevices } from '../edits';
import { chainDeviceOf, newDevice } from '../part';
import { linksResults } from '../results';
import { chainOrder } from './chainOrder';

/** Three units at 10, 30 and 20 m beside a logger; no tray: along the axes. */
const AT = [10, 30, 20];
const bare = siteOf(3, []);
const site = withDevices(
  { ...bare, inverters: bare.inverters.map((u, i) => ({ ...u, position: { xM: AT[i] ?? 0, yM: 0, zM: 0 } })) },
  [
    { ...newDevice('log', 'logger', 'Logger'), position: { xM: 0, yM: 0, zM: 0 } },
    ...bare.inverters.map(chainDeviceOf),
  ],
);
const budget = { kicks: 10, timeLimitS: Infinity, nowS: () => 0 };
const ids = (n: readonly number[]) => ['log', ...n.map((i) => `dev-inv-${i}`)];

describe('the shortest order of a chain', () => {
  it('goes from the logger outwards: 3 × 10 m and 5 %, two metres of ends a hop', () => {
    const { value } = chainOrder(site, null, budget);
    expect(value?.ids).toEqual(ids([1, 3, 2]));
    expect(value?.lengthM).toBeCloseTo(3 * (10 * 1.05 + 2), 9);
    expect(value).toMatchObject({ proven: true, boundM: value?.lengthM });
    // As it stands it goes out, further out, and back.
    expect(value?.asItIsM).toBeCloseTo(linksResults(site).lengthM.value ?? NaN, 9);
    expect(value?.asItIsM).toBeCloseTo(1.05 * (10 + 20 + 10) + 6, 9);
  });
  it('ends where it has to, and takes a measured route for what it is', () => {
    expect(chainOrder(site, 'dev-inv-1', budget).value?.ids.at(-1)).toBe('dev-inv-1');
    const far = withDevices(
      site,
      site.chain.devices.map((d) => (d.id === 'dev-inv-1' ? { ...d, hopM: 100, hopFromId: 'log' } : d)),
    );
    expect(chainOrder(far, null, budget).value?.ids).toEqual(ids([3, 2, 1]));
  });
  it('names the first hop that nobody can reckon, and is nothing for one device alone', () => {
    const lost = withDevices(site, [...site.chain.devices, newDevice('m', 'meter', 'Meter')]);
    expect(chainOrder(lost, null, budget).missing).toEqual(['route or positions for Logger to Meter']);
    const alone = withDevices(site, site.chain.devices.slice(0, 1));
    expect(chainOrder(alone, null, budget).missing).toEqual(['two devices on the chain']);
  });
  it('refuses an end that is the first device, or none', () => {
    expect(() => chainOrder(site, 'log', budget)).toThrow(RangeError);
    expect(() => chainOrder(site, 'nobody', budget)).toThrow(RangeError);
  });
  it('is answered over the API, with the same answer every time', () => {
    const { input, output, run } = calculations['chain-order'];
    const asked = input.parse({ design: site, lastId: 'dev-inv-2' });
    const told = output.parse(run(asked));
    expect(told.ids.at(-1)).toBe('dev-inv-2');
    expect(run(asked)).toEqual(told);
    const lost = { ...site, inverters: site.inverters.map((u) => ({ ...u, position: null })) };
    expect(() => run(input.parse({ design: lost }))).toThrow(/^Not known: route or positions for Logger to INV-01/);
  });
});
