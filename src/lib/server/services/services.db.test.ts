import fc from 'fast-check';
import jsonpatch from 'fast-json-patch';
import { sql } from 'drizzle-orm';
import { readFile } from 'node:fs/promises';
import { describe, expect, it } from 'vitest';
import { applyEdit, emptyDesign } from '$core/design';
import type { Entry } from '$core/proving/entry';
import { BLANK_DC_CABLE } from '$core/strings/part';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { withStrings } from '$core/strings/arrange';
import type { SiteDesign } from '$core/design';
import { plane, siteOf } from '$core/testing/examples';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { migrate } from '../../../../scripts/migrate.mjs';
import { db, hasItsShape } from '../db/client';
import { owner } from '../whole/owner';
import { readDesign } from '../db/designStore';
import * as schema from '../db/schema';
import { loadDemo } from '../demo';
import { Problem } from '../problem';
import { localContext } from './context';
import { changeDesign, createSite, editDesign, loadDesign, redoChange, undoChange } from './designs';
import { copySite, listSites, setStanding } from './yard';
import { exportProject, importProject, readProject } from './projectFile';
import { addRecord, readLogbook } from './records';
import { releaseDesign } from './releases';

const url = process.env.DATABASE_URL ?? '';
it('is brought to its shape again and again, by several at once', async () => {
  const once = () => migrate(process.env.DATABASE_OWNER_URL ?? '', url);
  await Promise.all([once(), once()]);
  expect(await hasItsShape()).toBe(true);
});

/** A connection that tells each query it sends. */
function watched(at: string, tell: (query: string) => void) {
  const client = new pg.Pool({ connectionString: at, max: 1 });
  return { client, db: drizzle(client, { schema, logger: { logQuery: tell } }) };
}
const context = localContext();
const problemOf = (work: Promise<unknown>): Promise<Problem> =>
  work.then(
    () => Promise.reject(new Error('expected a problem')),
    (cause: unknown) => (cause instanceof Problem ? cause : Promise.reject(cause as Error)),
  );
const laidOut = (() => {
  const bare = siteOf(3, [plane('south', 200), plane('west', 120, { azimuthDeg: 270 })]);
  return withStrings(bare, legalLayout(bare).strings);
})();
async function stored(design: SiteDesign = laidOut): Promise<string> {
  const siteId = await createSite(context, 'stored');
  await changeDesign(context, siteId, 1, () => design);
  return siteId;
}

const id = (n: number) => `01969a00-0000-7000-8000-0000000ed1${n.toString(16).padStart(2, '0')}`;

describe('a change with an id', () => {
  const bitRate = (rate: 9600 | 4800) => ({ kind: 'bit-rate', bitRate: rate }) as const;
  it('is made once however often it is sent, and answered as it was, also when others changed the site since', async () => {
    const siteId = await stored();
    const asked = { revision: 2, edit: bitRate(9600), id: id(1) };
    const answers = await Promise.all([1, 2, 3].map(() => editDesign(context, siteId, asked)));
    expect(answers.map((a) => a.revision)).toEqual([3, 3, 3]);
    await changeDesign(context, siteId, 3, (d) => ({ ...d, chain: { ...d.chain, bitRate: 4800 } }));
    expect(await editDesign(context, siteId, asked)).toEqual(answers[0]);
    expect((await loadDesign(context, siteId)).design.chain.bitRate).toBe(4800);
    expect((await loadDesign(context, siteId)).revision).toBe(4);
  });
  it('is a conflict where the id stands for another change, and where nobody knows it and the revision is old', async () => {
    const siteId = await stored();
    await editDesign(context, siteId, { revision: 2, edit: bitRate(9600), id: id(2) });
    const other = { revision: 3, edit: bitRate(4800), id: id(2) };
    expect(await problemOf(editDesign(context, siteId, other))).toMatchObject({
      status: 409,
      title: 'Id already used',
    });
    const late = { revision: 2, edit: bitRate(4800), id: id(3) };
    expect(await problemOf(editDesign(context, siteId, late))).toMatchObject({
      status: 409,
      title: 'Changed meanwhile',
    });
  });
  it('is taken back once', async () => {
    const siteId = await stored();
    await editDesign(context, siteId, { revision: 2, edit: bitRate(9600), id: id(4) });
    const undo = { revision: 3, id: id(5) };
    const answers = [await undoChange(context, siteId, undo), await undoChange(context, siteId, undo)];
    expect(answers[1]).toEqual(answers[0]);
    expect((await loadDesign(context, siteId)).revision).toBe(4);
  });
});

