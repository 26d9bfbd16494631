import { describe, expect, it } from 'vitest';
import { sunOnWall } from './awning';
import { SUN_HOURS, sunByHour } from './sunByHour';

const wall = (wallAzimuthDeg: number, latitudeDeg = 40) => ({
  latitudeDeg,
  wallAzimuthDeg,
  dropM: 1.4,
  projectionM: 0.37,
});
const at = (h: number) => SUN_HOURS.indexOf(h);

describe('sun on a unit by month and hour', () => {
  it('is kept off at noon of midsummer by 0.786 m over a south wall, and not by less (worked figure, 40° north)', () => {
    const june = (awningM: number) => sunByHour(wall(180), awningM)[5];
    expect(june(0.7861)?.hours[at(12)]).toBe('shaded');
    expect(june(0.785)?.hours[at(12)]).toBe('on the unit');
    // The south wall sees no sun of midsummer before 8 h nor after 16 h.
    expect(june(0)?.hours[at(6)]).toBe('none');
    expect(june(0)?.hours[at(18)]).toBe('none');
  });
  it('asks for more in winter, when the sun is low', () => {
    const months = sunByHour(wall(180), 1);
    expect(months[11]?.depthM ?? 0).toBeGreaterThan(months[5]?.depthM ?? Infinity);
  });
  it('falls on a north wall in summer evenings alone', () => {
    const months = sunByHour(wall(0), 0);
    expect(months[11]).toMatchObject({ depthM: null });
    expect(months[11]?.hours.every((s) => s === 'none')).toBe(true);
    expect(months[5]?.hours[at(19)]).toBe('on the unit');
    expect(months[5]?.hours[at(12)]).toBe('none');
  });
  it('mirrors east and west about noon, and the months about the equator', () => {
    const west = sunByHour(wall(270), 0);
    sunByHour(wall(90), 0).forEach((m, i) => expect(m.hours).toEqual(west[i]?.hours.toReversed()));
    // Half a year apart declination differs by its sign, to half a degree.
    const south = sunByHour(wall(0, -40), 0);
    expect(south[11]?.hours).toEqual(sunByHour(wall(180), 0)[5]?.hours);
  });
  it('says of every hour what the sun of that hour says', () => {
    const u = wall(225);
    sunByHour(u, 1.2).forEach((m) =>
      m.hours.forEach((said, i) => {
        const day = [21, 52, 80, 111, 141, 172, 202, 233, 264, 294, 325, 355][m.month] ?? 0;
        const s = sunOnWall({ ...u, dayOfYear: day }, SUN_HOURS[i] ?? 0);
        expect(said).toBe(!s.lit ? 'none' : s.depthM <= 1.2 ? 'shaded' : 'on the unit');
      }),
    );
  });
});
