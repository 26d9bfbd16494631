import { plane, siteOf, T100, runOf } from '../src/core/testing/examples';
import { withRun, withStrings } from '../src/core/site/edits';
import type { SiteDesign } from '../src/core/site/siteDesign';

export { assessSite, DISCIPLINES } from '../src/core/assess';
export { applyEdit } from '../src/core/edit';
export { layoutStrings } from '../src/core/strings/layout/lay';
export { verifyLayout } from '../src/core/strings/verify';

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
      };
      return { id: `s-${at + 1}`, number: at + 1, planeId: p.id, modules: 17, place };
    }),
  );
  d = withStrings(d, strings);
  for (const unit of d.inverters) d = withRun(d, runOf(unit.id));
  return d;
}
