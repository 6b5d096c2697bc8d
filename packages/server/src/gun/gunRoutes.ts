import { CareCreate } from '@orthochrom/contract/shop/care.ts';
import { GunCreate, GunEdit } from '@orthochrom/contract/shop/setup.ts';
import { TestCreate } from '@orthochrom/contract/shop/test.ts';
import { Router } from 'express';
import type { Ledger } from '../event/ledger.ts';
import { bodyOf, idOf } from '../http/request.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { addCare } from './careLedger.ts';
import { addGun, changeGun } from './gunLedger.ts';
import { careNow, gunStory } from './gunStory.ts';
import { addTest } from './testLedger.ts';
import { allTests } from './testReader.ts';

export function gunRoutes(ledger: Ledger): Router {
  const routes = Router();
  routes.get('/care', async (_req, res) => {
    res.json(await careNow(ledger.manager));
  });
  routes.post('/guns', async (req, res) => {
    await addGun(ledger, bodyOf(GunCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.put('/guns/:id', async (req, res) => {
    await changeGun(ledger, idOf(req), bodyOf(GunEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  routes.get('/guns/:id/story', async (req, res) => {
    res.json(await gunStory(ledger.manager, idOf(req)));
  });
  routes.get('/tests', async (_req, res) => {
    res.json(await allTests(ledger.manager));
  });
  routes.post('/tests', async (req, res) => {
    await addTest(ledger, bodyOf(TestCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.post('/care', async (req, res) => {
    await addCare(ledger, bodyOf(CareCreate, req));
    res.status(201).json(await careNow(ledger.manager));
  });
  return routes;
}
