import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { BREAKER_LARGEST } from './breakerLargest';

const breaker = (breakerA: number | null, breakerMaxA: number | null = 250) =>
  acRun({ run: { breakerA }, type: { breakerMaxA } });

edges(BREAKER_LARGEST, () => ({
  holds: [breaker(250), breaker(100)],
  stops: [breaker(251)],
  without: { breaker: breaker(null), 'largest breaker of the inverter': breaker(200, null) },
  says: [[breaker(200, null), /^Missing: largest breaker of T100$/]],
}));
