import { Id } from '@orthochrom/contract/shop/common.ts';
import {
  FindingConfirm,
  FindingCreate,
  FindingEdit,
  FindingsFile,
  PlanChangeAnswer,
} from '@orthochrom/contract/shop/finding.ts';
import express, { Router } from 'express';
import { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { bodyOf, idOf, parsed } from '../http/request.ts';
import { photoBody, photoIn, sendPicture } from '../photo/photoBody.ts';
import { coatAir } from '../ticket/coatAir.ts';
import { ticketById } from '../ticket/ticketReader.ts';
import { addFinding, answerChange, changeFinding, confirmFinding } from './findingLedger.ts';
import { changesOfCoat, findingById, findings, offeredChanges } from './findingReader.ts';
import { findingsFile, importFindings } from './findingsFile.ts';
import { addPhoto, photoBytes } from './photos.ts';

const MOST_FILE_BYTES = 80_000_000;
const FindingQuery = z.strictObject({
  ticketId: Id.optional(),
  coatId: Id.optional(),
  gunId: Id.optional(),
});
const PhotoQuery = z.strictObject({ id: Id, painterId: Id });
const ByPainter = z.strictObject({ painterId: Id });

export function findingRoutes(ledger: Ledger): Router {
  const routes = Router();
  routes.get('/findings', async (req, res) => {
    res.json(await findings(ledger.manager, parsed(FindingQuery, req.query)));
  });
  routes.post('/findings', async (req, res) => {
    const body = bodyOf(FindingCreate, req);
    await addFinding(ledger, body);
    res.status(201).json(await findingById(ledger.manager, body.id));
  });
  routes.get('/findings/:id', async (req, res) => {
    res.json(await findingById(ledger.manager, idOf(req)));
  });
  routes.put('/findings/:id', async (req, res) => {
    await changeFinding(ledger, idOf(req), bodyOf(FindingEdit, req));
    res.json(await findingById(ledger.manager, idOf(req)));
  });
  routes.post('/findings/:id/confirm', async (req, res) => {
    await confirmFinding(ledger, idOf(req), bodyOf(FindingConfirm, req));
    res.json(await findingById(ledger.manager, idOf(req)));
  });
  routes.post('/findings/:id/photos', photoBody, async (req, res) => {
    const { id, painterId } = parsed(PhotoQuery, req.query);
    await addPhoto(ledger, { id, findingId: idOf(req), painterId, bytes: photoIn(req) });
    res.status(201).json(await findingById(ledger.manager, idOf(req)));
  });
  routes.get('/photos/:id', async (req, res) => {
    const { mime, picture } = await photoBytes(ledger.manager, idOf(req));
    sendPicture(res, mime, picture);
  });
  routes.get('/photos/:id/thumb', async (req, res) => {
    const { thumb } = await photoBytes(ledger.manager, idOf(req));
    sendPicture(res, 'image/webp', thumb);
  });
  routes.get('/plan-changes', async (_req, res) => {
    res.json(await offeredChanges(ledger.manager));
  });
  routes.post('/plan-changes/:id', async (req, res) => {
    await answerChange(ledger, idOf(req), bodyOf(PlanChangeAnswer, req));
    res.json(await offeredChanges(ledger.manager));
  });
  routes.get('/findings/:id/file', async (req, res) => {
    const finding = await findingById(ledger.manager, idOf(req));
    res.attachment('orthochrom-finding.json').json(await findingsFile(ledger.manager, [finding]));
  });
  routes.get('/tickets/:id/findings-file', async (req, res) => {
    const { number } = await ticketById(ledger.manager, idOf(req));
    const found = await findings(ledger.manager, { ticketId: idOf(req) });
    res
      .attachment(`orthochrom-${number}-findings.json`)
      .json(await findingsFile(ledger.manager, found));
  });
  routes.post(
    '/findings-file',
    express.json({ limit: MOST_FILE_BYTES, inflate: false }),
    async (req, res) => {
      const { painterId } = parsed(ByPainter, req.query);
      const taken = await importFindings(ledger, bodyOf(FindingsFile, req), painterId);
      res.status(201).json({ taken });
    },
  );
  routes.get('/coats/:id/changes', async (req, res) => {
    res.json(await changesOfCoat(ledger.manager, idOf(req)));
  });
  routes.get('/coats/:id/air', async (req, res) => {
    res.json(await coatAir(ledger.manager, idOf(req)));
  });
  return routes;
}
