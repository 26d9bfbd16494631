import { describe, expect, it } from 'vitest';
import { wholeChain } from '../../testing/chains';
import { networkOf } from './bus';
import { brokenRules } from './brokenRules';
import { busOf } from './busOf';
import { chainScope } from './chainScope';
import type { FaultCase } from './faultCase';
import { FAULT_KINDS, faultCaseSchema, faultCasesSchema, faultsOf } from './faultCase';
import { MARK_OF } from './heard';
import { traceOf } from './trace';

const fault = (...all: Partial<FaultCase>[]): FaultCase[] => all.map((f) => faultCaseSchema.parse(f));
const chain = (over: Parameters<typeof wholeChain>[2] = {}) => wholeChain(6, 150, over, () => ({ unitLoads: 0.125 }));
const scope = (...over: Partial<FaultCase>[]) => {
  const { value } = chainScope(chain({ biasAt: 'nowhere' }), fault(...over));
  if (!value) throw new Error('no scope');
  return value;
};
const marks = (...over: Partial<FaultCase>[]) => scope(...over).channels.map((c) => MARK_OF[c.heard.verdict]);

describe('a chain on the scope', () => {
  it('is the chain that was planned: hops, loads, ends, bias', () => {
    const bus = busOf(chain()).value;
    expect(bus).toMatchObject({ impedanceOhm: 120, delayNsPerM: 6, terminatorOhm: 120, biasOhm: 1120, asker: 0 });
    expect(bus?.hopsM.map((m) => Math.round(m * 1e6) / 1e6)).toEqual([30, 30, 30, 30, 30]);
    expect(bus?.loopOhmPerM).toBeCloseTo(0.068964, 6);
    expect(bus?.terminated).toEqual([true, false, false, false, false, true]);
    expect(busOf(chain({ biasAt: 'nowhere' })).value?.biasOhm).toBeNull();
  });
  it('passes at every device as planned, and says up to where', () => {
    const s = scope({});
    expect(s).toMatchObject({ verdict: 'pass', passesTo: 1_000_000, broken: [], asker: 'INV-01', bitRate: 9600 });
    expect(s.channels.map((c) => c.label)).toEqual(['INV-02', 'INV-03', 'INV-04', 'INV-05', 'INV-06']);
  });
  it('names all that it lacks', () => {
    const lost = chain({ impedanceOhm: null, delayNsPerM: null, terminatorOhm: null, biasAt: null, areaMm2: null });
    expect(chainScope({ ...lost, chain: { ...lost.chain, bitRate: null } }, fault({})).missing).toEqual([
      'bit rate',
      'wave impedance of the pair',
      'delay of the pair',
      'resistance of the terminators',
      'where the pair is biased',
      'section of the bus conductors',
    ]);
    expect(chainScope(wholeChain(1, 0), fault({})).missing).toContain('at least two devices');
    expect(
      chainScope(
        wholeChain(2, 10, {}, () => ({ stubM: null })),
        fault({}),
      ).missing,
    ).toContain('length of the stub at INV-01');
  });
  it('loses what a fault takes', () => {
    expect(marks({ kind: 'open hop', at: 3 })).toEqual(['holds', 'holds', 'stop', 'stop', 'stop']);
    expect(marks({ kind: 'crossed hop', at: 5 })).toEqual(['holds', 'holds', 'holds', 'holds', 'stop']);
    expect(marks({ kind: 'swapped pair', at: 2 })).toEqual(['holds', 'stop', 'holds', 'holds', 'holds']);
  });
  it('loses what each of several takes, and is no better at any rate for having more of them', () => {
    const both = [
      { kind: 'open hop', at: 4 },
      { kind: 'swapped pair', at: 2 },
    ] as const;
    expect(marks(...both)).toEqual(['holds', 'stop', 'holds', 'stop', 'stop']);
    expect(scope(...both).broken).toEqual(['pair open', 'D1 and D0 swapped']);
    // A pair that is crossed before a device at which it is swapped reads right there, and behind it wrong.
    expect(marks({ kind: 'crossed hop', at: 3 }, { kind: 'swapped pair', at: 3 })).toEqual([
      'holds',
      'holds',
      'holds',
      'stop',
      'stop',
    ]);
    const stub = { kind: 'stub', at: 3, stubM: 60 } as const;
    const alone = scope(stub).passesTo ?? 0;
    expect(scope(stub, { kind: 'no terminators' }).passesTo ?? 0).toBeLessThan(alone);
  });
  it('keeps talking at a low rate where the wiring is not to rule, and says both', () => {
    const s = scope({ kind: 'far terminator missing' });
    expect(s.verdict).toBe('pass');
    expect(s.broken).toEqual(['one terminator in place of two']);
    expect(s.passesTo).toBeLessThan(1_000_000);
  });
  it('is as bad at every rate above one at which it fails', () => {
    for (const kind of FAULT_KINDS) {
      const s = scope({ kind, at: 3, stubM: 40 });
      for (const c of s.channels) expect(c.passesTo ?? 0, kind).toBeGreaterThanOrEqual(s.passesTo ?? 0);
      expect(Math.min(...s.channels.map((c) => c.passesTo ?? 0)), kind).toBe(s.passesTo ?? 0);
    }
  });
});

