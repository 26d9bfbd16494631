import fc from 'fast-check';
import { tripLevelV } from './gridCodes';
import { describe, expect, it } from 'vitest';
import { onEdge } from './parts';
import { assessSite } from '../design/assess';
import { legalLayout } from '../strings/layout/legalLayout';
import { M575, plane, runOf, siteOf } from '../testing/examples';
import { withInverter, withInverterType, withModuleType, withoutInverter, withoutPlane } from '../testing/edits';
import { withRun } from '../ac/edits';
import { withStringAt, withStrings } from '../strings/arrange';
import { reuseUnchanged } from '../kernel/reuseUnchanged';
import { emptyDesign, siteDesignSchema } from '../design';

const site = (() => {
  const bare = siteOf(3, [plane('south', 200), plane('west', 120, { azimuthDeg: 270 })]);
  return withStrings(bare, legalLayout(bare).strings);
})();
const flaw = (d: unknown) =>
  siteDesignSchema.safeParse(d).error?.issues.map((i) => `${i.path.join('.')}: ${i.message}`) ?? [];

describe('design document', () => {
  it('goes through JSON and its schema without loss, whatever is entered', () => {
    const arbitrary = fc.record({
      units: fc.integer({ min: 0, max: 5 }),
      modules: fc.integer({ min: 0, max: 300 }),
      coldest: fc.option(fc.double({ min: -60, max: 35, noNaN: true })),
      latitude: fc.option(fc.double({ min: -90, max: 90, noNaN: true })),
      length: fc.option(fc.double({ min: 0.5, max: 5000, noNaN: true })),
    });
    fc.assert(
      fc.property(arbitrary, (a) => {
        let d = siteOf(a.units, [plane('p', a.modules)]);
        d = { ...d, survey: { ...d.survey, coldestC: a.coldest, latitudeDeg: a.latitude } };
        if (a.units) d = withRun(d, runOf('inv-1', { lengthM: a.length }));
        d = withStrings(d, legalLayout(d).strings);
        expect(siteDesignSchema.parse(JSON.parse(JSON.stringify(d)))).toEqual(JSON.parse(JSON.stringify(d)));
      }),
      { numRuns: 100 },
    );
  });
  it('refuses repeated tags, inputs and addresses, and references to nothing, with the place', () => {
    expect(flaw({ ...site, inverters: site.inverters.map((i) => ({ ...i, tag: 'INV-01' })) })[0]).toBe(
      'inverters.1.tag: Tag INV-01 is used twice.',
    );
    expect(flaw({ ...site, strings: site.strings.map((s) => ({ ...s, place: site.strings[0]!.place })) })[0]).toMatch(
      /^strings.1.place: Input/,
    );
    expect(flaw({ ...site, planes: [] })[0]).toMatch(/^strings.0.planeId: There is no plane south/);
    const bad = { ...site.strings[0]!, place: { inverterId: 'inv-1', tracker: 11, input: 1 } };
    expect(flaw({ ...site, strings: [bad] })[0]).toBe('strings.0.place: T100 has no tracker 11 input 1.');
    expect(
      flaw({ ...site, chain: { ...site.chain, devices: site.chain.devices.map((d) => ({ ...d, address: 7 })) } })[0],
    ).toMatch(/Address 7/);
  });
  it('reads a design of the first edition, filling in what it did not know as not known', () => {
    const { dcCable: _c, locks: _l, energy: _e, ...rest } = structuredClone(site);
    const old = {
      ...rest,
      survey: Object.fromEntries(
        Object.entries(rest.survey).filter(([k]) => !['building', 'coldMethod', 'engineeredDocument'].includes(k)),
      ),
      planes: rest.planes.map(({ edgeM: _m, edgeDeg: _d, engineeredUocColdV: _v, ...p }) => p),
      strings: rest.strings.map(({ start: _s, lengthM: _n, ...s }) => ({
        ...s,
        place: s.place && { inverterId: s.place.inverterId, tracker: s.place.tracker, input: s.place.input },
      })),
    };
    const read = siteDesignSchema.parse(old);
    expect(read.strings).toEqual(site.strings);
    expect(read.survey.building).toBeNull();
    expect(read.dcCable.sectionMm2).toBeNull();
    expect(
      assessSite(read)
        .checks.filter((c) => c.id === 'strings.home-run-drop')
        .every((c) => c.verdict === 'unknown'),
    ).toBe(true);
  });
  it('shares the parts that did not change when it comes back from elsewhere', () => {
    const back = structuredClone(site);
    expect(reuseUnchanged(site, back)).toBe(site);
    const moved = { ...back, strings: back.strings.map((s, i) => (i === 0 ? { ...s, modules: 3 } : s)) };
    const shared = reuseUnchanged(site, moved);
    expect(shared).toEqual(moved);
    expect(shared.planes).toBe(site.planes);
    expect(shared.strings[1]).toBe(site.strings[1]);
  });
  it('refuses a newer version whole', () => expect(flaw({ ...site, schema: 3 })[0]).toMatch(/^schema/));
});

