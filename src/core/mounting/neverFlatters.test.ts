import { describe } from 'vitest';
import type { InverterBody } from '../equipment/inverterBody';
import { neverFlatters } from '../testing/neverFlatters';
import { randomDesign } from '../testing/randomDesign';
import { withRandomWalls } from '../testing/randomWalls';
import {
  grown,
  only,
  raised,
  shrunk,
  worseHung,
  worseRoom,
  worseSurvey,
  worseType,
  worseWall,
} from '../testing/worsened';
import { mounting } from '.';

/** A figure of the body raised; null where the sheet is silent. */
const body =
  (field: 'besideMm' | 'stackedMm' | 'frontMm' | 'rightMm' | 'topMm', by: number) =>
  (t: { body: InverterBody }, x: () => number) => {
    const value = raised(t.body[field], by, x);
    return value === null ? null : { body: { ...t.body, [field]: Math.min(3000, value) } };
  };

/** A figure moved by up to so much, no farther than where its range ends. */
const moved = (value: number, by: number, end: number, x: () => number): number => {
  const to = value + by * x();
  return by < 0 ? Math.max(Math.min(value, end), to) : Math.min(Math.max(value, end), to);
};

describe('mounting', () =>
  neverFlatters(mounting, {
    designOf: (seed) => withRandomWalls(randomDesign(seed, { inverters: 4, trackers: 2 }), seed),
    runs: 3000,
    worse: [
      worseWall('a narrower wall', ['mounting.ends'], (w, x) => ({
        widthMm: Math.max(200, w.widthMm * (0.4 + 0.6 * x())),
      })),
      worseWall('a lower wall', ['mounting.ends', 'mounting.top'], (w, x) => ({
        heightMm: Math.max(200, w.heightMm * (0.4 + 0.6 * x())),
      })),
      worseWall('a lower highest top', ['mounting.top'], (w, x) => only('topMostMm', shrunk(w.topMostMm, 0.4, x))),
      worseWall('more asked of the lower edge', ['mounting.floor'], (w, x) =>
        only('floorMinMm', raised(w.floorMinMm, 900, x)),
      ),
      worseWall('a higher flood mark', ['mounting.floor'], (w, x) =>
        only('waterMarkMm', raised(w.waterMarkMm, 1500, x)),
      ),
      worseWall('less room in front', ['mounting.front'], (w, x) => only('frontMm', shrunk(w.frontMm, 0.2, x))),
      worseWall('less width in front', ['mounting.headroom'], (w, x) =>
        only('frontWidthMm', shrunk(w.frontWidthMm, 0.2, x)),
      ),
      worseWall('less headroom', ['mounting.headroom'], (w, x) => only('headroomMm', shrunk(w.headroomMm, 0.5, x))),
      worseWall('a nearer neighbour', ['mounting.sound'], (w, x) =>
        w.neighbourM === 0 ? null : only('neighbourM', shrunk(w.neighbourM, 0.1, x)),
      ),
      worseWall('a stricter sound limit', ['mounting.sound'], (w, x) =>
        only('soundLimitDb', shrunk(w.soundLimitDb, 0.6, x)),
      ),
      worseWall('a shallower awning', ['mounting.sun'], (w, x) => only('awningDepthM', shrunk(w.awningDepthM, 0.1, x))),
      worseWall('weaker anchors', ['mounting.anchors'], (w, x) =>
        only('tensionCapacityN', shrunk(w.tensionCapacityN, 0.2, x)),
      ),
      worseWall('a thinner wall', ['mounting.hole-depth'], (w, x) =>
        only('thicknessMm', shrunk(w.thicknessMm, 0.3, x)),
      ),
      worseWall('deeper holes', ['mounting.hole-depth'], (w, x) => only('anchorDepthMm', grown(w.anchorDepthMm, 3, x))),
      worseWall(
        'more kept free of what stands there',
        ['mounting.obstructions'],
        ({ obstructions: [first, ...rest] }, x) =>
          first && first.marginMm !== null
            ? { obstructions: [{ ...first, marginMm: Math.min(5000, first.marginMm + 800 * x()) }, ...rest] }
            : null,
      ),
      worseWall('a wider obstruction', ['mounting.obstructions'], ({ obstructions: [first, ...rest] }, x) =>
        first ? { obstructions: [{ ...first, widthMm: first.widthMm + 3000 * x() }, ...rest] } : null,
      ),
      ...(
        [
          ['fewer people', ['mounting.people'], 'people', -2, 1],
          ['a smaller hoist', ['mounting.hoist'], 'ratedKg', -150, 1],
          ['more rigging', ['mounting.hoist', 'mounting.beam'], 'riggingKg', 60, 500],
          ['a weaker beam', ['mounting.beam'], 'beamKn', -4, 0.1],
          ['weaker legs', ['mounting.slings'], 'breakingKn', -12, 0.1],
          ['legs that lean more', ['mounting.slings'], 'leanDeg', 40, 60],
          ['a lower hook', ['mounting.slings', 'mounting.eye-bolts'], 'hookMm', -1000, 50],
          ['a heavier trolley', ['mounting.floor-load'], 'trolleyKg', 200, 1000],
          ['less under a wheel', ['mounting.floor-load'], 'wheelMm2', -900, 10],
          ['a weaker floor', ['mounting.floor-load'], 'floorKpa', -900, 0.1],
        ] as const
      ).map(([what, rules, field, by, end]) =>
        worseWall(what, rules, ({ lift }, x) =>
          only('lift', lift[field] === null ? null : { ...lift, [field]: moved(lift[field], by, end, x) }),
        ),
      ),
      ...(
        [
          ['a stronger gust', ['mounting.ballast', 'mounting.roof-load'], 'gustMs', 40, 90],
          ['more for the wind to meet', ['mounting.ballast', 'mounting.roof-load'], 'areaM2', 3, 500],
          ['a nearer tipping edge', ['mounting.ballast'], 'tipArmM', -0.4, 0.01],
          ['a steeper roof', ['mounting.ballast'], 'slopeDeg', 20, 30],
          ['less ballast', ['mounting.ballast'], 'ballastKg', -300, 0],
          ['smaller feet', ['mounting.roof-load'], 'footWidthMm', -200, 10],
          ['a weaker roof', ['mounting.roof-load'], 'roofKpa', -120, 0.1],
        ] as const
      ).map(([what, rules, field, by, end]) =>
        worseWall(what, rules, ({ stand }, x) =>
          only('stand', stand[field] === null ? null : { ...stand, [field]: moved(stand[field], by, end, x) }),
        ),
      ),
      worseHung('a lower place', ['mounting.floor', 'mounting.public-reach'], (h, x) => ({ yMm: h.yMm * x() })),
      worseHung('a higher place', ['mounting.top', 'mounting.crew', 'mounting.people'], (h, x) => ({
        yMm: h.yMm + 2000 * x(),
      })),
      worseType('a larger gap beside it', ['mounting.neighbours'], body('besideMm', 900)),
      worseType('a larger gap over it', ['mounting.neighbours'], body('stackedMm', 900)),
      worseType('more asked for in front', ['mounting.front'], body('frontMm', 2000)),
      worseType('more kept free beside it', ['mounting.ends', 'mounting.obstructions'], body('rightMm', 900)),
      worseType('more kept free over it', ['mounting.ends', 'mounting.obstructions'], body('topMm', 900)),
      worseType(
        'a heavier unit',
        [
          'mounting.handles',
          'mounting.crew',
          'mounting.people',
          'mounting.anchors',
          'mounting.slings',
          'mounting.eye-bolts',
          'mounting.hoist',
          'mounting.beam',
          'mounting.floor-load',
        ],
        (t, x) => only('massKg', t.massKg === null ? null : Math.min(400, t.massKg * (1 + x()))),
      ),
      worseRoom('less air moved', ['mounting.derating'], (r, x) => only('airM3h', shrunk(r.airM3h, 0.1, x))),
      worseRoom('warmer air that comes in', ['mounting.derating'], (r, x) =>
        only('inletC', r.inletC === null ? null : Math.min(60, r.inletC + 30 * x())),
      ),
      worseType('a unit that gives off more heat', ['mounting.derating'], (t, x) => {
        const { efficiencyPercent } = t.body;
        return efficiencyPercent === null
          ? null
          : { body: { ...t.body, efficiencyPercent: Math.max(80, efficiencyPercent - 15 * x()) } };
      }),
      worseSurvey('a hotter site', ['mounting.derating'], (s, x) =>
        only('hottestC', s.hottestC === null ? null : Math.min(60, s.hottestC + 25 * x())),
      ),
    ],
    spoken: [
      {
        path: /body\.(left|right|top|bottom|front|beside|stacked)Mm$/,
        because: 'where the sheet is silent the class of its power stands in',
      },
      { path: /walls\.\d+\.floorMinMm$/, because: 'without a mark of its own the class of the unit counts' },
      { path: /walls\.\d+\.topMostMm$/, because: 'without one only the wall itself ends' },
      { path: /obstructions\.\d+\.marginMm$/, because: 'without one the usual of its kind counts' },
      { path: /^(strings|planes|runs|board|locks|energy|dcCable|chain)\b/, because: 'not inputs of mounting' },
    ],
  }));
