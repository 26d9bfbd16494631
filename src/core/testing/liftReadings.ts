import type { Check } from '../kernel/check';
import type { LiftReading } from '../proving/readings/liftReading';

/** A check of the plan of a lift with a verdict and no more. */
export const plannedCheck = (verdict: Check['verdict'], title = 'Load on the hoist'): Check => ({
  id: 'mounting.hoist',
  subject: { element: 'wall', path: 'INV-01' },
  title,
  value: null,
  limit: null,
  unit: '',
  margin: null,
  verdict,
  basis: { kind: 'practice', source: 'a test', recalled: false },
  working: [],
});

/** A lift of which everything is as it should be, with what a test wants otherwise. */
export const liftReading = (over: Partial<LiftReading> = {}): LiftReading => ({
  by: 'hoist',
  gustMs: 3,
  wayFree: true,
  nobodyBelow: true,
  gearSeen: true,
  handlesReady: true,
  accepted: '',
  planned: [plannedCheck('holds')],
  ...over,
});
