import { sql } from 'drizzle-orm';
import { boolean, check, foreignKey, jsonb, pgTable, primaryKey, smallint, text } from 'drizzle-orm/pg-core';
import type { ChainDevice } from '$core/links/part';
import { inverter, ord, siteId } from '$lib/server/db/schema';

/** Devices of the chain as rows: an address once a bus, an inverter once. */
export const chainDevice = pgTable(
  'chain_device',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    ord: ord(),
    kind: text('kind', { enum: ['logger', 'inverter', 'meter', 'repeater'] }).notNull(),
    label: text('label').notNull(),
    inverterId: text('inverter_id'),
    bus: smallint('bus').notNull().default(1),
    address: smallint('address'),
    terminated: boolean('terminated').notNull(),
    cable: jsonb('cable')
      .$type<Omit<ChainDevice, 'id' | 'kind' | 'label' | 'inverterId' | 'bus' | 'address' | 'terminated'>>()
      .notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.id] }),
    foreignKey({
      name: 'chain_device_is_an_inverter',
      columns: [t.siteId, t.inverterId],
      foreignColumns: [inverter.siteId, inverter.id],
    }),
    check('chain_device_address_in_range', sql`${t.address} between 1 and 247`),
  ],
);
