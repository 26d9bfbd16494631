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
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Operation } from 'fast-json-patch';
import type { Standing } from '$lib/schemas/standing';
import type { PriceList } from '$core/ac/candidates/priceList';
import type { Remainder } from '$core/ac/schedule/cableStore';
import type { Instrument } from '$core/equipment/instrument';
import type { InverterType } from '$core/equipment/inverterType';
import type { ModuleType } from '$core/equipment/moduleType';
import type { Board } from '$core/site/parts';
import type { Position } from '$core/site/position';
import type { Survey } from '$core/site/survey';
import type { YearResult } from '$core/strings/year/yearResult';
import type { WeatherYear } from '$core/weather/weatherYear';
import type { Changed } from '$lib/schemas/site';
import type { SiteSummary } from './summary';

/**
 * Two kinds of data, never mixed. Design: a site in rows that are edited under its `revision`. Record: entries that are only added.
 * What other rows refer to or a constraint guards is a column; the rest of a part is one JSON value, guarded by core's schema.
 * Unique keys that an edit may swap (tags, inputs, addresses, numbers) are deferred to commit: see the first migration.
 */

export const shelfItem = pgTable(
  'shelf_item',
  {
    kind: text('kind', { enum: ['module', 'inverter', 'instrument', 'prices', 'remainder'] }).notNull(),
    id: text('id').notNull(),
    sheet: jsonb('sheet').$type<ModuleType | InverterType | Instrument | PriceList | Remainder>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.kind, t.id] }),
    check('shelf_item_kind_known', sql`${t.kind} in ('module', 'inverter', 'instrument', 'prices', 'remainder')`),
  ],
);

export const site = pgTable(
  'site',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull(),
    revision: integer('revision').notNull().default(1),
    survey: jsonb('survey').$type<Survey>().notNull(),
    board: jsonb('board').$type<Board>().notNull(),
    /** Edition of the document these rows were written from, and the shape its schema had then. */
    edition: integer('edition').notNull().default(1),
    shape: text('shape').notNull().default(''),
    /** Derived: made again when the design or the rules moved since. */
    summary: jsonb('summary').$type<SiteSummary>(),
    summaryRevision: integer('summary_revision'),
    summaryRules: text('summary_rules'),
    /** How many entries its record has, and the hash of the last: what a removed last row is missed by. */
    recordCount: integer('record_count').notNull().default(0),
    recordHash: text('record_hash'),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
    /** How it stands in the yard: deleted is out of sight, never gone. */
    standing: text('standing').$type<Standing>().notNull().default('open'),
  },
  (t) => [check('site_standing_known', sql`${t.standing} in ('open', 'archived', 'deleted')`)],
);

export const siteId = () =>
  uuid('site_id')
    .notNull()
    .references(() => site.id, { onDelete: 'cascade' });
/** Place in the document's list, so that a design reads back in the order in which it was written. */
export const ord = () => integer('ord').notNull();

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
    rearShare: doublePrecision('rear_share'),
    position: jsonb('position').$type<Position | null>(),
    edgeM: doublePrecision('edge_m').notNull().default(0),
    edgeDeg: doublePrecision('edge_deg').notNull().default(0),
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

/** What a discipline keeps outside tables of its own: a newcomer its whole part, others what no constraint has to guard. */
export const designPart = pgTable(
  'design_part',
  {
    siteId: siteId(),
    part: text('part').notNull(),
    edition: integer('edition').notNull(),
    value: jsonb('value').$type<Record<string, unknown>>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.part] })],
);

/** The way back from each change, newest revisions only: a JSON Patch (RFC 6902); rows of an older program hold the whole design. */
export const designHistory = pgTable(
  'design_history',
  {
    siteId: siteId(),
    revision: integer('revision').notNull(),
    back: jsonb('back').$type<Operation[]>(),
    design: jsonb('design').$type<unknown>(),
    /** What it takes back, in words. */
    what: text('what').notNull().default('the last change'),
    /** It leads on again: what an undo took back. Gone with the next change. */
    ahead: boolean('ahead').notNull().default(false),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.revision] }),
    check('design_history_leads_back', sql`(${t.back} is null) <> (${t.design} is null)`),
  ],
);

/** Changes that were made, by the ids that whoever sent them gave: one that is sent again is known, with what it was answered. Newest only. */
export const designEdit = pgTable(
  'design_edit',
  {
    siteId: siteId(),
    id: uuid('id').notNull(),
    /** The revision it made. */
    revision: integer('revision').notNull(),
    /** SHA-256 of what was asked. */
    asked: text('asked').notNull(),
    answer: jsonb('answer').$type<Changed>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.id] })],
);

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Pictures behind the plan of a site, by the SHA-256 of their bytes. */
export const backdrop = pgTable(
  'backdrop',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    type: text('type', { enum: ['image/png', 'image/jpeg', 'image/svg+xml'] }).notNull(),
    bytes: bytea('bytes').notNull(),
    keptAt: timestamp('kept_at', { withTimezone: true }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.id] })],
);

/** Photos that the record refers to, by the SHA-256 of their bytes: kept as long as the site. */
export const sitePhoto = pgTable(
  'site_photo',
  {
    siteId: siteId(),
    id: text('id').notNull(),
    type: text('type', { enum: ['image/png', 'image/jpeg'] }).notNull(),
    bytes: bytea('bytes').notNull(),
    keptAt: timestamp('kept_at', { withTimezone: true }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.siteId, t.id] })],
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
    /** Version of the rules it was computed by; another one makes it again. */
    rules: text('rules').notNull().default(''),
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
    /** Its place among the releases of the site, from 1. */
    seq: integer('seq').notNull(),
    revision: integer('revision').notNull(),
    design: jsonb('design').$type<unknown>().notNull(),
    releasedBy: text('released_by').notNull(),
    releasedAt: timestamp('released_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.siteId, t.letter] }),
    check('release_has_a_letter', sql`${t.letter} ~ '^[A-Z]{1,2}$'`),
    unique('release_one_place_in_the_sequence').on(t.siteId, t.seq),
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
    body: jsonb('body').$type<unknown>().notNull(),
    /** Its place in the chain of the site's entries, from 1; those of a time before the chain have a place and no hash. */
    seq: integer('seq').notNull(),
    /** SHA-256 over the hash before and the canonical entry. */
    hash: text('hash'),
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
    unique('site_record_one_place_in_the_chain').on(t.siteId, t.seq),
  ],
);
