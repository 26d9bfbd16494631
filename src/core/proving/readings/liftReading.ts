import type { Check } from '../../kernel/check';
import type { LiftMeans } from '../../mounting/lift/liftWay';

/** A lift as whoever leads it says it stands, before anybody takes hold. */
export interface LiftReading {
  readonly by: LiftMeans;
  readonly gustMs: number;
  readonly wayFree: boolean;
  readonly nobodyBelow: boolean;
  readonly gearSeen: boolean;
  readonly handlesReady: boolean;
  /** Why the lead goes on where the plan is tight; empty where nothing is accepted. */
  readonly accepted: string;
  /** What the plan of the release says of this lift, by these means and with these people. */
  readonly planned: readonly Check[];
}
