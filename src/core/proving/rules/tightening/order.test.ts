import { edges } from '../../../testing/edges';
import { TIGHTENING_ORDER } from './order';

edges(TIGHTENING_ORDER, () => ({
  holds: [{ outOfOrder: [] }],
  tight: [{ outOfOrder: ['unit PE after the lines: the earth comes first'] }],
  without: {},
  says: [[{ outOfOrder: ['unit PE after the lines: the earth comes first'] }, /^unit PE after the lines/]],
}));
