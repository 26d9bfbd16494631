import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_BUS } from './onBus';

edges(SET_UP_BUS, () => ({
  holds: [setUpReading()],
  stops: [setUpReading({ address: 4 }), setUpReading({ bitRate: 19200 })],
  without: {
    'address of the unit in the chain': setUpReading({ site: { address: null } }),
    'bit rate of the chain': setUpReading({ site: { bitRate: null } }),
    'address that the unit shows': setUpReading({ address: null }),
    'bit rate that the unit shows': setUpReading({ bitRate: null }),
  },
  says: [[setUpReading({ address: 4 }), /set: 4 at 9600 bit\/s; planned: 3 at 9600/]],
}));
