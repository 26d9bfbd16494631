import { edges } from '../../../testing/edges';
import { hoisted, slung } from '../../../testing/lifts';
import { hungUnit } from '../../../testing/subjects';
import { EYE_BOLT_LOAD } from './eyeBolts';

edges(EYE_BOLT_LOAD, () => ({
  // 34.99202° and 68.35671 kg on M8 of 95 kg: 0.7195443. Hook at 300: 49.39871°, no rating (M11).
  holds: [hoisted(), slung(2, 30), hungUnit()],
  tight: [hoisted({}, {}, 130), hoisted({ hookMm: 350 }, {}, 112)],
  stops: [hoisted({ hookMm: 300 }), hoisted({ hookMm: 349.9 }), hoisted({}, {}, 156)],
  without: { 'how the unit hangs on the hook': hoisted({ hookMm: null }) },
  numbers: [[hoisted(), { value: 68.3567114, limit: 95, margin: 28.0455669 }]],
  says: [
    [hoisted(), /^M8 at 35\.0°: 68\.4 kg on each, rated 95 kg$/, /shoulder/],
    [hoisted({ hookMm: 300 }), /^M8 at 49\.4°: over 45° there is no rating/, /./],
    [slung(2, 30), /^no eye bolts$/],
  ],
}));
