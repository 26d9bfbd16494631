/** A pair as travelling waves see it: nodes joined by sections of line, with what lies across the pair at each node. */

export interface Section {
  readonly from: number;
  readonly to: number;
  readonly delayNs: number;
  /** Loop loss, lumped half and half at its two ends. */
  readonly loopOhm: number;
  /** D1 and D0 changed for one another on the way. */
  readonly crossed?: boolean;
}
export interface Network {
  readonly impedanceOhm: number;
  readonly sections: readonly Section[];
  /** Receivers, terminators and bias across the pair at every node, S. */
  readonly acrossS: readonly number[];
  /** Capacitors across the pair, with what stands in series to them, Ω; 0: nothing. */
  readonly capacitors?: readonly { readonly at: number; readonly farad: number; readonly seriesOhm: number }[];
}

/** A driver: a source that rises in a straight line from 0, behind its resistance. */
export interface Driver {
  readonly openV: number;
  readonly ohm: number;
  readonly riseNs: number;
}
