import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { published } from '../../../kernel/check';
import { atMost, found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';
import { TRIP_RESERVE_PERCENT } from '../../limits';
import type { VoltagePicture } from '../../voltagePath/picture';
import { ALL_FEEDING, pictureAt } from '../../voltagePath/picture';

function allFeeding({ path }: BoardLoad): Answer<VoltagePicture> {
  if (path.value === null) return lacking(...path.missing);
  const picture = pictureAt(path.value, ALL_FEEDING);
  return picture ? known(picture) : lacking('a network that can carry the power of all units');
}

/** Voltage at the worst unit while all feed at once, V, against the trip level: what a sunny day does. */
export const ALL_FEEDING_VOLTAGE = rule<BoardLoad>()({
  id: 'ac.all-feeding',
  title: 'No unit trips while all feed',
  unit: 'V',
  basis: published('trip level of the grid code'),
  needs: {
    path: { as: 'way from the grid to every unit', answer: (b) => b.path },
    picture: { as: 'way from the grid to every unit', answer: allFeeding },
  },
  judge: ({ path, picture: { worst, boardV, units } }) => {
    // Under the window at rest no unit connects at all.
    if (path.restV < path.minV)
      return found(
        'stop',
        () => [
          `${fixed(path.restV, 1)} V at rest, under the ${fixed(path.minV, 1)} V of the grid code: no unit connects`,
        ],
        { value: path.restV, limit: path.minV },
      );
    const lowest = units.reduce((a, u) => (u.terminalV < a.terminalV ? u : a));
    if (lowest.terminalV < path.minV)
      return found(
        'stop',
        () => [
          `${fixed(lowest.terminalV, 1)} V at ${lowest.tag} while all feed, under the ${fixed(path.minV, 1)} V of the grid code: the way is too weak for this power`,
        ],
        { value: lowest.terminalV, limit: path.minV },
      );
    const tripping = units.filter((u) => u.marginPercent <= 0).map((u) => u.tag);
    return atMost(
      {
        value: worst.terminalV,
        limit: path.tripV,
        working: () => [
          `${fixed(path.restV, 1)} V at rest; all ${units.length} at full power, unity power factor: ${fixed(boardV, 2)} V at the board, ${fixed(worst.terminalV, 2)} V at ${worst.tag}`,
          worst.rises.map((r) => `${r.part} ${r.riseV < 0 ? '' : '+'}${fixed(r.riseV, 2)} V`).join(', '),
          tripping.length
            ? `above ${fixed(path.tripV, 1)} V: ${tripping.join(', ')}`
            : `trip at ${fixed(path.tripV, 1)} V; ${TRIP_RESERVE_PERCENT} % is wanted in hand`,
          ...(path.networkAssumed ? ['X/R of the network is not entered: R = 0.1·X, as IEC 60909-0 takes it'] : []),
        ],
      },
      TRIP_RESERVE_PERCENT,
    );
  },
});
