import { edges } from '../../../testing/edges';
import { mountedReading } from '../../../testing/mountedReadings';
import { FIXINGS } from './fixings';

const HOLE = { xMm: 0, yMm: 0 };
const of = (fixings: number, holes = 0) =>
  mountedReading({ fixings, body: { bracketHoles: Array.from({ length: holes }, () => HOLE) } });

edges(FIXINGS, () => ({
  holds: [of(4), of(6, 6), of(2, 2)],
  stops: [of(3), of(5, 6), of(1, 2)],
  numbers: [[of(5, 6), { value: 5, limit: 6 }]],
  without: {},
  says: [[of(3), /^3 torqued, 4 wanted$/]],
}));