describe('design in the database', () => {
  it('reads back what was written, whatever the design', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: 0, max: 300 }),
        fc.option(fc.integer({ min: -60, max: 35 })),
        async (units, modules, coldest) => {
          const bare = siteOf(units, [plane('p', modules)]);
          const design = withStrings(
            { ...bare, survey: { ...bare.survey, coldestC: coldest } },
            legalLayout(bare).strings,
          );
          const siteId = await stored(design);
          expect((await loadDesign(context, siteId)).design).toEqual(design);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('lists sites of one name in the order they were made, whichever was changed last', async () => {
    const made: string[] = [];
    for (let n = 0; n < 5; n++) made.push(await createSite(context, 'one of many'));
    const inList = async () => (await listSites(context)).filter((s) => s.name === 'one of many').map((s) => s.id);
    expect(await inList()).toEqual(made);
    for (const id of [made[2]!, made[0]!]) {
      await changeDesign(context, id, 1, (d) => ({ ...d, survey: { ...d.survey, coldestC: -12 } }));
      expect(await inList()).toEqual(made);
    }
  });

  it('changes, exchanges and removes parts, and gives each step back by undo', async () => {
    const siteId = await stored();
    const steps: SiteDesign[] = [laidOut];
    const [a, b] = laidOut.strings;
    const edits = [
      { kind: 'hang-string', stringId: a!.id, place: b!.place },
      { kind: 'chain-order', ids: [...laidOut.chain.devices].reverse().map((d) => d.id) },
      { kind: 'number-chain' },
      { kind: 'remove-inverter', inverterId: 'inv-2' },
      { kind: 'remove-plane', planeId: 'south' },
    ] as const;
    let revision = 2;
    for (const edit of edits) {
      const after = await changeDesign(context, siteId, revision, (d) => applyEdit(d, edit));
      revision = after.revision;
      const before = steps.at(-1)!;
      const { design } = await loadDesign(context, siteId);
      expect(after.changes).toEqual([]);
      expect(design).toEqual(applyEdit(before, edit));
      steps.push(design);
    }
    for (let at = steps.length - 2; at >= 0; at--) {
      const back = await undoChange(context, siteId, { revision: revision });
      revision = back.revision;
      expect((await loadDesign(context, siteId)).design).toEqual(steps[at]);
      expect(jsonpatch.applyPatch(structuredClone(steps[at + 1]!), back.changes).newDocument).toEqual(steps[at]);
      expect(back.undoes).not.toBeNull();
    }
  });

  it('says what undo and redo would do, redoes what was undone, and forgets it with the next change', async () => {
    const siteId = await stored();
    const [a, b] = laidOut.strings;
    const swap = { kind: 'hang-string', stringId: a!.id, place: b!.place } as const;
    const ways = ({ undoes, redoes }: { undoes: string | null; redoes: string | null }) => [undoes, redoes];
    const swapped = `string ${a!.number} to INV-01 tracker ${b!.place!.tracker}`;
    const set = 'the last change';

    const first = await editDesign(context, siteId, { revision: 2, edit: swap });
    expect(ways(first)).toEqual([swapped, null]);
    const second = await editDesign(context, siteId, { revision: 3, edit: { kind: 'number-chain' } });
    expect(ways(second)).toEqual(['addresses and terminators', null]);
    const both = (await loadDesign(context, siteId)).design;

    expect(ways(await undoChange(context, siteId, { revision: 4 }))).toEqual([swapped, 'addresses and terminators']);
    expect(ways(await undoChange(context, siteId, { revision: 5 }))).toEqual([set, swapped]);
    expect((await loadDesign(context, siteId)).design).toEqual(laidOut);
    expect(ways(await loadDesign(context, siteId))).toEqual([set, swapped]);

    expect(ways(await redoChange(context, siteId, { revision: 6 }))).toEqual([swapped, 'addresses and terminators']);
    const redone = await redoChange(context, siteId, { revision: 7 });
    expect(ways(redone)).toEqual(['addresses and terminators', null]);
    expect((await loadDesign(context, siteId)).design).toEqual(both);
    expect(await problemOf(redoChange(context, siteId, { revision: 8 }))).toMatchObject({
      status: 409,
      title: 'Nothing to redo',
    });

    await undoChange(context, siteId, { revision: 8 });
    const other = await editDesign(context, siteId, { revision: 9, edit: { kind: 'remove-plane', planeId: 'south' } });
    expect(other.redoes).toBeNull();
    expect(await problemOf(redoChange(context, siteId, { revision: 10 }))).toMatchObject({ status: 409 });
  });

  it('makes a redo once, however often it is sent', async () => {
    const siteId = await stored();
    await editDesign(context, siteId, { revision: 2, edit: { kind: 'number-chain' } });
    await undoChange(context, siteId, { revision: 3 });
    const redo = { revision: 4, id: id(77) };
    const answers = [await redoChange(context, siteId, redo), await redoChange(context, siteId, redo)];
    expect(answers[1]).toEqual(answers[0]);
    expect((await loadDesign(context, siteId)).revision).toBe(5);
    // The same id for the way back is another change, and refused.
    expect(await problemOf(undoChange(context, siteId, redo))).toMatchObject({ status: 409 });
  });

  it('puts a site aside, out of sight, and back, and takes nothing of it away', async () => {
    const siteId = await stored();
    const standing = async () => (await listSites(context)).find((s) => s.id === siteId)?.standing;
    expect(await standing()).toBe('open');
    const before = await loadDesign(context, siteId);
    for (const to of ['archived', 'deleted', 'open'] as const) {
      expect(await setStanding(context, siteId, to)).toEqual({ standing: to });
      expect(await standing()).toBe(to);
      expect(await loadDesign(context, siteId)).toEqual(before);
    }
    expect(await problemOf(setStanding(context, id(1), 'deleted'))).toMatchObject({ status: 404 });
  });

  it('starts a site with the design of another, under its own name and without its past', async () => {
    const siteId = await stored();
    const copyId = await copySite(context, siteId, 'The second hall');
    const copy = await loadDesign(context, copyId);
    expect(copy).toMatchObject({ revision: 1, undoes: null, redoes: null });
    expect(copy.design).toEqual({ ...laidOut, survey: { ...laidOut.survey, name: 'The second hall' } });
    expect((await listSites(context)).find((s) => s.id === copyId)).toMatchObject({
      stage: 'design',
      standing: 'open',
    });
    expect(await problemOf(copySite(context, id(1), 'Nobody'))).toMatchObject({ status: 404 });
  });

  it('sums a site up after the change, and again when design or rules moved since', async () => {
    const siteId = await stored();
    const shown = async () => (await listSites(context)).find((s) => s.id === siteId)?.summary;
    expect(await shown()).toMatchObject({ strings: laidOut.strings.length, inverters: 3 });
    await db().execute(sql`update site set summary = jsonb_set(summary, '{strings}', '0') where id = ${siteId}`);
    expect(await shown()).toMatchObject({ strings: 0 });
    await db().execute(sql`update site set summary_rules = 'of before' where id = ${siteId}`);
    expect(await shown()).toMatchObject({ strings: laidOut.strings.length });
    await db().execute(sql`update site set summary = null, summary_revision = 1 where id = ${siteId}`);
    expect(await shown()).toMatchObject({ strings: laidOut.strings.length });
  });

  it('opens rows of an older shape with what they did not know left unknown, and renews them at the next write', async () => {
    const siteId = await stored();
    await db().execute(
      sql`update site set shape = 'older', survey = survey - 'building' - 'coldMethod' where id = ${siteId}`,
    );
    await db().execute(sql`delete from design_part where site_id = ${siteId} and part = 'strings'`);
    const { design } = await loadDesign(context, siteId);
    expect(design).toEqual({ ...laidOut, survey: { ...laidOut.survey, building: null }, dcCable: BLANK_DC_CABLE });
    await changeDesign(context, siteId, 2, (d) => ({ ...d, board: { ...d.board, label: 'Renewed' } }));
    const { rows } = await db().execute(sql`select shape, survey ? 'building' as known from site where id = ${siteId}`);
    expect(rows[0]).toMatchObject({ known: true });
    expect(rows[0]?.shape).not.toBe('older');
    expect((await loadDesign(context, siteId)).design.board.label).toBe('Renewed');
  });

  it('gives back a whole design where an older program kept one', async () => {
    const siteId = await stored();
    await changeDesign(context, siteId, 2, (d) => applyEdit(d, { kind: 'number-chain' }));
    await db().execute(sql`delete from design_history where site_id = ${siteId}`);
    await db().execute(
      sql`insert into design_history (site_id, revision, design) values (${siteId}, 2, ${JSON.stringify(emptyDesign('of before'))}::jsonb)`,
    );
    await undoChange(context, siteId, { revision: 3 });
    expect((await loadDesign(context, siteId)).design).toEqual(emptyDesign('of before'));
  });

  it('refuses a stale revision, says so, and writes nothing', async () => {
    const siteId = await stored();
    const move = { kind: 'hang-string', stringId: laidOut.strings[0]!.id, place: null } as const;
    await changeDesign(context, siteId, 2, (d) => applyEdit(d, move));
    const before = await loadDesign(context, siteId);
    const problem = await problemOf(
      changeDesign(context, siteId, 2, (d) => applyEdit(d, { kind: 'remove-plane', planeId: 'south' })),
    );
    expect(problem).toMatchObject({ status: 409, detail: expect.stringContaining('now 3') });
    expect(await loadDesign(context, siteId)).toEqual(before);
  });

  it('lets exactly one of two writers at the same revision through', async () => {
    const siteId = await stored();
    const write = (label: string) =>
      changeDesign(context, siteId, 2, (d) => ({ ...d, board: { ...d.board, label } })).then(() => label);
    const results = await Promise.allSettled([write('one'), write('two'), write('three')]);
    const won = results.filter((r) => r.status === 'fulfilled').map((r) => r.value);
    expect(won.length).toBe(1);
    expect((await loadDesign(context, siteId)).design.board.label).toBe(won[0]);
  });

  it('refuses an edit that would break the design, with a pointer to the place', async () => {
    const siteId = await stored();
    const problem = await problemOf(
      changeDesign(context, siteId, 2, (d) => ({ ...d, inverters: d.inverters.map((i) => ({ ...i, tag: 'SAME' })) })),
    );
    expect(problem.errors[0]).toEqual({ pointer: '/inverters/1/tag', detail: 'Tag SAME is used twice.' });
    expect((await loadDesign(context, siteId)).revision).toBe(2);
  });

  it('holds its rules itself: a second string on an input is refused by a constraint', async () => {
    const siteId = await stored();
    const again = db().execute(
      sql`insert into pv_string (site_id, id, ord, number, plane_id, modules, inverter_id, tracker, input, branch) select site_id, 'twin', 999, 999, plane_id, modules, inverter_id, tracker, input, branch from pv_string where site_id = ${siteId} and inverter_id is not null limit 1`,
    );
    await expect(again).rejects.toMatchObject({ cause: { constraint: 'pv_string_one_per_input' } });
    const address = db().execute(sql`update chain_device set address = 248 where site_id = ${siteId}`);
    await expect(address).rejects.toMatchObject({ cause: { constraint: 'chain_device_address_in_range' } });
  });

  it('takes an address once on every bus, and a second time on none', async () => {
    const onBuses = (...places: [bus: number, address: number][]) => {
      const two = siteOf(2, []);
      const devices = two.chain.devices.map((d, i) => ({
        ...d,
        bus: places[i]?.[0] ?? 1,
        address: places[i]?.[1] ?? 1,
      }));
      return { ...two, chain: { ...two.chain, devices } };
    };
    const siteId = await stored(onBuses([1, 7], [2, 7]));
    expect((await loadDesign(context, siteId)).design.chain.devices.map((d) => [d.bus, d.address])).toEqual([
      [1, 7],
      [2, 7],
    ]);
    const problem = await problemOf(changeDesign(context, siteId, 2, () => onBuses([2, 7], [2, 7])));
    expect(problem.errors[0]?.detail).toBe('Address 7 is used twice.');
    // And exchanged in one change.
    await changeDesign(context, siteId, 2, () => onBuses([1, 3], [1, 4]));
    await changeDesign(context, siteId, 3, () => onBuses([1, 4], [1, 3]));
    const twins = db().execute(sql`update chain_device set address = 4 where site_id = ${siteId}`);
    await expect(twins).rejects.toMatchObject({ cause: { constraint: 'chain_device_address_once_a_bus' } });
  });

  it('reads a site of 60 inverters in one query', async () => {
    const big = siteOf(60, [plane('p', 4000)]);
    const siteId = await stored(withStrings(big, legalLayout(big).strings));
    const queries: string[] = [];
    const { db: counting, client } = watched(url, (query) => queries.push(query));
    const loaded = await readDesign(counting, siteId);
    await client.end();
    // One statement sees one moment: no reader mixes two revisions.
    expect(queries.length).toBe(1);
    expect(loaded?.design.inverters.length).toBe(60);
    expect(loaded?.design.strings.length).toBeGreaterThan(200);
  });
});

