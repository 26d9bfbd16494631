import type { PvString } from '$core/site/parts';
import type { PartStore, Row } from '$lib/server/db/partStore';
import { storedList } from '$lib/server/db/partStore';
import { pvString } from './tables.server';

type Columns = typeof pvString.$inferSelect;

function stringOf(row: Row): PvString {
  const { inverterId, tracker, input, branch, start, ...s } = row as Columns;
  const hangs = inverterId !== null && tracker !== null && input !== null;
  return {
    id: s.id,
    number: s.number,
    planeId: s.planeId,
    modules: s.modules,
    place: hangs ? { inverterId, tracker, input, branch: branch === 2 ? 2 : 1 } : null,
    start: start ?? null,
    lengthM: s.lengthM,
    lengthToId: s.lengthToId,
    leadsM: s.leadsM,
    yM: s.yM,
  };
}

/** Strings in rows; cable, locks and inputs of energy as one value. */
export const store: PartStore = {
  lists: [
    storedList<PvString>({
      table: pvString,
      key: 'id',
      list: (d) => d.strings,
      row: ({ place, ...s }) => ({
        ...s,
        inverterId: place?.inverterId ?? null,
        tracker: place?.tracker ?? null,
        input: place?.input ?? null,
        branch: place?.branch ?? null,
      }),
    }),
  ],
  rest: ({ dcCable, locks, energy }) => ({ dcCable, locks, energy }),
  part: ([strings = []], rest) => ({ ...rest, strings: strings.map(stringOf) }),
};
