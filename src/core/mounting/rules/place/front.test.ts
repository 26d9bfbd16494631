import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { FRONT } from './front';

const free = (frontMm: number | null, body = {}) => hungUnit({ wall: { frontMm }, body });
const nec = (frontMm: number, lineV: number | null, wall = {}, over = {}) =>
  hungUnit({ wall: { frontMm, ...wall }, survey: { school: 'NEC', lineV, ...over }, body: { frontMm: 900 } });

edges(FRONT, () => ({
  holds: [
    free(1000),
    free(700, { frontMm: 500 }),
    // 480 V wye: 277 V to ground; 914, 1067 and 1219 mm opposite nothing, grounded and live parts. Delta: 480 V to ground.
    nec(914, 480, { facing: '1' }),
    nec(1067, 480),
    nec(1219, 480, { facing: '3' }),
    nec(1219, 800, {}, { service: 'delta ungrounded, shared' }),
  ],
  stops: [
    free(999),
    free(699, { frontMm: 500 }),
    nec(913, 480, { facing: '1' }),
    nec(1066, 480),
    nec(1218, 480, { facing: '3' }),
    nec(1218, 800, {}, { service: 'delta ungrounded, shared' }),
  ],
  without: { 'space that is asked for in front': nec(2000, null), 'free before the wall': free(null) },
  numbers: [
    [free(1100), { value: 1100, limit: 1000, margin: 10 }],
    [nec(2000, 800), { limit: 1067 }],
  ],
  says: [
    [nec(2000, 480, { facing: null }), /^Missing: what is opposite the wall$/],
    [nec(2000, 480, {}, { service: null }), /^Missing: supply and its earthing$/],
    [hungUnit({ body: { frontMm: null }, type: { ratedW: 300_000 } }), /^Missing: free in front of T100$/],
    [free(1500), /^1500 mm free, 1000 mm asked for \(IEC\)$/],
  ],
}));
