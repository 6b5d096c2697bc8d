/** Migrates, loads the demo into an empty shop, and serves; told where by the environment. */
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import path from 'node:path';
import { StandInProbe } from './air/probe.ts';
import { shareStandIns } from './air/standIns.ts';
import { createApp } from './app.ts';
import { Calculator } from './calculation/calculator.ts';
import { StandInGauge } from './compressedAir/gauge.ts';
import { openDatabase } from './database/openDatabase.ts';
import { demoDays } from './demo/demoDays.ts';
import { loadDemoIfEmpty } from './demo/loadDemo.ts';
import { Changes } from './event/changes.ts';
import { startJobs } from './nightly/jobs.ts';
import { hasLeadWithPin } from './signIn/sessions.ts';
import { makeCode } from './signIn/signInLedger.ts';

/** Unless it is told otherwise, nobody but this machine is answered. */
const LOOPBACK = '127.0.0.1';
const {
  DATABASE_URL,
  PORT = '4300',
  HOST = LOOPBACK,
  ON_NETWORK,
  HOST_NAMES = '',
  BEHIND_PROXY,
  TLS_CERTIFICATE,
  TLS_KEY,
  WEB_FOLDER,
  DEMO_FOLDER,
  COPIES_FOLDER,
  STOP_WITH_PARENT,
} = process.env;
if (!DATABASE_URL) throw new Error('DATABASE_URL is not set.');

const database = await openDatabase(DATABASE_URL);
await database.runMigrations();
if (DEMO_FOLDER) await loadDemoIfEmpty(database, DEMO_FOLDER);
const changes = await Changes.listen(database);
const jobs = await startJobs(database, changes, { url: DATABASE_URL, copiesFolder: COPIES_FOLDER });
const instruments = {
  probe: new StandInProbe(await demoDays(database.manager)),
  gauge: new StandInGauge(),
};
await shareStandIns(database.manager, changes, instruments);

/** Built, all lies in one folder; from source, the worker lies with what it belongs to. */
const built = path.join(import.meta.dirname, 'calculationWorker.js');
const calculator = new Calculator(
  existsSync(built) ? built : path.join(import.meta.dirname, 'calculation/calculationWorker.ts'),
);
/** Also behind a proxy of this machine others are answered, though it listens on loopback then. */
const isAlone = !ON_NETWORK;
if (isAlone && HOST !== LOOPBACK)
  throw new Error(
    'HOST opens the shop to a network: ON_NETWORK must be set, so that a PIN is asked.',
  );
const app = await createApp(database, {
  calculator,
  changes,
  ...instruments,
  ...(isAlone
    ? {}
    : { network: { names: HOST_NAMES.split(',').filter(Boolean), behindProxy: !!BEHIND_PROXY } }),
  ...(WEB_FOLDER && existsSync(WEB_FOLDER) ? { webFolder: WEB_FOLDER } : {}),
});
const isTls = TLS_CERTIFICATE !== undefined && TLS_KEY !== undefined;
const server = isTls
  ? createTlsServer({ cert: readFileSync(TLS_CERTIFICATE), key: readFileSync(TLS_KEY) }, app)
  : createServer(app);
server.on('error', (fault) => {
  console.error(fault.message);
  process.exit(1);
});
/** For the one who reads the screen of this machine: nobody else may make a first lead. */
const code =
  !isAlone && !(await hasLeadWithPin(database.manager))
    ? await makeCode(database.manager)
    : undefined;
server.listen(Number(PORT), HOST, () => {
  if (code) console.log(`code for the first lead: ${code.slice(0, 5)}-${code.slice(5)}`);
  console.log(`listening on http${isTls ? 's' : ''}://${HOST}:${PORT}`);
});

/** Open event streams would keep the server up for ever. */
async function stop(): Promise<void> {
  server.close();
  server.closeAllConnections();
  await calculator.close();
  await jobs.stop({ graceful: false });
  await changes.close();
  await database.destroy();
  process.exit(0);
}

/** Started by `npm start`, the server ends with it, however that ended. */
if (STOP_WITH_PARENT) {
  const parent = process.ppid;
  setInterval(() => process.ppid !== parent && void stop(), 500).unref();
}
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
