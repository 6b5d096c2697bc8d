import { PainterCreate, PainterEdit, RoomEdit } from '@orthochrom/contract/shop/setup.ts';
import { Router } from 'express';
import type { Ledger } from '../event/ledger.ts';
import { bodyOf, idOf } from '../http/request.ts';
import { addPainter, changePainter, changeRoom } from './shopLedger.ts';
import { shopSetup } from './shopReader.ts';

/**
 * Every write is answered with the whole set-up: it is small, and the screen then holds what is on
 * disk.
 */
export function shopRoutes(ledger: Ledger): Router {
  const routes = Router();
  routes.get('/setup', async (_req, res) => {
    res.json(await shopSetup(ledger.manager));
  });
  routes.post('/painters', async (req, res) => {
    await addPainter(ledger, bodyOf(PainterCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.put('/painters/:id', async (req, res) => {
    await changePainter(ledger, idOf(req), bodyOf(PainterEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  routes.put('/rooms/:id', async (req, res) => {
    await changeRoom(ledger, idOf(req), bodyOf(RoomEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  return routes;
}
