import { plane, siteOf, T100 } from '../src/core/testing/examples';
import type { SiteDesign } from '../src/core/design';

export { layoutProblem } from '../src/core/strings/layout/problem';
export { startLayout } from '../src/core/strings/layout/start';
export { assignInputs } from '../src/core/strings/layout/assignInputs';
export { levelSearch } from '../src/core/strings/layout/levelSearch';
export { objectiveOf } from '../src/core/strings/layout/objective';
export { highsSolver } from '../src/lib/workers/highsSolver';

/** Six roofs round a row of units; module counts that no one length cuts evenly. */
export function roofs(units: number, trackers: number, ratedW: number, modulesEach: readonly number[]): SiteDesign {
  const type = { ...T100, trackers, ratedW, maxApparentVa: 1.1 * ratedW, dcMaxW: 1.8 * ratedW };
  const planes = modulesEach.map((modules, i) =>
    plane(`p${i}`, modules, {
      azimuthDeg: 60 * i,
      tiltDeg: 5 + 5 * (i % 3),
      edgeM: 60,
      edgeDeg: 0,
      position: { xM: 25 * i, yM: 20 + 15 * (i % 2), zM: 6 },
    }),
  );
  return siteOf(units, planes, type);
}

/** 20 units × 10 trackers × 2 inputs on six planes. */
export const roofs20 = () => roofs(20, 10, 100_000, [843, 811, 702, 655, 598, 551]);
/** 60 units × 17 trackers × 2 inputs, 2000 strings of about 17 on six planes. */
export const roofs60 = () => roofs(60, 17, 250_000, [6123, 5987, 5871, 5703, 5511, 4812]);
