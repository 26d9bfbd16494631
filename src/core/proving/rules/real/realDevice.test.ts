import { edges } from '../../../testing/edges';
import type { SaidBy } from '../../saidBy';
import { REAL_DEVICE } from './realDevice';

const by = (from: SaidBy) => ({ from });

edges(REAL_DEVICE, () => ({
  holds: [by('at the unit'), by('over the bus')],
  without: { 'answer of a real device': by('stand-in') },
  says: [[by('over the bus'), /^read over the bus$/]],
}));
