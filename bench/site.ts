import { Memo } from '../src/core/kernel/memo';
import { withRun } from '../src/core/ac/edits';
import { withStrings } from '../src/core/strings/arrange';
import type { SiteDesign } from '../src/core/design';
import { plane, runOf, siteOf, T100 } from '../src/core/testing/examples';

export { assessDiscipline, assessSite } from '../src/core/design/assess';
export { DISCIPLINES } from '../src/core/design';
export { applyEdit } from '../src/core/design';
export { planLengths } from '../src/core/design/lengths';
export { legalLayout } from '../src/core/strings/layout/legalLayout';
export { verifyLayout } from '../src/core/strings/verify';
export { yearOfEnergy } from '../src/core/strings/year/yearOfEnergy';
export { moduleModel, parametersAt, currentAt, maximumPower } from '../src/core/strings/curve/diode';
export { sharedMaximum } from '../src/core/strings/curve/parallel';
export { sunPosition } from '../src/core/sun/position';
export { clearSkyHours } from '../src/core/strings/year/lightStates';
export { M575 } from '../src/core/testing/examples';
export const newMemo = () => new Memo();

const UNMEASURED = { lengthM: null, lengthToId: null, leadsM: null, yM: null };

/** 60 inverters with 12 trackers of 2 strings each, every input taken: 1440 strings on six planes. */
export function bigSite(): SiteDesign {
  const type = { ...T100, trackers: 12, dcMaxW: null };
  const planes = Array.from({ length: 6 }, (_, i) => plane(`p${i}`, 240 * 17, { azimuthDeg: 60 * i }));
  let d = siteOf(60, planes, type);
  const strings = planes.flatMap((p, n) =>
    Array.from({ length: 240 }, (_, i) => {
      const at = n * 240 + i;
      const place = {
        inverterId: `inv-${Math.floor(at / 24) + 1}`,
        tracker: Math.floor((at % 24) / 2) + 1,
        input: (at % 2) + 1,
        branch: 1 as const,
      };
      return { id: `s-${at + 1}`, number: at + 1, planeId: p.id, modules: 17, place, start: null, ...UNMEASURED };
    }),
  );
  d = withStrings(d, strings);
  for (const unit of d.inverters) d = withRun(d, runOf(unit.id));
  return {
    ...d,
    survey: { ...d.survey, latitudeDeg: 48, longitudeDeg: 11 },
    energy: { ...d.energy, utcOffsetH: 1, monthlyMeanC: [0, 1, 5, 9, 14, 17, 19, 18.5, 14.5, 9.5, 4, 1] },
  };
}

/** 500 inverters with a run each, and no strings: a schedule of 500 rows. */
export function runSite(): SiteDesign {
  let d = siteOf(500, [plane('p', 17)]);
  d = { ...d, runs: d.inverters.map((u) => runOf(u.id)) };
  return d;
}

/** The same with trays: one along every plane, one across them all, one along the units. */
export function plannedSite(): SiteDesign {
  const d = bigSite();
  const at = (xM: number, yM: number, zM: number) => ({ xM, yM, zM });
  const planes = d.planes.map((p, i) => ({ ...p, position: at(10, 30 + 12 * i, 8), edgeM: 60 }));
  const tray = (id: string, points: SiteDesign['plan']['trays'][number]['points']) => ({
    id,
    label: id,
    carries: ['dc' as const, 'ac' as const, 'bus' as const],
    widthMm: null,
    depthMm: null,
    dcLeadMm: null,
    busCableMm: null,
    points,
  });
  const along = planes.map((p, i) => tray(`roof-${i}`, [at(10, 29.5 + 12 * i, 8), at(70, 29.5 + 12 * i, 8)]));
  const trays = [
    ...along,
    tray('across', [at(40, 90, 8), at(40, 1, 8), at(40, 1, 3)]),
    tray('units', [at(0, 1, 3), at(190, 1, 3)]),
  ];
  return { ...d, planes, plan: { ...d.plan, trays }, board: { ...d.board, position: at(0, 0, 1) } };
}

/** The same with every tracker mixing two planes: nobody would hang it, and nothing costs a year more. */
export function mixedSite(): SiteDesign {
  const d = bigSite();
  const half = d.strings.length / 2;
  const partner = (i: number) => (i < half ? i * 2 : (i - half) * 2 + 1);
  return withStrings(
    d,
    d.strings.map((s, i) => ({ ...s, place: d.strings[partner(i)]?.place ?? null })),
  );
}
