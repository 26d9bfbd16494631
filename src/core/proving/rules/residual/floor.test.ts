import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { device } from '../../../testing/residualDevices';
import { residualFloorMa } from '../../measure/residualDevice';
import { RESIDUAL_FLOOR } from './floor';

edges(RESIDUAL_FLOOR, () => ({
  holds: [device(), device({ ratedMa: 300, apparentKva: 30 })],
  stops: [device({ ratedMa: 1099 }), device({ ratedMa: 299, apparentKva: 25 })],
  without: {},
  numbers: [[device({ ratedMa: 1375 }), { value: 1375, limit: 1100, margin: 25 }]],
  says: [[device(), /max\(300 mA, 10 mA × 110 kVA\) = 1100 mA; fitted 1100 mA/]],
}));

it('asks 1100 mA of 110 kVA, and 300 mA at least (worked value)', () =>
  expect([110, 25].map(residualFloorMa)).toEqual([1100, 300]));
