import type { BoardLoad, GridLoad } from '../ac/boardLoad';
import { acResults } from '../ac/results';
import { Memo } from '../kernel/memo';
import type { Board } from '../site/parts';
import type { Survey } from '../site/survey';
import type { AcRun } from '../ac/part';
import { BOARD, runOf, siteOf } from './examples';

/** The board of a site of like units of 160 A, with what a test wants changed. */
export function boardLoad(units: number, board: Partial<Board>, survey: Partial<Survey> = {}): BoardLoad {
  const d = siteOf(units, []);
  return acResults({ ...d, board: { ...d.board, ...board }, survey: { ...d.survey, ...survey } }, new Memo()).board;
}

/** The board of a site of like units on runs of 60 m that hold, behind 30 m of main cable, with what a test wants changed. */
export function loadedBoard(
  units: number,
  over: { readonly board?: Partial<Board>; readonly run?: Partial<AcRun>; readonly survey?: Partial<Survey> } = {},
): BoardLoad {
  const d = siteOf(units, []);
  const runs = d.inverters.map((u) => runOf(u.id, over.run));
  const design = { ...d, runs, board: { ...BOARD, ...over.board }, survey: { ...d.survey, ...over.survey } };
  return acResults(design, new Memo()).board;
}

/** The same board before anybody drew a run to it. */
export function withoutRuns(units: number, board: Partial<Board>): BoardLoad {
  const d = siteOf(units, []);
  return acResults({ ...d, board: { ...d.board, ...board }, runs: [] }, new Memo()).board;
}

/** The grid connection of a site of like units of 110 kVA. */
export function gridLoad(units: number, survey: Partial<Survey>): GridLoad {
  const d = siteOf(units, []);
  return acResults({ ...d, survey: { ...d.survey, ...survey } }, new Memo()).grid;
}
