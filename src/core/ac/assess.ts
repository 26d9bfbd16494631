import type { Check } from '../kernel/check';
import type { Memo } from '../kernel/memo';
import { ask } from '../kernel/rule';
import type { AcDesign } from './part';
import type { AcResults, RunResult } from './results';
import { AC_RULES as RULES } from './rules';

/** Every check of AC runs, lugs, board and grid: one block a run, one for board and grid. */
export function assessAc(_: AcDesign, { runs, board, grid }: AcResults, memo: Memo): readonly (readonly Check[])[] {
  return [
    ...runs.map((r) => memo.keep(`run-checks/${r.inverter.id}`, [r], () => [...runChecks(r), ...supplyChecks(r)])),
    [
      ...ask(RULES.board, board, { element: 'board', path: board.board.label }, board.wanting),
      ...ask(RULES.grid, grid, { element: 'grid', path: 'grid connection' }, grid.wanting),
    ],
  ];
}

/** The checks of one run, from design current to torque. */
export function runChecks(r: RunResult): Check[] {
  const { id, tag } = r.inverter;
  const run = { element: 'run', path: `${tag} / AC run`, id } as const;
  const lug = { element: 'lug', path: `${tag} / AC bay`, id } as const;
  return [
    ...ask(RULES.run, r, run, r.wanting),
    ...ask(RULES.conductor, r, run, r.wanting),
    ...ask(RULES.earth, r, run, r.wanting),
    ...ask(RULES.fault, r, run, r.wanting),
    ...ask(RULES.bay, r, lug, r.wanting),
  ];
}

const supplyChecks = (r: RunResult): Check[] =>
  ask(RULES.supply, r, { element: 'grid', path: `${r.inverter.tag} / supply`, id: r.inverter.id }, r.wanting);
