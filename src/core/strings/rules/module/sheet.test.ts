import { edges } from '../../../testing/edges';
import { M575 } from '../../../testing/examples';
import { SHEET } from './sheet';

const sheet = (over: Partial<typeof M575>) => ({ ...M575, ...over });

edges(SHEET, () => ({
  holds: [M575, sheet({ pmaxW: (M575.umpV * M575.impA) / 1.0099 })],
  tight: [sheet({ pmaxW: (M575.umpV * M575.impA) / 1.0101 }), sheet({ pmaxW: (M575.umpV * M575.impA) / 1.0299 })],
  stops: [
    sheet({ betaUocPerK: 0.0025, pmaxW: (M575.umpV * M575.impA) / 1.0101 }),
    sheet({ pmaxW: (M575.umpV * M575.impA) / 1.0301 }),
    sheet({ impA: 15 }),
    sheet({ betaUocPerK: 0.0025 }),
  ],
  without: {},
  says: [[sheet({ pmaxW: (M575.umpV * M575.impA) / 1.0101 }), /pmaxW/]],
}));
