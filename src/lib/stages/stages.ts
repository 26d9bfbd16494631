import { DISCIPLINES } from '$core/design';
import type { LineElement } from '$core/kernel/check';

export interface StageLink {
  readonly path: string;
  readonly title: string;
  /** Elements of the line that stand under it in the bar. */
  readonly elements: readonly LineElement[];
}

/** The stage in which an element of the line is worked on: its discipline's, or the survey. */
export const stageOf = (element: LineElement): string =>
  DISCIPLINES.find((d) => d.elements.some((e) => e === element))?.name ?? 'survey';

/** The stages of a site in the order in which crews work: the survey, the plan, every discipline, then what happens on site. The grid stands behind the board, where the line ends. */
export const STAGES: readonly StageLink[] = [
  { path: 'survey', title: 'Survey', elements: ['module'] },
  { path: 'plan', title: 'Plan', elements: [] },
  ...DISCIPLINES.map((d) => ({
    path: d.name,
    title: d.title,
    elements: d.elements.some((e) => e === 'board') ? [...d.elements, 'grid' as const] : d.elements,
  })),
  { path: 'log', title: 'Site log', elements: [] },
  { path: 'energise', title: 'Energise', elements: [] },
  { path: 'handover', title: 'Hand-over', elements: [] },
];
