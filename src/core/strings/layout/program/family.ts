import type { MilpBuilder } from '../../../kernel/milp';
import type { LayoutCount, LayoutProblem } from '../problem';

export const INFINITE = Number.POSITIVE_INFINITY;

/** Column of strings of plane, unit and length: whole numbers. */
export interface StringColumn {
  readonly plane: number;
  readonly unit: number;
  readonly modules: number;
  readonly column: number;
}

/** Puts into place the values that a family's columns have in a layout given by its counts. Later families read earlier ones. */
export type Writer = (values: number[], counts: readonly LayoutCount[]) => void;

/** What the families of columns share while a program is built. */
export interface Building {
  readonly problem: LayoutProblem;
  readonly b: MilpBuilder;
  /** Classes of planes, and the class of each plane. */
  readonly classes: readonly string[];
  readonly classAt: readonly number[];
  readonly strings: StringColumn[];
  readonly writers: Writer[];
}

/** Lengths of strings of a class, each once, as their columns stand. */
export const lengthsOf = ({ strings, classAt }: Building, cls: number): number[] => [
  ...new Set(strings.filter((s) => classAt[s.plane] === cls).map((s) => s.modules)),
];

/** DC power of a string on its unit, W. */
export const wattsOf = ({ problem }: Building, s: StringColumn): number =>
  s.modules * (problem.planes[s.plane]?.moduleW ?? 0);
