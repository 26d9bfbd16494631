import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { anyHistory, told } from '../testing/randomRecord';
import type { History } from '../testing/randomRecord';
import type { Entry } from './entry';
import { trueMs } from './entry';
import { evidence } from './evidence';
import type { Evidence } from './evidence';
import { netOf } from './evidence/siteModel';
import { partOfKey } from './evidence/state';
import { gateKey, gateRow, isClosed } from './gates/machine';
import type { GateId, GateKey } from './gates/machine';
import { keyOf } from './gates/net';
import { GATE_TABLE } from './gates/table';
import { kindOf } from './kinds';

vi.setConfig({ testTimeout: 240_000 });
/** Fewer where the same search is made for every wrong program. */
const RUNS = { numRuns: Math.min(1500, Number(process.env['RANDOM_RUNS'] ?? 1500)), seed: 61 };
const shown = (e: Evidence) => [...e.gates].map(([key, g]) => `${key} ${g.state} ${g.why}`);
const closedIn = (e: Evidence) => new Set([...e.gates].filter(([, g]) => isClosed(g.state)).map(([key]) => key));
const of = (h: History, entries: readonly Entry[]) => evidence({ ...h.log, entries }, h.nowMs);

/** Gates that an entry speaks of, and all that wait for them. */
function reach(h: History, entry: Entry): Set<GateKey> {
  const design = h.log.releases.at(-1)!.design;
  const net = netOf(design);
  const gate = entry.values['gate'] as GateId | undefined;
  const own = (gate ? [gate] : kindOf(entry).gates).filter((g) => gateRow(g).scope === entry.subject.scope);
  const found = new Set<GateKey>(own.map((g) => gateKey(g, entry.subject.id)));
  for (let grew = true; grew;) {
    grew = false;
    for (const row of GATE_TABLE)
      for (const object of net.objects(row)) {
        const key = gateKey(row.id, object);
        if (found.has(key) || !net.needs(row, object).gates.some((n) => found.has(keyOf(n)))) continue;
        found.add(key);
        grew = true;
      }
  }
  return found;
}

