import { torqueTarget } from '../../ac/torque';
import type { TorqueTarget } from '../../ac/torque';
import type { SiteDesign } from '../../design';
import { lineOf } from '../../site/line';
import type { TorqueJoint } from './torqueJoint';
import { jointsOf } from './torqueJoint';

/** The power joints of a unit as the design draws them: none where it does not know the unit. */
export interface UnitJoints {
  readonly joints: readonly TorqueJoint[];
  /** Of the unit's own studs; undefined where nothing gives one. */
  readonly studs: TorqueTarget | undefined;
}

export function jointsAt(design: SiteDesign, unitId: string): UnitJoints {
  const on = lineOf(design).unit(unitId);
  const run = design.runs.find((r) => r.inverterId === unitId);
  return on
    ? { joints: jointsOf(on.type.wiring, run), studs: torqueTarget(on.type.bay, run) }
    : { joints: [], studs: undefined };
}

/** What a joint is tightened to, N·m: the unit's studs as the design says, the board as it is printed there. Null where it has no such joint, or no target. */
export const targetNmOf = ({ joints, studs }: UnitJoints, at: string, boardTargetNm: number): number | null => {
  const end = joints.find((j) => j.at === at)?.end;
  if (end === undefined) return null;
  return end === 'board' ? boardTargetNm : (studs?.setNm ?? null);
};
