import { describe, expect, it } from 'vitest';
import { plane, siteOf, T100 } from '../../testing/examples';
import type { SiteDesign } from '../../design';
import { BLANK_DC_CABLE } from '../part';
import { newString } from '../../site/parts';
import { withStrings } from '../arrange';
import { readEpw } from '../../weather/epw';
import { moduleModel, parametersAt } from '../curve/diode';
import { sharedMaximum } from '../curve/parallel';
import { evenString, mismatch } from '../curve/tracker';
import { M575 } from '../../testing/examples';
import { ratioWords } from './yearResult';
import { yearTrackers } from './trackers';
import { trackerHour } from './unitHour';
import { yearFlaws } from './yearFlaws';
import type { LeftInHeat } from './leftInHeat';
import { yearOfEnergy } from './yearOfEnergy';

const CLEARNESS = [0.5, 0.55, 0.6, 0.62, 0.62, 0.62, 0.66, 0.66, 0.62, 0.55, 0.48, 0.45];
const MEAN_C = [0, 1, 5, 9, 14, 17, 19, 18.5, 14.5, 9.5, 4, 1];
const EVER_CLEAR = Array.from({ length: 12 }, () => 1);

/** Strings of one module each on trackers that have room: the sums of the year know no string lengths. */
function siteWith(planes: Parameters<typeof plane>[2][], kwp: number, ratedW: number, clearness: number[]): SiteDesign {
  const each = Math.round((1000 * kwp) / M575.pmaxW / planes.length / 20);
  let d = siteOf(
    1,
    planes.map((over, i) => plane(`p${i}`, 20 * each, over)),
    { ...T100, ratedW, trackers: 20, dcMaxW: null },
  );
  d = withStrings(
    d,
    planes.flatMap((_, i) =>
      Array.from({ length: each }, (_x, k) =>
        newString(`s${i}-${k}`, i * 100 + k + 1, `p${i}`, 20, {
          inverterId: 'inv-1',
          tracker: i * each + k + 1,
          input: 1,
          branch: 1,
        }),
      ),
    ),
  );
  return {
    ...d,
    dcCable: BLANK_DC_CABLE,
    survey: { ...d.survey, latitudeDeg: 48, longitudeDeg: 11 },
    energy: { ...d.energy, utcOffsetH: 1, clearness, monthlyMeanC: MEAN_C, dailyRangeK: 8, lossPercent: 3 },
  };
}
const yearOf = (d: SiteDesign) => yearOfEnergy(d, { year: 2025, weather: null }).value!;
const close = (x: number, want: number, relative = 1e-6) =>
  expect(Math.abs(x / want - 1), `${x} against ${want}`).toBeLessThan(relative);

