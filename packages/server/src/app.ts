/** The server: parse, ask, keep, answer. */
import path from 'node:path';
import express, { type Express } from 'express';
import staticGzip from 'express-static-gzip';
import type { DataSource } from 'typeorm';
import { airRoutes } from './air/airRoutes.ts';
import { StandInProbe } from './air/probe.ts';
import type { Calculator } from './calculation/calculator.ts';
import { calculationRoutes } from './calculation/calculationRoutes.ts';
import { airLineRoutes } from './compressedAir/airLineRoutes.ts';
import { StandInGauge } from './compressedAir/gauge.ts';
import { demoDays } from './demo/demoDays.ts';
import type { Changes } from './event/changes.ts';
import { Ledger } from './event/ledger.ts';
import { findingRoutes } from './finding/findingRoutes.ts';
import { gunRoutes } from './gun/gunRoutes.ts';
import { guardEdges, neverKept, type Network } from './http/edges.ts';
import { errorHandler } from './http/errorHandler.ts';
import { NotFound } from './http/faults.ts';
import { identify } from './http/requestIdentity.ts';
import { sheetRoutes } from './sheet/sheetRoutes.ts';
import { shopFileRoutes } from './shopFile/shopFileRoutes.ts';
import { shopRoutes } from './shop/shopRoutes.ts';
import { guard } from './signIn/guard.ts';
import { signInRoutes } from './signIn/signInRoutes.ts';
import { sprayCardRoutes } from './ticket/sprayCardRoutes.ts';
import { ticketRoutes } from './ticket/ticketRoutes.ts';

export type AppOptions = {
  calculator: Calculator;
  webFolder?: string;
  probe?: StandInProbe;
  gauge?: StandInGauge;
  /** Where writes of every process are heard of; nobody's stream tells of any without. */
  changes?: Changes;
  /** Where other machines than this one are answered: a PIN is asked then. */
  network?: Network;
};

export async function createApp(database: DataSource, options: AppOptions): Promise<Express> {
  const ledger = new Ledger(database);
  const probe = options.probe ?? new StandInProbe(await demoDays(ledger.manager));
  const gauge = options.gauge ?? new StandInGauge();
  const app = express();
  app.disable('x-powered-by');
  if (options.network?.behindProxy) app.set('trust proxy', 'loopback');
  const isAsked = options.network !== undefined;
  app.use(guardEdges(options.network?.names ?? []));
  app.use('/api', neverKept);
  const smallJson = express.json({ limit: '1mb', strict: false, inflate: false });
  // A file of findings carries photos: its route takes more, and is the only one that does.
  app.use((req, res, next) =>
    req.path === FINDINGS_FILE_PATH ? next() : smallJson(req, res, next),
  );
  app.use(identify);
  app.use('/api', guard(database, isAsked));
  app.get('/api/health', async (_req, res) => {
    await database.query('select 1');
    res.json({ ok: true, now: new Date().toISOString() });
  });
  app.use(
    '/api',
    calculationRoutes(options.calculator),
    signInRoutes(ledger, isAsked),
    shopRoutes(ledger, isAsked),
    shopFileRoutes(ledger, database),
    sheetRoutes(ledger),
    airRoutes(ledger, probe, options.changes),
    gunRoutes(ledger),
    airLineRoutes(ledger, gauge),
    ticketRoutes(ledger, { probe, gauge }),
    sprayCardRoutes(ledger),
    findingRoutes(ledger),
  );
  app.use('/api', (req) => {
    throw new NotFound(`There is nothing at ${req.path}.`);
  });
  if (options.webFolder) serveWeb(app, options.webFolder);
  app.use(errorHandler);
  return app;
}

const FINDINGS_FILE_PATH = '/api/findings-file';

/**
 * Built files never change under their hashed names and lie packed beside themselves; the page
 * itself is always asked for anew.
 */
function serveWeb(app: Express, folder: string): void {
  const order = ['br', 'gz'];
  const packed = { enableBrotli: true, orderPreference: order, index: false };
  app.use(
    '/assets',
    staticGzip(path.join(folder, 'assets'), {
      ...packed,
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  );
  app.use(staticGzip(folder, packed));
  app.get('/{*rest}', (req, res) => {
    // A file that is not there is not a page of the app.
    if (path.extname(req.path) !== '') throw new NotFound(`There is no file ${req.path}.`);
    res.set('cache-control', 'no-cache').sendFile(path.join(folder, 'index.html'));
  });
}
