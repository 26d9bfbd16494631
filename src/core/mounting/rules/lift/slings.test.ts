import { edges } from '../../../testing/edges';
import { hoisted, slung } from '../../../testing/lifts';
import { hungUnit } from '../../../testing/subjects';
import { SLINGS } from './slings';

edges(SLINGS, () => ({
  // 112 kg on two legs at 45°: 79.19596 kg each, textile 5.436529 kN (M11).
  holds: [slung(2, 45, 5.4366), hoisted(), hungUnit(), slung(1, null, 8), slung(1, 60, 8)],
  tight: [slung(2, 46), hoisted({ hookMm: 340 })],
  stops: [slung(2, 45, 5.4365), hoisted({ hookMm: 200, breakingKn: 50 })],
  without: {
    'how the unit hangs on the hook': hoisted({ slung: null }),
    'breaking load of a leg': hoisted({ breakingKn: null }),
  },
  numbers: [
    [slung(2, 45), { value: 5.436529, limit: 7 }],
    [hoisted({ slung: 'slings', legs: 2, leanDeg: 45, rope: 'chain' }), { value: (5.4365292 * 4) / 7 }],
  ],
  says: [
    [slung(2, 45), /^2 legs at 45\.0° from plumb: T = 79\.2 kg each$/, /^T · g · 7 for textile = 5\.44 kN/],
    [slung(2, 50), /./, /./, /^over 45° from plumb/],
    [hoisted({ hookMm: 200, breakingKn: 50 }), /./, /./, /^no leg leans over 60°$/],
    [hungUnit(), /^no hoist$/],
    [hoisted({ rope: null, breakingKn: null }), /^Missing: what the legs are made of, breaking load of a leg$/],
  ],
}));
