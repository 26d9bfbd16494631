import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ReceivedBox } from '../../readings/receivedBox';

/** Damage goes to the carrier before anybody signs for the load. */
export const CARRIER_TOLD = rule<ReceivedBox>()({
  id: 'proving.carrier-told',
  title: 'Damage told to the carrier',
  unit: '',
  basis: practice('before the receipt is signed, with photos'),
  needs: {},
  judge: (_, { packagingWhole, carrierTold, items, photos }) => {
    const damaged = items.filter((i) => i.damaged > 0).map((i) => `${i.damaged} ${i.item}`);
    const harm = [...(packagingWhole ? [] : ['the packaging']), ...damaged];
    if (harm.length === 0) return found('holds', () => ['nothing is damaged']);
    return found(carrierTold && photos.length ? 'tight' : 'stop', () => [
      `damaged: ${harm.join(', ')}`,
      carrierTold ? 'the carrier has been told' : 'tell the carrier before the receipt is signed, with photos',
      photos.length ? `photos: ${photos.length}` : 'no photo shows it',
    ]);
  },
});
