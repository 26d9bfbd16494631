import { edges } from '../../../testing/edges';
import { RESIDUAL_FIVE } from './times';

const general = (atFiveMs: number) => ({ delayed: false, atFiveMs });
const delayed = (atFiveMs: number) => ({ delayed: true, atFiveMs });

// Times of IEC 61008-1, Table 1 (recalled): 40 ms, 50 to 150 ms for type S.
edges(RESIDUAL_FIVE, () => ({
  holds: [general(40), general(12), delayed(50), delayed(150)],
  stops: [general(40.1), delayed(49.9), delayed(150.1), delayed(400)],
  without: {},
  numbers: [
    [general(3), { value: 3, limit: 40 }],
    [delayed(60), { value: 60, limit: 50 }],
    [delayed(140), { value: 140, limit: 150 }],
  ],
  says: [
    [general(50), /^50 ms at 5 ×: at most 40 ms$/],
    [delayed(160), /^160 ms at 5 ×: 50 to 150 ms$/],
  ],
}));
