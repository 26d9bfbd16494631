import { describe, expect, it } from 'vitest';
import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import type { TenVoltages } from '../../measure/supplySignature';
import { isNominal, nominalNear, supplySignature } from '../../measure/supplySignature';
import { SUPPLY_SIGNATURES } from '../../tables/supplySignatures';
import { SUPPLY_SIGNATURE } from './signature';

type Three = readonly [number, number, number];
const ten = (v: readonly (number | null)[], low: Three | null): TenVoltages => ({
  lineV: [v[0], v[1], v[2]] as unknown as Three,
  toNeutralV: v[3] === null ? null : ([v[3], v[4], v[5]] as unknown as Three),
  neutralToPeV: v[6] ?? null,
  toPeV: [v[7], v[8], v[9]] as unknown as Three,
  lowImpedanceV: low,
});
const HEALTHY = [402, 399, 401, 232, 231, 230.5, 1.4, 232.4, 231.1, 230.2];
const LOW: Three = [231.9, 230.6, 229.9];
const reading = (v: readonly (number | null)[], low: Three | null = LOW, repeatWanted = true) => ({
  signature: known(supplySignature(ten(v, low), 400)),
  service: null,
  repeatWanted,
});
const nPe = (volts: number) => HEALTHY.with(6, volts);

edges(SUPPLY_SIGNATURE, () => ({
  holds: [reading(HEALTHY), reading(nPe(5)), reading(HEALTHY, null, false)],
  // Without the low-impedance repeat a floating supply would read the same.
  tight: [reading(HEALTHY, null), reading(nPe(5.01)), reading(nPe(10)), reading(nPe(9), null, false)],
  stops: [reading(nPe(10.01)), reading([402, 400, 401, null, null, null, null, 214, 251, 230], [38, 44, 41])],
  without: {
    'ten voltages that can be told apart': { ...reading(HEALTHY), signature: lacking('nominal line voltage') },
  },
  says: [
    [reading(HEALTHY), /earthed wye with neutral/, /Next: go on/, /0.0036 pu/],
    [reading([330, 402, 329, 178, 231, 230.6, 1.2, 177, 231, 230], [5, 230.6, 229.8]), / \(L1\)/, /^Next: /],
    [
      reading([401, 399, 400, 120, 300, 90, 35, 100, 300, 150], null),
      /ten voltages that can be told apart: no known supply reads like this/,
    ],
    [reading(HEALTHY, null), /./, /./, /Repeat L–PE at low impedance/, /./],
  ],
}));