describe('a year at 48° N 11° E, 2025 (formulas of the sources named in the code)', () => {
  it('of clear sky: 1846.250 kWh/m² level, 2314.904 on a south roof of 30°, 123107.5 kWh from 57.5 kWp', () => {
    const y = yearOf(siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR));
    close(y.globalKwhM2, 1846.25);
    close(y.planes[0]!.kwhM2, 2314.904);
    close(y.dcKwh, 123107.5);
  });
  it('of east and west roofs of 10° with monthly clearness: 114618.2 of 116666.4 kWh pass 80 kW, 291.07 h clipped', () => {
    const y = yearOf(
      siteWith(
        [
          { tiltDeg: 10, azimuthDeg: 90 },
          { tiltDeg: 10, azimuthDeg: 270 },
        ],
        115,
        80_000,
        CLEARNESS,
      ),
    );
    close(y.globalKwhM2, 1124.15);
    close(y.planes[0]!.kwhM2, 1112.328);
    close(y.planes[1]!.kwhM2, 1111.974);
    close(y.dcKwh, 59576.71 + 59470.6);
    close(y.acKwh, 114618.2);
    close(y.clippedPercent, 1.75558, 1e-5);
    close(y.units[0]!.clippedHours, 291.07, 1e-4);
  });
  it.each([
    [115_000, 0],
    [100_000, 0.32843],
    [80_000, 6.50726],
    [115_000 / 1.5, 8.12964],
  ])('115 kWp south on %d W clips %d %%', (ratedW, percent) => {
    const y = yearOf(siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 115, ratedW, CLEARNESS));
    expect(y.clippedPercent).toBeCloseTo(percent, 4);
  });
  describe('month by month (another implementation of the same formulas)', () => {
    const clear = yearOf(siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR));
    const eastWest = yearOf(
      siteWith(
        [
          { tiltDeg: 10, azimuthDeg: 90 },
          { tiltDeg: 10, azimuthDeg: 270 },
        ],
        115,
        1e6,
        CLEARNESS,
      ),
    );
    it.each([
      [1, 6271.987, 3090.743],
      [2, 7807.28, 5008.352],
      [3, 11078.533, 9462.683],
      [4, 12371.498, 13073.566],
      [5, 13480.497, 16254.998],
      [6, 13194.325, 16862.45],
      [7, 13427.104, 17693.527],
      [8, 12779.198, 15093.643],
      [9, 11157.404, 10489.48],
      [10, 9378.854, 6426.252],
      [11, 6686.727, 3296.008],
      [12, 5474.133, 2295.608],
    ])('month %d gives %d kWh from a clear south roof and %d kWh from east and west', (month, south, both) => {
      close(clear.monthlyKwh[month - 1]! / 0.98, south, 1e-6);
      close(eastWest.monthlyKwh[month - 1]! / 0.98, both, 1e-6);
    });
    it('adds up to the year, and the heat map to its months', () => {
      close(
        clear.monthlyKwh.reduce((a, b) => a + b, 0),
        clear.acKwh,
        1e-9,
      );
      const june = clear.heatMapKw[5]!.reduce((a, b) => a + b, 0) * 30;
      close(june, clear.monthlyKwh[5]!, 1e-9);
      close(
        clear.trackers.reduce((s, t) => s + t.dcKwh, 0),
        clear.dcKwh,
        1e-9,
      );
    });
    it('takes the cable off where its section and the ways are known', () => {
      const d = siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR);
      const wired = yearOf({
        ...d,
        dcCable: { ...d.dcCable, sectionMm2: 6 },
        strings: d.strings.map((s) => ({ ...s, lengthM: 55, lengthToId: 'inv-1' })),
      });
      // Loss at full light is 0.75 %·18/20 of the power; over a year the factor on it is Σ G²/(1000·Σ G), 0.6 to 0.8.
      const percent = (100 * wired.cableKwh) / (wired.dcKwh + wired.cableKwh);
      expect(percent).toBeGreaterThan(0.35);
      expect(percent).toBeLessThan(0.65);
      close(wired.dcKwh + wired.cableKwh, clear.dcKwh, 1e-6);
    });
    it('takes off what heat leaves over of the rating, apart from what is clipped', () => {
      const d = siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 40_000, EVER_CLEAR);
      const answer = (leftInHeat: LeftInHeat) => yearOfEnergy(d, { year: 2025, weather: null, leftInHeat }).value!;
      const cool = yearOf(d);
      const [clipped] = cool.units.map((u) => u.clippedKwh);
      // Nothing left at any time: all of it is heat's, and none of the clipped.
      const none = answer(() => () => 0);
      close(none.heatKwh, cool.acKwh, 1e-9);
      close(none.units[0]!.clippedKwh, clipped!, 1e-9);
      expect(none.acKwh).toBe(0);
      // A half: the energy of a unit of half the size.
      const half = answer(() => () => 0.5);
      const small = yearOf(siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 20_000, EVER_CLEAR));
      close(half.acKwh, small.acKwh, 1e-9);
      close(half.acKwh + half.heatKwh, cool.acKwh, 1e-9);
      // Asked by the air outside: cold air takes nothing.
      const warm = answer(() => (ambientC) => (ambientC > 15 ? 0 : 1));
      expect(warm.heatKwh).toBeGreaterThan(0);
      expect(warm.heatKwh).toBeLessThan(none.heatKwh);
      expect(cool.heatKwh).toBe(0);
      const said = (leftInHeat: LeftInHeat) => answer(leftInHeat).assumptions.join(' ');
      expect(said(() => null)).toContain('Nothing is taken off for heat and altitude: the air');
      expect(said(() => () => 1)).toContain('Heat and altitude: by the usual curves');
    });
    it('counts the hours in which a short string waits below its start-up voltage', () => {
      const d = siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR);
      const short = { ...d, strings: d.strings.map((s) => ({ ...s, modules: 5 })) };
      expect(yearOf(short).units[0]!.waitingHours).toBeGreaterThan(100);
      expect(clear.units[0]!.waitingHours).toBe(0);
    });
  });
  it('names what is missing, and says that it rests on a default', () => {
    const d = siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR);
    expect(
      yearOfEnergy({ ...d, energy: { ...d.energy, monthlyMeanC: null } }, { year: 2025, weather: null }).missing,
    ).toEqual(['monthly mean temperatures, or a weather file']);
    const bare = yearOf({ ...d, energy: { ...d.energy, clearness: null } });
    expect(bare.assumptions.join(' ')).toContain('Clearness 0.6 every month: nobody entered any');
  });
  it('loses nothing to mixing like strings, and something to mixing unlike ones', () => {
    const d = siteWith(
      [
        { tiltDeg: 10, azimuthDeg: 90 },
        { tiltDeg: 10, azimuthDeg: 270 },
      ],
      46,
      80_000,
      CLEARNESS,
    );
    expect(yearOf(d).mismatchKwh).toBe(0);
    const mixed = withStrings(
      d,
      d.strings.map((s) => ({
        ...s,
        place: s.place && { ...s.place, tracker: ((s.number % 100) + 1) as number, input: s.planeId === 'p0' ? 1 : 2 },
      })),
    );
    const y = yearOf(mixed);
    const lossPercent = (100 * y.mismatchKwh) / (y.dcKwh + y.mismatchKwh);
    expect(lossPercent).toBeGreaterThan(0.02);
    expect(lossPercent).toBeLessThan(0.5);
    close(y.dcKwh + y.mismatchKwh, yearOf(d).dcKwh, 1e-9);
  });
});

