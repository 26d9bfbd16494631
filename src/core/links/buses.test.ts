import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../design';
import { applyEdit, siteDesignSchema } from '../design';
import { planThings, putAt } from '../design/planThings';
import { checksOf } from '../testing/checks';
import { WHOLE_LINE, siteOf } from '../testing/examples';
import { FIRST_BUS, busesOf, devicesOn } from './buses';
import { chainHops, placeOf } from './chain';
import { onBus, withBuses, withChainNumbered, withDevices, withOnBus } from './edits';
import { splitChain } from './order/splitChain';
import type { ChainDevice } from './part';
import { newDevice } from './part';
import { chainResult, linksResults } from './results';

const LOGGER = { ...newDevice('log', 'logger', 'LOG'), unitLoads: 1, stubM: 0, position: { xM: 0, yM: 0, zM: 1.5 } };
const POLL = { registers: 60, needS: 60, turnaroundMs: 50, timeoutMs: 1000, retries: 2, characterBits: 11 } as const;
/** So many units in a row behind a logger, on one bus. */
const site = (units: number): SiteDesign => {
  const d = siteOf(units, []);
  const devices = [LOGGER, ...d.chain.devices.map((c) => ({ ...c, stubM: 0 }))];
  return withChainNumbered({ ...d, chain: { ...d.chain, devices, line: WHOLE_LINE, poll: POLL } });
};
/** Units by their number, bus by bus. */
const over = (d: SiteDesign, ...buses: number[][]) =>
  withBuses(
    d,
    buses.map((units) => units.map((n) => `dev-inv-${n}`)),
  );
const ids = (d: SiteDesign, bus: number) => devicesOn(d.chain, bus).map((c) => c.id);

describe('devices over buses', () => {
  const d = over(site(4), [3, 1], [2, 4]);
  it('stand on the bus and in the order that is asked, behind a port of the logger each', () => {
    expect(busesOf(d.chain)).toEqual([1, 2]);
    expect(ids(d, 1)).toEqual(['log', 'dev-inv-3', 'dev-inv-1']);
    expect(ids(d, 2)).toEqual(['log-port-2', 'dev-inv-2', 'dev-inv-4']);
    const port = d.chain.devices.find((c) => c.id === 'log-port-2');
    expect(port).toMatchObject({ kind: 'logger', label: 'LOG port 2', unitLoads: 1, portOf: 'log', position: null });
    expect(siteDesignSchema.safeParse(d).success).toBe(true);
  });
  it('are terminated at both ends of each and nowhere else; addresses stay', () => {
    for (const bus of [1, 2]) expect(devicesOn(d.chain, bus).map((c) => c.terminated)).toEqual([true, false, true]);
    expect(d.chain.devices.map((c) => c.address)).toEqual([null, 3, 1, null, 2, 4]);
  });
  it('keep the loggers that are there, take a port that has no name yet, and let go of one too many', () => {
    const three = over(d, [1], [2], [3, 4]);
    expect([1, 2, 3].map((bus) => ids(three, bus)[0])).toEqual(['log', 'log-port-2', 'log-port-3']);
    const renamed = withDevices(
      three,
      three.chain.devices.filter((c) => c.id !== 'log-port-2'),
    );
    // What is called port 3 leads the second bus then: a third port gets a name that nobody has.
    expect(
      over(renamed, [1], [2], [3, 4])
        .chain.devices.filter((c) => c.kind === 'logger')
        .map((c) => c.id),
    ).toEqual(['log', 'log-port-3', 'log-port-4']);
    const one = over(three, [1, 2, 3, 4]);
    expect(busesOf(one.chain)).toEqual([1]);
    expect(one.chain.devices.map((c) => c.id)).toEqual(['log', ...[1, 2, 3, 4].map((n) => `dev-inv-${n}`)]);
  });
  it('go with their logger where it is put elsewhere, and stand by themselves where it goes', () => {
    const port = (of: SiteDesign) => of.chain.devices.find((c) => c.id === 'log-port-2') as ChainDevice;
    expect(placeOf(d, port(d))).toEqual(LOGGER.position);
    const to = { xM: 40, yM: 2, zM: 0 };
    const moved = applyEdit(d, putAt(d, { kind: 'device', id: 'log' }, to));
    expect(placeOf(moved, port(moved))).toEqual(to);
    expect(
      planThings(moved)
        .filter((t) => t.kind === 'device')
        .map((t) => t.id),
    ).toEqual(['log']);
    const gone = applyEdit(moved, { kind: 'remove-chain-device', deviceId: 'log' });
    expect(port(gone)).toMatchObject({ portOf: null, position: to });
    expect(siteDesignSchema.safeParse(gone).success).toBe(true);
    // It leads the first bus then, and a further port is one of it.
    const anew = over(gone, [1], [2, 3, 4]);
    expect(anew.chain.devices.filter((c) => c.kind === 'logger').map((c) => [c.id, c.portOf, c.bus])).toEqual([
      ['log-port-2', null, 1],
      ['log-port-2-port-2', 'log-port-2', 2],
    ]);
    const orphan = withDevices(
      d,
      d.chain.devices.filter((c) => c.id !== 'log'),
    );
    expect(siteDesignSchema.safeParse(orphan).error?.issues.map((i) => i.message)).toEqual(['There is no logger log.']);
  });
  it('stay as they are where nobody asks, or somebody is left out', () => {
    const led = withDevices(site(2), site(2).chain.devices.slice(1));
    expect(over(led, [1], [2])).toBe(led);
    expect(over(d, [1, 2, 3])).toBe(d);
  });
  it('are put there by one edit, that says so', () => {
    const edit = {
      kind: 'chain-buses' as const,
      buses: [
        ['dev-inv-1', 'dev-inv-2'],
        ['dev-inv-3', 'dev-inv-4'],
      ],
    };
    expect(busesOf(applyEdit(site(4), edit).chain)).toEqual([1, 2]);
  });
});

