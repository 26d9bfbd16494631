import type { StepState } from '../tables/energiseOrders';
import type { Applied } from './applied';
import type { Run } from './state';
import { NO_RUN } from './state';

/** What ends an order of switching. */

/** Steps after which the order is over: from then on a lost guard raises the alarm, and stops nothing that is not going on. */
const OVER: readonly StepState[] = ['ON_GRID', 'SETTLED'];

export const underWay = ({ done }: Run): boolean => done.length > 0 && !done.some((d) => OVER.includes(d.state));

/** A guard was lost: an order that is under way stops, until the unit is isolated or replaced. */
export function stopOrder(app: Applied, unit: string, why: string): void {
  const run = app.moment.run(unit);
  if (underWay(run) && run.stopped === null) app.moment.putRun(unit, { stopped: why });
}

/** The unit is another one: nothing is switched on, and the order begins anew. */
export function resetRun(app: Applied, unit: string): void {
  app.moment.putRun(unit, { ...NO_RUN });
}
