import type { ReceivedBox } from '../proving/readings/receivedBox';

/** A box in which everything is, with what a test wants otherwise. */
export const receivedBox = (over: Partial<ReceivedBox> = {}): ReceivedBox => ({
  typeName: 'T100',
  packing: [
    { item: 'bracket', perUnit: 1 },
    { item: 'cap', perUnit: 8 },
  ],
  items: [
    { item: 'bracket', got: 1, damaged: 0 },
    { item: 'cap', got: 8, damaged: 0 },
  ],
  packagingWhole: true,
  carrierTold: false,
  photos: [],
  ...over,
});
