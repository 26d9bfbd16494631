import type { MilpSolver } from '../../kernel/milp';
import type { WallPlace } from './problem';

/** What a search for places may use. */
export interface SearchTime {
  /** A clock in seconds. */
  readonly nowS: () => number;
  readonly timeLimitS: number;
  /** Takes on what the search does not prove soon; none where left out. */
  readonly solver?: MilpSolver | undefined;
}

export interface WallLayout {
  /** Where each unit hangs, in the order given; null where not all of them fit, or none was found in time. */
  readonly places: readonly WallPlace[] | null;
  /** Σ cable, weighted; infinite without a layout. */
  readonly cost: number;
  /** No layout of this grid is cheaper than this; infinite where it is proved that they do not fit. */
  readonly bound: number;
  /** `proved`: nothing cheaper exists on this grid, or nothing fits at all. */
  readonly proof: 'proved' | 'gap';
}
