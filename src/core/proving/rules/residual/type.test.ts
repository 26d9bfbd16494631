import { edges } from '../../../testing/edges';
import { device } from '../../../testing/residualDevices';
import { RESIDUAL_TYPE } from './type';

edges(RESIDUAL_TYPE, () => ({
  holds: [device(), device({ type: 'B+' }), device({ type: 'A', typeAAllowed: true })],
  stops: [device({ type: 'A', typeAAllowed: false }), device({ type: 'F', typeAAllowed: false })],
  without: { 'whether the unit’s maker allows another type than B': device({ type: 'A' }) },
  says: [[device(), /type B/]],
}));
