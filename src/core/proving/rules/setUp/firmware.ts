import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** Units of one type run one firmware: another one wants a reason, which is what accepts it. */
export const SET_UP_FIRMWARE = rule<SetUpReading>()({
  id: 'proving.set-up-firmware',
  title: 'Firmware like that of its sisters',
  unit: '',
  basis: practice('every unit of one type alike, or a reason'),
  needs: {},
  judge: (_, { firmware, sisters }) => {
    const others = sisters.filter((s) => s.firmware !== firmware);
    return found(others.length ? 'tight' : 'holds', () => [
      firmware,
      ...others.slice(0, 3).map((s) => `${s.tag} of the same type was set up with ${s.firmware}`),
    ]);
  },
});
