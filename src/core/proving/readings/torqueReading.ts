import type { TorqueTarget } from '../../ac/torque';

/** Joints of one unit, torqued and marked, with the target of its studs; null where nothing gives one. */
export interface TorqueReading {
  readonly appliedNm: number;
  readonly joints: number;
  readonly witnessMarks: boolean;
  readonly target: TorqueTarget | null;
}
