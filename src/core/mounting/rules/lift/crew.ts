import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { crewOf } from '../../lift/crewOf';
import type { HungUnit } from '../../results';

/** People and gear that the trade keeps as its floor for this unit at this height. Gear that is required is said as a caution: without it nobody lifts. */
export const CREW = rule<HungUnit>()({
  id: 'mounting.crew',
  title: 'Crew and gear to hang it',
  unit: 'people',
  basis: practice('floor of the trade by mass, handles and height'),
  needs: { crew: { as: 'mass, handles and centre of gravity of the unit', answer: crewOf } },
  judge: ({ crew }, { type }) =>
    found(crew.gear === 'none' ? 'holds' : 'tight', () => [
      `${type.massKg} kg, hands at ${crew.handsM.toFixed(2)} m: ${crew.people} people at least, gear ${crew.gear}`,
      crew.gear === 'required'
        ? 'hoist or lift table: not by hand'
        : 'the lifting equation allows two to four people less than this',
    ]),
});