describe('whatever the history', () => {
  it('arrival changes nothing: any order of the mail, and any entry twice, gives the same states', () => {
    fc.assert(
      fc.property(anyHistory, fc.integer(), ({ h }, seed) => {
        const { entries } = h.log;
        const mixed = [...entries].sort(
          (a, b) => ((a.id.charCodeAt(35) * 31 + seed) % 17) - ((b.id.charCodeAt(35) * 31 + seed) % 17),
        );
        expect(shown(of(h, [...mixed, ...mixed.slice(0, 3)]))).toEqual(shown(of(h, entries)));
      }),
      RUNS,
    );
  });

  it('entries that come one after the other, in whatever order, give what the whole log gives', () => {
    let late = 0;
    fc.assert(
      fc.property(anyHistory, fc.integer({ min: 0, max: 16 }), ({ h }, seed) => {
        const { entries } = h.log;
        const arrived = [...entries].sort(
          (a, b) => ((a.id.charCodeAt(35) * 31 + seed) % 17) - ((b.id.charCodeAt(35) * 31 + seed) % 17),
        );
        const first = Math.floor((arrived.length * seed) / 17);
        let e = of(h, arrived.slice(0, first));
        for (let n = first; n < arrived.length; n++) {
          const log = { ...h.log, entries: arrived.slice(0, n + 1) };
          // A candidate at the door leaves no trace in what was proved before it.
          evidence({ ...log, entries: [...arrived.slice(0, n), ...entries.slice(-1)] }, h.nowMs, e);
          const nowMs = n % 3 ? e.nowMs : e.nowMs + (n % 2 ? 90_000_000 : 60_000);
          e = evidence(log, nowMs, e);
          const whole = evidence(log, nowMs);
          if (trueMs(arrived[n]!) < Math.max(...arrived.slice(0, n).map(trueMs))) late += 1;
          expect(shown(e), told(h, whole)).toEqual(shown(whole));
          expect(new Map(e.notes)).toEqual(new Map(whole.notes));
          expect(e.unit('inv-1')).toEqual(whole.unit('inv-1'));
          for (const order of ['1', '2', '3', 'off'] as const)
            expect(e.next('inv-1', order)).toEqual(whole.next('inv-1', order));
        }
      }),
      { ...RUNS, numRuns: Math.min(400, RUNS.numRuns) },
    );
    expect(late).toBeGreaterThan(Math.min(400, RUNS.numRuns));
  });

  it('no permit stands and no step is allowed while a guard is open', () => {
    fc.assert(
      fc.property(anyHistory, ({ h }) => {
        const e = of(h, h.log.entries);
        const net = netOf(h.log.releases.at(-1)!.design);
        if (e.closed('I-PERMIT', 'inv-1'))
          for (const key of net.needs(gateRow('I-PERMIT'), 'inv-1').gates.map(keyOf))
            expect(e.closed(...partOfKey(key)), told(h, e)).toBe(true);
        for (const order of ['1', '2', '3'] as const) {
          const next = e.next('inv-1', order);
          if (!next || next.lost.length) continue;
          expect([e.closed('S-SAFE', 'site'), e.closed('I-PERMIT', 'inv-1')], told(h, e)).toEqual([true, true]);
          expect(e.unit('inv-1').run.stopped).toBeNull();
        }
      }),
      RUNS,
    );
  });

  it('a proof that was withdrawn returns only by an entry made after', () => {
    fc.assert(
      fc.property(anyHistory, ({ h }) => {
        const late = h.log.entries.slice(h.beginning.length);
        const cut = late[Math.floor(late.length / 2)];
        if (!cut) return;
        const at = trueMs(cut);
        const before = evidence(
          {
            releases: h.log.releases.filter((r) => r.atMs <= at),
            entries: h.log.entries.filter((x) => trueMs(x) <= at),
          },
          at,
        );
        const after = of(h, h.log.entries);
        for (const [key, { state }] of before.gates) {
          if (state !== 'stale' && state !== 'failed') continue;
          const now = after.gates.get(key);
          if (!now || !isClosed(now.state)) continue;
          const [gate, object] = partOfKey(key);
          const spoken = h.log.entries.filter(
            (x) =>
              trueMs(x) > at - 4000 &&
              x.subject.id === object &&
              (x.values['gate'] === gate || kindOf(x).gates.includes(gate)),
          );
          expect(spoken.length, `${key} came back by itself\n${told(h, after)}`).toBeGreaterThan(0);
        }
      }),
      RUNS,
    );
  });

  it('a correction or an acceptance reaches its own fact and what rests on it, and no other', () => {
    fc.assert(
      fc.property(anyHistory, ({ h }) => {
        const e = of(h, h.log.entries);
        for (const x of h.log.entries.filter((y) => y.corrects !== null || y.kind === 'acceptance')) {
          const named = new Set([x.id]);
          // What names it goes with it.
          for (const y of h.log.entries)
            if ((y.corrects !== null && named.has(y.corrects)) || named.has(String(y.values['entryId'])))
              named.add(y.id);
          const touched = new Set(h.log.entries.filter((y) => named.has(y.id)).flatMap((y) => [...reach(h, y)]));
          const without = of(
            h,
            h.log.entries.filter((y) => !named.has(y.id)),
          );
          for (const [key, g] of e.gates)
            if (!touched.has(key)) expect([key, without.gates.get(key)?.state], told(h, e)).toEqual([key, g.state]);
        }
      }),
      RUNS,
    );
  });

  it('nobody below the role closes anything', () => {
    fc.assert(
      fc.property(anyHistory, ({ h }) => {
        const closed = closedIn(of(h, h.log.entries));
        const low = new Set(h.log.entries.filter((x) => x.role === 'designer' || x.role === 'reader').map((x) => x.id));
        // What names one of theirs is nobody's knowledge without it.
        const kept = h.log.entries.filter(
          (x) =>
            !low.has(x.id) && !(x.corrects !== null && low.has(x.corrects)) && !low.has(String(x.values['entryId'])),
        );
        const without = closedIn(of(h, kept));
        const named = h.log.entries.filter((x) => !low.has(x.id) && !kept.includes(x)).flatMap((x) => [...reach(h, x)]);
        for (const key of closed)
          if (!named.includes(key)) expect(without.has(key), `${key}\n${told(h, of(h, h.log.entries))}`).toBe(true);
      }),
      RUNS,
    );
  });
});