describe('a unit that is put on another bus', () => {
  const two = withChainNumbered(over(site(5), [1, 2, 3], [4, 5]));
  const on = (d: SiteDesign, bus: number) =>
    devicesOn(d.chain, bus).map((c) => `${c.id.replace('dev-', '')}${c.terminated ? '|' : ''}`);
  it('stands last there, and the ends of both buses stay terminated', () => {
    expect([on(two, 1), on(two, 2)]).toEqual([
      ['log|', 'inv-1', 'inv-2', 'inv-3|'],
      ['log-port-2|', 'inv-4', 'inv-5|'],
    ]);
    const moved = withOnBus(two, 'dev-inv-3', 2);
    expect([on(moved, 1), on(moved, 2)]).toEqual([
      ['log|', 'inv-1', 'inv-2|'],
      ['log-port-2|', 'inv-4', 'inv-5', 'inv-3|'],
    ]);
    // From the middle nothing changes behind it.
    expect(on(withOnBus(two, 'dev-inv-1', 2), 1)).toEqual(['log|', 'inv-2', 'inv-3|']);
    expect(siteDesignSchema.safeParse(moved).success).toBe(true);
  });
  it('keeps its address where that is free there, else takes the next', () => {
    const address = (d: SiteDesign, id: string) => d.chain.devices.find((c) => c.id === id)?.address;
    expect(address(withOnBus(two, 'dev-inv-3', 2), 'dev-inv-3')).toBe(3);
    expect(address(withOnBus(two, 'dev-inv-1', 2), 'dev-inv-1')).toBe(3);
    const unsaid = withDevices(
      two,
      two.chain.devices.map((c) => (c.id === 'dev-inv-1' ? { ...c, address: null } : c)),
    );
    expect(address(withOnBus(unsaid, 'dev-inv-1', 2), 'dev-inv-1')).toBeNull();
  });
  it('changes nothing where it is there already, or there is no such unit', () => {
    expect(withOnBus(two, 'dev-inv-1', 1)).toBe(two);
    expect(withOnBus(two, 'dev-inv-9', 2)).toBe(two);
  });
  it('begins a bus of its own where nobody is, terminated as it was', () => {
    const alone = withOnBus(two, 'dev-inv-2', 3);
    expect(on(alone, 3)).toEqual(['inv-2']);
  });
});

