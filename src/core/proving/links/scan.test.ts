import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { withDevices } from '../../links/edits';
import { healthyScan } from '../../testing/crew';
import { twoRepeated, twoUnits } from '../../testing/handedOver';
import { busReadingOf } from './scan';

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