const uuid = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const gate = (n: number, over: object = {}) => ({
  id: uuid(n),
  kind: 'gate',
  subject: { scope: 'site', id: 'site' },
  doneAt: new Date().toISOString(),
  by: 'R. Vahl',
  role: 'electrician',
  licensedUntil: '2099-12-31',
  device: null,
  instrument: null,
  release: 'A',
  corrects: null,
  reason: null,
  values: { gate: 'S-SAFE', result: 'pass', evidence: 'isolation points named' },
  ...over,
});

describe('record', () => {
  it('wants a release first', async () => {
    const siteId = await stored();
    expect((await problemOf(addRecord(context, siteId, gate(1)))).detail).toContain('release the design first');
  });

  it('takes an entry once, however often and at once it is sent, and refuses its id for another', async () => {
    const siteId = await stored();
    expect(await releaseDesign(context, siteId, 2, 'R. Vahl')).toBe('A');
    const entry = gate(2);
    const sent = await Promise.all([
      addRecord(context, siteId, entry),
      addRecord(context, siteId, entry),
      addRecord(context, siteId, entry),
    ]);
    expect(sent.filter((s) => !s.known).length).toBe(1);
    expect((await readLogbook(context, siteId)).entries.length).toBe(1);
    expect(await problemOf(addRecord(context, siteId, { ...entry, by: 'somebody else' }))).toMatchObject({
      status: 409,
      title: 'Id already used',
    });
  });

  it('is append only in the database, and so is a release: the application may not, and whoever owns the tables is refused', async () => {
    const siteId = await stored();
    await releaseDesign(context, siteId, 2, 'R. Vahl');
    await addRecord(context, siteId, gate(3));
    const tables = owner();
    for (const statement of [
      sql`update site_record set kind = 'x'`,
      sql`delete from site_record`,
      sql`truncate site_record`,
      sql`update release set letter = 'Z'`,
      sql`delete from release`,
    ]) {
      await expect(db().execute(statement)).rejects.toMatchObject({ cause: { code: '42501' } });
      await expect(tables.db.execute(statement)).rejects.toMatchObject({
        cause: { message: expect.stringContaining('append only') },
      });
    }
    await tables.pool.end();
  });

  it('leaves tables, triggers and roles to their owner', async () => {
    for (const statement of [
      sql`alter table site_record disable trigger user`,
      sql`drop trigger release_is_frozen on release`,
      sql`create or replace function refuse_change() returns trigger language plpgsql as 'begin return new; end'`,
      sql`truncate site`,
      sql`drop table release`,
      sql`create table beside (id int)`,
      sql`create temp table beside (id int)`,
      sql`alter role yard_app superuser`,
      sql`set role yard_owner`,
      sql`update drizzle.__drizzle_migrations set created_at = 0`,
      sql`set session_replication_role = replica`,
    ])
      await expect(db().execute(statement)).rejects.toMatchObject({ cause: { code: '42501' } });
  });

  it('lets nobody in without a password', async () => {
    for (const [role, database] of [
      ['yard_app', 'yard_test'],
      ['yard_owner', 'yard_test'],
      ['postgres', 'postgres'],
    ]) {
      const at = new URL(url);
      const guess = new pg.Client({ connectionString: `postgres://${role}:guess@${at.host}/${database}` });
      await expect(guess.connect()).rejects.toMatchObject({ code: '28P01' });
    }
  });

  it('keeps the order of gates, the roles, and the gates that can never be waived', async () => {
    const siteId = await stored();
    await releaseDesign(context, siteId, 2, 'R. Vahl');
    const refused = async (over: object) => (await problemOf(addRecord(context, siteId, gate(4, over)))).detail;
    expect(
      await refused({
        subject: { scope: 'inverter', id: 'inv-1' },
        values: { gate: 'I-COVER', result: 'pass', evidence: 'closed' },
      }),
    ).toContain('Not closed when it was made');
    expect(await refused({ role: 'helper' })).toContain('signed by the electrician');
    expect(await refused({ licensedUntil: '2020-01-01' })).toContain('licence');
    expect(
      await refused({
        kind: 'waiver',
        reason: 'we are in a hurry today',
        values: { gate: 'S-EARTH', entryId: null, reviewDays: 3 },
      }),
    ).toContain('never be waived');
    expect(
      await refused({
        subject: { scope: 'string', id: 's-1' },
        values: { gate: 'D-VOC', result: 'pass', evidence: 'looks fine' },
      }),
    ).toContain('closes by its measurement');
    expect(
      await refused({
        kind: 'step',
        subject: { scope: 'inverter', id: 'inv-1' },
        values: { order: '1', state: 'AC_CLOSED', readings: {}, waitedS: 10, restarts: 0, seen: 'display on' },
      }),
    ).toContain('LOCKED_OFF is');
    expect(await refused({ doneAt: new Date(Date.now() + 3_600_000).toISOString() })).toContain('future');
    expect(
      await refused({
        subject: { scope: 'inverter', id: 'inv-99' },
        values: { gate: 'I-ADDR', result: 'pass', evidence: 'hangs' },
      }),
    ).toContain('no inverter inv-99');
    expect((await readLogbook(context, siteId)).entries).toEqual([]);
  });

  it('lets one of two simultaneous corrections count', async () => {
    const siteId = await stored();
    await releaseDesign(context, siteId, 2, 'R. Vahl');
    await addRecord(context, siteId, gate(5));
    const fix = (n: number) =>
      addRecord(
        context,
        siteId,
        gate(n, {
          corrects: uuid(5),
          reason: 'wrong photo',
          values: { gate: 'S-SAFE', result: 'fail', evidence: `no permit ${n}` },
        }),
      );
    const results = await Promise.allSettled([fix(6), fix(7)]);
    expect(results.filter((r) => r.status === 'fulfilled').length).toBe(1);
    expect((await readLogbook(context, siteId)).evidence.gate('S-SAFE', 'site')?.state).toBe('failed');
  });
});

