import { Crew } from '../src/core/testing/crew';
import { evidence } from '../src/core/proving/evidence';
import type { Evidence } from '../src/core/proving/evidence';
import type { SiteLog } from '../src/core/proving/evidence/log';
import { bigSite } from './site';

const CREWS = 4;
const ENTRIES = 20_000;
const DAY_MIN = 24 * 60;

/** 60 inverters with 24 strings each and 20 000 entries of four crews, each on its own units with its own phone, over weeks of eight-hour days. */
export function bigLog(): { log: SiteLog; nowMs: number } {
  const design = bigSite();
  const start = '2026-05-04T05:00:00.000Z';
  const crew = new Crew(design, start);
  crew.site({ minutes: 0.5 });
  const units = design.inverters.map((u) => u.id);
  // Every crew writes a stream of its own; a day is made safe first, and eight hours hold so many entries.
  const streams = Array.from({ length: CREWS }, (_, c) =>
    stream(
      design,
      units.filter((_, i) => i % CREWS === c),
      c,
    ),
  );
  let day = 0;
  let entries = [...crew.entries];
  const perDay = 240;
  while (entries.length < ENTRIES) {
    day += 1;
    const dayStart = Date.parse(start) + day * DAY_MIN * 60_000;
    const safe = new Crew(design, new Date(dayStart).toISOString(), `lead-${day}`);
    const made = safe.tick('S-SAFE', 'site', 'pass', { id: idOf(9, day) });
    entries.push(made);
    streams.forEach((s, c) => {
      for (let i = 0; i < perDay; i++) entries.push(at(s(), dayStart + 300_000 + c * 7_000 + i * 110_000));
    });
  }
  entries = entries.sort((a, b) => (a.doneAt < b.doneAt ? -1 : 1)).slice(0, ENTRIES);
  return {
    log: { releases: [{ letter: 'A', atMs: Date.parse(start) - 1e8, design }], entries },
    nowMs: Date.parse(entries.at(-1)?.doneAt ?? start) + 60_000,
  };
}

const idOf = (crew: number, n: number) => `01969a1${crew}-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
const at = <T extends { doneAt: string }>(entry: T, ms: number): T => ({
  ...entry,
  doneAt: new Date(ms).toISOString(),
});

/** Entries of one crew over its units, again and again. */
function stream(design: ReturnType<typeof bigSite>, units: readonly string[], n: number) {
  let pending: Crew['entries'] = [];
  let unit = 0;
  let serial = 0;
  return () => {
    if (pending.length === 0) {
      const crew = new Crew(design, '2026-05-04T05:00:00.000Z', `crew-${n}`);
      crew.unit(units[unit++ % units.length] as string);
      pending = [...crew.entries];
    }
    const entry = pending.shift() as (typeof pending)[number];
    serial += 1;
    return { ...entry, id: idOf(n, serial), device: { id: `crew-${n}`, seq: serial, offsetMs: 0, roundTripMs: 200 } };
  };
}

/** The same log as new objects: nothing that was worked out before is known. */
const fresh = (log: SiteLog): SiteLog => ({
  releases: log.releases.map((r) => ({ ...r, design: { ...r.design } })),
  entries: log.entries.map((e) => ({ ...e })),
});

/** A log worked through and every gate of it read. */
function timed(log: SiteLog, nowMs: number, was?: Evidence): { readonly proved: Evidence; readonly ms: number } {
  const started = performance.now();
  const proved = evidence(log, nowMs, was);
  let closed = 0;
  for (const [, { state }] of proved.gates) if (state === 'passed') closed += 1;
  const ms = performance.now() - started;
  if (closed < 1000) throw new Error(`only ${closed} gates are closed`);
  return { proved, ms };
}
const middle = (times: readonly number[]): number => times.toSorted((a, b) => a - b)[times.length >> 1] as number;

/** What the log costs in whatever runs this, ms. */
export function timings() {
  const { log, nowMs } = bigLog();
  // The very first is the one that people wait for: nothing of it has been compiled yet.
  const colds = Array.from({ length: 9 }, () => timed(fresh(log), nowMs).ms);
  const own = fresh(log);
  const more = (arrived: SiteLog['entries']): number => {
    let was = timed({ ...own, entries: arrived.slice(0, -101) }, nowMs).proved;
    const times = Array.from({ length: 100 }, (_, i) => {
      const { proved, ms } = timed({ ...own, entries: arrived.slice(0, arrived.length - 100 + i) }, nowMs, was);
      was = proved;
      return ms;
    });
    return middle(times);
  };
  const late = [...own.entries.slice(0, -150), ...own.entries.slice(-50), ...own.entries.slice(-150, -50)];
  return { firstMs: colds[0] as number, coldMs: middle(colds), oneMoreMs: more(own.entries), lateMs: more(late) };
}
