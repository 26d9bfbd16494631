import { inverterSheetWanted } from '../equipment/inverterSheet';
import type { Memo } from '../kernel/memo';
import { lineOf } from '../site/line';
import { homeRunLengths } from './homeRun';
import type { LoadedInverter, LoadedTracker, StringOnInput } from './onInput';
import { loadedTrackers, stringsOnInputs } from './onInput';
import type { StringsDesign } from './part';

/** One inverter with its strings on their inputs, its trackers and its sums. */
export interface LoadedUnit extends LoadedInverter {
  readonly strings: readonly StringOnInput[];
  readonly trackers: readonly LoadedTracker[];
}

/** What the string side computes once for its rules, sheets and others. */
export interface StringsResults {
  /** One-way length of every home run, m, by string id; null where neither measured nor reckoned. */
  readonly lengthsM: ReadonlyMap<string, number | null>;
  readonly units: readonly LoadedUnit[];
}

/** Works the strings of every inverter through. A unit whose strings, sheets and survey are the very same is taken from the memo. */
export function stringsResults(design: StringsDesign, memo: Memo): StringsResults {
  const lengthsM = homeRunLengths(design);
  const siteW = lineOf(design).ratedW;
  const shared = [design.survey, design.dcCable, design.planes, design.equipment.modules, siteW];
  const units = lineOf(design).units.map((on) => {
    const rests: unknown[] = [on.unit, on.type, ...shared];
    for (const s of on.strings) rests.push(s, lengthsM.get(s.id));
    return memo.keep(`strings/${on.unit.id}`, rests, (): LoadedUnit => {
      const strings = stringsOnInputs(design, on, lengthsM);
      const dcW = strings.reduce((sum, s) => sum + s.string.modules * s.module.pmaxW, 0);
      return {
        unit: on.unit,
        type: on.type,
        strings,
        trackers: loadedTrackers(strings),
        dcW: strings.length ? dcW : null,
        survey: design.survey,
        wanting: [...new Set([...inverterSheetWanted(on.type), ...strings.flatMap((s) => s.wanting)])],
      };
    });
  });
  return { lengthsM, units };
}