describe('each bus', () => {
  const d = withChainNumbered(over(site(6), [1, 2, 3], [4, 5, 6]));
  it('is worked through as if it stood alone', () => {
    for (const bus of [1, 2]) {
      const alone = onBus(d, bus);
      const { lengthM, loads, unitLoads, budget } = chainResult(alone, bus);
      const { hopOhm, terminators, idle } = budget;
      expect(linksResults(d)[bus - 1]?.whole).toMatchObject({
        lengthM,
        loads,
        unitLoads,
        budget: { hopOhm, terminators, idle },
      });
      expect(linksResults(d)[bus - 1]?.whole.budget.worst.value?.volt).toBe(budget.worst.value?.volt);
      expect(siteDesignSchema.safeParse(alone).success).toBe(true);
    }
    const [one, two] = linksResults(d);
    // Logger to the first unit, then two hops of three metres; the second bus begins nine metres further.
    expect(one?.whole.lengthM.value).toBeLessThan(two?.whole.lengthM.value ?? 0);
  });
  it('has its own hops: none leads from one to the other', () => {
    const of = new Map(d.chain.devices.map((c) => [c.id, c.bus]));
    expect(chainHops(d)).toHaveLength(6);
    for (const { from, to } of chainHops(d)) expect(of.get(from.id)).toBe(of.get(to.id));
  });
  it('has its own addresses: the same may stand once on each, and not twice on one', () => {
    expect(d.chain.devices.map((c) => c.address)).toEqual([null, 1, 2, 3, null, 1, 2, 3]);
    expect(siteDesignSchema.safeParse(d).success).toBe(true);
    expect(
      checksOf('links', d)
        .filter((c) => c.id === 'links.address')
        .map((c) => c.verdict),
    ).toEqual(Array.from({ length: 6 }, () => 'holds'));
    const twins = withDevices(
      d,
      d.chain.devices.map((c) => (c.id === 'dev-inv-5' ? { ...c, address: 1 } : c)),
    );
    const flaws = siteDesignSchema.safeParse(twins).error?.issues ?? [];
    expect(flaws.map((f) => f.message)).toEqual(['Address 1 is used twice.']);
    const stopped = checksOf('links', twins).filter((c) => c.verdict === 'stop');
    expect(stopped.map((c) => c.subject.id)).toEqual(['dev-inv-4', 'dev-inv-5']);
  });
  it('is judged by every rule, and named where there are several', () => {
    const paths = (of: SiteDesign) => new Set(checksOf('links', of).map((c) => c.subject.path));
    expect(paths(d)).toContain('whole chain of bus 1');
    expect(paths(d)).toContain('chain ends of bus 2');
    expect(paths(site(2))).toContain('whole chain');
    const bare = withDevices(
      d,
      d.chain.devices.map((c) => (c.bus === 2 ? { ...c, terminated: false } : c)),
    );
    const stopped = checksOf('links', bare).filter((c) => c.id === 'links.terminators');
    expect(stopped.map((c) => [c.subject.path, c.verdict])).toEqual([
      ['chain ends of bus 1', 'holds'],
      ['chain ends of bus 2', 'stop'],
    ]);
  });
  it('counts its own devices: forty units are too many on one, and hold on two', () => {
    const many = site(40);
    const held = (of: SiteDesign) =>
      checksOf('links', of)
        .filter((c) => c.id === 'links.devices')
        .map((c) => c.verdict);
    expect(held(many)).toEqual(['stop']);
    const all = Array.from({ length: 40 }, (_, i) => i + 1);
    expect(held(over(many, all.slice(0, 20), all.slice(20)))).toEqual(['holds', 'holds']);
  });
  it('is the first, and empty, where a site has no chain', () => {
    expect(busesOf(withDevices(d, []).chain)).toEqual([FIRST_BUS]);
    expect(linksResults(withDevices(d, [])).map((r) => [r.bus, r.whole.hops.length])).toEqual([[FIRST_BUS, 0]]);
  });
});

describe('a split that was taken', () => {
  const budget = { kicks: 100, timeLimitS: Infinity, nowS: () => 0 };
  const tight = (d: SiteDesign) => ({ ...d, chain: { ...d.chain, poll: { ...POLL, needS: 1.1 } } });
  it('is found again, as long as before, and holds what it was split by', () => {
    const before = tight(site(7));
    const split = splitChain(before, budget).value;
    expect(split?.binds).toEqual(['poll']);
    const taken = withBuses(before, split?.buses.map((b) => b.ids) ?? []);
    expect(busesOf(taken.chain)).toHaveLength(split?.buses.length ?? 0);
    expect(linksResults(taken).reduce((sum, r) => sum + (r.whole.lengthM.value ?? NaN), 0)).toBeCloseTo(
      split?.lengthM ?? NaN,
      9,
    );
    // Also where the port is the first of the list.
    const turned = withDevices(taken, [...taken.chain.devices].reverse());
    expect(splitChain(turned, budget).value?.lengthM).toBeCloseTo(split?.lengthM ?? NaN, 9);
    const again = splitChain(taken, budget).value;
    expect(again?.lengthM).toBeCloseTo(split?.lengthM ?? NaN, 9);
    expect(again?.buses.map((b) => b.ids[0])).toEqual(split?.buses.map(() => 'log'));
    const rounds = (of: SiteDesign) => checksOf('links', of).filter((c) => c.id === 'links.poll-cycle');
    expect(rounds(before).map((c) => c.verdict)).toEqual(['stop']);
    expect(rounds(taken).map((c) => c.verdict)).not.toContain('stop');
  });
});
