import { edges } from '../../../testing/edges';
import type { RippleReading } from '../../readings/rippleReading';
import { RIPPLE_STEP } from './step';

/** A unit of 100 kW in good light. 5 % of the rating within 60 s: common practice. */
const step = (over: Partial<RippleReading> = {}): RippleReading => ({
  percent: 60,
  beforeKw: 90,
  powerKw: 60,
  seconds: 60,
  ratedKw: 100,
  ...over,
});

edges(RIPPLE_STEP, () => ({
  holds: [
    step(),
    step({ powerKw: 65 }),
    step({ powerKw: 55 }),
    step({ beforeKw: 65.1 }),
    step({ percent: 0, powerKw: 5, beforeKw: 5.1 }),
    // Nothing is held back: it gives what the light gives, less than the rating.
    step({ percent: 100, beforeKw: 40, powerKw: 44 }),
  ],
  stops: [
    step({ powerKw: 65.1 }),
    step({ powerKw: 54.9 }),
    step({ seconds: 61 }),
    step({ percent: 0, powerKw: 5.1 }),
    step({ percent: 100, beforeKw: 90, powerKw: 60 }),
  ],
  // 65 kW could be the light going down by itself.
  without: { 'more power before the step than it leaves': step({ beforeKw: 65 }) },
  numbers: [[step({ powerKw: 57 }), { value: 3, limit: 5, margin: 40 }]],
  says: [
    [step({ powerKw: 58 }), /^60 %: 90.0 kW before, 58.0 kW after 60 s; wanted 60.0 kW$/],
    [step({ seconds: 61 }), /./, /over 60 s/],
  ],
}));
