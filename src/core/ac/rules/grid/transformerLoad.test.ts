import { gridLoad } from '../../../testing/boards';
import { edges } from '../../../testing/edges';
import { TRANSFORMER_LOAD } from './transformerLoad';

edges(TRANSFORMER_LOAD, () => ({
  holds: [gridLoad(5, { transformerKva: 550 }), gridLoad(5, { transformerKva: 1250 })],
  stops: [gridLoad(5, { transformerKva: 549 })],
  without: {
    inverters: gridLoad(0, { transformerKva: 1250 }),
    'transformer rating': gridLoad(5, { transformerKva: null }),
  },
  numbers: [[gridLoad(5, { transformerKva: 1100 }), { value: 550, limit: 1100, margin: 50 }]],
  says: [[gridLoad(5, { transformerKva: 1100 }), /= 550 kVA on 1100 kVA/]],
}));
