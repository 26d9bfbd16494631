import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { crewOf } from '../../lift/crewOf';
import type { HungUnit } from '../../results';

/** With gear one guides and one works it, however heavy the unit (common practice). */
const WITH_GEAR = 2;

/** People planned at the unit against the floor of the trade, and whether they mean to do by hand what asks for gear. */
export const PEOPLE = rule<HungUnit>()({
  id: 'mounting.people',
  title: 'People planned for the lift',
  unit: 'people',
  basis: practice('floor of the trade by mass, handles and height'),
  needs: {
    crew: { as: 'mass, handles and centre of gravity of the unit', answer: crewOf },
    by: { as: 'how units go up on the wall', of: (h) => h.wall.lift.by },
    people: { as: 'people at the unit', of: (h) => h.wall.lift.people },
  },
  judge: ({ crew, by, people }) => {
    const least = by === 'hand' ? crew.people : Math.min(crew.people, WITH_GEAR);
    const bare = by === 'hand' && crew.gear === 'required';
    const verdict = bare || people < least ? 'stop' : by === 'hand' && crew.gear === 'advised' ? 'tight' : 'holds';
    return found(
      verdict,
      () => [
        `by ${by}: ${people} people planned, ${least} at least`,
        ...(bare ? ['not by hand: hoist or lift table'] : []),
        ...(verdict === 'tight' ? ['gear is advised: the lead accepts it by hand with a reason, on record'] : []),
      ],
      { value: people, limit: least, margin: (100 * (people - least)) / least },
    );
  },
});
