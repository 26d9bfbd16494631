import type { Check } from '../../kernel/check';
import { Memo } from '../../kernel/memo';
import { inverterTypesById, modulesById } from '../../site/edits';
import type { PvString, SiteDesign, SiteInverter } from '../../site/siteDesign';
import { homeRunLengths } from '../dcCable';
import type { Hung } from './hung';
import { hangings } from './hung';
import { assessInverter, assessPlanes, assessSheet, looseStrings } from './siteChecks';
import { assessString } from './stringChecks';
import { assessTracker } from './trackerChecks';

/**
 * Every check of modules, strings and trackers, inverter by inverter. With the memo of the run before, only the inverters whose strings,
 * sheets or survey changed are computed again.
 */
export function assessStrings(design: SiteDesign, memo: Memo = new Memo()): Check[] {
  const modules = modulesById(design);
  const types = inverterTypesById(design);
  const planes = new Map(design.planes.map((p) => [p.id, p]));
  const lengths = homeRunLengths(design.strings, design.planes, design.inverters);
  const byUnit = new Map<string, PvString[]>(design.inverters.map((u) => [u.id, []]));
  for (const s of design.strings) if (s.place) byUnit.get(s.place.inverterId)?.push(s);
  const shared = [design.survey, design.dcCable, design.planes, design.equipment.modules];

  const ofUnit = (unit: SiteInverter): Check[] => {
    const type = types.get(unit.typeId);
    const own = byUnit.get(unit.id) ?? [];
    if (!type) return [];
    const on: unknown[] = [unit, type, ...shared];
    for (const s of own) on.push(s, lengths.get(s.id));
    return memo.keep(`strings/${unit.id}`, on, () => {
      const hung = hangings(design, { unit, type, strings: own, planes, modules, lengths });
      const trackers = new Map<number, Hung[]>();
      for (const h of hung) trackers.set(h.place.tracker, [...(trackers.get(h.place.tracker) ?? []), h]);
      return [
        ...hung.flatMap(assessString),
        ...[...trackers.values()].flatMap(assessTracker),
        ...assessInverter(unit, type, hung),
      ];
    });
  };
  return design.equipment.modules
    .flatMap(assessSheet)
    .concat(...design.inverters.map(ofUnit), looseStrings(design), assessPlanes(design));
}