it('the quick maximum of even strings is the one the grid finds, to 1e-6', () => {
  const model = moduleModel(M575)!;
  const window = { minV: 200, maxV: 1000 };
  for (const [g1, c1, n1, g2, c2, n2] of [
    [820, 48, 18, 430, 37, 18],
    [1000, 55, 18, 1000, 55, 15],
    [120, 20, 17, 900, 50, 17],
    [1000, 60, 5, 1000, 60, 5],
  ] as const) {
    const [a, b] = [parametersAt(model, g1, c1), parametersAt(model, g2, c2)];
    const slow = mismatch([evenString(a, n1, 3), evenString(b, n2, 3)], window);
    const quick = [
      { parameters: a, modules: n1 },
      { parameters: b, modules: n2 },
    ];
    const shared = sharedMaximum(quick, window);
    close(shared.parallelW, slow.parallel.powerW);
    close(shared.separateW, slow.separateW);
  }
});

describe('EPW files (fields as in the EnergyPlus auxiliary programs manual)', () => {
  const header = [
    'LOCATION,Tarnholm,-,-,invented,0,57.3,10.2,1.0,24',
    ...Array.from({ length: 7 }, (_, i) => `HEADER ${i}`),
  ];
  const line = (m: number, d: number, h: number, temp = 10, ghi = 100) =>
    [2025, m, d, h, 0, '?', temp, 5, 50, 101300, 0, 0, 0, ghi, 50, 60, 0, 0, 0, 0, 0, 3].join(',');
  const days = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  const year = days.flatMap((n, m) =>
    Array.from({ length: n * 24 }, (_, i) => line(m + 1, 1 + Math.floor(i / 24), 1 + (i % 24))),
  );
  const read = (lines: string[]) => readEpw([...header, ...lines].join('\n'), 'test');
  it('give 8760 hours, the first at half past midnight standard time', () => {
    const y = read(year).year!;
    expect(y.hours).toHaveLength(8760);
    expect(y.hours[0]!.midMs).toBe(Date.UTC(2024, 11, 31, 23, 30));
    expect([y.latitudeDeg, y.utcOffsetH]).toEqual([57.3, 1]);
  });
  it('say the line of a short or repeated one', () => {
    expect(read(year.with(10, '2025,1,1')).errors).toEqual([{ line: 19, text: '3 fields, EPW needs at least 22.' }]);
    expect(read(year.with(11, year[10]!)).errors[0]).toEqual({
      line: 20,
      text: 'time 1-1-11 is repeated or out of order.',
    });
  });
  it('bridge short gaps, say so, and refuse long ones', () => {
    const gap = (n: number) => year.map((l, i) => (i >= 100 && i < 100 + n ? l.replace(',10,5,', ',99.9,5,') : l));
    expect(read(gap(6)).year!.notes[0]).toContain('6 hours had missing values');
    expect(read(gap(7)).errors[0]!.text).toContain('more than six hours of dry-bulb temperature');
  });
});

