import { describe, expect, it } from 'vitest';
import { generator } from '../../kernel/generator';
import type { Found, Planned } from './compare';
import { FINDINGS, markOfFinding, planAgainstFound } from './compare';
import { mendingWrites, readdress, walkOrder } from './moves';
import type { Rates } from './symptoms';
import { halfSplits, symptomOf } from './symptoms';

const planned = (address: number, serial: string | null = `S${address}`): Planned => ({
  address,
  serial,
  label: `INV-${address}`,
});
const found = (address: number, serials: readonly string[] = [`S${address}`], quality = 1): Found => ({
  address,
  serials,
  quality,
});

describe('plan against found', () => {
  const one = (plan: readonly Planned[], at: Found | null, address = 5) =>
    planAgainstFound(plan, at ? [at] : []).find((f) => f.address === address);
  it.each([
    ['missing', null, null],
    ['duplicate', found(5, ['S5', 'S6'], 0.5), null],
    ['perhaps a duplicate', found(5, [], 0.89), null],
    ['weak', found(5, ['S5'], 0.97), null],
    ['no serial read', found(5, [], 1), null],
    ['right', found(5), null],
    ['right', found(5, ['S5'], 0.98), null],
    ['swapped', found(5, ['S7']), 7],
    ['foreign serial', found(5, ['X'], 1), null],
  ] as const)('says %s', (kind, at, belongsAt) =>
    expect(one([planned(5), planned(7)], at)).toMatchObject({ kind, belongsAt }),
  );
  it('learns a serial where the plan has none, unless it is planned elsewhere', () => {
    expect(one([planned(5, null)], found(5, ['X']))?.kind).toBe('serial new to the plan');
    expect(one([planned(5, null), planned(7)], found(5, ['S7']))).toMatchObject({ kind: 'swapped', belongsAt: 7 });
  });
  it.each([
    ['moved', found(9, ['S7']), 7],
    ['not addressed', found(1, ['X']), null],
    ['unexpected', found(9, ['X']), null],
    ['unexpected', found(9, []), null],
  ] as const)('says of what nobody planned: %s', (kind, at, belongsAt) =>
    expect(one([planned(5), planned(7)], at, at.address)).toMatchObject({ kind, belongsAt }),
  );
  it('holds where a serial stands against its own, and nowhere else', () => {
    expect(FINDINGS.filter((k) => markOfFinding(k) === 'holds')).toEqual(['right']);
    expect(FINDINGS.filter((k) => markOfFinding(k) === 'unknown')).toEqual([
      'no serial read',
      'serial new to the plan',
    ]);
  });
  it('finds a swapped pair at both', () =>
    expect(
      planAgainstFound([planned(2), planned(3)], [found(2, ['S3']), found(3, ['S2'])]).map((f) => f.belongsAt),
    ).toEqual([3, 2]));
  it('refuses a plan that names one twice, or an address that is none', () => {
    expect(() => planAgainstFound([planned(5), planned(5, 'Y')], [])).toThrow(
      /address must be there once each \(got 5 twice\)/,
    );
    expect(() => planAgainstFound([planned(5, 'Y'), planned(6, 'Y')], [])).toThrow(/serial/);
    expect(() => planAgainstFound([planned(248)], [])).toThrow(/address must be 1 to 247/);
    expect(() => planAgainstFound([], [found(3, [], 1.1)])).toThrow(/quality/);
    expect(planAgainstFound([planned(5, null), planned(6, null)], [])).toHaveLength(2);
  });
});

describe('addresses anew', () => {
  const moves = (text: string) =>
    text.split(' ').map((m) => {
      const [serial = '', from, to] = m.split(/(?<=^[A-Z])|>/);
      return { serial, from: Number(from), to: Number(to) };
    });
  const said = (writes: ReturnType<typeof readdress>) => writes.map((w) => `${w.serial}${w.from}>${w.to}`).join(' ');
  it('a circle takes one write more, over the spare', () =>
    expect(said(readdress(moves('A1>2 B2>3 C3>1 D4>5')))).toBe('D4>5 A1>247 C3>1 B2>3 A247>2'));
  it('a row goes from its free end', () => expect(said(readdress(moves('A1>2 B2>3 C3>4')))).toBe('C3>4 B2>3 A1>2'));
  it('what stays is not written', () => expect(readdress(moves('A1>1 B2>2'))).toEqual([]));
  it('refuses units on one address, and a spare that is taken', () => {
    expect(() => readdress(moves('A1>2 B1>3'))).toThrow(/from must be there once each \(got 1 twice\)/);
    expect(() => readdress(moves('A1>2 B3>2'))).toThrow(/to must be/);
    expect(() => readdress(moves('A1>2 B2>1 C247>247'))).toThrow(/spare/);
    expect(() => readdress(moves('A1>248'))).toThrow(/to must be 1 to 247/);
  });
  it('never puts two on one address, ends where it is to, and writes moves and circles, whatever the order', () => {
    const random = generator(3);
    for (let round = 0; round < 200; round++) {
      const n = 1 + Math.floor(random() * 8);
      const shuffled = (most: number) =>
        Array.from({ length: most }, (_, i) => [random(), i + 1] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, a]) => a)
          .slice(0, n);
      const [from, to] = [shuffled(n + 2), shuffled(n + 2)];
      const units = from.map((f, i) => ({ serial: String(i), from: f, to: to[i] as number }));
      const at = new Map(units.map((u) => [u.serial, u.from]));
      const writes = readdress(units);
      for (const w of writes) {
        expect(at.get(w.serial)).toBe(w.from);
        expect([...at.values()]).not.toContain(w.to);
        at.set(w.serial, w.to);
      }
      for (const u of units) expect(at.get(u.serial)).toBe(u.to);
      // Circles of the permutation, counted apart.
      const next = new Map(units.map((u) => [u.from, u.to]));
      const seen = new Set<number>();
      let circles = 0;
      for (const start of next.keys()) {
        let here: number | undefined = start;
        const path: number[] = [];
        while (here !== undefined && !seen.has(here)) {
          seen.add(here);
          path.push(here);
          here = next.get(here);
        }
        if (here === start && path.length > 1) circles++;
      }
      expect(writes).toHaveLength(units.filter((u) => u.from !== u.to).length + circles);
    }
  });
  it('are given one at a time with the unit of address 1 last', () =>
    expect(walkOrder([1, 2, 3].map((address) => ({ address }))).map((p) => p.address)).toEqual([2, 3, 1]));
});

