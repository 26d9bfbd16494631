import { edges } from '../../../testing/edges';
import { plane } from '../../../testing/examples';
import { MODULES_USED } from './modulesUsed';

const inUse = (hung: number | null) => ({ plane: plane('south', 100), hung });

edges(MODULES_USED, () => ({
  holds: [inUse(100)],
  tight: [inUse(99), inUse(0)],
  stops: [inUse(101)],
  without: { strings: inUse(null) },
  numbers: [[inUse(60), { value: 60, limit: 100 }]],
}));
