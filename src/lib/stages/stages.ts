import { DISCIPLINES } from '$core/design';
import type { LineElement } from '$core/kernel/check';

/** The stages of a site in the order in which crews work: the survey, every discipline, then what happens on site. */
export const STAGES: readonly (readonly [path: string, title: string])[] = [
  ['survey', 'Survey'],
  ...DISCIPLINES.map((d) => [d.name, d.title] as const),
  ['log', 'Site log'],
  ['energise', 'Energise'],
  ['handover', 'Hand-over'],
];

/** The stage in which an element of the line is worked on: its discipline's, or the survey. */
export const stageOf = (element: LineElement): string =>
  DISCIPLINES.find((d) => d.elements.some((e) => e === element))?.name ?? 'survey';
