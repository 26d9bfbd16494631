import { edges } from '../../../testing/edges';
import { radio } from '../../../testing/otherWays';
import { RADIO_MARGIN } from './margin';

/** 50 m at 2.4 GHz lose 74.0314 dB (ITU-R P.525; recalled): with 10 dBm, 4 dB and −90 dBm, 29.9686 dB stand against walls. */
const LEFT_DB = 104 - (20 * Math.log10(50) + 20 * Math.log10(2.4e9) - 147.5522);

edges(RADIO_MARGIN, () => ({
  holds: [radio({ wallsDb: 0 }), radio({ wallsDb: LEFT_DB - 10.001 })],
  tight: [radio({ wallsDb: LEFT_DB - 9.999 }), radio({ wallsDb: LEFT_DB - 3.001 })],
  stops: [radio({ wallsDb: LEFT_DB - 2.999 }), radio({ wallsDb: 60 })],
  without: { 'the radio link': radio({ wallsDb: null }) },
  numbers: [[radio({ wallsDb: 10 }), { value: LEFT_DB - 10, limit: 3 }]],
  says: [
    [radio({ wallsDb: 10 }), /^10 \+ 4 − 74\.0 − 10 − \(-90\) = 20\.0 dB$/, /^10 dB wanted, 3 dB at least$/],
    [radio({ distanceM: null, mhz: null }), /^Missing: distance of the radio link, frequency of the radio link$/],
    [
      radio({ powerDbm: null, gainDb: null, sensitivityDbm: null }),
      /^Missing: power of the radio link, gain of the antennas, sensitivity of the radio link$/,
    ],
  ],
}));
