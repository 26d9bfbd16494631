import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  customType,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import type { InverterType } from '$core/equipment/inverterType';
import type { ModuleType } from '$core/equipment/moduleType';
import type { SiteRecord } from '$core/proving/record';
import type { DcCable, EnergyInputs, Lock } from '$core/site/dcSide';
import type { AcRun, Board, ChainDevice, Position, PvString, SiteDesign, Survey } from '$core/site/siteDesign';
import { siteDesignSchema } from '$core/site/siteDesign';
import type { YearResult } from '$core/strings/year/yearOfEnergy';
import type { WeatherYear } from '$core/weather/weatherYear';
import type { SiteSummary } from './summary';

/** A whole design as one value, of any earlier edition of its schema: reading fills in what that edition did not know. */
const frozenDesign = customType<{ data: SiteDesign; driverData: string }>({
  dataType: () => 'jsonb',
  toDriver: (design) => JSON.stringify(design),
  fromDriver: (stored: unknown) => siteDesignSchema.parse(typeof stored === 'string' ? JSON.parse(stored) : stored),
});

/**
 * Two kinds of data, never mixed. Design: a site in rows that are edited under its `revision`. Record: entries that are only added.
 * What other rows refer to or a constraint guards is a column; the rest of a part is one JSON value, guarded by core's schema.
 * Unique keys that an edit may swap (tags, inputs, addresses, numbers) are deferred to commit: see the first migration.
 */

export const shelfItem = pgTable(
  'shelf_item',
  {
    kind: text('kind', { enum: ['module', 'inverter'] }).notNull(),
    id: text('id').notNull(),
    sheet: jsonb('sheet').$type<ModuleType | InverterType>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.kind, t.id] }),
    check('shelf_item_kind_known', sql`${t.kind} in ('module', 'inverter')`),
  ],
);

export const site = pgTable('site', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  revision: integer('revision').notNull().default(1),
  survey: jsonb('survey').$type<Survey>().notNull(),
  board: jsonb('board').$type<Board>().notNull(),
  dcCable: jsonb('dc_cable').$type<DcCable>().notNull(),
  locks: jsonb('locks').$type<Lock[]>().notNull(),
  energy: jsonb('energy').$type<EnergyInputs>().notNull(),
  chainBitRate: integer('chain_bit_rate'),
  summary: jsonb('summary').$type<SiteSummary>().notNull(),
  changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
});

const siteId = () =>
  uuid('site_id')
    .notNull()
    .references(() => site.id, { onDelete: 'cascade' });
/** Place in the document's list, so that a design reads back in the order in which it was written. */
const ord = () => integer('ord').notNull();

export const siteModuleType = pgTable(
  'site_module_type',
  { siteId: siteId(), id: text('id').notNull(), ord: ord(), sheet: jsonb('sheet').$type<ModuleType>().notNull() },
  (t) => [primaryKey({ columns: [t.siteId, t.id] })],
);

export const siteInverterType = pgTable(
  'site_inverter_type',
  { siteId: siteId(), id: text('id').notNull(), ord: ord(), sheet: jsonb('sheet').$type<InverterType>().notNull() },
  (t) => [primaryKey({ columns: [t.siteId, t.id] })],
);

export const plane = pgTable(
  'plane',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    ord: ord(),
    label: text('label').notNull(),
    tiltDeg: doublePrecision('tilt_deg').notNull(),
    azimuthDeg: doublePrecision('azimuth_deg').notNull(),
    moduleTypeId: text('module_type_id').notNull(),
    moduleCount: integer('module_count').notNull(),
    mounting: text('mounting').notNull(),
    position: jsonb('position').$type<Position | null>(),
    edgeM: doublePrecision('edge_m').notNull().default(0),
    engineeredUocColdV: doublePrecision('engineered_uoc_cold_v'),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.id] }),
    foreignKey({
      name: 'plane_has_a_module_type',
      columns: [t.siteId, t.moduleTypeId],
      foreignColumns: [siteModuleType.siteId, siteModuleType.id],
    }),
    check('plane_counts_modules', sql`${t.moduleCount} >= 0`),
    check('plane_tilt_in_range', sql`${t.tiltDeg} between 0 and 90`),
    check('plane_azimuth_in_range', sql`${t.azimuthDeg} >= 0 and ${t.azimuthDeg} < 360`),
  ],
);