describe('edits', () => {
  it('change places when a string is hung where another hangs, and undo by hanging it back', () => {
    const [a, b] = [site.strings[0]!, site.strings[1]!];
    const moved = withStringAt(site, a.id, b.place);
    expect(moved.strings.find((s) => s.id === b.id)?.place).toEqual(a.place);
    expect(withStringAt(moved, a.id, a.place).strings).toEqual(site.strings);
  });
  it('drop strings off inputs that a smaller inverter lacks', () => {
    const small = { ...site.equipment.inverters[0]!, id: 'small', trackers: 2 };
    const d = withInverter(withInverterType(site, small), { ...site.inverters[0]!, typeId: 'small' });
    expect(siteDesignSchema.safeParse(d).success).toBe(true);
    expect(d.strings.some((s) => s.place === null)).toBe(true);
    expect(d.strings.length).toBe(site.strings.length);
  });
  it('leave no reference to what was taken away', () => {
    expect(flaw(withoutInverter(site, 'inv-2'))).toEqual([]);
    expect(flaw(withoutPlane(site, 'south'))).toEqual([]);
  });
  it('change nothing in place', () => {
    const before = JSON.stringify(site);
    withStringAt(site, site.strings[0]!.id, null);
    withModuleType(site, { ...M575, name: 'other' });
    expect(JSON.stringify(site)).toBe(before);
  });
});

describe('assessSite', () => {
  it('never lets an empty site hold', () => {
    const { line } = assessSite(emptyDesign('nothing yet'));
    expect(line.every((e) => e.verdict === 'unknown')).toBe(true);
    expect(line.map((e) => e.element)).toEqual([
      'module',
      'string',
      'tracker',
      'inverter',
      'lug',
      'run',
      'board',
      'grid',
      'wall',
      'chain',
    ]);
  });
  it('is pure and counts every check once', () => {
    const once = assessSite(site);
    expect(JSON.stringify(assessSite(site))).toBe(JSON.stringify(once));
    expect(Object.values(once.counts).reduce((a, b) => a + b, 0)).toBe(once.checks.length);
    expect(once.line.reduce((sum, e) => sum + e.checks, 0)).toBe(once.checks.length);
  });
  it('forgetting any one survey input turns no check that was not holding into one that holds', () => {
    const full = new Map(assessSite(site).checks.map((c) => [`${c.id}|${c.subject.path}`, c.verdict]));
    for (const field of [
      'coldestC',
      'hottestC',
      'dcLegalMaxV',
      'lineV',
      'frequencyHz',
      'service',
      'transformerKva',
      'boardHighestV',
      'gridCode',
    ] as const) {
      const without = assessSite({ ...site, survey: { ...site.survey, [field]: null } });
      for (const c of without.checks)
        if (c.verdict === 'holds') expect(full.get(`${c.id}|${c.subject.path}`), `${field} ${c.id}`).toBe('holds');
    }
  });
});

it('a trip level is the code’s share of the nominal voltage: 440 V at 400 V (EN 50549-1), 528 V at 480 V (IEEE 1547-2018, OV1; recalled)', () => {
  expect(tripLevelV({ gridCode: 'EN 50549-1 first start', lineV: 400 }).value).toBeCloseTo(440, 9);
  expect(tripLevelV({ gridCode: 'EN 50549-1 first start', lineV: null }).missing).toEqual(['nominal line voltage']);
  expect(tripLevelV({ gridCode: 'IEEE 1547 enter service', lineV: 480 }).value).toBeCloseTo(528, 9);
  expect(tripLevelV({ gridCode: null, lineV: 480 }).missing).toEqual(['grid code with a trip level']);
});

describe('the edge of a plane', () => {
  const of = (edgeDeg: number) => ({ position: { xM: 10, yM: 20, zM: 5 }, edgeM: 8, edgeDeg });
  it('runs from its position the way it was said to', () => {
    expect(onEdge(of(0), 0.5)).toEqual({ xM: 14, yM: 20, zM: 5 });
    const up = onEdge(of(90), 1);
    expect(up?.xM).toBeCloseTo(10, 9);
    expect(up?.yM).toBeCloseTo(28, 9);
    const back = onEdge(of(180), 0.25);
    expect(back?.xM).toBeCloseTo(8, 9);
    expect(onEdge(of(-90), 1)?.yM).toBeCloseTo(12, 9);
    expect(onEdge(of(37), 0)).toEqual({ xM: 10, yM: 20, zM: 5 });
  });
  it('is nowhere while the plane is', () => expect(onEdge({ ...of(0), position: null }, 0.5)).toBeNull());
});