describe('what a year says is lost', () => {
  it('clipping is said whatever the ratio: above 150 % it is said beside it', () => {
    const unit = (dcW: number, clippedPercent: number) => ratioWords({ dcW, ratedW: 100_000, clippedPercent });
    expect([unit(120_000, 3), unit(120_000, 3.1)]).toEqual(['', 'clips more than 3 % (SY04)']);
    expect(unit(160_000, 8)).toBe('above the usual 150 % (SY03); clips more than 3 % (SY04)');
    expect([unit(160_000, 1), unit(80_000, 0)]).toEqual(['above the usual 150 % (SY03)', 'larger than needed (SY02)']);
  });
  it('current above what a tracker takes is a loss, at most in the ratio of the currents', () => {
    const part = { plane: 0, modules: 18, strings: 2, ohm: 0 };
    const tracker = { unit: 0, tracker: 1, parts: [part], mixed: false, mixKey: '' };
    const lit = [{ totalWm2: 1000, effectiveWm2: 1000, cellC: 50, moduleW: 500, currentA: 14, openV: 48 }];
    const hour = (limitA: number) => trackerHour(tracker, lit, 1, limitA, () => 1);
    expect(hour(28)).toMatchObject({ powerW: 18_000, limitedW: 0 });
    expect(hour(21)).toMatchObject({ powerW: expect.closeTo(13_500, 6), limitedW: expect.closeTo(4500, 6) });
  });
  it('a year on trackers that take too little says how much at most, and holds less than one on trackers that take all', () => {
    const d = siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR);
    const type = d.equipment.inverters[0]!;
    const weak = { ...d, equipment: { ...d.equipment, inverters: [{ ...type, trackerOperatingMaxA: 10 }] } };
    const [all, less] = [yearOf(d), yearOf(weak)];
    expect(all.limitedKwh).toBe(0);
    expect(less.limitedKwh).toBeGreaterThan(0);
    expect(less.dcKwh + less.limitedKwh).toBeCloseTo(all.dcKwh, 3);
    expect(less.trackers.reduce((sum, t) => sum + t.limitedKwh, 0)).toBeCloseTo(less.limitedKwh, 6);
  });
  it('a Y counts twice the current on what its strings share, all of it while nobody said where it sits', () => {
    const bare = siteWith([{ tiltDeg: 30, azimuthDeg: 180 }], 57.5, 1e6, EVER_CLEAR);
    const [a, b, ...rest] = bare.strings;
    const y = (yM: number | null) => [a!, { ...b!, place: { ...a!.place!, branch: 2 as const }, yM }, ...rest];
    const ohm = (strings: typeof bare.strings) => {
      const measured = strings.map((s) => ({ ...s, lengthM: 50, lengthToId: 'inv-1' }));
      const d = { ...bare, dcCable: { ...bare.dcCable, sectionMm2: 6 as const }, strings: measured };
      return yearTrackers(d)[0]!.parts[0]!.ohm;
    };
    const own = ohm(bare.strings);
    expect(ohm(y(0))).toBeCloseTo(own, 12);
    expect(ohm(y(20))).toBeCloseTo((own * 70) / 50, 12);
    expect(ohm(y(null))).toBeCloseTo(2 * own, 12);
  });
});

describe('a year that comes in', () => {
  const design = siteWith([{ tiltDeg: 30 }, { tiltDeg: 10, azimuthDeg: 270 }], 100, 80_000, CLEARNESS);
  const { value } = yearOfEnergy(design, { year: 2025, weather: null });
  if (!value) throw new Error('the year has to be there');
  const [unit] = value.units;
  if (!unit) throw new Error('the unit has to be there');
  const pointers = (over: Partial<typeof value>) => yearFlaws({ ...value, ...over }, design).map((f) => f.pointer);
  it('is taken as it was computed, also after it was sent as JSON', () => {
    expect(yearFlaws(value, design)).toEqual([]);
    expect(yearFlaws(JSON.parse(JSON.stringify(value)) as typeof value, design)).toEqual([]);
  });
  it('holds the parts of its design and no others', () => {
    expect(pointers({ units: [{ ...unit, inverterId: 'inv-9' }] })).toEqual(['/units']);
    expect(pointers({ planes: value.planes.slice(1) })).toEqual(['/planes']);
    expect(pointers({ planes: [...value.planes].reverse() })).toEqual(['/planes']);
    expect(pointers({ trackers: value.trackers.map((t, i) => (i === 3 ? { ...t, inverterId: 'inv-9' } : t)) })).toEqual(
      ['/trackers/3/inverterId'],
    );
  });
  it('yields no more than its units can', () => {
    expect(pointers({ units: [{ ...unit, ratedW: 90_000 }] })).toEqual(['/units/0/ratedW']);
    expect(pointers({ units: [{ ...unit, dcKwh: unit.acKwh - 0.1 }], dcKwh: unit.acKwh - 0.1 })).toEqual([
      '/units/0/acKwh',
    ]);
    const most = 80 * 8784;
    const all = (kwh: number) => {
      const monthlyKwh = value.monthlyKwh.map(() => kwh / 12);
      return pointers({ units: [{ ...unit, acKwh: kwh, dcKwh: kwh }], acKwh: kwh, dcKwh: kwh, monthlyKwh });
    };
    expect(all(most)).toEqual([]);
    expect(all(most + 1)).toEqual(['/units/0/acKwh']);
  });
  it('is the sum of its parts', () => {
    for (const sum of ['dcKwh', 'mismatchKwh', 'limitedKwh'] as const)
      expect(pointers({ [sum]: value[sum] + 1 })).toEqual([`/${sum}`]);
    expect(pointers({ acKwh: value.acKwh + 1 })).toEqual(['/acKwh', '/monthlyKwh']);
    expect(pointers({ monthlyKwh: value.monthlyKwh.map((m, i) => (i === 6 ? m + 1 : m)) })).toEqual(['/monthlyKwh']);
  });
});
