// A PostgreSQL cluster of the project's own: loopback, its own port, its socket beside its data.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { chmodSync, chownSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { HBA, keysOf, newKeys, ownershipSql, roleNamed, rolesSql } from './roles.mjs';

/** So long a server is asked to start again: after a kill -9 the orphans of the old one need a moment to let go of its memory, ms. */
const START_MS = 5000;
const isRoot = process.getuid?.() === 0;

/** Folder of the newest PostgreSQL programs, or null. */
export function findPostgres() {
  const root = '/usr/lib/postgresql';
  const versions = existsSync(root)
    ? readdirSync(root).filter((v) => existsSync(path.join(root, v, 'bin/initdb')))
    : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  if (newest) return path.join(root, newest, 'bin');
  const found = spawnSync('sh', ['-c', 'command -v initdb'], { encoding: 'utf8' }).stdout.trim();
  return found ? path.dirname(found) : null;
}

/** PostgreSQL refuses to run as root: its programs run as `postgres` then. */
function run(bin, program, args, options = {}) {
  const file = path.join(bin, program);
  const [command, all] = isRoot ? ['runuser', ['-u', 'postgres', '--', file, ...args]] : [file, args];
  return execFileSync(command, all, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'], cwd: '/', ...options });
}

function idOf(user, flag) {
  return Number(execFileSync('id', [flag, user], { encoding: 'utf8' }).trim());
}

/** Where the data lies: the wanted folder, or one outside when `postgres` may not walk into the project. */
function reachable(wanted) {
  if (!isRoot) return wanted;
  const parent = path.dirname(wanted);
  mkdirSync(parent, { recursive: true });
  if (spawnSync('runuser', ['-u', 'postgres', '--', 'test', '-x', parent], { cwd: '/' }).status === 0) return wanted;
  const elsewhere = path.join(
    '/var/tmp',
    `bolt-yard-${createHash('sha256').update(wanted).digest('hex').slice(0, 12)}`,
  );
  console.log(`The user postgres cannot enter ${parent}; its data lies in ${elsewhere} instead.`);
  return elsewhere;
}

/** A cluster by folder and port, with what can be done to it. */
export function cluster(wantedFolder, port) {
  const bin = findPostgres();
  if (!bin) throw new Error('PostgreSQL is missing. Install it with: apt-get install postgresql');
  const folder = reachable(path.resolve(wantedFolder));
  const log = path.join(folder, 'server.log');
  const user = isRoot ? 'postgres' : execFileSync('id', ['-un'], { encoding: 'utf8' }).trim();
  const keys = keysOf(folder);
  /** For a role: the application's, unless another is asked for. */
  const url = (database, role = 'app') =>
    `postgres://${roleNamed(role, user)}:${keys.read()?.[role]}@127.0.0.1:${port}/${database}`;

  /** Of the user that PostgreSQL runs as, and of nobody else. */
  function own(file) {
    if (isRoot) chownSync(file, idOf('postgres', '-u'), idOf('postgres', '-g'));
    else chmodSync(file, file === folder ? 0o700 : 0o600);
  }

  function create() {
    if (existsSync(path.join(folder, 'PG_VERSION'))) return;
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    own(folder);
    run(bin, 'initdb', ['-D', folder, '--auth=trust', '--encoding=UTF8', '--locale=C.UTF-8', '--username', user]);
  }

  /** Passwords for everybody. Until they are written down, nobody else is there to be believed: the port opens after. */
  function lockDoors() {
    if (keys.read()) return;
    const made = newKeys();
    const socket = ['-c', "listen_addresses=''", '-c', `unix_socket_directories=${folder}`, '-c', `port=${port}`];
    const options = socket.join(' ');
    run(bin, 'pg_ctl', ['-D', folder, '-l', log, '-w', '-o', options, 'start'], { stdio: 'ignore' });
    try {
      psql(rolesSql(made, user), { host: folder });
    } finally {
      run(bin, 'pg_ctl', ['-D', folder, '-m', 'fast', '-w', 'stop'], { stdio: 'ignore' });
    }
    keys.write(made);
    own(keys.file);
    const hba = path.join(folder, 'pg_hba.conf');
    writeFileSync(hba, HBA);
    own(hba);
  }

  const lock = path.join(folder, 'postmaster.pid');
  /** Process id of the server, as its lock names it. */
  const pid = () => Number(readFileSync(lock, 'utf8').split('\n')[0]);
  /** Whether the lock names a server: not one that is gone, a zombie that nobody has reaped, or another program that has its number now. */
  function isRunning() {
    try {
      const status = readFileSync(`/proc/${pid()}/status`, 'utf8');
      return /^Name:\s+postgres$/m.test(status) && !/^State:\s+Z/m.test(status);
    } catch {
      return false;
    }
  }

  function start() {
    create();
    if (!isRunning()) {
      // After a kill -9 they would pass for those of a running one, for as long as nobody has reaped it.
      for (const stale of [lock, path.join(folder, `.s.PGSQL.${port}.lock`)]) rmSync(stale, { force: true });
    } else {
      if (keys.read()) return false;
      // Of a time when it asked for no password.
      stop();
    }
    lockDoors();
    const options = `-c listen_addresses=127.0.0.1 -c port=${port} -c unix_socket_directories='${folder}' -c unix_socket_permissions=0700 -c max_connections=50`;
    const giveUpMs = Date.now() + START_MS;
    for (;;) {
      try {
        run(bin, 'pg_ctl', ['-D', folder, '-l', log, '-w', '-t', '60', '-o', options, 'start'], { stdio: 'ignore' });
        break;
      } catch (cause) {
        if (Date.now() < giveUpMs) {
          execFileSync('sleep', ['0.2']);
          continue;
        }
        const tail = existsSync(log) ? execFileSync('tail', ['-n', '8', log], { encoding: 'utf8' }) : '';
        throw new Error(`PostgreSQL did not start on port ${port} in ${folder}.\n${tail}`, { cause });
      }
    }
    return true;
  }

  function stop(mode = 'fast') {
    if (existsSync(path.join(folder, 'PG_VERSION')) && isRunning())
      run(bin, 'pg_ctl', ['-D', folder, '-m', mode, '-w', 'stop'], { stdio: 'ignore' });
  }

  function psql(sql, { host = '127.0.0.1', database = 'postgres' } = {}) {
    const where = ['-h', host, '-p', String(port), '-U', user, '-d', database];
    return run(bin, 'psql', [...where, '-AtqX', '-v', 'ON_ERROR_STOP=1', '-f', '-'], {
      input: sql,
      stdio: ['pipe', 'pipe', 'pipe'],
      env: { ...process.env, PGPASSWORD: keys.read()?.admin ?? '' },
    });
  }
  const exists = (database) => psql(`select 1 from pg_database where datname = '${database}'`).trim() === '1';
  function createDatabase(database) {
    if (!exists(database)) psql(`create database ${database}`);
    psql(ownershipSql(database), { database });
  }

  return {
    folder,
    port,
    url,
    start,
    stop,
    isRunning,
    createDatabase,
    dropDatabase: (database) => psql(`drop database if exists ${database} with (force)`),
    pid,
  };
}