describe('symptoms', () => {
  const of = (...oks: (number | readonly [ok: number, crc: number])[]): Rates[] =>
    oks.map((o) => {
      const [ok, crc] = typeof o === 'number' ? [o, 0] : o;
      return { ok, crc, silent: 1 - ok - crc };
    });
  it.each([
    ['HEALTHY', null, of(1, 0.98, 1)],
    ['TRUNK', null, of(0, 0.02, 0)],
    ['BREAK_OR_CROSS_AFTER', 4, of(1, 1, 1, 1, 0, 0, 0)],
    ['DUPLICATE', 2, of(1, [0.2, 0.75], 1, 0, 1)],
    ['LAST_UNIT', 3, of(1, 1, 0)],
    ['ONE_SILENT', 2, of(1, 0, 1)],
    ['SEVERAL_SILENT', null, of(0, 1, 0, 1)],
    ['ONE_NOISY', 2, of(1, [0.85, 0.15], 1)],
    ['FAR_END', 5, of(1, 1, 1, 0.97, 0.85, 0.6)],
    ['BUS_NOISE', null, of([0.8, 0.1], [0.7, 0.2], [0.8, 0.05])],
    // A dead tail with a garbled unit before it is no break.
    ['DUPLICATE', 1, of([0.5, 0.5], 1, 0, 0)],
    ['ONE_NOISY', 3, of(1, 1, [0.02, 0.5])],
  ] as const)('%s %s', (code, at, rates) => expect(symptomOf(rates)).toEqual({ code, at }));
  it('wants devices, and shares that make a whole', () => {
    expect(() => symptomOf([])).toThrow(/devices/);
    expect(() => symptomOf([{ ok: 0.5, crc: 0, silent: 0 }])).toThrow(/ok \+ crc \+ silent/);
    expect(() => symptomOf([{ ok: 1.2, crc: -0.2, silent: 0 }])).toThrow(/ok must/);
  });
  it('are told apart by halves in ⌈log₂(n + 1)⌉ plugs', () => {
    expect([10, 31, 1].map(halfSplits)).toEqual([4, 5, 1]);
  });
});

describe('what a scan found is put right by writing', () => {
  const plan = [1, 2, 3].map((address) => ({ address, serial: `S${address}`, label: `INV-0${address}` }));
  const found = (...serials: (readonly [address: number, ...serials: string[]])[]) =>
    mendingWrites(
      planAgainstFound(
        plan,
        serials.map(([address, ...s]) => ({ address, serials: s, quality: 1 })),
      ),
    ).map((w) => `${w.serial}${w.from}>${w.to}`);
  it('two that changed places in three writes, one parked', () => {
    expect(found([1, 'S2'], [2, 'S1'], [3, 'S3'])).toEqual(['S21>247', 'S12>1', 'S2247>2']);
  });
  it('three in a circle in four, and one that is merely elsewhere in one', () => {
    expect(found([1, 'S2'], [2, 'S3'], [3, 'S1'])).toHaveLength(4);
    expect(found([1, 'S1'], [2, 'S2'], [9, 'S3'])).toEqual(['S39>3']);
  });
  it('taken up again where one was left parked', () =>
    expect(found([1, 'S1'], [247, 'S2'], [3, 'S3'])).toEqual(['S2247>2']));
  it('not at all where all is right, or writing alone cannot do it', () => {
    expect(found([1, 'S1'], [2, 'S2'], [3, 'S3'])).toEqual([]);
    // A stranger, two at once, or one whose serial does not come stand where somebody has to go.
    expect(found([1, 'S2'], [2, 'X'])).toEqual([]);
    expect(found([1, 'S2'], [2, 'S1', 'S3'])).toEqual([]);
    expect(found([1, 'S2'], [2])).toEqual([]);
    expect(found([1, 'S2'], [3, 'S2'])).toEqual([]);
    // The spare is taken by a stranger, and two would have to change places over it.
    expect(found([1, 'S2'], [2, 'S1'], [3, 'S3'], [247, 'X'])).toEqual([]);
    expect(found([1, 'S1'], [9, 'S2'], [247, 'X'])).toEqual(['S29>2']);
  });
});
