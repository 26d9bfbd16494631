import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { GateId, GateKey, GateResult, GateRow, GateState } from './machine';
import { gateKey, gateRow, wantsSafeDay } from './machine';
import type { GateModel } from './net';
import { GateNet } from './net';
import { gateStates } from './states';
import { GATE_TABLE } from './table';

const ROWS: readonly GateRow[] = GATE_TABLE;
const CLOSED: readonly GateState[] = ['passed', 'accepted', 'waived', 'n/a'];

/** The table's sentences read gate by gate, without any index: which state a gate is in, and what it waits for. */
function read(
  site: GateModel,
  results: ReadonlyMap<GateKey, GateResult>,
  id: GateId,
  object: string,
): { state: GateState; waitsFor: GateKey[] } {
  const row = ROWS.find((r) => r.id === id) as GateRow;
  const fitted = (r: GateRow, at: string): boolean => {
    if (r.applies === 'always') return true;
    if (r.applies === 'bus fitted') return site.busFitted;
    if (r.applies === 'rcd fitted') return site.inverters.find((i) => i.id === at)?.rcdFitted !== false;
    if (r.applies === 'stop fitted') return site.stopFitted !== false;
    if (r.applies === 'contacts fitted') return site.contactsFitted !== false;
    if (r.applies === 'rapid shutdown asked for') return site.rapidShutdown;
    return false;
  };
  const unitOf = (string: string) => site.inverters.find((i) => i.strings.includes(string));
  /** Parts at which a needed gate stands, seen from a part; none of the kind it joins over: null. */
  const parts = (need: GateRow): readonly string[] | null => {
    if (need.applies.startsWith('battery')) return [];
    if (need.scope === 'site') return ['site'];
    const units =
      row.scope === 'site' ? site.inverters : site.inverters.filter((i) => i.id === object || unitOf(object) === i);
    if (need.scope === 'inverter') {
      if (row.scope === 'site' && units.length === 0) return null;
      return units.map((i) => i.id);
    }
    if (row.scope === 'string') return [object];
    const all = units.flatMap((i) => i.strings);
    return all.length ? all : null;
  };
  if (!fitted(row, object)) return { state: 'n/a', waitsFor: [] };
  const result = results.get(gateKey(id, object));
  if (result === 'fail') return { state: 'failed', waitsFor: [] };
  if (result === 'stale' || result === 'caution') return { state: result, waitsFor: [] };
  const needs =
    id === 'S-HAND'
      ? ROWS.filter((r) => !['S-HAND', 'S-SAFE', 'I-PERMIT'].includes(r.id))
      : (row.needs as readonly GateId[]).map((n) => ROWS.find((r) => r.id === n) as GateRow);
  const joined = needs.map((n) => ({ n, at: parts(n) }));
  const overNothing = joined.some((j) => j.at === null);
  const open = joined
    .flatMap(({ n, at }) => (at ?? []).map((o) => ({ n, o })))
    .filter(({ n, o }) => fitted(n, o) && !CLOSED.includes(read(site, results, n.id, o).state))
    .map(({ n, o }) => gateKey(n.id, o));
  if (result) {
    const broken = row.cascade ? open.filter((k) => k !== 'S-SAFE') : [];
    if (broken.length || (row.cascade && overNothing)) return { state: 'stale', waitsFor: broken };
    return { state: result === 'pass' ? 'passed' : result, waitsFor: [] };
  }
  const wantsSafe = id !== 'S-SAFE' && (row.zone !== 'none' || id === 'I-PERMIT') && !open.includes('S-SAFE');
  const daily = wantsSafe && !CLOSED.includes(read(site, results, 'S-SAFE', 'site').state);
  const waitsFor = daily ? [...open, 'S-SAFE'] : open;
  return { state: waitsFor.length || overNothing ? 'locked' : 'open', waitsFor };
}

const MODELS: readonly GateModel[] = [
  {
    inverters: [
      { id: 'A', strings: ['A1', 'A2'], rcdFitted: true },
      { id: 'B', strings: ['B1'], rcdFitted: false },
    ],
    busFitted: true,
    stopFitted: null,
    contactsFitted: false,
    rapidShutdown: true,
  },
  {
    inverters: [
      { id: 'A', strings: [], rcdFitted: null },
      { id: 'B', strings: ['B1'], rcdFitted: null },
    ],
    busFitted: false,
    stopFitted: false,
    contactsFitted: null,
    rapidShutdown: false,
  },
  { inverters: [], busFitted: true, stopFitted: true, contactsFitted: true, rapidShutdown: true },
];
const RESULTS: readonly GateResult[] = [
  'pass',
  'pass',
  'pass',
  'pass',
  'accepted',
  'waived',
  'fail',
  'caution',
  'stale',
];

