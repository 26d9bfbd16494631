import { edges } from '../../../testing/edges';
import { device } from '../../../testing/residualDevices';
import { RESIDUAL_RAMP } from './ramp';

// IEC 61008-1: trips between half its rating and its rating; IEC 62423: up to twice of it on a smooth ramp (recalled). Rated 1100 mA.
edges(RESIDUAL_RAMP, () => ({
  holds: [
    device(),
    device({ rampMa: 1100 }),
    device({ smoothRamp: true, rampMa: 550 }),
    device({ smoothRamp: true, rampMa: 2200 }),
  ],
  stops: [
    device({ tripsAtHalf: true }),
    device({ rampMa: 549 }),
    device({ rampMa: 1101 }),
    device({ smoothRamp: true, rampMa: 549 }),
    device({ smoothRamp: true, rampMa: 2201 }),
  ],
  without: {},
  numbers: [
    [device({ rampMa: 800 }), { value: 800, limit: 550 }],
    [device({ rampMa: 900 }), { value: 900, limit: 1100 }],
    [device({ smoothRamp: true, rampMa: 1900 }), { value: 1900, limit: 2200 }],
  ],
  says: [
    [device({ rampMa: 900 }), /^trips at 900 mA of a mains ramp: 550 to 1100 mA$/, /^stays on at half/],
    [device({ smoothRamp: true, rampMa: 2300, tripsAtHalf: true }), /smooth ramp: 550 to 2200 mA$/, /^trips at half/],
  ],
}));
