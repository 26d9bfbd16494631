import { edges } from '../../../testing/edges';
import { onTracker } from '../../../testing/subjects';
import { INPUT_CONNECTOR } from './inputConnector';

const ONE_A = 1.25 * 14.21;
const apart = (connectorMaxA: number | null) => onTracker({ type: { connectorMaxA } }, [{}, {}]);
const joined = (connectorMaxA: number) =>
  onTracker({ type: { connectorMaxA } }, [{ place: { input: 1 } }, { place: { input: 1, branch: 2 } }]);

edges(INPUT_CONNECTOR, () => ({
  holds: [apart(ONE_A), apart(30), joined(2 * ONE_A)],
  stops: [apart(ONE_A - 0.01), joined(2 * ONE_A - 0.01)],
  without: {
    'connector rating of the inverter': apart(null),
    'rear-side share of the plane': onTracker({ plane: { rearShare: null } }, [{}, {}]),
  },
  numbers: [
    [apart(30), { value: ONE_A, limit: 30 }],
    [joined(40), { value: 2 * ONE_A }],
  ],
  says: [
    [onTracker({ plane: { rearShare: null } }), /^Missing: rear-side share of south$/],
    [apart(null), /^Missing: connector rating of T100$/],
    [apart(30), /^1\.25 × 1\.000 × 14\.21 A × 1 = 17\.76 A on input 1$/],
    [joined(40), /× 2 = 35\.5\d A on input 1, a Y-branch$/],
  ],
}));
