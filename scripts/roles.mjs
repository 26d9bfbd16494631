// Who may do what in the cluster: a role that owns the tables and brings them to their shape, and the application's, which reads and writes rows.
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const OWNER = 'yard_owner';
const APP = 'yard_app';

const quoted = (text) => `'${text.replaceAll("'", "''")}'`;

/** Passwords of a cluster, in a file beside its data that only its user may read. */
export function keysOf(folder) {
  const file = path.join(folder, 'yard.keys');
  return {
    file,
    read: () => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null),
    write: (keys) => writeFileSync(file, JSON.stringify(keys), { mode: 0o600 }),
  };
}

const word = () => randomBytes(24).toString('hex');
export const newKeys = () => ({ admin: word(), owner: word(), app: word() });

export const roleNamed = (role, superuser) => ({ admin: superuser, owner: OWNER, app: APP })[role];

/** Nobody is believed without a password, from wherever. */
export const HBA = ['local all all scram-sha-256', 'host all all 127.0.0.1/32 scram-sha-256', ''].join('\n');

/** Roles with the passwords of a file: safe to say again. */
export const rolesSql = (keys, superuser) => `
do $$ begin
  if not exists (select from pg_roles where rolname = '${OWNER}') then create role ${OWNER} login; end if;
  if not exists (select from pg_roles where rolname = '${APP}') then create role ${APP} login; end if;
end $$;
alter role ${OWNER} nosuperuser nocreatedb nocreaterole password ${quoted(keys.owner)};
alter role ${APP} nosuperuser nocreatedb nocreaterole password ${quoted(keys.app)};
alter role "${superuser}" password ${quoted(keys.admin)};
`;

/** A database, and all in it, belongs to the owner: also one of a time when there was only one role. Nobody else makes anything in it. */
export const ownershipSql = (database) => `
alter database ${database} owner to ${OWNER};
revoke all on database ${database} from public;
grant connect on database ${database} to ${APP};
alter schema public owner to ${OWNER};
revoke all on schema public from public;
do $$ declare it record; begin
  if exists (select from pg_namespace where nspname = 'drizzle') then alter schema drizzle owner to ${OWNER}; end if;
  for it in
    select c.oid::regclass as name, case c.relkind when 'S' then 'sequence' else 'table' end as what
    from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname in ('public', 'drizzle') and c.relkind in ('r', 'S') and c.relowner <> '${OWNER}'::regrole
      and not exists (select from pg_depend d where d.objid = c.oid and d.deptype in ('a', 'i') and c.relkind = 'S')
  loop execute format('alter %s %s owner to ${OWNER}', it.what, it.name); end loop;
  for it in
    select p.oid::regprocedure as name from pg_proc p join pg_namespace n on n.oid = p.pronamespace
    where n.nspname = 'public' and p.proowner <> '${OWNER}'::regrole
  loop execute format('alter function %s owner to ${OWNER}', it.name); end loop;
end $$;
`;
