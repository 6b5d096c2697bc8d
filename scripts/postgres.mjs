/**
 * A private PostgreSQL cluster on loopback, from Debian's packages: found or installed, made,
 * started, stopped. Plain Node: it runs before anything is installed.
 */
import { createHash } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { APP_ROLE, OWNER_ROLE, SOCKET_PORT, giveToApp, writeAccess } from './clusterAccess.mjs';
import { aptInstall, asDatabaseUser, DATABASE_USER, isRoot, Plain, run } from './debian.mjs';

/** Nothing of it is kept: a hundred small databases live for a minute each. */
const TEST_ONLY = [
  '-c fsync=off',
  '-c synchronous_commit=off',
  '-c full_page_writes=off',
  '-c wal_level=minimal',
  '-c max_wal_senders=0',
  '-c max_wal_size=128MB',
  '-c autovacuum=off',
];

function binFolder() {
  const debian = '/usr/lib/postgresql';
  const versions = existsSync(debian)
    ? readdirSync(debian).sort((a, b) => Number(a) - Number(b))
    : [];
  const folders = [
    ...versions.map((version) => path.join(debian, version, 'bin')).reverse(),
    ...(process.env.PATH ?? '').split(':'),
  ];
  return folders.find((folder) => folder && existsSync(path.join(folder, 'initdb')));
}

export function ensurePostgres(say) {
  const found = binFolder();
  if (found) return found;
  aptInstall(['postgresql'], say);
  const installed = binFolder();
  if (!installed)
    throw new Plain('PostgreSQL was installed, yet its programs are not where Debian puts them.');
  return installed;
}

export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/**
 * The wished folder where the database's user can reach it; else a place of its own, with a
 * sentence.
 */
function reachableFolder(wished, say) {
  mkdirSync(wished, { recursive: true });
  if (!isRoot) return wished;
  if (run('chown', [DATABASE_USER, wished]).ok && asDatabaseUser('test', ['-w', wished]).ok)
    return wished;
  const elsewhere = path.join(
    '/var/lib/orthochrom',
    createHash('sha256').update(wished).digest('hex').slice(0, 12),
  );
  say(`The database's user cannot reach ${wished}; the data lies in ${elsewhere} instead.`);
  mkdirSync(elsewhere, { recursive: true });
  run('chown', [DATABASE_USER, elsewhere]);
  return elsewhere;
}

/** Made aside and renamed when whole, so that a start killed half way leaves nothing half made. */
function makeCluster(bin, folder, durable) {
  const cluster = path.join(folder, 'cluster');
  if (existsSync(path.join(cluster, 'PG_VERSION'))) return cluster;
  const draft = `${cluster}.draft`;
  rmSync(draft, { recursive: true, force: true });
  const made = asDatabaseUser(path.join(bin, 'initdb'), [
    '-D',
    draft,
    '-U',
    'orthochrom',
    '-A',
    'trust',
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
    ...(durable ? [] : ['--no-sync']),
  ]);
  if (!made.ok)
    throw new Plain(`The database could not be made in ${folder}: ${reasonIn(made.out)}`);
  rmSync(cluster, { recursive: true, force: true });
  renameSync(draft, cluster);
  return cluster;
}

/** Nothing is deleted: a fresh start moves what was there aside. */
function setAside(folder, bin, say) {
  const cluster = path.join(folder, 'cluster');
  if (!existsSync(cluster)) return;
  asDatabaseUser(path.join(bin, 'pg_ctl'), ['-D', cluster, 'stop', '-m', 'fast', '-w']);
  const aside = path.join(
    folder,
    `cluster-until-${new Date().toISOString().replace(/[:.]/g, '-')}`,
  );
  renameSync(cluster, aside);
  say(`A fresh shop. What was there is kept in ${aside}.`);
}

/**
 * Starts the cluster in `folder`, making it first where there is none. A server left over from a
 * start that was killed is stopped first; PostgreSQL itself recovers what was acknowledged.
 */
export async function startCluster({ folder, say, durable = true, fresh = false }) {
  const bin = ensurePostgres(say);
  const place = reachableFolder(folder, say);
  if (fresh) setAside(place, bin, say);
  const cluster = makeCluster(bin, place, durable);
  const control = (...args) => asDatabaseUser(path.join(bin, 'pg_ctl'), ['-D', cluster, ...args]);
  if (control('status').ok) {
    say('A database left over from an earlier start is stopped first …');
    control('stop', '-m', 'fast', '-w');
  }
  const sockets = mkdtempSync(path.join(os.tmpdir(), 'orthochrom-'));
  if (isRoot) run('chown', [DATABASE_USER, sockets]);
  chmodSync(sockets, 0o700);
  writeAccess(cluster, { isForTests: !durable });
  const options = [
    `-p ${SOCKET_PORT}`,
    `-c listen_addresses=''`,
    `-c unix_socket_directories=${sockets}`,
    // What somebody typed is not written to a log.
    '-c log_error_verbosity=terse',
    '-c log_min_error_statement=panic',
    ...(durable ? [] : TEST_ONLY),
  ];
  const log = path.join(place, 'postgres.log');
  const start = () => control('-w', '-t', '60', '-l', log, '-o', options.join(' '), 'start').ok;
  if (!start()) throw new Plain(`The database did not start. Its log, ${log}, ends:\n${tail(log)}`);
  const at = ['-h', sockets, '-p', String(SOCKET_PORT), '-U', OWNER_ROLE];
  const role = durable ? APP_ROLE : OWNER_ROLE;
  return {
    url: (name) => `postgres://${role}@localhost/${name}?host=${sockets}&port=${SOCKET_PORT}`,
    ensureDatabase: (name) => {
      const made = asDatabaseUser(path.join(bin, 'createdb'), [...at, name]);
      if (!made.ok && !made.out.includes('already exists'))
        throw new Plain(`The database ${name} could not be made: ${made.out}`);
      if (durable) giveToApp(path.join(bin, 'psql'), at, name);
    },
    isUp: () => control('status').ok,
    start,
    stop: (mode = 'fast') => {
      // A cluster that fell, or hangs, is not waited for without end.
      if (!control('stop', '-m', mode, '-w', '-t', '30').ok && control('status').ok)
        control('stop', '-m', 'immediate', '-w', '-t', '30');
      rmSync(sockets, { recursive: true, force: true });
    },
    place,
  };
}

/** Where a tool says more than its reason, the line that holds it. */
const reasonIn = (out) => {
  const lines = out.trim().split('\n');
  return lines.find((line) => /error|could not|no space/i.test(line)) ?? lines.at(-1);
};

const tail = (file) =>
  existsSync(file)
    ? readFileSync(file, 'utf8').trim().split('\n').slice(-5).join('\n')
    : '(no log)';
