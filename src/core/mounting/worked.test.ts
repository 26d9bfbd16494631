import { describe, expect, it } from 'vitest';
import * as cases from '../testing/mountingCases';
import { anchorLoads, DESIGN_FACTORS } from './fixing/anchorLoads';
import { anchorUse } from './fixing/anchorUse';
import { ballast, footLoads, footPressureKpa } from './fixing/ballast';
import { preload } from './fixing/bolts';
import { coneShare } from './fixing/concreteCone';
import { plateOrder, ringOrder } from './fixing/tighteningOrder';
import { extendedSettingNm, toolFit } from './fixing/torqueTool';
import { windForceN } from './fixing/wind';
import { handleShares, stairShares } from './lift/handles';
import { liftLimit } from './lift/liftingEquation';
import { breakingLoadKn, eyeBolts, hoistUse, pointLoad, pulleyBeamKn, slingLegKg, unequalLegsKg } from './lift/rigging';
import { crewFloor, teamLift } from './lift/team';
import { fitVerdict, playMm, rigidFit } from './setOut/asDrilled';
import { skewOf } from './setOut/skew';
import { awningFor, dayLengthH, solarTime, sunOnWall } from './siting/awning';
import { derating } from './siting/derating';
import { inclineVerdict } from './siting/incline';
import { airDensity, louvreM2, roomAirflow, stackOpeningM2 } from './siting/roomHeat';
import { distanceForM, levelAt1mDb, soundAtDb } from './siting/sound';
import { rowCapacity } from './wall/rowBound';

/** Every worked case of siting, set-out, lift and fixing to 1e-5 of its value. */
const REL = 1e-5;

function expectWorked(got: unknown, want: unknown, path = ''): void {
  if (typeof want === 'number') {
    const value = got as number;
    expect(Math.abs(value - want), `${path}: ${value} for ${want}`).toBeLessThanOrEqual(
      REL * Math.max(1e-3, Math.abs(want)),
    );
  } else if (Array.isArray(want)) {
    expect((got as readonly unknown[]).length, path).toBe(want.length);
    want.forEach((w, i) => expectWorked((got as readonly unknown[])[i], w, `${path}[${i}]`));
  } else if (typeof want === 'object' && want !== null)
    for (const [key, w] of Object.entries(want))
      expectWorked((got as Record<string, unknown>)[key], w, `${path}.${key}`);
  else expect(got, path).toBe(want);
}

const worked = <const L extends readonly { readonly of: unknown; readonly is: unknown }[]>(
  name: string,
  list: L,
  run: (of: L[number]['of']) => unknown,
) => it.each(list.map((c, i) => [i + 1, c] as const))(`${name}, case %i`, (_, c) => expectWorked(run(c.of), c.is));
const point = ([xM, yM]: readonly [number, number]) => ({ xM, yM });

describe('worked cases', () => {
  worked('sun on a wall', cases.SUN, ({ solarH, ...u }) => sunOnWall(u, solarH));
  worked('awning over a window of hours', cases.AWNINGS, ({ fromH, toH, ...u }) => awningFor(u, fromH, toH));
  worked('air for a room', cases.AIR, roomAirflow);
  worked('derating', cases.DERATING, ({ tempC, altitudeM }) => derating(tempC, altitudeM));
  worked('incline', cases.INCLINE, (q) => ({ verdict: inclineVerdict({ rollDeg: 0, flatAllowed: false, ...q }) }));
  worked('lifting equation', cases.LIFTS, liftLimit);
  worked('team', cases.TEAMS, ({ massKg, rwlKg }) => teamLift(massKg, rwlKg));
  worked('crew', cases.CREWS, (q) => crewFloor({ ...q, gearOnly: false }));
  const shares = (q: {
    massKg: number;
    handles: readonly (readonly [number, number])[];
    centre: readonly [number, number];
  }) => handleShares(q.massKg, q.handles.map(point), point(q.centre));
  worked('handles', cases.HANDLES, shares);
  worked('four handles, the worst split', cases.SLACK, shares);
  worked('sling leg', cases.LEGS, (q) => ({ kg: slingLegKg(q) }));
  worked('eye bolts', cases.EYES, eyeBolts);
  worked('hoist', cases.HOISTS, (q) => hoistUse(q.massKg, q.riggingKg, q.ratedKg));
  worked('anchor loads', cases.ANCHORS, ({ rows, ...q }) =>
    anchorLoads({ ...q, rows: rows.map(([heightMm, anchors]) => ({ heightMm, anchors })), factors: DESIGN_FACTORS }),
  );
  worked('anchor use', cases.USES, anchorUse);
  worked('concrete cones', cases.CONES, (q) =>
    coneShare({ ...q, edgeLeastMm: null, spacingLeastMm: null, diameterMm: null }),
  );
  worked('preload', cases.PRELOADS, (q) => {
    const { use, ...rest } = preload(q);
    return { ...rest, usePercent: 100 * use };
  });
  worked('round a ring', cases.RINGS, ({ n }) => ({ order: ringOrder(n) }));
  worked('over a plate', cases.PLATES, ({ points }) => ({
    order: plateOrder(points.map(([xMm, yMm]) => ({ xMm, yMm }))),
  }));
  worked('torque tool', cases.TOOLS, toolFit);
  worked('ballast', cases.BALLASTS, (q) => ballast({ centreHeightM: 0.5, ...q }));
});