describe('a fault', () => {
  const bus = busOf(chain()).value;
  if (!bus) throw new Error('no bus');
  const broken = (...over: Partial<FaultCase>[]) => brokenRules(bus, fault(...over));
  it('changes what those before it left', () => {
    const at = (...over: Partial<FaultCase>[]) => faultsOf(bus, fault(...over)).terminatedAt;
    expect(at({ kind: 'far terminator missing' }, { kind: 'terminator too many', at: 2 })).toEqual([0, 2]);
    expect(at({ kind: 'no terminators' }, { kind: 'terminator too many', at: 4 })).toEqual([4]);
    expect(at({ kind: 'far terminator missing' }, { kind: 'near terminator missing' })).toEqual([]);
    expect(broken({ kind: 'none' }, { kind: 'double bias' }, { kind: 'far terminator missing' })).toEqual([
      'one terminator in place of two',
      'biased at more than one device',
    ]);
    expect(faultCasesSchema.safeParse(fault({ kind: 'stub' }, { kind: 'stub', at: 3 })).success).toBe(false);
    expect(faultCasesSchema.safeParse(fault({ kind: 'stub' }, { kind: 'star' })).success).toBe(true);
  });
  it.each([
    ['none', []],
    ['no terminators', ['0 terminators in place of two']],
    ['terminator misplaced', ['terminators not at the ends']],
    ['terminator too many', ['3 terminators in place of two']],
    ['all terminators', ['6 terminators in place of two']],
    ['star', ['a star in place of a chain']],
    ['stub', ['stub of 10 m']],
    ['open hop', ['pair open']],
    ['crossed hop', ['pair crossed']],
    ['swapped pair', ['D1 and D0 swapped']],
    ['double bias', ['biased at more than one device']],
    ['near terminator missing', ['one terminator in place of two']],
  ] as const)('“%s” breaks %j', (kind, words) => expect(broken({ kind, at: 3 })).toEqual(words));
  it('is one only past the length that rings', () => {
    expect(broken({ kind: 'stub', at: 3, stubM: 0.33 })).toEqual([]);
    expect(broken({ kind: 'stub', at: 3, stubM: 0.34 })).toEqual(['stub of 0.34 m']);
  });
  it('is at a device of the chain', () => {
    expect(() => faultsOf(bus, fault({ kind: 'open hop', at: 0 }))).toThrow(/at must be 1 to 5/);
    expect(() => faultsOf(bus, fault({ kind: 'swapped pair', at: 6 }))).toThrow(/at must be 0 to 5/);
    expect(faultsOf(bus, fault({ kind: 'open hop', at: 5 }))).toEqual({ openHop: 4 });
  });
  it('of a star has arms that differ by one device at most', () => {
    expect(faultsOf(bus, fault({ kind: 'star', arms: 3 })).star).toEqual([2, 2, 1]);
    expect(faultsOf(bus, fault({ kind: 'star', arms: 20 })).star).toEqual([1, 1, 1, 1, 1]);
  });
});

describe('a trace', () => {
  it('begins at minus its end, ends at it, and keeps its peaks', () => {
    const volts = Float64Array.from({ length: 1000 }, (_, i) => (i === 500 ? 3 : i > 100 ? 1 : 0));
    const trace = traceOf(volts, 5, 5, 50);
    expect(trace[0]).toEqual([0, -1]);
    expect(trace.at(-1)).toEqual([5, 1]);
    expect(Math.max(...trace.map(([, v]) => v))).toBe(5);
    expect(trace.find(([, v]) => v === 5)?.[0]).toBe(2.5);
    for (let i = 1; i < trace.length; i++) expect(trace[i]?.[0]).toBeGreaterThan(trace[i - 1]?.[0] ?? NaN);
  });
  it('stays at rest past its last sample', () =>
    expect(traceOf(Float64Array.from([0, 1]), 5, 10, 10).at(-1)).toEqual([10, 1]));
});

describe('terminators with a capacitor', () => {
  const blocked = (terminatorNf: number | null) =>
    busOf(wholeChain(6, 250, { terminatorKind: 'resistor and capacitor', terminatorNf, biasAt: 'nowhere' }));
  const at = (terminatorNf: number) => {
    const scope = chainScope(
      wholeChain(6, 250, { terminatorKind: 'resistor and capacitor', terminatorNf, biasAt: 'nowhere' }, () => ({
        unitLoads: 0.125,
      })),
      [],
    ).value;
    if (!scope) throw new Error('no scope');
    return scope;
  };
  it('stand at the ends of the network, and where a fault puts them, and pass no direct current', () => {
    const bus = blocked(33).value;
    if (!bus) throw new Error('no bus');
    const ends = (faults: Parameters<typeof networkOf>[1]) => networkOf(bus, faults, 5).network;
    expect(ends({}).capacitors).toEqual(
      [0, 5].map((i) => ({ at: i, farad: expect.closeTo(33e-9, 15) as number, seriesOhm: 120 })),
    );
    expect(ends({ terminatedAt: [2] }).capacitors?.map((c) => c.at)).toEqual([2]);
    expect(Math.max(...ends({}).acrossS)).toBeLessThan(1e-3);
    expect(networkOf({ ...bus, terminatorNf: null }, {}, 5).network.capacitors).toEqual([]);
    expect(blocked(null).missing).toEqual(['capacitor of the terminators']);
  });
  it('leave a level as of no terminator at all, and settle by (Z0 + R)·C', () => {
    const plain = wholeChain(6, 250, { biasAt: 'nowhere' }, () => ({ unitLoads: 0.125, terminated: false }));
    const open = chainScope(plain, []).value?.channels[4]?.heard.finalV ?? NaN;
    expect(at(33).channels[4]?.heard.finalV).toBeCloseTo(open, 2);
    const settles = (nF: number) => at(nF).channels[4]?.heard.settleUs ?? NaN;
    expect(settles(66)).toBeGreaterThan(1.5 * settles(33));
  });
});
