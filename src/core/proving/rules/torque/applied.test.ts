import { torqueTarget } from '../../../ac/torque';
import { edges } from '../../../testing/edges';
import { T100 } from '../../../testing/examples';
import { APPLIED_TORQUE } from './applied';

const silent = torqueTarget({ ...T100.bay, torqueMinNm: null, torqueMaxNm: null }) ?? null;
const applied = (appliedNm: number, target = torqueTarget(T100.bay) ?? null) => ({
  appliedNm,
  joints: 5,
  witnessMarks: true,
  target,
});

edges(APPLIED_TORQUE, {
  holds: [applied(20), applied(25), applied(30)],
  // Nothing on the sheet: the typical range of M10 is the same 20 to 30 N·m, but a print beside the stud outranks it.
  tight: [applied(20, silent), applied(30, silent)],
  stops: [applied(19.99), applied(30.01), applied(19.99, silent), applied(30.01, silent)],
  without: { 'torque of the AC studs': applied(25, null) },
  numbers: [
    [applied(28), { value: 28, limit: 30, margin: (100 * 2) / 30 }],
    [applied(21), { value: 21, limit: 20, margin: 5 }],
  ],
  says: [
    [applied(25), /^25 N·m on 5 joints; window 20 to 30 N·m$/],
    [applied(25, silent), /./, /print beside the stud decides/],
  ],
});
