import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { supplySignature } from '../../measure/supplySignature';
import { SUPPLY_SERVICE } from './service';

const wye = (neutral: boolean, floating = false) =>
  known(
    supplySignature(
      {
        lineV: [400, 400, 400],
        toNeutralV: neutral ? [231, 231, 231] : null,
        neutralToPeV: neutral ? 1 : null,
        toPeV: [231, 231, 231],
        lowImpedanceV: floating ? [20, 20, 20] : [231, 231, 231],
      },
      400,
    ),
  );
const read = (service: string | null, signature = wye(true)) => ({ service, signature, repeatWanted: true });
const TN = 'earthed wye with neutral (TN-S, TN-C-S)';

edges(SUPPLY_SERVICE, () => ({
  holds: [
    read(TN),
    read('earthed wye, TT'),
    read('earthed wye, neutral not brought out', wye(false)),
    read('IT wye, shared', wye(false, true)),
  ],
  stops: [
    read(TN, wye(false)),
    read('earthed wye, neutral not brought out'),
    read('IT wye, shared'),
    read('high-leg delta'),
    read(TN, wye(false, true)),
  ],
  without: {
    'supply and its earthing, from the survey': read(null),
    'ten voltages': read(TN, lacking('nominal line voltage')),
  },
  says: [[read(TN), /surveyed: earthed wye with neutral .*; measured: earthed wye with neutral/]],
}));
