import { foreignKey, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import type { AcRun } from '$core/ac/part';
import { inverter, ord, siteId } from '$lib/server/db/schema';

/** Runs as rows: one an inverter that exists. */
export const acRun = pgTable(
  'ac_run',
  {
    siteId: siteId(),
    inverterId: text('inverter_id').notNull(),
    ord: ord(),
    run: jsonb('run').$type<Omit<AcRun, 'inverterId'>>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.inverterId] }),
    foreignKey({
      name: 'ac_run_starts_at_an_inverter',
      columns: [t.siteId, t.inverterId],
      foreignColumns: [inverter.siteId, inverter.id],
    }),
  ],
);
