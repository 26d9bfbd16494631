import { edges } from '../../../testing/edges';
import { hoisted } from '../../../testing/lifts';
import { hungUnit } from '../../../testing/subjects';
import { BEAM } from './beam';

edges(BEAM, () => ({
  // 112 kg over a fixed pulley: 2.318728 kN (M11); with 8 kg of rigging 120/112 of that.
  holds: [hoisted(), hoisted({ riggingKg: 0, pulley: true, beamKn: 2.3188 }), hungUnit()],
  stops: [hoisted({ riggingKg: 0, pulley: true, beamKn: 2.3187 }), hoisted({ beamKn: 1.17 })],
  without: {
    'mass of the unit': hoisted({}, {}, null),
    'load allowed where the hoist hangs': hoisted({ beamKn: null }),
  },
  numbers: [
    [hoisted({ riggingKg: 0, pulley: true, beamKn: 3 }), { value: 2.318728, limit: 3 }],
    [hoisted(), { value: 1.176798 }],
  ],
  says: [[hoisted({ pulley: null }), /^Missing: whether it runs over a fixed pulley$/]],
}));
