import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { loopOhm } from '../../conductor/metal';
import type { Power } from './ctWiring';
import { ctMend, ctWiring, leadBurdenVa } from './ctWiring';

type Three = readonly [Power, Power, Power];
type Row = Readonly<Record<string, string>>;
/** All wirings of three current transformers, worked beforehand by phasors (another program): no published values. */
const ROWS = Papa.parse<Row>(readFileSync(new URL('./ctPatterns.csv', import.meta.url), 'utf8').trim(), {
  header: true,
}).data;
const like = (p: number, q: number): Three => [
  { p, q },
  { p, q },
  { p, q },
];
/** Powers of a wiring by phasors: currents of other phases, some turned. */
function seen(phases: readonly number[], signs: readonly number[], own: Three): Three {
  return phases.map((phase, channel) => {
    const { p, q } = own[phase] as Power;
    // Current of a phase n steps behind, on this channel's voltage: its power is turned by 120° a step.
    const turn = (((phase - channel + 3) % 3) * 120 * Math.PI) / 180;
    const s = signs[channel] as number;
    return { p: s * (p * Math.cos(turn) - q * Math.sin(turn)), q: s * (p * Math.sin(turn) + q * Math.cos(turn)) };
  }) as unknown as Three;
}

describe('wiring of the current transformers', () => {
  it('knows all 48', () => expect(ROWS).toHaveLength(48));
  it.each(ROWS.map((r) => [r.current_in_channels_123 as string, r.polarity as string, r] as const))(
    '%s %s',
    (currents, polarity, row) => {
      for (const [pf, own] of [
        ['1', like(1, 0)],
        ['0.95', like(0.95, Math.sqrt(1 - 0.95 ** 2))],
      ] as const) {
        const measured = [1, 2, 3].map((n) => ({
          p: Number(row[`P${n}_pf${pf}`]),
          q: Number(row[`Q${n}_pf${pf}`]),
        })) as unknown as Three;
        const found = ctWiring(measured, own);
        expect(found.map((w) => (w.phase ?? NaN) + 1).join('')).toBe(currents);
        expect(found.map((w) => (w.reversed ? '-' : '+')).join('')).toBe(polarity);
        for (const w of found) {
          expect(w.sure).toBe(true);
          expect(w.ratioVerdict).toBe('holds');
        }
      }
    },
  );
  it('of 10 kVA a phase at 0.95 with 1 and 2 exchanged shows −7454, −2046 and 9500 W', () => {
    const q = 10_000 * Math.sqrt(1 - 0.95 ** 2);
    const measured = seen([1, 0, 2], [1, 1, 1], like(9500, q));
    expect(measured.map((m) => m.p)).toEqual([-7454.16, -2045.84, 9500].map((v) => expect.closeTo(v, 2)));
    expect(measured.map((m) => m.q)).toEqual([6665.99, -9788.49, 3122.5].map((v) => expect.closeTo(v, 2)));
    expect(ctWiring(measured, like(9500, q)).map((w) => w.phase)).toEqual([1, 0, 2]);
  });
  it('is told at phases of different load, and says what is left of the angle', () => {
    const own: Three = [
      { p: 9000, q: 500 },
      { p: 6000, q: -400 },
      { p: 12_000, q: 0 },
    ];
    const found = ctWiring(seen([2, 0, 1], [1, -1, 1], own), own);
    expect(found.map((w) => [w.phase, w.reversed])).toEqual([
      [2, false],
      [0, true],
      [1, false],
    ]);
    expect(found.every((w) => (w.ratio ?? 0) > 0.999 && (w.ratio ?? 0) < 1.001)).toBe(true);
  });
  it.each([
    [0.0199, { dead: true, phase: null }],
    [0.0201, { dead: false, ratioVerdict: 'stop' }],
    [0.949, { ratioVerdict: 'stop' }],
    [0.96, { ratioVerdict: 'tight' }],
    [0.981, { ratioVerdict: 'holds' }],
    [1.0199, { ratioVerdict: 'holds' }],
    [1.06, { ratioVerdict: 'stop' }],
  ])('of %s of what flows: %j', (share, wanted) =>
    expect(
      ctWiring(
        [
          { p: share * 1000, q: 0 },
          { p: 1000, q: 0 },
          { p: 1000, q: 0 },
        ],
        like(1000, 0),
      )[0],
    ).toMatchObject(wanted),
  );
  it.each([
    [14.9, true],
    [-15.1, false],
    [29, false],
  ])('%s° off a step is sure: %s', (deg, sure) => {
    const turned = { p: 1000 * Math.cos((deg * Math.PI) / 180), q: 1000 * Math.sin((deg * Math.PI) / 180) };
    const [w] = ctWiring([turned, turned, turned], like(1000, 0));
    expect(w).toMatchObject({ phase: 0, reversed: false, sure });
    expect(w?.restDeg).toBeCloseTo(deg, 9);
  });
  it('wants power that flows', () => expect(() => ctWiring(like(1, 0), like(0, 0))).toThrow(/reference/));
  it('says what to do', () => {
    const of = (phases: readonly number[], signs: readonly number[], k = 1) => {
      const own = like(1000, 100);
      return ctWiring(
        seen(phases, signs, own).map(({ p, q }) => ({ p: k * p, q: k * q })) as unknown as Three,
        own,
      ).map((w, i) => ctMend(i, w));
    };
    expect(of([0, 1, 2], [1, 1, 1])).toEqual(['', '', '']);
    expect(of([1, 0, 2], [1, -1, 1])).toEqual([
      'measures the current of L2: take it to L1.',
      'measures the current of L1: take it to L2; is reversed: change k and l.',
      '',
    ]);
    expect(of([0, 1, 2], [1, 1, 1], 1.25)[0]).toBe('ratio is off: divide the set one by 1.250.');
    expect(of([0, 1, 2], [1, 1, 1], 0.001)[0]).toMatch(/Never open a live secondary/);
  });
});

describe('the leads of a current transformer (ρ of copper: IEC 60028, recalled)', () => {
  it.each([
    [20, 2.5, 5, 6.8964],
    [20, 4, 5, 4.31025],
    [20, 1.5, 1, 0.45976],
  ])('%s m of %s mm² at %s A burden it with %s VA', (m, mm2, amp, va) =>
    expect(leadBurdenVa(loopOhm(m, mm2, 20), amp)).toBeCloseTo(va, 5),
  );
});
