import { Archive } from '@orthochrom/contract/shop/common.ts';
import {
  CupCreate,
  CupEdit,
  PainterCreate,
  PainterEdit,
  PricesEdit,
  RoomCreate,
  RoomEdit,
  ShopCreate,
  ShopEdit,
} from '@orthochrom/contract/shop/setup.ts';
import { Router } from 'express';
import type { Ledger } from '../event/ledger.ts';
import { bodyOf, idOf } from '../http/request.ts';
import {
  addCup,
  addPainter,
  addRoom,
  archive,
  changeCup,
  changePainter,
  changeRoom,
  changeShop,
} from './shopLedger.ts';
import { comeIn } from '../signIn/signInRoutes.ts';
import { openShop } from './openShop.ts';
import { keepPrices } from './priceLedger.ts';
import { shopSetup } from './shopReader.ts';

/**
 * Every write is answered with the whole set-up: it is small, and the screen then holds what is on
 * disk.
 */
export function shopRoutes(ledger: Ledger, isAsked: boolean): Router {
  const routes = Router();
  routes.get('/setup', async (_req, res) => {
    res.json(await shopSetup(ledger.manager));
  });
  routes.post('/shop', async (req, res) => {
    const where = { address: req.ip ?? '', what: 'open' };
    const cameIn = await openShop(ledger, bodyOf(ShopCreate, req), isAsked, where);
    if (cameIn) comeIn(req, res, cameIn);
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.put('/shop', async (req, res) => {
    await changeShop(ledger, bodyOf(ShopEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  routes.put('/products/:productId/prices', async (req, res) => {
    await keepPrices(ledger, req.params.productId, bodyOf(PricesEdit, req));
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
  routes.post('/rooms', async (req, res) => {
    await addRoom(ledger, bodyOf(RoomCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.post('/cups', async (req, res) => {
    await addCup(ledger, bodyOf(CupCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.put('/cups/:id', async (req, res) => {
    await changeCup(ledger, idOf(req), bodyOf(CupEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  routes.post('/painters/:id/archive', async (req, res) => {
    await archive(ledger, 'painter', idOf(req), bodyOf(Archive, req).version);
    res.json(await shopSetup(ledger.manager));
  });
  routes.post('/rooms/:id/archive', async (req, res) => {
    await archive(ledger, 'room', idOf(req), bodyOf(Archive, req).version);
    res.json(await shopSetup(ledger.manager));
  });
  routes.post('/cups/:id/archive', async (req, res) => {
    await archive(ledger, 'cup', idOf(req), bodyOf(Archive, req).version);
    res.json(await shopSetup(ledger.manager));
  });
  return routes;
}
