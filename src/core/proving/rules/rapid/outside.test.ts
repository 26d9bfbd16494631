import { edges } from '../../../testing/edges';
import { shutDown } from '../../../testing/readings';
import { RAPID_OUTSIDE } from './outside';

/** 30 V within 30 s outside the array boundary: NFPA 70, 690.12(B)(1) (recalled). */
const read = (outsideV: number, seconds = 30) => shutDown({ outsideV, seconds });

edges(RAPID_OUTSIDE, () => ({
  holds: [read(30), read(0, 0)],
  // It only falls: what is too high later was too high at 30 s.
  stops: [read(30.1), read(30.1, 31), read(600, 5)],
  without: { 'reading within 30 s': read(30, 30.1) },
  numbers: [[read(12), { value: 12, limit: 30, margin: 60 }]],
  says: [[read(12, 20), /^12 V outside the array 20 s after it was worked; at most 30 V$/]],
}));
