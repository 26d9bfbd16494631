import { edges } from '../../../testing/edges';
import { busReading } from '../../../testing/busReadings';
import { BUS_BIT_RATE } from './bitRate';

edges(BUS_BIT_RATE, () => ({
  holds: [busReading(), busReading({ bitRate: 57600, plannedBitRate: 57600 })],
  stops: [busReading({ plannedBitRate: 57600 })],
  without: { 'bit rate of the chain': busReading({ plannedBitRate: null }) },
  says: [[busReading({ plannedBitRate: 57600 }), /asked at 9600 bit\/s, planned 57600/]],
}));
