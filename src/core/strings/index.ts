import { discipline } from '../site/base';
import { lineOf } from '../site/line';
import { withStrings, withoutPlaces } from './arrange';
import { assessStrings } from './assess';
import { stringsEdits } from './edits';
import { stringsFlaws, stringsShape } from './part';
import { stringsResults } from './results';
import { STRINGS_RULES } from './rules';

/** Modules in series on trackers: windows, currents, home runs, layout and energy. */
export const strings = discipline({
  name: 'strings',
  title: 'Strings',
  elements: ['string', 'tracker', 'inverter'],
  shape: stringsShape,
  edits: stringsEdits,
  integrity: stringsFlaws,
  onBase: {
    /** A smaller type drops strings off inputs it lacks. */
    inverterChanged: (d, unit) => {
      const type = lineOf(d).inverterType(unit.typeId);
      return type
        ? withoutPlaces(
            d,
            (p) => p.inverterId === unit.id && (p.tracker > type.trackers || p.input > type.inputsPerTracker),
          )
        : d;
    },
    inverterRemoved: (d, id) => withoutPlaces(d, (p) => p.inverterId === id),
    planeRemoved: (d, id) =>
      withStrings(
        d,
        d.strings.filter((s) => s.planeId !== id),
      ),
  },
  results: stringsResults,
  assess: assessStrings,
  rules: Object.values(STRINGS_RULES).flat(),
  version: 3,
});
