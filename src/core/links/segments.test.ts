import { describe, expect, it } from 'vitest';
import { assessLinks } from './assess';
import { Memo } from '../kernel/memo';
import { siteOf, WHOLE_LINE } from '../testing/examples';
import type { ChainDevice, LinksDesign } from './part';
import { newDevice } from './part';
import { onBus, withBuses, withChainNumbered, withDevices } from './edits';
import { plannedOf } from './field/planned';
import { chainSheet, chainName } from './line/chainSheet';
import { meterSheet } from './line/meterSheet';
import { splitChain } from './order/splitChain';
import { busResult, chainResult, linksResults, segmentOf } from './results';
import { segmentsOf } from './segments';
import { roundOf } from './timing/round';
import { busOf } from './wave/busOf';

const HOP_M = 20;
/** A logger, so many units, and repeaters behind those of the numbers given; every hop as long, in–out, terminated by the edit. */
function repeated(
  units: number,
  behind: readonly number[],
  over: (d: ChainDevice) => Partial<ChainDevice> = () => ({}),
) {
  const site = siteOf(units, []);
  const own = site.chain.devices.flatMap((d, i) =>
    behind.includes(i + 1)
      ? [d, { ...newDevice(`rpt-${i + 1}`, 'repeater', `RPT-${i + 1}`), unitLoads: 1, biasedBeyond: true }]
      : [d],
  );
  const devices = [{ ...newDevice('log', 'logger', 'LOG'), unitLoads: 1 }, ...own].map((d, i, all) => ({
    ...d,
    entryM: 0,
    stubM: 0,
    hopM: i === 0 ? null : HOP_M / 1.05,
    hopFromId: all[i - 1]?.id ?? null,
    ...over(d),
  }));
  const chain = { ...site.chain, bitRate: 9600 as const, line: WHOLE_LINE, devices };
  return withChainNumbered({ ...site, chain });
}
const checksOf = (d: LinksDesign) => assessLinks(d, linksResults(d), new Memo()).flat();
const of = (d: LinksDesign, id: string) => checksOf(d).filter((c) => c.id === id);

