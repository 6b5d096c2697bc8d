/** Migrates, loads the demo into an empty shop, and serves; told where by the environment. */
import { existsSync } from 'node:fs';
import path from 'node:path';
import { createApp } from './app.ts';
import { Calculator } from './calculation/calculator.ts';
import { forgetOldRequests } from './event/oncePerRequest.ts';
import { openDatabase } from './database/openDatabase.ts';
import { loadDemoIfEmpty } from './demo/loadDemo.ts';

/** Without accounts, nobody but this machine is answered. */
const LOOPBACK = '127.0.0.1';
const { DATABASE_URL, PORT = '4300', WEB_FOLDER, DEMO_FOLDER, STOP_WITH_PARENT } = process.env;
if (!DATABASE_URL) throw new Error('DATABASE_URL is not set.');

const database = await openDatabase(DATABASE_URL);
await database.runMigrations();
await forgetOldRequests(database.manager);
if (DEMO_FOLDER) await loadDemoIfEmpty(database, DEMO_FOLDER);

/** Built, all lies in one folder; from source, the worker lies with what it belongs to. */
const built = path.join(import.meta.dirname, 'calculationWorker.js');
const calculator = new Calculator({
  path: existsSync(built)
    ? built
    : path.join(import.meta.dirname, 'calculation/calculationWorker.ts'),
});
const app = await createApp(database, {
  calculator,
  ...(WEB_FOLDER && existsSync(WEB_FOLDER) ? { webFolder: WEB_FOLDER } : {}),
});
const server = app.listen(Number(PORT), LOOPBACK, (fault?: Error) => {
  if (fault) {
    console.error(fault.message);
    process.exit(1);
  }
  console.log(`listening on http://${LOOPBACK}:${PORT}`);
});

/** Open event streams would keep the server up for ever. */
async function stop(): Promise<void> {
  server.close();
  server.closeAllConnections();
  await calculator.close();
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
