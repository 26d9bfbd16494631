import { Equator, Body, Horizon, MakeTime, Observer } from 'astronomy-engine';
import { describe, expect, it } from 'vitest';
import { erbsDiffuseShare, haurwitzWm2, ineichen, lightOnPlane, splitGlobal } from './irradiance';
import { dayOfYear, extraterrestrialWm2, refractionDeg, sunPosition } from './position';

const RAD = Math.PI / 180;

/** Angle between two directions, degrees. */
function apartDeg(a: { zenithDeg: number; azimuthDeg: number }, b: { zenithDeg: number; azimuthDeg: number }): number {
  const unit = (p: typeof a) => [
    Math.sin(p.zenithDeg * RAD) * Math.cos(p.azimuthDeg * RAD),
    Math.sin(p.zenithDeg * RAD) * Math.sin(p.azimuthDeg * RAD),
    Math.cos(p.zenithDeg * RAD),
  ];
  const [u, v] = [unit(a), unit(b)];
  const chord = Math.hypot(...u.map((x, i) => x - (v[i] ?? 0)));
  return (2 * Math.asin(chord / 2)) / RAD;
}

describe('position of the sun', () => {
  it('meets the worked example of NREL/TP-560-34302, 820 mbar and 11 °C, to 0.01° on the sphere', () => {
    const at = sunPosition(Date.UTC(2003, 9, 17, 19, 30, 30), 39.742476, -105.1786, 67);
    const seen = { ...at, zenithDeg: at.zenithDeg - refractionDeg(90 - at.zenithDeg, 820, 11) };
    expect(seen.zenithDeg).toBeCloseTo(50.11256, 5);
    expect(seen.azimuthDeg).toBeCloseTo(194.33468, 5);
    expect(apartDeg(seen, { zenithDeg: 50.11162, azimuthDeg: 194.34024 })).toBeLessThan(0.01);
  });

  it('stays within 0.01° of astronomy-engine at random places and hours of a year', () => {
    let seed = 1;
    const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    let worst = 0;
    for (let i = 0; i < 3000; i++) {
      const utcMs = Date.UTC(2026, 0, 1) + next() * 365 * 86_400_000;
      const [lat, lon] = [-66 + 132 * next(), -180 + 360 * next()];
      const observer = new Observer(lat, lon, 0);
      const time = MakeTime(new Date(utcMs));
      const { ra, dec } = Equator(Body.Sun, time, observer, true, true);
      const there = Horizon(time, observer, ra, dec);
      const zenithDeg = 90 - there.altitude;
      worst = Math.max(worst, apartDeg(sunPosition(utcMs, lat, lon), { zenithDeg, azimuthDeg: there.azimuth }));
    }
    expect(worst).toBeLessThan(0.01);
  });

  it('refuses a latitude that no place has', () =>
    expect(() => sunPosition(0, 91, 0)).toThrow(/latitudeDeg.*-90 to 90/));
});

describe('light at 2025-06-21 10:30 UTC, 48° N 11° E (formulas of Spencer, Haurwitz, Erbs, Hay and Davies, recalled)', () => {
  const utcMs = Date.UTC(2025, 5, 21, 10, 30);
  const sun = sunPosition(utcMs, 48, 11);
  const i0n = extraterrestrialWm2(dayOfYear(utcMs));
  const clear = splitGlobal(haurwitzWm2(sun.zenithDeg), sun.zenithDeg, i0n);
  const south = { tiltDeg: 30, azimuthDeg: 180 };
  const close = (x: number, want: number) => expect(Math.abs(x / want - 1)).toBeLessThan(2e-5);

  it('splits the clear sky', () => {
    close(sun.zenithDeg, 26.34184);
    close(sun.azimuthDeg, 154.61204);
    close(i0n, 1316.69);
    close(clear.globalWm2, 921.2911);
    close(clear.beamWm2, 857.3568);
    close(clear.diffuseWm2, 152.9599);
  });
  it('falls on a south plane of 30°', () => {
    const on = lightOnPlane(clear, sun, south, i0n);
    close(on.incidenceDeg, 12.43627);
    close(on.beamWm2, 837.2399);
    close(on.skyWm2, 158.3181);
    close(on.groundWm2, 12.343);
    close(on.totalWm2, 1007.901);
    close(on.effectiveWm2, 1006.895);
    close(lightOnPlane(clear, sun, south, i0n, 0.2, true).totalWm2, 992.2964);
  });
  it('knows turbid air at 500 m', () => {
    const sky = ineichen(sun.zenithDeg, i0n, 500, 3);
    close(sky.globalWm2, 916.7748);
    close(sky.beamWm2, 912.6607);
    close(sky.diffuseWm2, 98.8824);
  });
  it('a level plane gets what the ground gets, the glass aside', () => {
    close(lightOnPlane(clear, sun, { tiltDeg: 0, azimuthDeg: 90 }, i0n).totalWm2, clear.globalWm2);
  });
});

it('the diffuse share is whole where its pieces meet (Erbs: 0.22 and 0.80)', () => {
  expect(erbsDiffuseShare(0.22)).toBeCloseTo(erbsDiffuseShare(0.2200001), 3);
  expect(erbsDiffuseShare(0.8)).toBeCloseTo(0.165, 2);
});