const near = (got: number, want: number) => expectWorked(got, want);

describe('worked values that stand alone', () => {
  it('clock and day: 17:00 at 3.7° west in summer is 14.73 h solar; 14.85 and 9.15 h of day at 40°', () => {
    const t = solarTime({ clockH: 17, dayOfYear: 172, longitudeDeg: -3.7, utcOffsetH: 2 });
    near(t.solarH, 14.728333);
    expect(t.equationOfTimeMin).toBeCloseTo(-1.5, 3);
    near(dayLengthH(40, 172), 14.84595);
    near(dayLengthH(40, 355), 9.1540501);
    expect([dayLengthH(80, 172), dayLengthH(80, 355)]).toEqual([24, 0]);
  });
  it('openings of a room', () => {
    const q = { airM3h: 2230.7911161531556, heightM: 2.5, riseK: 8, inletC: 35 };
    near(stackOpeningM2(q), 1.3112226);
    near(louvreM2(2230.7911), 0.3098321);
    // ISO 2533: 1.225 kg/m³ at sea level and 15 °C (recalled).
    expect(airDensity(0, 15)).toBeCloseTo(1.225, 3);
  });
  it('sound', () => {
    const at = (levelDb: number, distanceM: number) => ({ levelDb, referenceM: 1, distanceM });
    near(soundAtDb([at(65, 10), at(65, 10), at(65, 10)]), 49.771213);
    near(soundAtDb([at(65, 8), at(65, 9.5), at(68, 11)]), 51.354345);
    near(distanceForM(49.77121 + 20, 45 + 0), 17.32051);
    expect(levelAt1mDb(76, 'on a floor')).toBe(68);
  });
  it('diagonals and holes as drilled', () => {
    const { skewDeg, shiftMm } = skewOf({ d1Mm: 857, d2Mm: 852, aMm: 800, bMm: 300 });
    near(skewDeg, 0.50999886);
    near(shiftMm, 2.670313);
    const at = (list: readonly (readonly [number, number])[]) => list.map(([xMm, yMm]) => ({ xMm, yMm }));
    const fit = rigidFit(
      at([
        [1225, 160],
        [2025, 160],
        [1225, -140],
        [2025, -140],
      ]),
      at([
        [1226, 162],
        [2027, 163],
        [1226, -138],
        [2024, -137],
      ]),
    );
    expectWorked(fit, {
      dxMm: 0.75,
      dyMm: 2.5,
      turnDeg: 0.027485638,
      residualsMm: [0.44559001, 1.3574378, 0.35584793, 1.8477781],
      worstMm: 1.8477781,
      worst: 3,
    });
    expect(playMm(13, 10)).toBe(1.5);
    expect([1.5, 1.6, 2.25, 2.26].map((mm) => fitVerdict(mm, 1.5).answer)).toEqual([
      'hang it',
      'slot it',
      'slot it',
      'drill afresh',
    ]);
  });
  it('stairs, legs, ropes, pulleys, wheels', () => {
    const stairs = stairShares({ massKg: 95, apartM: 1.05, centreM: 0.525, aboveM: 0.2, slopeDeg: 35 });
    expectWorked(stairs, { upperKg: 34.829578, lowerKg: 60.170422 });
    expectWorked(unequalLegsKg(112, 25, 40), [79.434617, 52.226458]);
    near(breakingLoadKn(79.19595949289332, 'textile'), 5.4365294);
    near(pulleyBeamKn(112), 2.3187279);
    expectWorked(pointLoad(180, 4, 25 * 50), { forceN: 441.2993, pressureKpa: 353.0394 });
  });
  it('wind, extension, feet', () => {
    near(windForceN(30, 0.693), 701.6625);
    near(extendedSettingNm(32.5, 380, 45), 29.058824);
    const feet = footLoads({ massKg: 112, ballastKg: 200, betweenM: 0.8, windN: 620, windArmM: 0.55, upliftN: 250 });
    expectWorked(feet, { mostN: 978.0437, leastN: 489.2937 });
    near(footPressureKpa(feet.mostN, 100, 100), 97.80437);
    near(footPressureKpa(feet.mostN, 300, 300), 10.867152);
    near(footPressureKpa(feet.mostN, 100, 100, 40), 30.186534);
  });
  it('a row', () => {
    expect(rowCapacity(500, 7500, 1050, 500)).toBe(4);
    expect(rowCapacity(500, 2150, 1050, 500)).toBe(1);
    expect(rowCapacity(500, 1000, 1050, 500)).toBe(0);
  });
});

