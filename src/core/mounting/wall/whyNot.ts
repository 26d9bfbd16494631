import type { WallProblem } from './problem';
import type { SearchTime } from './layoutAnswer';
import { wallLayout } from './wallLayout';

/** One change that would make the units fit, tried and found to do it. */
export interface Fix {
  readonly change: string;
  readonly cost: number;
}

/** Changes worth a try, the smallest first. */
function changesOf(problem: WallProblem): { change: string; problem: WallProblem }[] {
  const { face, obstructions, units } = problem;
  return [
    ...(problem.stacking
      ? []
      : [{ change: 'hang them one over the other as well', problem: { ...problem, stacking: true } }]),
    ...(problem.gaps === 'sum'
      ? [
          {
            change: 'let two units share a gap, where their manuals allow it',
            problem: { ...problem, gaps: 'larger' as const },
          },
        ]
      : []),
    ...obstructions.map((o) => ({
      change: `move ${o.label} out of the way`,
      problem: { ...problem, obstructions: obstructions.filter((x) => x !== o) },
    })),
    ...(face.topMostMm === null
      ? []
      : [
          {
            change: `let tops stand over ${face.topMostMm} mm, with a platform for service`,
            problem: { ...problem, face: { ...face, topMostMm: null } },
          },
        ]),
    { change: 'hang one unit fewer here', problem: { ...problem, units: units.slice(0, -1) } },
  ];
}

/** What would make units fit that do not: each change tried by itself. Empty where no single one of them does it. */
export const fixesFor = (problem: WallProblem, time: SearchTime): Fix[] =>
  changesOf(problem).flatMap(({ change, problem: changed }) => {
    const { places, cost } = wallLayout(changed, time);
    return places ? [{ change, cost }] : [];
  });
