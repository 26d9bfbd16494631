import type { InverterType } from '../../equipment/inverterType';

/** A unit as it hangs: what whoever mounted it counted, looked at and laid a level on. */
export interface MountedReading {
  readonly type: InverterType;
  readonly safetyScrews: number;
  /** Fixings of the bracket that were torqued. */
  readonly fixings: number;
  readonly rollDeg: number;
  /** Back from upright; forward is negative. */
  readonly backDeg: number;
  readonly clearancesKept: boolean;
  readonly hooksEngaged: boolean;
}