describe('project file', () => {
  it('comes back without loss: design, releases and record', async () => {
    const first = readProject(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8'));
    const siteId = await importProject(context, first);
    const out = await exportProject(context, siteId);
    const again = await exportProject(context, await importProject(context, readProject(JSON.stringify(out))));
    const rest = ({ siteId: _s, exportedAt: _e, ...file }: typeof out) => file;
    expect(rest(out)).toEqual(rest(first));
    expect(rest(again)).toEqual(rest(out));
  });

  it('is refused with the place of the error when broken, foreign or newer, and changes nothing', async () => {
    const text = await readFile('demo/brekkesund-fish-hall.project.json', 'utf8');
    const before = await listSites(context);
    const refusal = (content: string) => {
      try {
        readProject(content);
      } catch (cause) {
        return cause as Problem;
      }
      throw new Error('expected a problem');
    };
    expect(refusal(text.slice(0, 5000)).detail).toMatch(/line \d+, column \d+/);
    expect(refusal('{"some":"thing"}').title).toBe('Foreign file');
    expect(refusal(text.replace('"version": 2', '"version": 3')).title).toBe('Newer file');
    expect(refusal(text.replace('"tag": "INV-02"', '"tag": "INV-01"')).errors[0]).toEqual({
      pointer: '/design/inverters/1/tag',
      detail: 'Tag INV-01 is used twice.',
    });
    expect(refusal(text.replace('"moduleCount": 331', '"moduleCount": "many"')).errors[0]?.pointer).toBe(
      '/design/planes/0/moduleCount',
    );
    expect(await listSites(context)).toEqual(before);
  });

  it('tells of nothing that is still to come: a permit of the future would not end tonight', async () => {
    const file = readProject(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8'));
    const lastMs = Math.max(...file.records.map((r) => Date.parse(r.doneAt) + (r.device?.offsetMs ?? 0)));
    const last = file.records.findIndex((r) => Date.parse(r.doneAt) + (r.device?.offsetMs ?? 0) === lastMs);
    const releasedMs = Date.parse(file.releases[0]?.releasedAt ?? '');
    const importedAt = (nowMs: number) => importProject({ ...context, now: () => new Date(nowMs) }, file);
    const drift = 5 * 60_000;
    await importedAt(lastMs - drift);
    await expect(importedAt(lastMs - drift - 1)).rejects.toMatchObject({
      status: 422,
      errors: expect.arrayContaining([
        { pointer: `/records/${last}/doneAt`, detail: expect.stringMatching(/^must not lie in the future/) as string },
      ]) as unknown,
    });
    await expect(importedAt(releasedMs - drift - 1)).rejects.toMatchObject({
      errors: expect.arrayContaining([expect.objectContaining({ pointer: '/releases/0/releasedAt' })]) as unknown,
    });
  });

  it('brings entries without a device as they are, and those of version 1 as of an older program', async () => {
    const file = JSON.parse(await readFile('demo/tarnholm-ice-rink.project.json', 'utf8')) as { records: Entry[] };
    const bare = ({ device: _device, ...entry }: Entry) => entry;
    const pick = file.records.filter((e) => ['torque', 'open-point', 'addressed'].includes(e.kind));
    const kindsOf = (version: number) => {
      const { records } = readProject(JSON.stringify({ ...file, version, records: pick.map(bare) }));
      return records.map((e, i) => [pick[i]?.kind, e.kind, e.device] as const);
    };
    expect(pick.length).toBeGreaterThan(8);
    expect(kindsOf(2)).toEqual(pick.map((e) => [e.kind, e.kind, null]));
    expect(kindsOf(1)).toEqual(pick.map((e) => [e.kind, e.kind === 'torque' ? 'older' : e.kind, null]));
  });

  it('of the demo is left alone when the database holds sites already', async () => {
    expect(await loadDemo(context)).toBe(false);
  });
});