describe('states of the gates', () => {
  it('are found in one pass: nothing in the table waits for what stands behind it', () => {
    const place = (id: string) => ROWS.findIndex((r) => r.id === id);
    for (const row of ROWS) {
      for (const need of row.needs) expect(place(need), `${row.id} waits for ${need}`).toBeLessThan(place(row.id));
      if (wantsSafeDay(row)) expect(place('S-SAFE'), row.id).toBeLessThan(place(row.id));
    }
    expect(place('S-HAND')).toBe(ROWS.length - 1);
  });
  it('are what the table says, read gate by gate', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MODELS),
        // How many gates have a result: a site half done, and one that is nearly finished.
        fc.integer({ min: 5, max: 10 }),
        fc.infiniteStream(fc.integer({ min: 0, max: 1000 })),
        (site, tenths, numbers) => {
          const net = new GateNet(site);
          const draw = (most: number) => (numbers.next().value as number) % most;
          const results = new Map<GateKey, GateResult>();
          for (const { row, object } of net.nodes)
            if (draw(10) < tenths)
              results.set(gateKey(row.id, object), (draw(12) ? 'pass' : RESULTS[draw(RESULTS.length)]) as GateResult);
          const views = gateStates(net, (gate, object) => results.get(gateKey(gate, object)));
          expect(views.length).toBe(net.nodes.length);
          views.forEach((v, i) => {
            const node = net.nodes[i];
            expect([v.gate.id, v.object]).toEqual([node?.row.id, node?.object]);
            const wanted = read(site, results, v.gate.id, v.object);
            const key = gateKey(v.gate.id, v.object);
            expect([key, v.state, [...v.waitsFor].sort()]).toEqual([key, wanted.state, [...wanted.waitsFor].sort()]);
          });
        },
      ),
      { numRuns: 120, seed: 12 },
    );
  });

  it('are found by their row and part, and none where a part is not there', () => {
    const net = new GateNet(MODELS[0] as GateModel);
    for (const [i, { row, object }] of net.nodes.entries()) expect(net.placeOf(row, object)).toBe(i);
    expect(net.placeOf(gateRow('I-PE'), 'C')).toBeUndefined();
    expect(net.placeOf(gateRow('I-PE'), 'A1')).toBeUndefined();
    expect(net.nodes.filter((n) => n.row.scope === 'string').map((n) => n.object)).toContain('B1');
    expect(net.nodes.some((n) => n.row.id.startsWith('B-'))).toBe(true);
    expect(net.objects(gateRow('B-RACK'))).toEqual([]);
  });

  it('of a part that is not there wait for nothing, and it hangs on nothing', () => {
    const net = new GateNet(MODELS[0] as GateModel);
    expect([net.has(gateRow('S-DOC'), 'site'), net.has(gateRow('S-DOC'), 'A')]).toEqual([true, false]);
    expect([net.has(gateRow('D-ID'), 'A1'), net.has(gateRow('D-ID'), 'A'), net.has(gateRow('I-PE'), 'A')]).toEqual([
      true,
      false,
      true,
    ]);
    expect([net.unitsOf('A2'), net.unitsOf('Z9'), net.stringsOf('A'), net.stringsOf('Z')]).toEqual([
      ['A'],
      [],
      ['A1', 'A2'],
      [],
    ]);
  });

  it('of a string that waited for its unit would wait for that unit, whatever gate the table names', () => {
    const net = new GateNet(MODELS[0] as GateModel);
    const row = { ...gateRow('D-ISC'), needs: ['I-PE', 'D-VOC', 'S-EARTH'] } as unknown as GateRow;
    expect(net.needs(row, 'B1')).toEqual({
      gates: [
        { gate: 'I-PE', object: 'B' },
        { gate: 'D-VOC', object: 'B1' },
        { gate: 'S-EARTH', object: 'site' },
      ],
      overNothing: false,
    });
    expect(net.needs(row, 'Z9').gates.map((n) => n.gate)).toEqual(['D-VOC', 'S-EARTH']);
  });
});
