import { edges } from '../../../testing/edges';
import { device } from '../../../testing/residualDevices';
import { RESIDUAL_TIMES } from './times';

// Times of IEC 61008-1, Table 1, and the smooth ramp of IEC 62423 (recalled).
edges(RESIDUAL_TIMES, () => ({
  holds: [
    device(),
    device({ rampMa: 1100 }),
    device({ smoothRamp: true, rampMa: 2200 }),
    device({ delayed: true, atRatedMs: 130, atFiveMs: 400 }),
    device({ delayed: true, atRatedMs: 500 }),
    device({ atFiveMs: null }),
  ],
  stops: [
    device({ atRatedMs: 300.1 }),
    device({ atFiveMs: 40.1 }),
    device({ tripsAtHalf: true }),
    device({ rampMa: 549 }),
    device({ rampMa: 1101 }),
    device({ smoothRamp: true, rampMa: 2201 }),
    device({ delayed: true, atRatedMs: 129 }),
    device({ delayed: true, atRatedMs: 501 }),
  ],
  without: {},
  says: [
    [device(), /in their bands/],
    [
      device({ tripsAtHalf: true, atRatedMs: 310, atFiveMs: 50, rampMa: 2000 }),
      /half/,
      /310 ms at 1 ×/,
      /50 ms at 5 ×/,
      /outside 550 to 1100 mA/,
    ],
    [device({ delayed: true, atRatedMs: 90 }), /outside 130 to 500 ms/],
  ],
}));
