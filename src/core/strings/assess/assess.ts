import type { Check } from '../../kernel/check';
import { Memo } from '../../kernel/memo';
import type { SiteDesign } from '../../site/siteDesign';
import type { Hung } from './hung';
import { hangings, restsOn } from './hung';
import { assessInverters, assessPlanes, assessSheet, looseStrings } from './siteChecks';
import { assessString } from './stringChecks';
import { assessTracker } from './trackerChecks';

/** Every check of modules, strings and trackers. With the memo of the run before, only what changed is computed again. */
export function assessStrings(design: SiteDesign, memo: Memo = new Memo()): Check[] {
  const hung = hangings(design, memo);
  const byTracker = new Map<string, Hung[]>();
  for (const h of hung) {
    const key = `${h.unit.id}/${h.place.tracker}`;
    const group = byTracker.get(key);
    if (group) group.push(h);
    else byTracker.set(key, [h]);
  }
  return [
    ...design.equipment.modules.flatMap(assessSheet),
    ...hung.flatMap((h) => memo.keep(`string/${h.string.id}`, restsOn(h), () => assessString(h))),
    ...looseStrings(design),
    ...[...byTracker].flatMap(([key, group]) =>
      memo.keep(`tracker/${key}`, group.flatMap(restsOn), () => assessTracker(group)),
    ),
    ...assessInverters(design, hung),
    ...assessPlanes(design),
  ];
}
