import { edges } from '../../../testing/edges';
import { stringTest } from '../../../testing/readings';
import { LIKENESS } from './likeness';

/** d modules under the median of the sisters: V = V_ref (1 − d/n), n = 18. */
const missing = (d: number) => stringTest({ sistersV: [899, 900, 2000], voltageV: 900 * (1 - d / 18) });
/** A short string shows 5 % before a quarter of a module (IEC 62446-1, 6.5). */
const short = (percent: number) =>
  stringTest({ modules: 4, sistersV: [200, 200, 200], voltageV: 200 * (1 - percent / 100) });

edges(LIKENESS, () => ({
  holds: [missing(0), missing(0.2499), missing(-0.2499), short(4.99)],
  tight: [missing(0.2501), missing(0.4999), missing(-0.4999), short(5.01)],
  stops: [missing(0.5001), missing(-0.5001), missing(1)],
  without: {},
  numbers: [[missing(1), { value: 850, limit: 900 }]],
}));
