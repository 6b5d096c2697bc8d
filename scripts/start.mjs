/**
 * npm start: everything from a bare machine to the shop's address. Installs what is missing, starts
 * a private PostgreSQL on loopback, builds what changed, migrates, loads the invented shop into an
 * empty database, and serves.
 *   --port N   --data FOLDER   --fresh   DATABASE_URL=… to use a database of your own
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { buildStamp } from './buildStamp.mjs';
import { keepDatabaseUp, keepServerUp } from './keptUp.mjs';
import { ensurePackages } from './packages.mjs';
import { Plain } from './debian.mjs';
import { startCluster } from './postgres.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const say = (text) => console.log(text);
/** What was opened, to be closed again. */
const closing = [];
let stopServer = async () => {};
let isStopping = false;

function options() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string', default: '4300' },
        data: { type: 'string' },
        fresh: { type: 'boolean', default: false },
      },
    });
    const port = Number(values.port);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Plain(`--port is ${values.port}; a whole number from 1 to 65535 is wanted.`);
    return {
      port,
      data: path.resolve(values.data ?? path.join(root, '.data')),
      fresh: values.fresh,
    };
  } catch (fault) {
    throw fault instanceof Plain
      ? fault
      : new Plain(`${fault.message}\nThere are --port N, --data FOLDER and --fresh.`);
  }
}

function makeDataFolder(folder) {
  try {
    mkdirSync(folder, { recursive: true });
    const probe = path.join(folder, '.writable');
    writeFileSync(probe, '');
    rmSync(probe);
  } catch (fault) {
    const why =
      {
        EROFS: 'the disk is read-only',
        EACCES: 'you may not write there',
        ENOSPC: 'the disk is full',
      }[fault.code] ?? fault.message;
    throw new Plain(
      `Nothing can be written to ${folder}: ${why}. Name another folder: npm start -- --data FOLDER`,
    );
  }
}

/** One start a data folder: a second would pull the database from under the first. */
function claim(folder) {
  const file = path.join(folder, 'start.pid');
  const other = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (other && other !== process.pid && isAlive(other))
    throw new Plain(
      `Orthochrom already runs on ${folder} (process ${other}). Stop that first, or take another --data and --port.`,
    );
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
}

const portIsFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/** A server left behind by a start that was killed ends by itself within a second or two. */
async function portComesFree(port) {
  for (let tries = 0; tries < 12; tries++) {
    if (await portIsFree(port)) return true;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  return false;
}

function build() {
  const stampFile = path.join(root, 'packages/server/dist/build.stamp');
  const stamp = buildStamp(root);
  const isBuilt =
    existsSync(path.join(root, 'packages/server/dist/app/main.js')) &&
    existsSync(path.join(root, 'packages/web/dist/index.html'));
  if (isBuilt && existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return;
  say('Building …');
  for (const name of ['server', 'web']) {
    const done = spawnSync(
      path.join(root, 'node_modules/.bin/vite'),
      ['build', '--logLevel', 'error'],
      {
        cwd: path.join(root, 'packages', name),
        // Whoever starts it, a test too: the shop runs what is built for a shop.
        env: { ...process.env, NODE_ENV: 'production' },
        stdio: ['ignore', 'inherit', 'inherit'],
      },
    );
    if (done.status !== 0) throw new Plain(`Building the ${name} failed; see above.`);
  }
  writeFileSync(stampFile, stamp);
}

/** Resolves with the server once it listens; rejects when it ends before. */
function serve(port, databaseUrl) {
  const server = spawn(
    process.execPath,
    ['--enable-source-maps', path.join(root, 'packages/server/dist/app/main.js')],
    {
      cwd: root,
      env: {
        ...process.env,
        STOP_WITH_PARENT: '1',
        PORT: String(port),
        DATABASE_URL: databaseUrl,
        WEB_FOLDER: path.join(root, 'packages/web/dist'),
        DEMO_FOLDER: path.join(root, 'packages/server/demo'),
      },
      stdio: ['ignore', 'pipe', 'inherit'],
      detached: true,
    },
  );
  const ended = new Promise((resolve) => server.once('exit', resolve));
  stopServer = async () => {
    if (server.exitCode !== null || server.signalCode !== null) return;
    server.kill('SIGTERM');
    const tooLong = setTimeout(() => server.kill('SIGKILL'), 5000);
    await ended;
    clearTimeout(tooLong);
  };
  return new Promise((resolve, reject) => {
    server.stdout.on('data', (chunk) => String(chunk).includes('listening on') && resolve(server));
    server.once('exit', (code) =>
      reject(new Plain(`The server ended at once (${code}); its words stand above.`)),
    );
  });
}

async function main() {
  const { port, data, fresh } = options();
  if (!(await portComesFree(port)))
    throw new Plain(
      `Port ${port} is taken. Stop what uses it, or take another: npm start -- --port ${port + 1}`,
    );
  makeDataFolder(data);
  closing.push(claim(data));
  ensurePackages(root, say);
  let databaseUrl = process.env.DATABASE_URL;
  if (!databaseUrl) {
    say('Starting the database …');
    const cluster = await startCluster({ folder: path.join(data, 'database'), say, fresh });
    closing.push(() => cluster.stop());
    cluster.ensureDatabase('orthochrom');
    databaseUrl = cluster.url('orthochrom');
    closing.push(keepDatabaseUp(cluster, say, fail));
  }
  build();
  say('Opening the shop …');
  await keepServerUp(() => serve(port, databaseUrl), {
    say,
    isStopping: () => isStopping,
    onOpen: () => say(`\nOrthochrom is open:  http://127.0.0.1:${port}\nCtrl-C closes it.`),
  });
}

/** The server first, then what it stands on, in the order against that in which it was opened. */
async function closeAll() {
  isStopping = true;
  await stopServer();
  while (closing.length > 0) closing.pop()();
}

async function fail(fault) {
  if (isStopping) return;
  console.error(fault instanceof Plain ? `\n${fault.message}` : fault);
  await closeAll();
  process.exit(1);
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => isStopping || void closeAll().then(() => process.exit(0)));
main().catch(fail);
