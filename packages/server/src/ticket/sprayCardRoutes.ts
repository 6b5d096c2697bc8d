import { Id } from '@orthochrom/contract/shop/common.ts';
import { Router } from 'express';
import { z } from 'zod';
import type { Ledger } from '../event/ledger.ts';
import { idOf, parsed } from '../http/request.ts';
import { photoBody, photoIn, sendPicture } from '../photo/photoBody.ts';
import { addCardPhoto, cardPhoto } from './sprayCardLedger.ts';
import { wholeTicket } from './ticketReader.ts';

const ByPainter = z.strictObject({ painterId: Id });

export function sprayCardRoutes(ledger: Ledger): Router {
  const routes = Router();
  routes.post('/spray-cards/:id/photo', photoBody, async (req, res) => {
    const { painterId } = parsed(ByPainter, req.query);
    const ticketId = await addCardPhoto(ledger, { id: idOf(req), painterId, bytes: photoIn(req) });
    res.status(201).json(await wholeTicket(ledger.manager, ticketId));
  });
  routes.get('/spray-cards/:id/photo', async (req, res) => {
    const { mime, picture } = await cardPhoto(ledger.manager, idOf(req));
    sendPicture(res, mime, picture);
  });
  routes.get('/spray-cards/:id/thumb', async (req, res) => {
    sendPicture(res, 'image/webp', (await cardPhoto(ledger.manager, idOf(req))).thumb);
  });
  return routes;
}
