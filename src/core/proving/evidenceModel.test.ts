import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { naiveRecord } from '../testing/naiveRecord';
import { anyHistory, told, worstState } from '../testing/randomRecord';
import { evidence } from './evidence';

/** Fewer where the same search is made for every wrong program. */
const HISTORIES = Number(process.env['RANDOM_RUNS'] ?? 20_000);
/** Past so many possible orders the slow reading is not asked. */
const ORDERS_MOST = 24;

describe('random histories of a unit and its string', () => {
  it('prove what the sentences of the rules say, over every order that clocks allow', () => {
    let [asked, open] = [0, 0];
    fc.assert(
      fc.property(anyHistory, ({ h }) => {
        const model = naiveRecord(h.log, h.site, h.labels, h.beginning, ORDERS_MOST);
        if (!model) return;
        asked += 1;
        if (model.orders > 1) open += 1;
        const e = evidence(h.log, h.nowMs);
        const off = [...model.states].filter(([key, s]) => e.gates.get(key)?.state !== worstState(s));
        expect(off, told(h, e)).toEqual([]);
        expect([e.unit('inv-1').switchOff, e.unit('inv-1').run.live], told(h, e)).toEqual([
          model.switchOff,
          model.live,
        ]);
        const next = e.next('inv-1', '1');
        // What a step asks beyond the safe day and the permit is its own: the model asks these two.
        const lost = next?.lost.filter((l) => !/I-ACV|I-DCLAND|D-VOC|I-SETUP/.test(l)) ?? [];
        if (model.permitted !== null && next) expect(lost.length === 0, told(h, e)).toBe(model.permitted);
      }),
      { numRuns: HISTORIES, seed: 20261127 },
    );
    // The test means nothing where clocks never leave anything open, or the slow reading is never asked.
    expect(asked).toBeGreaterThan(0.95 * HISTORIES);
    expect(open).toBeGreaterThan(0.25 * HISTORIES);
  }, 900_000);
});
