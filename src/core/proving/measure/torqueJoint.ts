import type { TorqueTarget } from '../../ac/torque';
import { rangeOf } from '../../equipment/instrument';
import type { Instrument } from '../../equipment/instrument';
import type { InverterType } from '../../equipment/inverterType';
import type { AcRun } from '../../ac/part';

/** A joint of one unit, by the name that stands beside it. */
export interface TorqueJoint {
  readonly at: string;
  /** At the unit's own studs, or at the other end of the run. */
  readonly end: 'unit' | 'board';
}
/** The earth before the others, then from one side to the other: in this order they stand on the form. */
const LINES = ['PE', 'L1', 'L2', 'L3'] as const;
const ENDING: Readonly<Record<InverterType['wiring'], readonly string[]>> = {
  '5-wire': [...LINES, 'N'],
  '4-wire with neutral jumper': LINES,
  '3-wire plus PE': LINES,
};

/** Every power joint of a run: the conductors at the unit and at the board, and the external earth where one is drawn. */
export function jointsOf(
  wiring: InverterType['wiring'],
  run: Pick<AcRun, 'externalEarthMm2'> | undefined,
): TorqueJoint[] {
  const at = (end: TorqueJoint['end']) => ENDING[wiring].map((name): TorqueJoint => ({ at: `${end} ${name}`, end }));
  const chassis: TorqueJoint[] = run?.externalEarthMm2 ? [{ at: 'unit chassis earth', end: 'unit' }] : [];
  return [...chassis, ...at('unit'), ...at('board')];
}

/** A target as the print beside a terminal gives it, N·m: ±10 % (common practice). */
export const printedTarget = (targetNm: number): Pick<TorqueTarget, 'lowNm' | 'highNm'> => ({
  lowNm: 0.9 * targetNm,
  highNm: 1.1 * targetNm,
});

/** Share of its maximum from which a tool is accurate (ISO 6789; recalled). */
const TOOL_FROM = 0.2;

/** Whether a target lies where the tool is accurate, 0.2 to 1.0 of its maximum; null while its maximum is not given. */
export function toolHolds(instrument: Instrument | null, targetNm: number): boolean | null {
  const range = instrument && rangeOf(instrument, 'torque');
  return range ? targetNm >= TOOL_FROM * range.max && targetNm <= range.max : null;
}