describe('a repeater', () => {
  const d = repeated(6, [3]);
  const { whole, segments } = busResult(d, 1);
  it('is the last device of one pair and the first of the next', () => {
    expect(whole.segment).toBeNull();
    expect(segments.map((s) => [s.segment, s.chain.devices.map((c) => c.label)])).toEqual([
      [1, ['LOG', 'INV-01', 'INV-02', 'INV-03', 'RPT-3']],
      [2, ['RPT-3', 'INV-04', 'INV-05', 'INV-06']],
    ]);
    expect(segments.map((s) => s.hops.map((h) => h.to.label))).toEqual([
      ['INV-01', 'INV-02', 'INV-03', 'RPT-3'],
      ['INV-04', 'INV-05', 'INV-06'],
    ]);
    expect(segments.map((s) => s.lengthM.value)).toEqual([expect.closeTo(4 * HOP_M, 6), expect.closeTo(3 * HOP_M, 6)]);
  });
  it('has a terminator to each side, a load on each, and no address', () => {
    expect(segments.map((s) => s.chain.devices.map((c) => c.terminated))).toEqual([
      [true, false, false, false, true],
      [true, false, false, true],
    ]);
    expect(segments.map((s) => s.unitLoads.value)).toEqual([2.375, 1.375]);
    expect(whole.chain.devices.map((c) => c.address)).toEqual([null, 1, 2, 3, null, 4, 5, 6]);
    expect(plannedOf(whole.chain.devices).map((p) => p.label)).not.toContain('RPT-3');
  });
  it('begins a pair that carries what a chain of its own would carry', () => {
    // The same stretch as a chain by itself, led by what looks like the other side of the repeater.
    const [first, ...rest] = segments[1]?.chain.devices ?? [];
    const alone = withDevices(d, first ? [{ ...first, kind: 'logger', hopM: null, hopFromId: null }, ...rest] : []);
    const by = chainResult(alone, 1);
    expect(segments[1]?.budget.idle).toEqual(by.budget.idle);
    expect(segments[1]?.budget.worst.value?.volt).toBe(by.budget.worst.value?.volt);
    expect(segments[1] && meterSheet(segments[1]).value?.rows.map((r) => r.bothOhm)).toEqual(
      meterSheet(by).value?.rows.map((r) => r.bothOhm),
    );
    expect(segments[1] && busOf(segments[1])).toEqual(busOf(by));
  });
  it('makes two pairs to judge, and one bus that is asked', () => {
    const said = checksOf(d);
    for (const id of [
      'links.terminators',
      'links.unit-loads',
      'links.devices',
      'links.length',
      'links.idle-bias',
      'links.far-level',
      'links.driver-load',
    ])
      expect(
        of(d, id).map((c) => c.subject.path),
        id,
      ).toEqual([expect.stringMatching(/segment 1$/), expect.stringMatching(/segment 2$/)]);
    for (const id of ['links.logger', 'links.poll-cycle'])
      expect(of(d, id).map((c) => c.subject.path)).toEqual(['whole chain']);
    expect(said.filter((c) => c.verdict === 'stop')).toEqual([]);
  });
  it('carries on where one pair has too many or is too long', () => {
    const verdicts = (x: LinksDesign, id: string) => of(x, id).map((c) => c.verdict);
    expect(verdicts(repeated(40, []), 'links.devices')).toEqual(['stop']);
    expect(verdicts(repeated(40, [20]), 'links.devices')).toEqual(['holds', 'holds']);
    // 33 on the first: the logger, 31 units and the repeater itself.
    expect(verdicts(repeated(40, [31]), 'links.devices')).toEqual(['stop', 'holds']);
    expect(verdicts(repeated(70, []), 'links.length')).toEqual(['stop']);
    expect(verdicts(repeated(70, [30]), 'links.length')).toEqual(['holds', 'holds']);
  });
  it('is asked for its bias and its terminator behind: what nobody said is not taken as there', () => {
    const unsaid = repeated(6, [3], (c) => (c.kind === 'repeater' ? { biasedBeyond: null } : {}));
    expect(of(unsaid, 'links.idle-bias').map((c) => c.verdict)).toEqual([
      expect.not.stringMatching('unknown'),
      'unknown',
    ]);
    const without = repeated(6, [3], (c) => (c.kind === 'repeater' ? { biasedBeyond: false } : {}));
    expect(segmentOf(busResult(without, 1), 2).budget.bias.value).toBe('none');
    const open = withDevices(
      d,
      d.chain.devices.map((c) => ({ ...c, terminatedBeyond: false })),
    );
    expect(of(open, 'links.terminators').map((c) => c.verdict)).toEqual(['holds', 'stop']);
    expect(of(open, 'links.terminators')[1]?.working).toEqual(['RPT-3, the near end, has none']);
  });
  it('that stands last or first has no second device beside it: unknown, not fine', () => {
    const last = repeated(3, [3]);
    expect(of(last, 'links.terminators').map((c) => c.verdict)).toEqual(['holds', 'unknown']);
    const first = withDevices(last, last.chain.devices.toReversed());
    expect(busResult(first, 1).segments).toHaveLength(1);
  });
  it('has no pair beside it where a bus is empty', () => {
    expect(segmentsOf({ ...d.chain, devices: [] })).toEqual([{ ...d.chain, devices: [] }]);
  });
  it('may stand more than once', () => {
    expect(busResult(repeated(9, [3, 6]), 1).segments.map((s) => s.chain.devices.length)).toEqual([5, 5, 4]);
    expect(() => segmentOf(busResult(repeated(9, [3, 6]), 1), 4)).toThrow(/segment must be 1 to 3/);
  });
  it('is no unit of the round, and holds each exchange up by a character each way', () => {
    const poll = { registers: 60, needS: 10, turnaroundMs: 50, timeoutMs: 500, retries: 1, characterBits: 11 } as const;
    const round = (x: LinksDesign) => roundOf(chainResult({ ...x, chain: { ...x.chain, poll } }, 1).chain).value;
    const [with1, without] = [round(d), round(repeated(6, []))];
    expect(with1?.units).toBe(6);
    expect((with1?.unitS ?? 0) - (without?.unitS ?? 0)).toBeCloseTo((2 * 11) / 9600, 12);
  });
  it('stands on the sheet of both its pairs, with its own terminator to each', () => {
    const sheets = segments.map((s) => chainSheet(s));
    expect(sheets[0]?.rows.at(-1)).toMatchObject({ device: 'RPT-3', address: 'repeats', terminator: 'on' });
    expect(sheets[1]?.rows[0]).toMatchObject({ device: 'RPT-3', address: 'repeats', cable: '' });
    expect(segments.map((s) => chainName(s, segments))).toEqual(['RS-485 chain, segment 1', 'RS-485 chain, segment 2']);
  });
  it('goes where the devices are split over buses that need none', () => {
    const poll = {
      registers: 60,
      needS: 1.1,
      turnaroundMs: 50,
      timeoutMs: 500,
      retries: 1,
      characterBits: 11,
    } as const;
    const placed = d.chain.devices.map((c) => ({
      ...c,
      hopM: null,
      ...(c.inverterId ? {} : { position: { xM: 0, yM: 0, zM: 1 } }),
    }));
    const split = splitChain(
      { ...d, chain: { ...d.chain, poll, devices: placed } },
      { kicks: 50, timeLimitS: Infinity, nowS: () => 0 },
    );
    expect(split.missing).toEqual([]);
    const taken = withBuses(d, split.value?.buses.map((b) => b.ids) ?? []);
    expect(taken.chain.devices.some((c) => c.kind === 'repeater')).toBe(false);
    expect(taken.chain.devices.filter((c) => c.kind === 'inverter')).toHaveLength(6);
    expect(linksResults(onBus(taken, 1))[0]?.segments).toHaveLength(1);
  });
});
