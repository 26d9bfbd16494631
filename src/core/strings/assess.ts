import type { Check } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import { ask } from '../kernel/rule';
import { stringSubject, trackerSubject } from './onInput';
import type { StringsDesign } from './part';
import type { LoadedUnit, StringsResults } from './results';
import { STRINGS_RULES as RULES } from './rules';

/** Every check of modules, strings and trackers, in one block an inverter: only what a change touches is asked again. */
export function assessStrings(
  design: StringsDesign,
  results: StringsResults,
  memo: Memo,
): readonly (readonly Check[])[] {
  const { modules, inverters } = design.equipment;
  return [
    memo.keep('strings/sheets', [modules], () =>
      modules.flatMap((m) => ask(RULES.module, m, { element: 'module', path: m.name, id: m.id })),
    ),
    memo.keep('strings/types', [inverters], () =>
      inverters.flatMap((t) => ask(RULES.type, t, { element: 'inverter', path: t.name, id: t.id })),
    ),
    memo.keep('strings/survey', [design.survey], () =>
      ask(RULES.survey, design.survey, { element: 'module', path: 'design temperatures' }),
    ),
    ...results.units.map((u) => memo.keep(`strings/checks/${u.unit.id}`, [u], () => unitChecks(u))),
    looseChecks(design),
    planeChecks(design),
  ];
}

function unitChecks(u: LoadedUnit): Check[] {
  return [
    ...u.strings.flatMap((s) => ask(RULES.string, s, stringSubject(s), s.wanting)),
    ...u.trackers.flatMap((t) => ask(RULES.tracker, t, trackerSubject(t), t.wanting)),
    ...ask(RULES.inverter, u, { element: 'inverter', path: u.unit.tag, id: u.unit.id }, u.wanting),
  ];
}

function looseChecks(design: StringsDesign): Check[] {
  return design.strings
    .filter((s) => !s.place)
    .flatMap((s) => ask(RULES.loose, s, { element: 'string', path: `string ${s.number}`, id: s.id }));
}

function planeChecks({ planes, strings }: StringsDesign): Check[] {
  const hung = new Map<string, number>();
  for (const s of strings) if (s.place) hung.set(s.planeId, (hung.get(s.planeId) ?? 0) + s.modules);
  return planes.flatMap((plane) => {
    const inUse = { plane, hung: strings.length ? (hung.get(plane.id) ?? 0) : null };
    return ask(RULES.plane, inUse, { element: 'module', path: plane.label, id: plane.id });
  });
}
