import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { withDevices } from '../../links/edits';
import { Crew, healthyScan } from '../../testing/crew';
import { twoRepeated, twoUnits } from '../../testing/handedOver';
import type { ScanValues } from './scan';
import { busOf, busReadingOf, judgedScan, scanValues } from './scan';

const cut = twoRepeated(100);
const second = twoUnits.chain.devices[1];
const reading = (design: SiteDesign, over: object = {}) =>
  busReadingOf(design, { ...healthyScan(design, 1), from: 'over the bus', ...over } as Parameters<
    typeof busReadingOf
  >[1]);

describe('a bus as it was scanned', () => {
  it('counts who answered at all: by a good answer or by a serial, and nobody else', () => {
    const units = [
      { address: 1, serials: [], good: 1 },
      { address: 2, serials: ['S-2'], good: 0 },
      { address: 9, serials: [], good: 0 },
    ];
    const found = reading(twoUnits, { units }).findings.filter((f) => f.kind !== 'missing');
    expect(found.map((f) => f.address)).toEqual([1, 2]);
  });
  it('names units that have no address yet', () => {
    const unsaid = withDevices(
      cut,
      cut.chain.devices.map((d) => (d.id === second?.id ? { ...d, address: null } : d)),
    );
    expect(reading(unsaid).unaddressed).toEqual([second?.label]);
  });
  it('says in words what the ohms of every pair mean, and nothing of one that was not read', () => {
    const of = (over: object) => reading(cut, over).pairs.map((p) => [p.at, p.means.replace(/:.*/, '')]);
    expect(of({})).toEqual([
      ['the first device', 'As planned'],
      ['RPT-1, other side', 'As planned'],
    ]);
    expect(of({ beyond: undefined })[1]).toEqual(['RPT-1, other side', '']);
    const unknown = { ...cut, chain: { ...cut.chain, line: { ...cut.chain.line, areaMm2: null } } };
    expect(reading(unknown, { pairOhm: 60, beyond: [] }).pairs[0]).toMatchObject({
      means: '',
      expectedOhm: { value: null, missing: ['section of the bus conductors'] },
    });
  });
  it('expects of a pair with capacitors those of its ends and the cable between them', () => {
    const line = { ...cut.chain.line, terminatorKind: 'resistor and capacitor' as const, terminatorNf: 25 };
    const blocked = { ...cut, chain: { ...cut.chain, line: { ...line, delayNsPerM: 6, impedanceOhm: 120 } } };
    const { pairs } = reading(blocked, { pairNf: 55, beyond: [{ repeaterId: 'rpt', pairOhm: 5000, pairNf: 54 }] });
    // Two of 25 nF, and 105 m (slack counted) at 6 ns/m over 120 Ω, 0.05 nF a metre.
    for (const p of pairs) expect(p.expectedNf?.value).toBeCloseTo(55.25, 9);
    expect(pairs.map((p) => p.pairNf)).toEqual([55, 54]);
    const one = withDevices(
      blocked,
      blocked.chain.devices.map((d) => ({ ...d, terminatedBeyond: false })),
    );
    expect(reading(one).pairs[1]?.expectedNf?.value).toBeCloseTo(30.25, 9);
    expect(reading(cut).pairs.map((p) => p.expectedNf)).toEqual([null, null]);
  });
});

