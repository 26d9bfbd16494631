import { torqueTarget } from '../../../ac/torque';
import { edges } from '../../../testing/edges';
import { T100 } from '../../../testing/examples';
import { APPLIED_TORQUE } from './applied';

const silent = torqueTarget({ ...T100.bay, torqueMinNm: null, torqueMaxNm: null }) ?? null;
const applied = (appliedNm: number | null, target = torqueTarget(T100.bay) ?? null) => ({
  at: 'unit L1',
  appliedNm,
  marked: true,
  target,
  toolHolds: true,
});

edges(APPLIED_TORQUE, () => ({
  holds: [applied(20), applied(25), applied(30)],
  // Nothing on the sheet: the typical range of M10 is the same 20 to 30 N·m, but a print beside the stud outranks it.
  tight: [applied(20, silent), applied(30, silent)],
  stops: [applied(19.99), applied(30.01), applied(19.99, silent), applied(30.01, silent)],
  without: { 'torque of this joint': applied(25, null), 'torque applied to every joint': applied(null) },
  numbers: [
    [applied(28), { value: 28, limit: 30, margin: (100 * 2) / 30 }],
    [applied(21), { value: 21, limit: 20, margin: 5 }],
  ],
  says: [
    [applied(25), /^unit L1: 25 N·m; window 20 to 30 N·m$/],
    [applied(25, silent), /./, /print beside the stud decides/],
  ],
}));
