import { edges } from '../../../testing/edges';
import type { LiftWay } from '../../lift/liftWay';
import { hungUnit } from '../../../testing/subjects';
import { FLOOR_LOAD } from './floor';

/** 180 kg of frame and load on four wheels of 25 × 50 mm: 441.2993 N and 353.0394 kPa (M11). */
const wheeled = (over: Partial<LiftWay> = {}, massKg: number | null = 112) =>
  hungUnit({
    type: { massKg },
    lift: { onWheels: true, trolleyKg: 68, wheels: 4, wheelMm2: 1250, floorKpa: 400, ...over },
  });

edges(FLOOR_LOAD, () => ({
  holds: [wheeled(), wheeled({ floorKpa: 353.04 }), hungUnit()],
  stops: [wheeled({ floorKpa: 353.03 }), wheeled({ wheels: 2 })],
  without: { 'mass of the unit': wheeled({}, null), 'whether it is moved on wheels': wheeled({ onWheels: null }) },
  numbers: [[wheeled(), { value: 353.0394, limit: 400 }]],
  says: [
    [wheeled(), /= 441 N a wheel on 1250 mm²: 353 kPa, floor 400 kPa$/, /plates/],
    [
      wheeled({ trolleyKg: null, wheels: null, wheelMm2: null, floorKpa: null }),
      /^Missing: mass of the trolley, wheels that carry, area under a wheel, pressure the floor may take$/,
    ],
  ],
}));
