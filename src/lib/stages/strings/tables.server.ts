import { sql } from 'drizzle-orm';
import {
  check,
  doublePrecision,
  foreignKey,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
} from 'drizzle-orm/pg-core';
import type { PvString } from '$core/site/parts';
import { inverter, ord, plane, siteId } from '$lib/server/db/schema';

/** Strings as rows: a number once a site, an input once a branch, a plane and an inverter that exist. */
export const pvString = pgTable(
  'pv_string',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    ord: ord(),
    number: integer('number').notNull(),
    planeId: text('plane_id').notNull(),
    modules: smallint('modules').notNull(),
    inverterId: text('inverter_id'),
    tracker: smallint('tracker'),
    input: smallint('input'),
    /** 2: the second string of a Y-branch on the input. */
    branch: smallint('branch'),
    start: jsonb('start').$type<PvString['start']>(),
    lengthM: doublePrecision('length_m'),
    /** The inverter the length was measured to: it may be gone, and the string hang elsewhere. */
    lengthToId: text('length_to_id'),
    leadsM: doublePrecision('leads_m'),
    /** Of the second string of a Y: from the Y to the input. */
    yM: doublePrecision('y_m'),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.id] }),
    foreignKey({
      name: 'pv_string_lies_on_a_plane',
      columns: [t.siteId, t.planeId],
      foreignColumns: [plane.siteId, plane.id],
    }),
    foreignKey({
      name: 'pv_string_hangs_on_an_inverter',
      columns: [t.siteId, t.inverterId],
      foreignColumns: [inverter.siteId, inverter.id],
    }),
    check(
      'pv_string_hangs_wholly_or_not',
      sql`(${t.inverterId} is null) = (${t.tracker} is null) and (${t.tracker} is null) = (${t.input} is null) and (${t.input} is null) = (${t.branch} is null)`,
    ),
    check('pv_string_branch_of_a_y', sql`${t.branch} in (1, 2)`),
    check('pv_string_has_modules', sql`${t.modules} between 1 and 60`),
  ],
);
