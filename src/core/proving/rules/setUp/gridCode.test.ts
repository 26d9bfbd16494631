import { edges } from '../../../testing/edges';
import { setUpReading } from '../../../testing/busReadings';
import { SET_UP_CODE } from './gridCode';

edges(SET_UP_CODE, () => ({
  holds: [setUpReading()],
  stops: [setUpReading({ gridCode: 'EN 50549-1 first start' })],
  without: { 'grid code': setUpReading({ site: { gridCode: null } }) },
  says: [[setUpReading({ gridCode: 'other' }), /^set: other; planned: VDE-AR-N 4105$/]],
}));
