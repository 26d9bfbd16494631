import type { Check } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import type { School } from '../conductor/school';
import type { Rule } from '../kernel/rule';
import { ask } from '../kernel/rule';
import type { AcDesign } from './part';
import type { AcResults, RunResult } from './results';
import { AC_RULES as RULES } from './rules';

/** The rules that are asked where this school is kept: those another school has in place of them are not. */
function of<S>(rules: readonly Rule<S>[], { name }: School): readonly Rule<S>[] {
  let asked = ASKED.get(rules);
  if (!asked) ASKED.set(rules, (asked = new Map()));
  const known = asked.get(name) ?? rules.filter((r) => !r.notOf?.includes(name));
  asked.set(name, known);
  return known as readonly Rule<S>[];
}
const ASKED = new WeakMap<readonly Rule<never>[], Map<School['name'], readonly Rule<never>[]>>();

/** Every check of AC runs, lugs, board and grid: one block a run, one for board and grid. */
export function assessAc(_: AcDesign, { runs, board, grid }: AcResults, memo: Memo): readonly (readonly Check[])[] {
  return [
    ...runs.map((r) => memo.keep(`run-checks/${r.inverter.id}`, [r], () => [...runChecks(r), ...supplyChecks(r)])),
    [
      ...ask(of(RULES.board, board.school), board, { element: 'board', path: board.board.label }, board.wanting),
      ...ask(RULES.grid, grid, { element: 'grid', path: 'grid connection' }, grid.wanting),
    ],
  ];
}

const asRun = ({ inverter: { id, tag } }: RunResult) => ({ element: 'run', path: `${tag} / AC run`, id }) as const;

/** The checks of breaker and conductors of one run. */
export const conductorChecks = (r: RunResult): Check[] => [
  ...ask(of(RULES.run, r.school), r, asRun(r), r.wanting),
  ...ask(of(RULES.conductor, r.school), r, asRun(r), r.wanting),
];

/** The checks of earth, fault and bay of one run. */
export function endChecks(r: RunResult): Check[] {
  const { id, tag } = r.inverter;
  const lug = { element: 'lug', path: `${tag} / AC bay`, id } as const;
  return [
    ...ask(of(RULES.earth, r.school), r, asRun(r), r.wanting),
    ...ask(RULES.fault, r, asRun(r), r.wanting),
    ...ask(RULES.bay, r, lug, r.wanting),
  ];
}

/** The checks of one run, from design current to torque. */
export const runChecks = (r: RunResult): Check[] => [...conductorChecks(r), ...endChecks(r)];

const supplyChecks = (r: RunResult): Check[] =>
  ask(RULES.supply, r, { element: 'grid', path: `${r.inverter.tag} / supply`, id: r.inverter.id }, r.wanting);
