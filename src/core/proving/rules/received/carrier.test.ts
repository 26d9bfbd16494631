import { edges } from '../../../testing/edges';
import { receivedBox } from '../../../testing/receivedBoxes';
import { CARRIER_TOLD } from './carrier';

const PHOTO = ['0'.repeat(64)];
const broken = (carrierTold: boolean, photos: readonly string[] = PHOTO) =>
  receivedBox({ carrierTold, photos, items: [{ item: 'plate', got: 1, damaged: 1 }], packing: [] });

edges(CARRIER_TOLD, () => ({
  holds: [receivedBox(), receivedBox({ carrierTold: true })],
  tight: [broken(true), receivedBox({ packagingWhole: false, carrierTold: true, photos: PHOTO })],
  stops: [broken(true, []), broken(false), receivedBox({ packagingWhole: false })],
  without: {},
  says: [
    [broken(false), /^damaged: 1 plate$/, /before the receipt is signed/, /^photos: 1$/],
    [
      receivedBox({ packagingWhole: false, carrierTold: true }),
      /the packaging/,
      /has been told/,
      /^no photo shows it$/,
    ],
    [receivedBox(), /nothing is damaged/],
  ],
}));
