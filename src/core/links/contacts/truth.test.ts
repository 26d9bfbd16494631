import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { generatorRows, rippleRows, stopRows } from './truth';

type Row = Readonly<Record<'function' | 'inputs' | 'contact_seen' | 'result' | 'judgement', string>>;
/** Truth tables written down beforehand by another program. */
const ROWS = Papa.parse<Row>(readFileSync(new URL('./contactCases.csv', import.meta.url), 'utf8').trim(), {
  header: true,
}).data;
const of = (name: string) => ROWS.filter((r) => r.function === name);

describe('dry contacts', () => {
  it('stop, or do not, as their wires have it', () => {
    const mine = [...stopRows('NC'), ...stopRows('NO')].map((r) => [
      `contact=${r.contact}; wire=${r.wire}; button=${r.button}`,
      r.seen,
      r.unit,
      r.judged,
    ]);
    expect(mine).toEqual(of('e_stop').map((r) => [r.inputs, r.contact_seen, r.result, r.judgement]));
  });
  it('a broken wire of a normally closed stop stops; a shorted one is found by pressing alone', () => {
    const nc = stopRows('NC');
    expect(nc.filter((r) => r.wire === 'broken').every((r) => r.unit === 'stop')).toBe(true);
    expect(nc.filter((r) => r.judged.startsWith('DANGEROUS'))).toEqual([
      expect.objectContaining({ wire: 'shorted', button: 'pressed' }),
    ]);
  });
  it('of a ripple control let the lowest win', () =>
    expect(rippleRows().map((r) => [`K1K2K3K4=${r.relays}`, `${r.percent} %`, r.says])).toEqual(
      of('ripple').map((r) => [r.inputs, r.result, r.judgement]),
    ));
  it('start a generator, hold it, and let it go', () =>
    expect(
      generatorRows().map((r) => [`grid=${r.grid}; soc=${r.charge}; mode=${r.mode}; before=${r.before}`, r.contact]),
    ).toEqual(of('generator_start').map((r) => [r.inputs, r.result])));
});
