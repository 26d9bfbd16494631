import { describe, expect, it } from 'vitest';
import { haurwitzWm2 } from '../sun/irradiance';
import { sunPosition } from '../sun/position';
import { readEpw } from './epw';
import { distanceKm, lightAfterSunH, meantFor, weatherFlaws } from './weatherSense';
import type { Place } from './weatherSense';
import type { WeatherHour, WeatherYear } from './weatherYear';

/** Years of clear sky, 30 % of it diffuse, at places of both hemispheres; and what people get wrong about such files. */

const NORTH = { latitudeDeg: 48, longitudeDeg: 11 };
const SOUTH = { latitudeDeg: -34, longitudeDeg: 151 };
const START = Date.UTC(2025, 0, 1);
const round = (x: number) => Math.round(10 * x) / 10;
function yearAt(place: Place, hours = 8760, startMs = START): WeatherYear {
  return {
    label: 'clear',
    latitudeDeg: null,
    longitudeDeg: null,
    utcOffsetH: 0,
    coldestC: 8,
    notes: [],
    hours: Array.from({ length: hours }, (_, i): WeatherHour => {
      const midMs = startMs + (i + 0.5) * 3_600_000;
      const { zenithDeg } = sunPosition(midMs, place.latitudeDeg, place.longitudeDeg);
      const globalWm2 = round(haurwitzWm2(zenithDeg));
      const up = Math.max(Math.cos((zenithDeg * Math.PI) / 180), 0.05);
      const diffuseWm2 = round(0.3 * globalWm2);
      return { midMs, globalWm2, diffuseWm2, beamWm2: round((globalWm2 - diffuseWm2) / up), ambientC: 8 };
    }),
  };
}
const north = yearAt(NORTH);
const south = yearAt(SOUTH);
const each = (year: WeatherYear, change: (h: WeatherHour) => Partial<WeatherHour>): WeatherYear => ({
  ...year,
  hours: year.hours.map((h) => ({ ...h, ...change(h) })),
});
const shifted = (year: WeatherYear, hours: number) => each(year, (h) => ({ midMs: h.midMs + hours * 3_600_000 }));
const texts = (year: WeatherYear, place: Place) => weatherFlaws(year, place).map((f) => f.text);

describe('the light of a year', () => {
  it.each([
    ['north', north, NORTH],
    ['south', south, SOUTH],
    ['on the equator', yearAt({ latitudeDeg: 0, longitudeDeg: 20 }), { latitudeDeg: 0, longitudeDeg: 20 }],
  ])('lies about solar noon, %s, and a shift of its stamps is read off it', (_, year, place) => {
    expect(lightAfterSunH(year.hours, place)).toBeCloseTo(0, 1);
    for (const h of [-1, -0.5, 0.5, 1]) {
      const found = lightAfterSunH(shifted(year, h).hours, place) ?? NaN;
      // Hours whose shifted stamp falls into the night are left out: a tenth is their doing.
      expect(Math.abs(found - h)).toBeLessThan(0.1);
    }
  });
  it('is taken as it is where nothing is wrong', () => {
    expect(texts(north, NORTH)).toEqual([]);
    expect(texts(south, SOUTH)).toEqual([]);
    expect(
      texts(
        each(north, () => ({ beamWm2: null, diffuseWm2: null })),
        NORTH,
      ),
    ).toEqual([]);
    expect(lightAfterSunH(each(north, () => ({ globalWm2: 0 })).hours, NORTH)).toBeNull();
  });
  it('half an hour late or early is wrong, a quarter is not, on both hemispheres', () => {
    for (const [year, place] of [
      [north, NORTH],
      [south, SOUTH],
    ] as const) {
      expect(texts(shifted(year, 0.5), place)[0]).toMatch(/0\.5 h later than the sun/);
      expect(texts(shifted(year, -0.5), place)[0]).toMatch(/0\.5 h earlier than the sun/);
      expect(texts(shifted(year, 0.25), place)).toEqual([]);
    }
  });
  it('at night is no light of the sun', () => {
    const [flaw] = weatherFlaws(shifted(north, 9), NORTH);
    expect(flaw?.text).toMatch(/W\/m² at night/);
    const { midMs } = north.hours[flaw?.at ?? -1] as WeatherHour;
    expect(sunPosition(midMs + 9 * 3_600_000, 48, 11).zenithDeg).toBeGreaterThan(100);
    // A meter with an offset of 2 W/m² is no year of night light.
    expect(
      texts(
        each(north, (h) => ({ globalWm2: h.globalWm2 + 2 })),
        NORTH,
      ),
    ).toEqual([]);
  });
  it('in kW is refused for what it is', () => {
    expect(
      texts(
        each(north, (h) => ({ globalWm2: h.globalWm2 / 1000 })),
        NORTH,
      ),
    ).toEqual([expect.stringMatching(/give W\/m², not kW\/m²/)]);
  });
  it('with beam and diffuse in each other’s columns is refused, and so are parts that do not fit', () => {
    expect(
      texts(
        each(north, (h) => ({ beamWm2: h.diffuseWm2, diffuseWm2: h.beamWm2 })),
        NORTH,
      ),
    ).toEqual([expect.stringMatching(/in each other’s columns/)]);
    expect(
      texts(
        each(north, (h) => ({ beamWm2: 0.5 * (h.beamWm2 ?? 0) })),
        NORTH,
      ),
    ).toEqual([expect.stringMatching(/not what beam and diffuse make together/)]);
    expect(
      texts(
        each(north, (h) => ({ beamWm2: 0.9 * (h.beamWm2 ?? 0) })),
        NORTH,
      ),
    ).toEqual([]);
  });
  it('of the other half of the world is refused', () => {
    const mirrored = yearAt({ latitudeDeg: -48, longitudeDeg: 11 });
    expect(texts(mirrored, NORTH)).toContain('its winter is brighter than its summer: it is of the other hemisphere.');
    expect(texts(north, { latitudeDeg: -48, longitudeDeg: 11 }).join()).toContain('other hemisphere');
  });
  it('with hours left out is refused at the hour after them; a 29 February may be', () => {
    const without = (year: WeatherYear, from: number, count: number): WeatherYear => ({
      ...year,
      hours: [...year.hours.slice(0, from), ...year.hours.slice(from + count)],
    });
    expect(weatherFlaws(without(north, 4000, 24), NORTH)).toEqual([
      { at: 4000, text: 'hours are missing before this one.' },
    ]);
    const leap = yearAt(NORTH, 8784, Date.UTC(2024, 0, 1));
    expect(texts(without(leap, 59 * 24, 24), NORTH)).toEqual([]);
    expect(texts(without(leap, 70 * 24, 24), NORTH)).toHaveLength(1);
  });
});

