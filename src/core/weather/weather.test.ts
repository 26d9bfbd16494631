import { describe, expect, it } from 'vitest';
import { haurwitzWm2 } from '../sun/irradiance';
import { sunPosition } from '../sun/position';
import { filled } from './weatherYear';
import { weatherFromRows } from './weatherCsv';

const HEADER = ['time', 'ghi', 'temp_air'];
const stampAt = (i: number) => new Date(Date.UTC(2025, 0, 1) + i * 3_600_000).toISOString().slice(0, 16);
/** A year of hours at +01:00 whose light is the clear sky at the middle of each hour, 48° N 11° E. */
const skyWm2 = (startMs: number) => haurwitzWm2(sunPosition(startMs + 1_800_000, 48, 11).zenithDeg);
const YEAR = Array.from({ length: 8760 }, (_, i) => {
  const startMs = Date.UTC(2025, 0, 1) + (i - 1) * 3_600_000;
  return [`${stampAt(i)}+01:00`, skyWm2(startMs).toFixed(1), '8.5'];
});
const read = (rows: string[][], header = HEADER, stamp: 'starts' | 'ends' = 'starts') =>
  weatherFromRows(header, rows, stamp, 'test');

describe('a weather file as CSV', () => {
  it('gives hours at their middle, in UTC, whatever the stamps mean', () => {
    expect(read(YEAR).year!.hours[0]!.midMs).toBe(Date.UTC(2024, 11, 31, 23, 30));
    expect(read(YEAR, HEADER, 'ends').year!.hours[0]!.midMs).toBe(Date.UTC(2024, 11, 31, 22, 30));
    expect(read(YEAR).year).toMatchObject({ utcOffsetH: 1, coldestC: 8.5, label: 'test' });
  });
  it('says that direct and diffuse light are not measured, and takes them where they are', () => {
    expect(read(YEAR).year!.notes.join()).toContain('split from global light');
    expect(read(YEAR).year!.hours[4000]!.beamWm2).toBeNull();
    const measured = YEAR.map((r) => [...r, '100', '50']);
    const year = read(measured, [...HEADER, 'dni', 'dhi']).year!;
    expect(year.notes).toEqual([]);
    expect(year.hours[0]).toMatchObject({ beamWm2: 100, diffuseWm2: 50 });
  });
  it('takes decimal commas and columns in any order', () => {
    const turned = YEAR.map(([t = '', g = '', c = '']) => [c.replace('.', ','), t, g.replace('.', ',')]);
    expect(read(turned, ['TEMP_AIR', ' Time ', 'GHI']).year!.hours[4000]).toEqual(read(YEAR).year!.hours[4000]);
  });
  it.each([
    [['ghi', 'temp_air'], 'the header has no column time.'],
    [['time', 'wind'], 'the header has no column ghi, temp_air.'],
  ])('names the columns that are not there: %j', (header, text) => {
    expect(read(YEAR, header).errors).toEqual([{ line: 1, text }]);
  });
  it.each([
    ['2025-01-01 12:00', /no ISO 8601 time with its offset/],
    ['noon', /no ISO 8601 time/],
  ])('refuses the time %s with its line', (time, text) => {
    const [error] = read(YEAR.with(5, [time, '0', '1'])).errors;
    expect(error!.line).toBe(7);
    expect(error!.text).toMatch(text);
  });
  it('refuses light no sun gives, a repeated hour, a missing hour, a short year and another step', () => {
    expect(read(YEAR.with(9, [YEAR[9]![0]!, '1700', '1'])).errors[0]).toEqual({
      line: 11,
      text: 'ghi must be 0 to 1600 (got 1700).',
    });
    expect(read(YEAR.with(9, YEAR[8]!)).errors[0]!.text).toContain('repeated or out of order');
    const later = [...YEAR.slice(0, 20), ...YEAR.slice(21), [`${stampAt(8760)}+01:00`, '0', '1']];
    expect(read(later).errors[0]).toEqual({ line: 22, text: 'hours are missing before this line.' });
    expect(read(YEAR.slice(0, 100)).errors[0]!.text).toContain('covers 100 hours');
    const two = Array.from({ length: 2 * 8760 }, (_, i) => [`${stampAt(i)}+01:00`, '0', '1']);
    expect(read(two).errors).toEqual([
      { line: 8786, text: 'the file covers 17520 hours, more than a year: give one year.' },
    ]);
    const half = Array.from({ length: 17_520 }, (_, i) => [
      `${new Date(Date.UTC(2025, 0, 1) + i * 1_800_000).toISOString().slice(0, 16)}Z`,
      '0',
      '1',
    ]);
    expect(read(half).errors[0]!.text).toContain('step is 30 minutes');
  });
  it('stops after twenty errors', () => {
    expect(read(YEAR.map(([t = '']) => [t, 'x', '1'])).errors).toHaveLength(20);
  });
  it('bridges six hours and refuses seven', () => {
    const gap = (n: number) => YEAR.map((r, i) => (i >= 3000 && i < 3000 + n ? [r[0]!, '', r[2]!] : r));
    expect(read(gap(6)).year!.notes[0]).toContain('6 hours had missing values');
    expect(read(gap(7)).errors[0]).toEqual({ line: 3002, text: 'more than six hours of ghi are missing.' });
  });
});

describe('gaps', () => {
  it('are bridged in a straight line', () => {
    expect(filled([1, null, null, 4]).values).toEqual([1, 2, 3, 4]);
    expect(filled([null, 5, null]).values).toEqual([5, 5, 5]);
  });
  it('are counted, and the first that is too long is named', () => {
    expect(filled([1, null, 2, null, null, 3])).toMatchObject({ count: 3, longest: 2, tooLongAt: null });
    expect(filled([1, ...Array<null>(7).fill(null), 2]).tooLongAt).toBe(1);
    expect(filled([null, null]).tooLongAt).toBe(0);
  });
});
