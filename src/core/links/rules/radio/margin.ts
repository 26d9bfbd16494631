import type { Answer } from '../../../kernel/answer';
import { given } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RadioWay } from '../../otherWays';
import { freeSpaceLossDb, linkMarginDb } from '../../radio/radioLink';

/** What is wanted and what is asked of a link over what its receiver hears, dB (common practice). */
const WANTED_DB = 10;
const LEAST_DB = 3;

interface Sent {
  readonly marginDb: number;
  readonly words: string;
}

function sentOf(r: RadioWay): Answer<Sent> {
  return given(
    {
      'distance of the radio link': r.distanceM,
      'frequency of the radio link': r.mhz,
      'power of the radio link': r.powerDbm,
      'gain of the antennas': r.gainDb,
      'loss in walls of the radio link': r.wallsDb,
      'sensitivity of the radio link': r.sensitivityDbm,
    },
    (k): Sent => {
      const link = {
        distanceM: k['distance of the radio link'],
        hz: 1e6 * k['frequency of the radio link'],
        powerDbm: k['power of the radio link'],
        gainDb: k['gain of the antennas'],
        wallsDb: k['loss in walls of the radio link'],
        sensitivityDbm: k['sensitivity of the radio link'],
      };
      const lossDb = freeSpaceLossDb(link.distanceM, link.hz);
      return {
        marginDb: linkMarginDb(link),
        words: `${link.powerDbm} + ${link.gainDb} − ${fixed(lossDb, 1)} − ${link.wallsDb} − (${link.sensitivityDbm}) = ${fixed(linkMarginDb(link), 1)} dB`,
      };
    },
  );
}

/** What a radio link has left over what its receiver hears, dB. Free space and walls alone: rain, people and other senders are not in it. */
export const RADIO_MARGIN = rule<RadioWay>()({
  id: 'links.radio-margin',
  title: 'Margin of the radio link',
  unit: 'dB',
  basis: practice('loss of free space by ITU-R P.525; 10 dB wanted, 3 dB at least'),
  needs: { sent: { as: 'the radio link', answer: sentOf } },
  judge: ({ sent: { marginDb, words } }) =>
    found(
      marginDb >= WANTED_DB ? 'holds' : marginDb >= LEAST_DB ? 'tight' : 'stop',
      () => [words, `${WANTED_DB} dB wanted, ${LEAST_DB} dB at least`],
      { value: marginDb, limit: LEAST_DB },
    ),
});
