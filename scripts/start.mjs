/**
 * npm start: everything from a bare machine to the shop's address. Installs what is missing, starts
 * a private PostgreSQL on loopback, builds what changed, migrates, loads the invented shop into an
 * empty database, and serves.
 *   --port N   --data FOLDER   --fresh   --empty   --host [ADDRESS]
 *   --certificate FILE --key FILE   --proxy   --name NAME   DATABASE_URL=… for a database of your own
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from './build.mjs';
import { keepDatabaseUp, keepServerUp } from './keptUp.mjs';
import { namesFor, sayAddresses } from './onTheNetwork.mjs';
import { ensurePackages } from './packages.mjs';
import { Plain } from './debian.mjs';
import { startCluster } from './postgres.mjs';
import { startOptions } from './startOptions.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const say = (text) => console.log(text);
/** What was opened, to be closed again. */
const closing = [];
let stopServer = async () => {};
let isStopping = false;

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

const portIsFree = (port, host) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** A server left behind by a start that was killed ends by itself within a second or two. */
async function portComesFree(port, host) {
  for (let tries = 0; tries < 12; tries++) {
    if (await portIsFree(port, host)) return true;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  return false;
}

/** Resolves with the server once it listens; rejects when it ends before. */
function serve({ port, data, isEmpty, network }, databaseUrl) {
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
        COPIES_FOLDER: path.join(data, 'copies'),
        ...(isEmpty ? {} : { DEMO_FOLDER: path.join(root, 'packages/server/demo') }),
        ...(network ? environmentOf(network) : {}),
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
    let said = '';
    server.stdout.on('data', (chunk) => {
      said += chunk;
      if (said.includes('listening on'))
        resolve({ server, code: /code for the first lead: (\S+)/.exec(said)?.[1] });
    });
    server.once('exit', (code) =>
      reject(new Plain(`The server ended at once (${code}); its words stand above.`)),
    );
  });
}

const environmentOf = ({ host, names, certificate, key, isProxied }) => ({
  ON_NETWORK: '1',
  HOST: host,
  HOST_NAMES: [...namesFor(host), ...names].join(','),
  ...(certificate ? { TLS_CERTIFICATE: certificate, TLS_KEY: key } : {}),
  ...(isProxied ? { BEHIND_PROXY: '1' } : {}),
});

/** For `npm run shop`, which works on the same database: nobody else reads it. */
function leaveUrl(folder, url) {
  const file = path.join(folder, 'database-url');
  writeFileSync(file, url, { mode: 0o600 });
  return () => rmSync(file, { force: true });
}

async function main() {
  const options = startOptions(root, process.argv.slice(2));
  const { port, data, fresh, network } = options;
  if (!(await portComesFree(port, network?.host ?? '127.0.0.1')))
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
  closing.push(leaveUrl(data, databaseUrl));
  build(root, say);
  say('Opening the shop …');
  let code;
  const open = async () => {
    const opened = await serve(options, databaseUrl);
    code = opened.code;
    return opened.server;
  };
  await keepServerUp(open, {
    say,
    isStopping: () => isStopping,
    onOpen: () =>
      network
        ? void sayAddresses(say, { ...network, port, code })
        : say(`\nOrthochrom is open:  http://127.0.0.1:${port}\nCtrl-C closes it.`),
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
