import { edges } from '../../../testing/edges';
import type { RipplePercent } from '../../readings/rippleReading';
import { EVERY_STEP } from './everyStep';

const told = (worked: readonly RipplePercent[], notWired: readonly RipplePercent[] = []) => ({ worked, notWired });

edges(EVERY_STEP, () => ({
  holds: [told([100, 60, 30, 0]), told([60, 0], [100, 30])],
  stops: [told([], [100, 60, 30, 0])],
  without: { 'every step of the ripple control': told([100, 60], [30]) },
  says: [
    [told([60, 0], [100, 30]), /^worked: 60 %, 0 %; not wired: 100 %, 30 %$/],
    [told([], [100, 60, 30, 0]), /^worked: none; /],
    [told([100, 60], [30]), /^Missing: whether the step to 0 % is wired$/],
  ],
}));
