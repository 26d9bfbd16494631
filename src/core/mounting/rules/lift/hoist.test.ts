import { edges } from '../../../testing/edges';
import { hoisted } from '../../../testing/lifts';
import { hungUnit } from '../../../testing/subjects';
import { HOIST } from './hoist';

edges(HOIST, () => ({
  // 0.6 of 200 kg holds, 0.96 of 125 kg is tight (M11); 80 % is the last that holds.
  holds: [hoisted(), hoisted({ ratedKg: 150 }), hungUnit()],
  tight: [hoisted({ ratedKg: 149.9 }), hoisted({ ratedKg: 125 }), hoisted({ ratedKg: 120 })],
  stops: [hoisted({ ratedKg: 119.9 })],
  without: { 'mass of the unit': hoisted({}, {}, null), 'rating of the hoist': hoisted({ ratedKg: null }) },
  numbers: [[hoisted({ ratedKg: 125 }), { value: 120, limit: 125, margin: 4 }]],
  says: [[hoisted(), /^112 kg \+ 8 kg of rigging = 120\.0 kg on a hoist of 200 kg$/]],
}));
