import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** A minute either way of the phone. */
const MOST_S = 60;

/** The clock of the unit goes right and knows its zone: events of two units are read side by side later. */
export const SET_UP_CLOCK = rule<SetUpReading>()({
  id: 'proving.set-up-clock',
  title: 'Clock of the unit',
  unit: 's',
  basis: practice('within 60 s of the phone, zone set'),
  needs: {},
  judge: (_, { clockAheadS, zoneSet }) => {
    const j = atMost({
      value: Math.abs(clockAheadS),
      limit: MOST_S,
      working: () => [`${clockAheadS} s ahead of the phone, ${MOST_S} s either way`],
    });
    return zoneSet ? j : withVerdict(j, 'stop', () => ['its time zone is not set']);
  },
});
