import { describe, expect, it } from 'vitest';
import { loopOhm } from '../conductor/metal';
import { withChainNumbered, withChainOrder } from './edits';
import type { SiteDesign } from '../design';
import { siteOf } from '../testing/examples';
import { checksOf } from '../testing/checks';
import { hopCableM, lengthLimitM } from './chain';
import { linksResults } from './results';
import { wayM } from '../site/position';

const logger = {
  id: 'log',
  kind: 'logger' as const,
  label: 'LOG',
  inverterId: null,
  address: null,
  terminated: true,
  unitLoads: 1,
  position: { xM: 0, yM: 0, zM: 1.5 },
  entryM: 1,
  hopM: null,
};
const site = (() => {
  const bare = siteOf(8, []);
  const at = [-2, 3, -7, 10, -15, 22, -27, 36];
  const moved = {
    ...bare,
    inverters: bare.inverters.map((i, n) => ({ ...i, position: { xM: at[n] ?? 0, yM: 0, zM: 1.2 } })),
  };
  return withChainNumbered({ ...moved, chain: { bitRate: 9600 as const, devices: [logger, ...moved.chain.devices] } });
})();
const check = (d: SiteDesign, id: string) => checksOf('links', d).filter((c) => c.id === id);
const edit = (over: (d: SiteDesign['chain']['devices'][number], i: number) => object): SiteDesign => ({
  ...site,
  chain: { ...site.chain, devices: site.chain.devices.map((d, i) => ({ ...d, ...over(d, i) })) },
});

describe('length', () => {
  it('is 1200 m at 9600 bit/s and 868.056 m at 115200 (common practice)', () => {
    expect(lengthLimitM(9600)).toBe(1200);
    expect(lengthLimitM(115_200)).toBeCloseTo(868.056, 3);
  });
  it('adds slack and both landings: 1.05 × route + 2 m', () => {
    expect(wayM({ xM: 0, yM: 0, zM: 1.5 }, { xM: -2, yM: 0, zM: 1.2 })).toBeCloseTo(2.3, 10);
    expect(hopCableM(2.3, 1, 1)).toBeCloseTo(4.415, 10);
  });
  it('is 110.815 m in the order that trying every permutation of these nine places finds shortest', () => {
    const order = ['inv-1', 'inv-3', 'inv-5', 'inv-7', 'inv-2', 'inv-4', 'inv-6', 'inv-8'].map((i) => `dev-${i}`);
    expect(linksResults(withChainOrder(site, ['log', ...order])).lengthM.value).toBeCloseTo(110.815, 6);
  });
  it('is unknown while one position is', () => {
    const lost = { ...site, inverters: site.inverters.map((i, n) => (n === 2 ? { ...i, position: null } : i)) };
    expect(check(lost, 'links.length')[0]?.verdict).toBe('unknown');
  });
});

it('a pair of 24 AWG over 1200 m has 202.112 Ω there and back (IEC 60028)', () => {
  const mm2 = (Math.PI / 4) * (0.127 * 92 ** ((36 - 24) / 39)) ** 2;
  expect(loopOhm(1200, mm2, 20)).toBeCloseTo(202.11175, 4);
});

describe('chain rules (TIA/EIA-485-A; Modbus over Serial Line V1.02)', () => {
  it('hold when numbered along the chain with both ends terminated', () => {
    expect(new Set(checksOf('links', site).map((c) => c.verdict))).toEqual(new Set(['holds']));
  });
  it('stop a shared address at both units', () => {
    const twins = edit((d, i) => (i === 2 ? { address: 1 } : {}));
    expect(check(twins, 'links.address').filter((c) => c.verdict === 'stop').length).toBe(2);
  });
  it('call a unit still at its factory address unknown', () => {
    expect(
      check(
        edit((d, i) => (i === 3 ? { address: null } : {})),
        'links.address',
      ).filter((c) => c.verdict === 'unknown').length,
    ).toBe(1);
  });
  it.each([
    ['missing at the far end', (i: number) => (i === 8 ? { terminated: false } : {})],
    ['a third inside', (i: number) => (i === 4 ? { terminated: true } : {})],
    ['missing at the logger', (i: number) => (i === 0 ? { terminated: false } : {})],
  ])('stop a terminator %s', (_, over) =>
    expect(
      check(
        edit((_d, i) => over(i)),
        'links.terminators',
      )[0]?.verdict,
    ).toBe('stop'),
  );
  it('stop more than 32 unit loads', () => {
    expect(
      check(
        edit((d) => (d.kind === 'inverter' ? { unitLoads: 4 } : {})),
        'links.unit-loads',
      )[0],
    ).toMatchObject({ value: 33, verdict: 'stop' });
  });
  it('say nothing of a site without a chain', () =>
    expect(checksOf('links', { ...site, chain: { bitRate: null, devices: [] } })).toEqual([]));
});
