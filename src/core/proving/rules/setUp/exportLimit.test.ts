import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_EXPORT } from './exportLimit';

const of = (exportLimitKw: number | null, limitKw: number | null) =>
  setUpReading({ exportLimitKw, permit: { limitKw } });

edges(SET_UP_EXPORT, () => ({
  holds: [of(60, 60), of(0, 60), of(null, null), of(60, null)],
  stops: [of(60.1, 60), of(null, 60)],
  without: { 'permission of the operator on record': setUpReading({ permit: null }) },
  numbers: [[of(45, 60), { value: 45, limit: 60, margin: 25 }]],
  says: [
    [of(null, 60), /no limit is set, the letter allows 60 kW/],
    [of(60, null), /sets no limit/],
    [of(45, 60), /45 kW set, 60 kW allowed/],
  ],
}));
