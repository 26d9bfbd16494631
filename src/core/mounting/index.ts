import { discipline } from '../site/base';
import { assessMounting } from './assess';
import { mountingEdits, withTakenDown } from './edits';
import { mountingFlaws, mountingShape } from './part';
import { mountingResults } from './results';
import { MOUNTING_RULES } from './rules';
import { withPositions } from './wallPosition';

/** Where every unit hangs, how it gets there and what holds it. */
export const mounting = discipline({
  name: 'mounting',
  title: 'Mounting',
  elements: ['wall'],
  shape: mountingShape,
  edits: mountingEdits,
  integrity: mountingFlaws,
  onBase: {
    /** Another type of unit may be wider: its terminals move. */
    inverterChanged: (d) => withPositions(d),
    /** Where north lies says which way a wall runs. */
    planChanged: (d) => withPositions(d),
    inverterRemoved: (d, id) => withTakenDown(d, id),
  },
  results: mountingResults,
  assess: assessMounting,
  rules: Object.values(MOUNTING_RULES).flat(),
  version: 1,
});