describe('bad input is refused, with field and value', () => {
  const awning = { latitudeDeg: 40, dayOfYear: 172, wallAzimuthDeg: 400, dropM: 1.4, projectionM: 0.37 };
  const stand = {
    massKg: 112,
    friction: 0,
    slopeDeg: 0,
    windN: 620,
    upliftN: 250,
    windArmM: 0.55,
    tipArmM: 0.4,
    centreHeightM: 0.5,
  };
  it.each([
    ['a wall that faces 400°', () => sunOnWall(awning, 12), /^wallAzimuthDeg .*400/],
    ['friction zero', () => ballast(stand), /^friction .*0/],
    [
      '98.3 for 0.983',
      () => roomAirflow({ units: 1, acW: 1, efficiency: 98.3, riseK: 8, inletC: 35, altitudeM: 0 }),
      /^efficiency .*98\.3/,
    ],
    [
      'hands under the floor',
      () => liftLimit({ ...cases.LIFTS[0].of, horizontalCm: -5 }),
      /^horizontalCm must be 0 to 200 cm \(got -5\)/,
    ],
    ['no mass', () => handleShares(0, [], { xM: 0, yM: 0 }), /^massKg/],
    ['no handles on the sheet', () => handleShares(95, [], { xM: 0, yM: 0 }), /^handles .*0/],
    [
      'anchors without approval',
      () => anchorUse({ tensionN: 1, tensionCapacityN: 0, shearN: 1, shearCapacityN: 1 }),
      /^tensionCapacityN/,
    ],
    ['a sling that leans 61°', () => slingLegKg({ massKg: 112, legs: 2, leanDeg: 61 }), /^leanDeg .*61/],
    ['four legs', () => slingLegKg({ massKg: 112, legs: 4, leanDeg: 30 }), /^legs .*4/],
    [
      'two handles, centre 6 mm beside their line',
      () =>
        handleShares(
          95,
          [
            { xM: 0, yM: 0 },
            { xM: 1, yM: 0 },
          ],
          { xM: 0.5, yM: 0.006 },
        ),
      /^centre .*6 mm/,
    ],
    [
      'centre outside four handles',
      () =>
        handleShares(
          80,
          [
            { xM: 0, yM: 0 },
            { xM: 1, yM: 0 },
            { xM: 1, yM: 0.5 },
            { xM: 0, yM: 0.5 },
          ],
          { xM: 1.1, yM: 0.2 },
        ),
      /^centre/,
    ],
    [
      'one anchor',
      () => anchorLoads({ ...cases.ANCHORS[0].of, rows: [{ heightMm: 50, anchors: 1 }], factors: DESIGN_FACTORS }),
      /^rows .*1/,
    ],
    [
      'a thread off the table',
      () => preload({ torqueNm: 35, friction: 0.2, thread: 9, boltClass: '8.8' }),
      /^thread .*M9/,
    ],
    ['slack of the window', () => toolFit({ leastNm: 35, mostNm: 30, toolMinNm: 10, toolMaxNm: 100 }), /^mostNm/],
  ])('%s', (_, run, said) => expect(run).toThrow(said));
});
