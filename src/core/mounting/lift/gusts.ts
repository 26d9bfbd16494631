import type { LiftMeans } from './liftWay';

/** Gusts over which nobody lifts, m/s: a unit on the hook swings, one in the hands pulls (common practice). */
export const GUST_MOST_MS: Readonly<Record<LiftMeans, number>> = { hand: 12, 'lift table': 8, hoist: 8 };
