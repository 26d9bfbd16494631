import { Memo } from '../src/core/kernel/memo';
import { withRun } from '../src/core/ac/edits';
import { withStrings } from '../src/core/strings/arrange';
import type { SiteDesign } from '../src/core/design';
import { plane, runOf, siteOf, T100 } from '../src/core/testing/examples';

export { assessDiscipline, assessSite } from '../src/core/design/assess';
export { DISCIPLINES } from '../src/core/design';
export { applyEdit } from '../src/core/design';
export { legalLayout } from '../src/core/strings/layout/legalLayout';
export { verifyLayout } from '../src/core/strings/verify';
export { yearOfEnergy } from '../src/core/strings/year/yearOfEnergy';
export { moduleModel, parametersAt, currentAt, maximumPower } from '../src/core/strings/curve/diode';
export { sharedMaximum } from '../src/core/strings/curve/parallel';
export { sunPosition } from '../src/core/sun/position';
export { clearSkyHours } from '../src/core/strings/year/lightStates';
export { M575 } from '../src/core/testing/examples';
export const newMemo = () => new Memo();

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
      return { id: `s-${at + 1}`, number: at + 1, planeId: p.id, modules: 17, place, start: null, lengthM: null };
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
