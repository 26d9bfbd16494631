import { readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { migrate } from '../../../../scripts/migrate.mjs';
import { testCluster } from '../../../../scripts/testDatabase.mjs';

/** A cluster of its own: who gets in, and who may read what it keeps. */

let database: Awaited<ReturnType<typeof testCluster>>;
beforeAll(async () => {
  database = await testCluster();
});
afterAll(() => database.remove());

const asked = async (url: string, question: string): Promise<unknown> => {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  return client
    .query<{ it: unknown }>(question)
    .then(({ rows }) => rows[0]?.it)
    .finally(() => client.end());
};
const withoutPassword = () => asked(database.url('yard_test').replace(/:[0-9a-f]+@/, '@'), 'select 1 as it');

it('keeps its socket, its data and its passwords to its own user', () => {
  const { folder } = database;
  expect(statSync(folder).mode & 0o777).toBe(0o700);
  expect(statSync(`${folder}/yard.keys`).mode & 0o777).toBe(0o600);
  const socket = readdirSync(folder).find((f) => /^\.s\.PGSQL\.\d+$/.test(f));
  expect(statSync(`${folder}/${socket}`).mode & 0o777).toBe(0o700);
  expect(new Set(Object.values(JSON.parse(readFileSync(`${folder}/yard.keys`, 'utf8')))).size).toBe(3);
});

it('asks everybody for a password, kept as scram', async () => {
  await expect(withoutPassword()).rejects.toThrow(/password/);
  const kept = `select string_agg(distinct split_part(rolpassword, '$', 1), ',') as it from pg_authid where rolcanlogin`;
  expect(await asked(database.url('yard_test', 'admin'), kept)).toBe('SCRAM-SHA-256');
});

it('shuts the door of a cluster that asked for none, and hands what is in it to the owner', async () => {
  const { folder } = database;
  const admin = () => database.url('yard_test', 'admin');
  const was = admin();
  await asked(was, 'create table of_before as select 1 as it');
  database.stop();
  rmSync(`${folder}/yard.keys`);
  writeFileSync(`${folder}/pg_hba.conf`, 'local all all trust\nhost all all 127.0.0.1/32 trust\n');
  database.start();
  database.createDatabase('yard_test');
  await migrate(database.url('yard_test', 'owner'), database.url('yard_test'));
  await expect(withoutPassword()).rejects.toThrow(/password/);
  await expect(asked(was, 'select 1')).rejects.toMatchObject({ code: '28P01' });
  const ofOwner = `select tableowner as it from pg_tables where tablename = 'of_before'`;
  expect(await asked(admin(), ofOwner)).toBe('yard_owner');
  expect(await asked(database.url('yard_test'), 'select count(*)::int as it from of_before')).toBe(1);
});
