/** How a site stands in the yard. A deleted one is out of sight and can be put back: its record is never taken away. */
export const STANDINGS = ['open', 'archived', 'deleted'] as const;
export type Standing = (typeof STANDINGS)[number];
/** How far the work on a site is. */
export const STAGES_OF_WORK = ['design', 'released', 'on site'] as const;
