import type { TorqueTarget } from '../../ac/torque';

/** One joint, torqued and marked, with its target; null where nothing gives one. */
export interface JointReading {
  readonly at: string;
  /** Null: this joint was left out. */
  readonly appliedNm: number | null;
  readonly marked: boolean;
  readonly target: Pick<TorqueTarget, 'lowNm' | 'highNm' | 'origin' | 'source'> | null;
  /** Whether the target lies where the tool is accurate; null while its range is not given. */
  readonly toolHolds: boolean | null;
}
