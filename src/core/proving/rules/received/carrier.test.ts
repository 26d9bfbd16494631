import { edges } from '../../../testing/edges';
import { receivedBox } from '../../../testing/receivedBoxes';
import { CARRIER_TOLD } from './carrier';

const broken = (carrierTold: boolean) =>
  receivedBox({ carrierTold, items: [{ item: 'plate', got: 1, damaged: 1 }], packing: [] });

edges(CARRIER_TOLD, () => ({
  holds: [receivedBox(), receivedBox({ carrierTold: true })],
  tight: [broken(true), receivedBox({ packagingWhole: false, carrierTold: true })],
  stops: [broken(false), receivedBox({ packagingWhole: false })],
  without: {},
  says: [
    [broken(false), /^damaged: 1 plate$/, /before the receipt is signed/],
    [receivedBox({ packagingWhole: false, carrierTold: true }), /the packaging/, /has been told/],
    [receivedBox(), /nothing is damaged/],
  ],
}));
