import { discipline } from '../site/base';
import { assessAc } from './assess';
import { acEdits } from './edits';
import { acFlaws, acShape, blankRun } from './part';
import { acResults } from './results';
import { AC_RULES } from './rules';

/** From the studs of the inverter to the grid: current, breaker, conductor, lug, gland, board, transformer. */
export const ac = discipline({
  name: 'ac',
  title: 'AC runs',
  elements: ['lug', 'run', 'board'],
  shape: acShape,
  edits: acEdits,
  integrity: acFlaws,
  onBase: {
    inverterAdded: (d, unit) => ({ ...d, runs: [...d.runs, blankRun(unit.id)] }),
    inverterRemoved: (d, id) => ({ ...d, runs: d.runs.filter((r) => r.inverterId !== id) }),
  },
  results: acResults,
  assess: assessAc,
  rules: Object.values(AC_RULES).flat(),
  version: 5,
});
