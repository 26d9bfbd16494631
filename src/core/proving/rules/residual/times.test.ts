import { edges } from '../../../testing/edges';
import { device } from '../../../testing/residualDevices';
import { RESIDUAL_TIMES } from './times';

// Times of IEC 61008-1, Table 1 (recalled): 300 ms, 130 to 500 ms for type S.
edges(RESIDUAL_TIMES, () => ({
  holds: [device(), device({ delayed: true, atRatedMs: 130 }), device({ delayed: true, atRatedMs: 500 })],
  stops: [
    device({ atRatedMs: 300.1 }),
    device({ delayed: true, atRatedMs: 129 }),
    device({ delayed: true, atRatedMs: 501 }),
  ],
  without: {},
  numbers: [
    [device({ atRatedMs: 0 }), { value: 0, limit: 300 }],
    [device({ delayed: true, atRatedMs: 200 }), { value: 200, limit: 130 }],
    [device({ delayed: true, atRatedMs: 315 }), { value: 315, limit: 500 }],
  ],
  says: [
    [device({ atRatedMs: 310 }), /^310 ms at 1 ×: at most 300 ms$/],
    [device({ delayed: true, atRatedMs: 90 }), /^90 ms at 1 ×: 130 to 500 ms$/],
  ],
}));
