import { acResults } from '../../results';
import { Memo } from '../../../kernel/memo';
import type { Survey } from '../../../site/survey';
import { edges } from '../../../testing/edges';
import { BOARD, SURVEY, runOf, siteOf } from '../../../testing/examples';
import { pictureAt, ALL_FEEDING } from '../../voltagePath/picture';
import { ALL_FEEDING_VOLTAGE } from './allFeeding';

/** Three units of 110 kVA on one board, the grid at rest where it is said. */
const fed = (survey: Partial<Survey> = {}, runM: number | null = 60) => {
  const d = siteOf(3, []);
  return acResults(
    {
      ...d,
      survey: { ...SURVEY, ...survey },
      board: BOARD,
      runs: d.inverters.map((u) => runOf(u.id, { lengthM: runM })),
    },
    new Memo(),
  ).board;
};
const lift = pictureAt(fed().path.value!, ALL_FEEDING)!.worst.terminalV - 400;
/** Grid at rest at which the worst unit stands at so much of the trip level: found by halving, the rise falls as the voltage rises. */
const restFor = (terminalV: number) => {
  let [low, high] = [300, 460];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    const { worst } = pictureAt({ ...fed().path.value!, restV: mid }, ALL_FEEDING)!;
    if (worst.terminalV < terminalV) low = mid;
    else high = mid;
  }
  return low;
};

edges(ALL_FEEDING_VOLTAGE, () => ({
  holds: [fed({ restLineV: restFor(440 * 0.98) - 1e-6 }), fed()],
  tight: [fed({ restLineV: restFor(440 * 0.98) + 0.001 }), fed({ restLineV: restFor(440) - 1e-6 })],
  stops: [
    fed({ restLineV: 345, gridCode: 'generic 90' }),
    // A way so weak that the voltage falls under the window.
    fed(
      {
        transformerKva: 500,
        transformerImpedancePercent: 20,
        transformerLossKw: 0,
        restLineV: 361,
        gridCode: 'generic 90',
      },
      5,
    ),
    fed({ restLineV: restFor(440) + 0.001 }),
    fed({ restLineV: 440 }),
  ],
  without: { 'way from the grid to every unit': fed({ restLineV: null }) },
  numbers: [[fed(), { value: 400 + lift, limit: 440 }]],
  says: [
    [
      fed({ restLineV: 440 }),
      /^440\.0 V at rest; all 3 at full power/,
      /^network \+.*, transformer \+.*, main cable \+.*, run \+/,
      /^above 440\.0 V: INV-01, INV-02, INV-03$/,
      /^X\/R of the network is not entered/,
    ],
    [fed({ upstreamXr: 8 }), /at INV-0/, /run \+/, /^trip at 440\.0 V; 2 % is wanted in hand$/],
  ],
}));
edges(ALL_FEEDING_VOLTAGE, () => ({
  holds: [],
  without: { 'way from the grid to every unit': fed({}, null) },
}));