describe('what is typed of a scan', () => {
  const whole = { ...healthyScan(cut, 1), from: 'over the bus' as const };
  const troubles = (over: object) =>
    (scanValues.safeParse({ ...whole, ...over }).error?.issues ?? []).map((i) => `${i.path.join('.')}: ${i.message}`);
  const unit = (address: number, good: number) => ({ address, serials: [], good });

  it('may have every question answered, and no more than were asked', () => {
    expect(troubles({})).toEqual([]);
    expect(troubles({ polls: 100, units: [unit(1, 100), unit(2, 0)] })).toEqual([]);
    expect(troubles({ polls: 100, units: [unit(1, 100), unit(2, 101)] })).toEqual([
      'units: No more come back than were asked.',
    ]);
  });
  it('names every address and every repeater once', () => {
    expect(troubles({ units: [unit(1, 1), unit(2, 1), unit(1, 1)] })).toEqual(['units: Every address stands once.']);
    const behind = (repeaterId: string) => ({ repeaterId, pairOhm: 60 });
    expect(troubles({ beyond: [behind('rpt'), behind('rpt-2')] })).toEqual([]);
    expect(troubles({ beyond: [behind('rpt'), behind('rpt')] })).toEqual(['beyond: Every repeater stands once.']);
  });
  it('is of addresses that a unit can have, and of serials that say something', () => {
    for (const address of [0, 248, 1.5]) expect(troubles({ units: [unit(address, 1)] })).toHaveLength(1);
    for (const address of [1, 247]) expect(troubles({ units: [unit(address, 1)] })).toEqual([]);
    expect(troubles({ units: [{ ...unit(1, 1), serials: [' '] }] })).toHaveLength(1);
    expect(troubles({ units: [{ ...unit(1, 1), serials: ['a'.repeat(41)] }] })).toHaveLength(1);
    expect(troubles({ units: [{ ...unit(1, 1), serials: ['a', 'b', 'c', 'd', 'e'] }] })).toHaveLength(1);
  });
  it('is of the first bus where it names none', () => {
    expect([busOf(whole as ScanValues), busOf({ ...whole, bus: 2 } as ScanValues)]).toEqual([1, 2]);
  });
});

describe('the judgement of a scan', () => {
  const judged = (design: SiteDesign, over: object = {}) => {
    const crew = new Crew(design);
    const scan = crew.add('bus-scan', { scope: 'site', id: 'site' }, { ...healthyScan(design, 1), ...over });
    return judgedScan(design, scan as Parameters<typeof judgedScan>[1], '2026-05-04');
  };
  it('names the bus where there are several, and asks the capacitor of pairs that have one alone', () => {
    expect([...new Set(judged(cut).checks.map((c) => c.subject.path))]).toEqual(['RS-485 bus']);
    expect(judged(cut).says).toEqual([{ gate: 'S-BUS', result: 'pass' }]);
    expect(judged(cut).checks.some((c) => c.id === 'proving.bus-pair-capacitance')).toBe(false);
    const last = cut.chain.devices.at(-1);
    const split = withDevices(
      cut,
      cut.chain.devices.map((d) => (d.id === last?.id ? { ...d, bus: 2 } : d)),
    );
    expect([...new Set(judged(split).checks.map((c) => c.subject.path))]).toEqual(['RS-485 bus 1']);
  });
  it('asks a pair that blocks direct current for both its ohms and its capacitors', () => {
    const line = { ...cut.chain.line, terminatorKind: 'resistor and capacitor' as const, terminatorNf: 25 };
    const blocked = { ...cut, chain: { ...cut.chain, line: { ...line, delayNsPerM: 6, impedanceOhm: 120 } } };
    const { pairs } = busReadingOf(blocked, { ...healthyScan(blocked, 1), from: 'over the bus' } as ScanValues);
    expect(pairs.map((p) => p.expectedOhm.value)).toEqual([Infinity, Infinity]);
    const ids = judged(blocked).checks.map((c) => c.id);
    expect(ids.filter((id) => id === 'proving.bus-pair-capacitance')).toHaveLength(2);
  });
  it('knows no ohms of a pair that nobody terminates', () => {
    const bare = withDevices(
      cut,
      cut.chain.devices.map((d) => ({ ...d, terminated: false, terminatedBeyond: false })),
    );
    const { pairs } = busReadingOf(bare, { ...healthyScan(cut, 1), from: 'over the bus' } as ScanValues);
    expect(pairs[0]?.expectedOhm).toEqual({ value: null, missing: ['terminators of the chain'] });
  });
});