describe('ten voltages (geometry of the phasors; worked values)', () => {
  it.each([
    ['wye_tn', HEALTHY, LOW, 0.00357042343, null],
    ['open_neutral', [401, 399, 400, 262, 199, 238, 35, 231, 230.5, 231.5], [230, 229.7, 230.8], null, null],
    ['ungrounded', [402, 400, 401, null, null, null, null, 214, 251, 230], [38, 44, 41], null, null],
    ['swap_n_l1', [230, 399, 231, 230, 400, 398, 229.5, 0.8, 230.4, 230.9], [0.7, 229.8, 230.1], 0.00165507237, null],
    ['phantom_phase', [330, 402, 329, 178, 231, 230.6, 1.2, 177, 231, 230], [5, 230.6, 229.8], null, 1],
  ] as const)('%s', (name, v, low, rms, odd) => {
    const s = supplySignature(ten(v, low), 400);
    expect(s).toMatchObject({ name, odd });
    if (rms !== null) expect(s.rmsPu).toBeCloseTo(rms, 9);
  });
  it('gives the shifts of the star point', () => {
    const s = supplySignature(ten([401, 399, 400, 262, 199, 238, 35, 231, 230.5, 231.5], [230, 229.7, 230.8]), 400);
    expect(s.neutralShiftPu).toBeCloseTo(0.100664283, 8);
    expect(s.peShiftPu).toBeCloseTo(0.0131038095, 8);
    expect(
      supplySignature(ten([402, 400, 401, null, null, null, null, 214, 251, 230], null), 400).neutralShiftPu,
    ).toBeNull();
  });
  it('knows every row of its own table, whichever phase is in the odd one’s role', () => {
    for (const row of SUPPLY_SIGNATURES.filter((r) => r.lineV)) {
      for (const turn of [0, 1, 2]) {
        const at = (v: Three | null) =>
          v && ([0, 1, 2].map((k) => 400 * (v[(k + 3 - turn) % 3] ?? 0)) as unknown as Three);
        // The repeat reads like the first: nothing floats.
        const toPeV = at(row.toPeV) as Three;
        const neutral = row.neutral !== 'no';
        const s = supplySignature(
          {
            lineV: at(row.lineV) as Three,
            toNeutralV: neutral ? at(row.toNeutralV) : null,
            neutralToPeV: neutral ? 400 * (row.neutralToPeV ?? 0) : null,
            toPeV,
            lowImpedanceV: toPeV,
          },
          400,
        );
        expect([row.signature, turn, s.name, s.verdict]).toEqual([row.signature, turn, row.signature, row.verdict]);
        const phases = [1, 2, 3].map((phase) => `L${((phase - 1 + turn) % 3) + 1}`);
        for (const said of ['meaning', 'action'] as const)
          expect(s[said]).toBe(row[said].replace(/L[123]/g, (name) => phases[Number(name[1]) - 1] as string));
        expect([s.odd, s.note]).toEqual([null, null]);
      }
    }
  });
  it('names the phases as they are landed', () => {
    const seen = (v: readonly number[]) => supplySignature(ten(v, [v[7], v[8], v[9]] as unknown as Three), 400).meaning;
    // Line voltages are L1–L2, L2–L3, L3–L1; then to neutral, neutral to PE, to PE.
    expect(seen([400, 400, 400, 200, 346, 200, 0, 200, 346, 200])).toMatch(/\(L2 is the high leg\)/);
    expect(seen([400, 400, 400, 346, 200, 200, 0, 346, 200, 200])).toMatch(/\(L1 is the high leg\)/);
    expect(seen([400, 0, 400, 231, 231, 231, 0, 231, 231, 231])).toMatch(/^L2 and L3 are one phase/);
    expect(seen([400, 231, 231, 231, 231, 0, 0, 231, 231, 0])).toMatch(/^L3 open upstream/);
  });
  it('is judged by the voltage between neutral and PE too, and by the repeat', () => {
    const of = (npeV: number | null, low: Three | null = LOW) =>
      supplySignature(ten(HEALTHY.with(6, npeV as number), low), 400);
    expect([5, 5.1, 10, 10.1].map((x) => [of(x).verdict, of(x).wanting])).toEqual([
      ['holds', null],
      ['tight', 'neutral'],
      ['tight', 'neutral'],
      ['stop', 'neutral'],
    ]);
    expect([of(-6).verdict, of(-11).verdict]).toEqual(['tight', 'stop']);
    expect(of(1, null)).toMatchObject({ verdict: 'tight', wanting: 'repeat' });
    // No neutral, no voltage of it.
    const bare = HEALTHY.map((x, i) => (i > 2 && i < 7 ? null : x));
    expect(supplySignature(ten(bare, LOW), 400)).toMatchObject({ name: 'wye_no_n', verdict: 'holds', wanting: null });
  });
  it('finds a neutral that is open by its shift or by its voltage to PE, where the supply to PE is healthy', () => {
    const to = (n: Three, npe: number, pe: Three = [231, 231, 231]) =>
      supplySignature(ten([400, 400, 400, ...n, npe, ...pe], pe), 400).name;
    expect(to([262, 199, 238], 35)).toBe('open_neutral');
    // By its voltage alone.
    expect(to([231, 231, 231], 60)).toBe('open_neutral');
    expect(to([231, 231, 231], 15)).toBe('wye_tn');
    expect(to([262, 199, 238], 35, [231, 300, 231])).toBe('unknown');
    expect(supplySignature(ten([300, 400, 330, 262, 199, 238, 35, 231, 231, 231], null), 400).name).toBe('unknown');
  });
  it('takes no phase for a phantom that read next to nothing the first time', () => {
    const dark = [400, 400, 400, null, null, null, null, 231, 231, 60];
    expect(supplySignature(ten(dark, [231, 231, 0]), 400).name).not.toBe('phantom_phase');
    expect(supplySignature(ten(HEALTHY, [231, 231, 100]), 400)).toMatchObject({ name: 'phantom_phase', odd: 3 });
    expect(supplySignature(ten(HEALTHY, [231, 231, 116]), 400).name).toBe('wye_tn');
  });
  it('tells a broken PE from an unearthed supply by the neutral', () => {
    expect(supplySignature(ten(HEALTHY, [30, 40, 35]), 400)).toMatchObject({ name: 'pe_open', verdict: 'stop' });
    expect(
      supplySignature(
        ten(
          HEALTHY.map((x, i) => (i > 2 && i < 7 ? null : x)),
          [30, 40, 35],
        ),
        400,
      ).name,
    ).toBe('ungrounded');
    expect(supplySignature(ten(HEALTHY, [30, 40, 229]), 400).name).toBe('unknown');
  });
  it('stops what is off its nominal, and says what it looks like', () => {
    const s = supplySignature(ten([480, 481, 479, 277, 277, 277, 1, 277, 277, 277], [277, 277, 277]), 400);
    expect(s).toMatchObject({ name: 'wye_tn', verdict: 'stop', note: 'looks like 480 V' });
    expect(supplySignature(ten([540, 540, 540, 312, 312, 312, 1, 312, 312, 312], [312, 312, 312]), 400).note).toBe(
      'looks like no known nominal',
    );
  });
  it('finds nothing where nothing is, and no triangle where there is none', () => {
    expect(supplySignature(ten([70, 70, 70, null, null, null, null, 40, 40, 40], null), 400)).toMatchObject({
      name: 'no_supply',
      verdict: 'unknown',
    });
    expect(supplySignature(ten([400, 100, 100, null, null, null, null, 230, 230, 230], null), 400)).toMatchObject({
      name: 'impossible',
      verdict: 'unknown',
    });
  });
  it('knows the nominal voltages of supplies', () => {
    expect([402, 452, 540, 690].map(nominalNear)).toEqual([400, 440, undefined, 690]);
    expect([400, 410].map(isNominal)).toEqual([true, false]);
  });
});
