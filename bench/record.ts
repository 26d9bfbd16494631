import { Crew } from '../src/core/testing/crew';
import type { SiteLog } from '../src/core/proving/evidence/log';
import { bigSite } from './site';

export { Evidence, evidence } from '../src/core/proving/evidence';

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
export const fresh = (log: SiteLog): SiteLog => ({
  releases: log.releases.map((r) => ({ ...r, design: { ...r.design } })),
  entries: log.entries.map((e) => ({ ...e })),
});
