import { describe, expect, it } from 'vitest';
import { Crew, healthy } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import { randomDesign } from '../testing/randomDesign';
import { thrown } from '../testing/anywhere';
import type { EntrySubject } from '../proving/entry';
import { evidence } from '../proving/evidence';
import { KINDS } from '../proving/kinds';
import type { SiteDesign } from '.';
import { assessSite } from './assess';

const RUNS = Number(process.env['RANDOM_DESIGNS'] ?? 400);
const VERDICTS = ['holds', 'tight', 'stop', 'unknown'];
const bases: readonly SiteDesign[] = [twoUnits, ...[1, 2, 3].map((seed) => randomDesign(seed))];
const designs = Array.from({ length: RUNS }, (_, seed) =>
  thrown(bases[seed % bases.length] as SiteDesign, seed, 1 + (seed % 40)),
);

/** What went wrong with a design, with its seed; null where nothing did. */
const failure = (seed: number, work: () => void): string | null => {
  try {
    work();
    return null;
  } catch (cause) {
    return `${seed}: ${cause instanceof Error ? cause.stack : String(cause)}`;
  }
};

describe('whatever the schema lets in', { timeout: 600_000 }, () => {
  it('is assessed: every check has a verdict, its working can be read, and no number is none', () => {
    const failures = designs.map((design, seed) =>
      failure(seed, () => {
        for (const c of assessSite(design).checks) {
          if (!VERDICTS.includes(c.verdict)) throw new Error(`${c.id} says ${c.verdict}`);
          if (c.working.length === 0 || c.working.some((line) => typeof line !== 'string'))
            throw new Error(`${c.id} has no working`);
          if (c.verdict === 'holds' && [c.value, c.limit, c.margin].some((x) => Number.isNaN(x)))
            throw new Error(`${c.id} holds without a number`);
        }
      }),
    );
    expect(failures.filter(Boolean).slice(0, 5)).toEqual([]);
  });

  it('can be built from: every kind of measurement is judged on it, and none breaks the record', () => {
    const parts: readonly EntrySubject[] = [
      { scope: 'site', id: 'site' },
      { scope: 'inverter', id: 'inv-1' },
      { scope: 'string', id: 's-1' },
    ];
    const failures = designs.map((design, seed) =>
      failure(seed, () => {
        const crew = new Crew(design);
        for (const part of parts)
          for (const k of KINDS)
            if (k.instrument && k.scopes.includes(part.scope)) crew.add(k.kind, part, healthy(k.kind, twoUnits, part));
        const releases = [
          { letter: 'A', atMs: 0, design },
          { letter: 'B', atMs: 1, design: twoUnits },
        ];
        const e = evidence({ releases, entries: crew.entries }, crew.nowMs);
        for (const [, g] of e.gates) void g.why;
        for (const c of e.checks) void c.working;
        for (const { id } of design.inverters)
          for (const order of ['1', '2', '3', 'off'] as const) void e.next(id, order);
      }),
    );
    expect(failures.filter(Boolean).slice(0, 5)).toEqual([]);
  });
});