export const inverter = pgTable(
  'inverter',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    ord: ord(),
    tag: text('tag').notNull(),
    typeId: text('type_id').notNull(),
    position: jsonb('position').$type<Position | null>(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.id] }),
    foreignKey({
      name: 'inverter_has_a_type',
      columns: [t.siteId, t.typeId],
      foreignColumns: [siteInverterType.siteId, siteInverterType.id],
    }),
  ],
);

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

export const chainDevice = pgTable(
  'chain_device',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    ord: ord(),
    kind: text('kind', { enum: ['logger', 'inverter', 'meter'] }).notNull(),
    label: text('label').notNull(),
    inverterId: text('inverter_id'),
    address: smallint('address'),
    terminated: boolean('terminated').notNull(),
    cable: jsonb('cable').$type<Pick<ChainDevice, 'unitLoads' | 'position' | 'entryM' | 'hopM'>>().notNull(),
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

/** The design as it was before each change, newest revisions only: what undo goes back to. */
export const designHistory = pgTable(
  'design_history',
  { siteId: siteId(), revision: integer('revision').notNull(), design: frozenDesign('design').notNull() },
  (t) => [primaryKey({ columns: [t.siteId, t.revision] })],
);

/** The weather file of a site, read into hours. One a site: a new one takes its place. */
export const siteWeather = pgTable('site_weather', {
  siteId: siteId().primaryKey(),
  /** Made from what the file says, so that results know which weather they rest on. */
  fingerprint: text('fingerprint').notNull(),
  weather: jsonb('weather').$type<WeatherYear>().notNull(),
  readAt: timestamp('read_at', { withTimezone: true }).notNull().defaultNow(),
});

/** A year of energy already computed, by what it was computed from. */
export const energyYear = pgTable(
  'energy_year',
  {
    siteId: siteId(),
    revision: integer('revision').notNull(),
    /** Fingerprint of the weather, or `clear sky`. */
    weather: text('weather').notNull(),
    year: integer('year').notNull(),
    result: jsonb('result').$type<YearResult>().notNull(),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.revision, t.weather, t.year] })],
);

/** A frozen, lettered design that the crew builds from. */
export const release = pgTable(
  'release',
  {
    siteId: siteId(),
    letter: text('letter').notNull(),
    revision: integer('revision').notNull(),
    design: frozenDesign('design').notNull(),
    releasedBy: text('released_by').notNull(),
    releasedAt: timestamp('released_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.letter] }),
    check('release_has_a_letter', sql`${t.letter} ~ '^[A-Z]{1,2}$'`),
  ],
);

/** What happened on site. A trigger of the first migration refuses to change or delete a row. */
export const siteRecord = pgTable(
  'site_record',
  {
    siteId: uuid('site_id')
      .notNull()
      .references(() => site.id),
    id: uuid('id').notNull(),
    kind: text('kind').notNull(),
    scope: text('scope').notNull(),
    subjectId: text('subject_id').notNull(),
    release: text('release').notNull(),
    doneAt: timestamp('done_at', { withTimezone: true }).notNull(),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
    corrects: uuid('corrects'),
    body: jsonb('body').$type<SiteRecord>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.id] }),
    foreignKey({
      name: 'site_record_was_made_on_a_release',
      columns: [t.siteId, t.release],
      foreignColumns: [release.siteId, release.letter],
    }),
    foreignKey({
      name: 'site_record_corrects_a_record',
      columns: [t.siteId, t.corrects],
      foreignColumns: [t.siteId, t.id],
    }),
    check('site_record_does_not_correct_itself', sql`${t.corrects} <> ${t.id}`),
    index('site_record_by_subject').on(t.siteId, t.scope, t.subjectId),
  ],
);
