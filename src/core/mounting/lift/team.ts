import type { Judged } from '../../kernel/judgement';
import { requirePositive } from '../../kernel/require';

/** How many carry a unit: what the lifting equation allows a team beside the floor that the trade keeps. Both are shown; the worse counts. */

export const TEAM_SCHOOLS = ['share of the sum', 'EN 1005-2'] as const;

/** Share of the sum of what each may lift that a team may: 1, 2/3, 1/2 (common practice after HSE L23; recalled), or 0.85 for two (EN 1005-2; recalled). */
function teamFactor(people: number, school: (typeof TEAM_SCHOOLS)[number]): number {
  if (people === 1) return 1;
  if (school === 'EN 1005-2') {
    if (people > 2) throw new RangeError(`rwlKg must be of one or two people with EN 1005-2 (got ${people})`);
    return 0.85;
  }
  return people === 2 ? 2 / 3 : 1 / 2;
}

/** Over this share of what it may lift a team is told to take gear. */
const INDEX_FOR_GEAR = 3;

/** What a team may lift, kg: k·Σ RWL, and the lifting index of a mass in its hands: ≤ 1 holds, ≤ 3 tight, over it gear. Throws RangeError without people. */
export function teamLift(
  massKg: number,
  rwlKg: readonly number[],
  school: (typeof TEAM_SCHOOLS)[number] = 'share of the sum',
): { factor: number; capacityKg: number; index: number; verdict: Judged } {
  requirePositive({ massKg }, 'massKg');
  if (rwlKg.length === 0) throw new RangeError('rwlKg must have one person at least (got none)');
  rwlKg.forEach((kg) => requirePositive({ rwlKg: kg }, 'rwlKg'));
  const factor = teamFactor(rwlKg.length, school);
  const capacityKg = factor * rwlKg.reduce((sum, kg) => sum + kg, 0);
  const index = massKg / capacityKg;
  return { factor, capacityKg, index, verdict: index <= 1 ? 'holds' : index <= INDEX_FOR_GEAR ? 'tight' : 'stop' };
}

export interface CrewAsked {
  readonly massKg: number;
  readonly fourHandles: boolean;
  /** Centre of gravity off the middle, percent of the length. */
  readonly offMiddlePercent: number;
  /** Hands at the bracket over the floor, m. */
  readonly handsM: number;
  /** The sheet says: by gear only. */
  readonly gearOnly: boolean;
}
export interface CrewFloor {
  readonly people: number;
  readonly gear: 'none' | 'advised' | 'required';
}

/** The floor of the trade (common practice): fewer people than this stop the lift. */
const GEAR_OVER_KG = 120;
const GEAR_OVER_HEAD_KG = 55;
const HANDS_MOST_M = 1.4;
const MIDDLE_PERCENT = 10;

/** People and gear that the trade keeps as its floor, by mass, handles and height: the first that fits. */
export function crewFloor(q: CrewAsked): CrewFloor {
  requirePositive(q, 'massKg');
  if (q.gearOnly || q.massKg > GEAR_OVER_KG || (q.massKg > GEAR_OVER_HEAD_KG && q.handsM > HANDS_MOST_M))
    return { people: 2, gear: 'required' };
  if (q.massKg <= 25) return { people: 1, gear: 'none' };
  if (q.massKg <= 55) return { people: 2, gear: 'none' };
  if (q.massKg <= 95 && q.fourHandles && q.offMiddlePercent <= MIDDLE_PERCENT) return { people: 2, gear: 'advised' };
  return { people: 3, gear: 'advised' };
}
