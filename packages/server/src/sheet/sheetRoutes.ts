import { Sheet, SheetFile } from '@orthochrom/contract/sheet/sheet.ts';
import { sheetsCsv } from '@orthochrom/contract/sheet/sheetCsv.ts';
import { Router } from 'express';
import { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { bodyOf } from '../http/request.ts';
import { latestSheets, saveSheet, saveSheets } from './sheetLedger.ts';

export function sheetRoutes(ledger: Ledger): Router {
  const routes = Router();
  routes.get('/sheets', async (_req, res) => {
    res.json(await latestSheets(ledger.manager));
  });
  /** The open form: the very objects that import again. */
  routes.get('/sheets/export', async (_req, res) => {
    const sheets = (await latestSheets(ledger.manager)).map(({ sheet }) => sheet);
    res.attachment('orthochrom-sheets.json').json(sheets);
  });
  /** The same as a table, a figure a row. */
  routes.get('/sheets/table', async (_req, res) => {
    const sheets = (await latestSheets(ledger.manager)).map(({ sheet }) => sheet);
    res.attachment('orthochrom-sheets.csv').type('text/csv').send(sheetsCsv(sheets));
  });
  routes.post('/sheets/import', async (req, res) => {
    await saveSheets(ledger, bodyOf(SheetFile, req).sheets);
    res.status(201).json(await latestSheets(ledger.manager));
  });
  routes.get('/sheets/schema', (_req, res) => {
    res.json(z.toJSONSchema(Sheet));
  });
  routes.post('/sheets', async (req, res) => {
    res.status(201).json(await saveSheet(ledger, bodyOf(Sheet, req)));
  });
  return routes;
}