describe('the place of a file', () => {
  const of = (place: Place): WeatherYear => ({ ...yearAt(place), ...place });
  const answer = (year: WeatherYear) => ({ year, errors: [] as const, lines: year.hours.map((_, i) => i + 9) });
  it('may be another, and is named where it is far', () => {
    expect(meantFor(answer(of(NORTH)), NORTH).year?.notes).toEqual([]);
    const near = { latitudeDeg: 49.9, longitudeDeg: 11 };
    expect(distanceKm(near, NORTH)).toBeCloseTo(211, 0);
    expect(meantFor(answer(of(near)), NORTH).year?.notes).toEqual(['The weather is of a place 211 km from the site.']);
  });
  it('in another climate is refused, and flaws come with the line of their hour', () => {
    expect(meantFor(answer(of(SOUTH)), NORTH).errors[0]).toEqual({
      line: 1,
      text: expect.stringMatching(/the file is of -34°, 151°, \d+ km from the site/),
    });
    const kw = each(north, (h) => ({ globalWm2: h.globalWm2 / 1000 }));
    const line = (meantFor(answer(kw), NORTH).errors[0]?.line ?? 0) - 9;
    expect(kw.hours[line]?.globalWm2).toBe(Math.max(...kw.hours.map((h) => h.globalWm2)));
  });
  it('lies as far off as the great circle says: a degree of a meridian is 111.2 km', () => {
    expect(distanceKm({ latitudeDeg: 0, longitudeDeg: 0 }, { latitudeDeg: 1, longitudeDeg: 0 })).toBeCloseTo(111.2, 1);
    expect(distanceKm({ latitudeDeg: 0, longitudeDeg: 0 }, { latitudeDeg: 0, longitudeDeg: 180 })).toBeCloseTo(
      20_015,
      0,
    );
  });
});

describe('an EPW file', () => {
  const line = (i: number, over: Readonly<Record<number, string>> = {}) => {
    const when = new Date(START + i * 3_600_000);
    const fields = Array.from({ length: 35 }, () => '0');
    [fields[0], fields[1], fields[2]] = [when.getUTCFullYear(), when.getUTCMonth() + 1, when.getUTCDate()].map(
      String,
    ) as [string, string, string];
    fields[3] = String(when.getUTCHours() + 1);
    fields[6] = '8.0';
    for (const [at, text] of Object.entries(over)) fields[Number(at) - 1] = text;
    return fields.join(',');
  };
  const file = (lines: readonly string[]) =>
    ['LOCATION,Nowhere,-,-,test,0,48.0,11.0,1.0,500', ...Array.from({ length: 7 }, () => '-'), ...lines].join('\n');
  const year = Array.from({ length: 8760 }, (_, i) => line(i));
  it('has its blanks bridged and not taken for zero', () => {
    expect(readEpw(file(year), 'x').year?.hours[5]?.ambientC).toBe(8);
    const blank = readEpw(file(year.with(5, line(5, { 7: '' }))), 'x').year;
    expect(blank?.hours[5]?.ambientC).toBe(8);
    expect(blank?.notes[0]).toContain('1 hours had missing values');
  });
  it('names the line of what is no number, out of range, missing or too much', () => {
    const errors = (lines: readonly string[]) => readEpw(file(lines), 'x').errors;
    expect(errors(year.with(5, line(5, { 7: 'cold' })))).toEqual([
      { line: 14, text: 'dry-bulb temperature is no number (got cold).' },
    ]);
    expect(errors(year.with(5, line(5, { 14: '-3' })))).toEqual([
      { line: 14, text: 'global light must be 0 to 1600 (got -3).' },
    ]);
    expect(errors([...year.slice(0, 240), ...year.slice(264)])).toEqual([
      { line: 249, text: 'hours are missing before this line.' },
    ]);
    // Months of a typical year come from different years: a second year is the first again.
    const second = errors([...year, ...Array.from({ length: 8760 }, (_, i) => line(8760 + i))]);
    expect(second).toEqual([{ line: 8769, text: 'time 1-1-1 is repeated or out of order.' }]);
    expect(errors(year.slice(0, 100))[0]?.text).toBe('the file covers 100 hours; a year has 8760.');
  });
});
