import { describe, expect, it } from 'vitest';
import { loopOhm } from '../conductor/metal';
import { withChainNumbered, withChainOrder } from './edits';
import type { SiteDesign } from '../design';
import { applyEdit } from '../design';
import { assessSite } from '../design/assess';
import { Memo } from '../kernel/memo';
import { siteOf } from '../testing/examples';
import { carrier, ethernet, radio, servicePorts } from '../testing/otherWays';
import type { OtherWays } from './otherWays';
import { NO_OTHER_WAYS } from './otherWays';
import { UNKNOWN_LINE } from './line/busLine';
import { checksOf } from '../testing/checks';
import { hopCableM, lengthLimitM } from './chain';
import { FIRST_BUS } from './buses';
import { chainResult } from './results';
import { LINKS_RULES } from './rules';
import { POLL_CYCLE } from './rules/bus/cycle';
import { linksFlaws, newDevice } from './part';
import { traySchema } from '../site/plan';
import { wayM } from '../site/position';

const logger = { ...newDevice('log', 'logger', 'LOG'), unitLoads: 1, position: { xM: 0, yM: 0, zM: 1.5 } };
const site = (() => {
  const like = siteOf(8, []);
  const bare = { ...like, chain: { ...like.chain, line: UNKNOWN_LINE } };
  const at = [-2, 3, -7, 10, -15, 22, -27, 36];
  const moved = {
    ...bare,
    inverters: bare.inverters.map((i, n) => ({ ...i, position: { xM: at[n] ?? 0, yM: 0, zM: 1.2 } })),
  };
  return withChainNumbered({
    ...moved,
    chain: { ...moved.chain, bitRate: 9600 as const, devices: [logger, ...moved.chain.devices] },
  });
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
    expect(chainResult(withChainOrder(site, ['log', ...order]), FIRST_BUS).lengthM.value).toBeCloseTo(110.815, 6);
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

describe('a measured hop', () => {
  const ids = (d: SiteDesign) => d.chain.devices.map((c) => c.id);
  const measured = edit((_, i) => (i === 3 ? { hopM: 41, hopFromId: ids(site)[2] } : {}));
  const cables = (d: SiteDesign) =>
    new Map(chainResult(d, FIRST_BUS).hops.map((h) => [`${h.from.id} ${h.to.id}`, h.cableM] as const));
  const cable = hopCableM(41, 1, 1);

  it('belongs to its two ends', () => {
    expect(cables(measured).get(`${ids(site)[2]} ${ids(site)[3]}`)).toBe(cable);
  });
  it('does not survive a re-ordering, and is there again when its ends meet again, either way round', () => {
    const [a, b, c] = ids(site).slice(1, 4) as [string, string, string];
    const rest = ids(site).slice(4);
    const parted = withChainOrder(measured, ['log', b, a, c, ...rest]);
    expect([...cables(parted).values()]).not.toContain(cable);
    expect(check(parted, 'links.length')[0]?.value).toBe(
      check(withChainOrder(site, ['log', b, a, c, ...rest]), 'links.length')[0]?.value,
    );
    const turned = withChainOrder(measured, ['log', a, c, b, ...rest]);
    expect(cables(turned).get(`${c} ${b}`)).toBe(cable);
  });
});

describe('numbering', () => {
  const addresses = (d: SiteDesign) => withChainNumbered(d).chain.devices.map((c) => c.address);
  const withMeter = (address: number | null, id = 'mtr') => ({ ...newDevice(id, 'meter', id), address });
  it('steps around an address that a meter has already', () => {
    const d = { ...site, chain: { ...site.chain, devices: [...site.chain.devices, withMeter(3)] } };
    expect(addresses(d)).toEqual([null, 1, 2, 4, 5, 6, 7, 8, 9, 3]);
  });
  it('puts meters without one from 100, past what others took', () => {
    const d = {
      ...site,
      chain: { ...site.chain, devices: [withMeter(null), withMeter(100, 'two'), ...site.chain.devices] },
    };
    expect(addresses(d).slice(0, 3)).toEqual([101, 100, null]);
  });
  it('gives no address twice and none past 247, however long the chain', () => {
    const many = siteOf(200, []);
    const devices = [...many.chain.devices, ...Array.from({ length: 60 }, (_, i) => withMeter(null, `m${i}`))];
    const given = addresses({ ...many, chain: { ...many.chain, devices } }).filter((a) => a !== null);
    expect(new Set(given).size).toBe(given.length);
    expect(Math.max(...given)).toBe(247);
    expect(given).toHaveLength(247);
  });
});

describe('chain rules (TIA/EIA-485-A; Modbus over Serial Line V1.02)', () => {
  it('hold when numbered along the chain with both ends terminated', () => {
    const unsaid = [...LINKS_RULES.line, POLL_CYCLE].map((r) => r.id);
    const judged = checksOf('links', site).filter((c) => !unsaid.includes(c.id));
    expect(new Set(judged.map((c) => c.verdict))).toEqual(new Set(['holds']));
  });
  it('stop a shared address at both units', () => {
    const twins = edit((d, i) => (i === 2 ? { address: 1 } : {}));
    expect(check(twins, 'links.address').filter((c) => c.verdict === 'stop').length).toBe(2);
  });
  it('call a unit still at its factory address unknown, and with it all that may share it', () => {
    expect(
      check(
        edit((d, i) => (i === 3 ? { address: null } : {})),
        'links.address',
      ).filter((c) => c.verdict === 'unknown').length,
    ).toBe(8);
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
  it('leave what the pair carries unknown while nobody said what it is made of', () => {
    for (const { id } of [...LINKS_RULES.line, POLL_CYCLE])
      expect(check(site, id)[0], id).toMatchObject({ verdict: 'unknown', value: null });
  });
  it('follow a tray of the plan that is moved, by what was kept as well', () => {
    const memo = new Memo();
    const lengthOf = (d: SiteDesign, by: Memo) =>
      assessSite(d, by).checks.find((c) => c.id === 'links.length')?.value ?? NaN;
    const before = lengthOf(site, memo);
    const points = [0, 40].map((xM) => ({ xM, yM: 1, zM: 5 }));
    const tray = traySchema.parse({ id: 't', label: 'T', carries: ['bus'], widthMm: null, depthMm: null, points });
    const over = { ...site, plan: { ...site.plan, trays: [tray] } };
    expect(lengthOf(over, memo)).toBe(lengthOf(over, new Memo()));
    expect(lengthOf(over, memo)).not.toBe(before);
  });
  it('say nothing of a site without a chain', () =>
    expect(checksOf('links', { ...site, chain: { ...site.chain, devices: [] } })).toEqual([]));
});

describe('ways beside the bus', () => {
  const bare = siteOf(1, []);
  const withWays = (over: Partial<OtherWays>): SiteDesign => ({
    ...bare,
    chain: { ...bare.chain, otherWays: { ...NO_OTHER_WAYS, ...over } },
  });
  const checks = (d: SiteDesign) =>
    assessSite(d).checks.filter((c) => /^links\.(ethernet|radio|carrier|service)/.test(c.id));
  it('are asked each by its own rules, and by none where there are none', () => {
    const all = withWays({
      ethernet: [ethernet()],
      radio: [radio()],
      carriers: [carrier()],
      servicePorts: [servicePorts()],
    });
    expect(checks(all).map((c) => `${c.subject.path}: ${c.id} ${c.verdict}`)).toEqual([
      'Ethernet Hall: links.ethernet-addresses holds',
      'Ethernet Hall: links.ethernet-hop holds',
      'Ethernet Hall: links.ethernet-ring holds',
      'radio Gate house: links.radio-margin holds',
      'carrier Ramp: links.carrier tight',
      'service ports of INV-01: links.service-ports holds',
    ]);
    expect(checks(bare)).toEqual([]);
  });
  it('go by one name each, and one id', () => {
    const flaws = (over: Partial<OtherWays>) => linksFlaws(withWays(over)).map((f) => f.path.join('.'));
    expect(flaws({ radio: [radio(), radio({ id: 'r2' })] })).toEqual(['chain.otherWays.radio.1.label']);
    expect(flaws({ radio: [radio(), radio({ label: 'Other' })] })).toEqual(['chain.otherWays.radio.1.id']);
    expect(flaws({ radio: [radio()], ethernet: [ethernet({ label: 'Gate house' })] })).toEqual([]);
  });
  it('are changed by one edit, and undone with it', () => {
    const otherWays = { ...NO_OTHER_WAYS, carriers: [carrier()] };
    expect(applyEdit(bare, { kind: 'other-ways', otherWays }).chain.otherWays).toEqual(otherWays);
  });
});
