import type { InverterType } from '../../equipment/inverterType';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { HungUnit } from '../results';
import type { HandleShares } from './handles';
import { handleShares } from './handles';
import { crewOf } from './crewOf';
import { liftLimit } from './liftingEquation';
import { teamLift } from './team';

/** The lift as it is reckoned where nobody typed another: hands 45 cm before the ankles, from 75 cm, one lift in five minutes, good grips (common practice). */
const ONCE = { horizontalCm: 45, twistDeg: 0, liftsPerMin: 0.2, hours: 1, coupling: 'good' } as const;
const FROM_CM = 75;
/** Over this no height of hands has a limit (NIOSH 94-110; recalled). */
const HANDS_MOST_CM = 175;

/** What each handle of a unit carries. Throws RangeError as `handleShares`. */
export function sharesOf({ massKg, body, name }: InverterType): Answer<HandleShares> {
  const { handles, centreXMm, centreYMm } = body;
  const missing = [
    ...(massKg === null ? [`mass of ${name}`] : []),
    ...(handles.length === 0 ? [`handles of ${name}`] : []),
    ...(centreXMm === null || centreYMm === null ? [`centre of gravity of ${name}`] : []),
  ];
  if (massKg === null || centreXMm === null || centreYMm === null || missing.length) return lacking(...missing);
  const inM = (p: { xMm: number; yMm: number }) => ({ xM: p.xMm / 1000, yM: p.yMm / 1000 });
  return known(handleShares(massKg, handles.map(inM), inM({ xMm: centreXMm, yMm: centreYMm })));
}

export interface LiftPlan {
  readonly crew: ReturnType<typeof crewOf>;
  /** What one person may lift at the start and, hooking on, at the end, kg; null where the crew is not known. */
  readonly onePerson: { readonly startKg: number; readonly endKg: number } | null;
  /** The crew of the floor by the lifting equation; null too where one may lift nothing up there. */
  readonly team: ReturnType<typeof teamLift> | null;
}

/** The lift of a unit onto its wall: the trade's floor beside what the lifting equation gives that crew. Start and end both count, the lower governs. */
export function liftPlan(h: HungUnit): LiftPlan {
  const crew = crewOf(h);
  if (crew.value === null || h.type.massKg === null) return { crew, onePerson: null, team: null };
  const handsCm = 100 * crew.value.handsM;
  const travelCm = Math.abs(Math.min(handsCm, HANDS_MOST_CM) - FROM_CM);
  const at = (verticalCm: number) => liftLimit({ ...ONCE, verticalCm, travelCm }).rwlKg;
  const onePerson = { startKg: at(FROM_CM), endKg: at(Math.min(handsCm, 300)) };
  const governs = Math.min(onePerson.startKg, onePerson.endKg);
  const people = Array.from({ length: crew.value.people }, () => governs);
  return { crew, onePerson, team: governs > 0 ? teamLift(h.type.massKg, people) : null };
}
