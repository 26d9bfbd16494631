import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atMost, found, withVerdict } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';
import { SOUND_RESERVE_DB, soundAtDb } from '../../siting/sound';

interface Neighbour {
  readonly distanceM: number;
  readonly limitDb: number;
  /** Of every unit on the wall, at 1 m. */
  readonly levelsDb: readonly number[];
}

/** What a neighbour hears is asked of whole walls: all units on it, at the distance of the window. `none` where there is no neighbour. */
function neighbourOf(h: HungUnit): Answer<Neighbour | 'none'> {
  const { neighbourM, soundLimitDb } = h.wall;
  if (neighbourM === 0) return known('none');
  const silent = [h, ...h.others].filter((o) => o.type.body.soundDb === null).map((o) => `sound of ${o.type.name}`);
  const missing = [
    ...(neighbourM === null ? ['distance to the nearest neighbour'] : []),
    ...(soundLimitDb === null ? ['sound limit of the local rule'] : []),
    ...new Set(silent),
  ];
  if (neighbourM === null || soundLimitDb === null || missing.length) return lacking(...missing);
  const levelsDb = [h, ...h.others].map((o) => o.type.body.soundDb ?? 0);
  return known({ distanceM: neighbourM, limitDb: soundLimitDb, levelsDb });
}

/** Level of all units on the wall at the nearest window, dB(A), against the local limit; free field, no reflections, no penalty for single tones. */
export const SOUND = rule<HungUnit>()({
  id: 'mounting.sound',
  title: 'Sound at the neighbour’s window',
  unit: 'dB(A)',
  basis: published('ISO 9613-2, spreading alone; the limit is the local rule’s'),
  needs: { heard: { as: 'distance to the nearest neighbour', answer: neighbourOf } },
  judge: ({ heard }) => {
    if (heard === 'none') return found('holds', () => ['no neighbour near']);
    const { distanceM, limitDb, levelsDb } = heard;
    const value = soundAtDb(levelsDb.map((levelDb) => ({ levelDb, referenceM: 1, distanceM })));
    const judged = atMost({
      value,
      limit: limitDb,
      working: () => [
        `${levelsDb.length} units of this wall alone at ${distanceM} m: ${value.toFixed(1)} dB(A), limit ${limitDb} dB(A)`,
      ],
    });
    return judged.verdict === 'holds' && limitDb - value < SOUND_RESERVE_DB
      ? withVerdict(judged, 'tight', () => [
          `within ${SOUND_RESERVE_DB} dB of the limit: walls opposite and single tones may pass it`,
        ])
      : judged;
  },
});
