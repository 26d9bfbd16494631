import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { PEOPLE } from './people';

const of = (lift: NonNullable<Parameters<typeof hungUnit>[0]>['lift'], over: Parameters<typeof hungUnit>[0] = {}) =>
  hungUnit({ ...over, lift });

// The unit of 84 kg at 0.7 m: two people, gear advised. Over 1.4 m of hands: gear required (common practice, handbook floor).
edges(PEOPLE, () => ({
  holds: [
    of({}, { type: { massKg: 110 } }),
    of({}, { type: { massKg: 121 } }),
    of({ people: 1 }, { type: { massKg: 25 } }),
    of({}),
    of({ by: 'hoist', people: 3 }),
    of({ by: 'hand' }, { type: { massKg: 50 } }),
  ],
  tight: [of({ by: 'hand' })],
  stops: [
    of({ people: 1 }),
    of({ by: 'hand' }, { at: { yMm: 841 } }),
    of({ by: 'hand', people: 2 }, { type: { massKg: 100 } }),
  ],
  without: {
    'mass, handles and centre of gravity of the unit': hungUnit({ type: { massKg: null } }),
    'how units go up on the wall': of({ by: null }),
    'people at the unit': of({ people: null }),
  },
  numbers: [[of({ people: 3 }), { value: 3, limit: 2, margin: 50 }]],
  says: [
    [of({ by: 'hand' }), /^by hand: 2 people planned, 2 at least$/, /with a reason/],
    [of({ by: 'hand' }, { at: { yMm: 841 } }), /./, /^not by hand: hoist or lift table$/],
  ],
}));
