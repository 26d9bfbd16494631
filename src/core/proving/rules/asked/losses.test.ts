import { edges } from '../../../testing/edges';
import { busReading } from '../../../testing/busReadings';
import { BUS_LOSSES } from './losses';

const worst = (share: number, polls = 100) =>
  busReading({
    polls,
    shares: [
      { label: 'INV-01', share: 1 },
      { label: 'INV-02', share },
      { label: 'INV-03', share: 1 },
    ],
  });

edges(BUS_LOSSES, () => ({
  holds: [worst(0.98), worst(1), worst(1, 1000)],
  tight: [worst(0.97), worst(0.9)],
  stops: [worst(0.89), worst(0)],
  without: {
    'devices with an address': busReading({ shares: [] }),
    '100 questions to each device': worst(1, 99),
  },
  numbers: [[worst(0.97), { value: 97, limit: 90 }]],
  says: [[worst(0.5), /^INV-02 answers worst: 50.0 % of 100$/]],
}));
