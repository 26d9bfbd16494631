import type { AcRun } from '$core/ac/part';
import type { PartStore } from '$lib/server/db/partStore';
import { storedList } from '$lib/server/db/partStore';
import { acRun } from './tables.server';

type Columns = typeof acRun.$inferSelect;

/** Runs in rows: the inverter as a column, everything else as one value. */
export const store: PartStore = {
  lists: [
    storedList<AcRun>({
      table: acRun,
      key: 'inverterId',
      list: (d) => d.runs,
      row: ({ inverterId, ...run }) => ({ inverterId, run }),
    }),
  ],
  rest: () => ({}),
  part: ([runs = []]) => ({
    runs: runs.map((row) => {
      const { inverterId, run } = row as Columns;
      return { inverterId, ...run };
    }),
  }),
};
