import { edges } from '../../../testing/edges';
import { reading } from '../../../testing/meterReadings';
import { METER_STEP } from './step';

edges(METER_STEP, () => ({
  holds: [
    reading(),
    reading({ afterKw: 15.8 }),
    reading({ afterKw: 9.8 }),
    reading({ unitKw: 90, beforeKw: 0, afterKw: 94.5 }),
  ],
  stops: [
    reading({ afterKw: 15.81 }),
    reading({ afterKw: 9.79 }),
    reading({ unitKw: 90, beforeKw: 0, afterKw: 94.51 }),
  ],
  without: { 'rating of the unit': reading({ ratedKw: null }) },
  numbers: [[reading(), { value: 0.9, limit: 3, margin: 70 }]],
  says: [[reading(), /50.1 kW seen for 51.0 kW; 0.90 of 3.00 kW/]],
}));
