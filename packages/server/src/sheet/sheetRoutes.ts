import { Sheet, SheetFile } from '@orthochrom/contract/sheet/sheet.ts';
import { sheetsCsv } from '@orthochrom/contract/sheet/sheetCsv.ts';
import { IdsQuery } from '@orthochrom/contract/shop/ticket.ts';
import { Router } from 'express';
import { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { NotFound } from '../http/faults.ts';
import { bodyOf, parsed } from '../http/request.ts';
import { issuesOf, latestSheets, saveSheet, saveSheets, sheetVersions } from './sheetLedger.ts';

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
  /** Issues by their own ids, newest or not: a job half written was begun with them. */
  routes.get('/sheets/kept', async (req, res) => {
    res.json(await sheetVersions(ledger.manager, parsed(IdsQuery, req.query).ids));
  });
  /** Every issue of one product's sheet, the newest first: coats go on by the one they had. */
  routes.get('/sheets/:code/issues', async (req, res) => {
    const code = parsed(Sheet.shape.id, req.params.code);
    const issues = await issuesOf(ledger.manager, code);
    if (issues.length === 0) throw new NotFound(`There is no sheet ${code}.`);
    res.json(issues);
  });
  routes.post('/sheets', async (req, res) => {
    res.status(201).json(await saveSheet(ledger, bodyOf(Sheet, req)));
  });
  return routes;
}
