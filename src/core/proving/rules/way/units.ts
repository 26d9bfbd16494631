import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { WayReading } from '../../readings/wayReading';

/** Whether every unit of a way answers over it, and there are as many as the plan has. */
export const WAY_UNITS = rule<WayReading>()({
  id: 'proving.way-units',
  title: 'Every unit answers over the way',
  unit: 'units',
  basis: practice('every unit on it asked with all of them powered: one that is off may hide those behind it'),
  needs: {
    planned: { as: 'this way in the release', of: (r) => r.planned },
    units: {
      as: 'units on the way by the plan',
      of: (r) => (r.planned?.units === undefined ? r.unitsOn : r.planned.units),
    },
    tried: { as: 'units on the way', of: (r) => (r.unitsOn > 0 ? r.unitsOn : null) },
  },
  judge: ({ planned, units, tried }, { unitsAnswered }) =>
    found(
      unitsAnswered === tried && tried === units ? 'holds' : 'stop',
      () => [
        `${unitsAnswered} of ${tried} answer over ${planned.label}`,
        ...(tried === units ? [] : [`${units} are planned on it`]),
      ],
      { value: unitsAnswered, limit: units },
    ),
});
