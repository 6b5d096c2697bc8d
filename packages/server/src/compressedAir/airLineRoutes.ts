import { GaugeSteer } from '@orthochrom/contract/shop/air.ts';
import {
  AirLineCreate,
  AirLineEdit,
  CompressorCreate,
  CompressorEdit,
} from '@orthochrom/contract/shop/compressedAir.ts';
import { Router } from 'express';
import { keepSteering } from '../air/standIns.ts';
import type { Ledger } from '../event/ledger.ts';
import { bodyOf, idOf } from '../http/request.ts';
import { shopSetup } from '../shop/shopReader.ts';
import { addAirLine, addCompressor, changeAirLine, changeCompressor } from './airLineLedger.ts';
import { flowingNow } from './flowing.ts';
import type { StandInGauge } from './gauge.ts';

export function airLineRoutes(ledger: Ledger, gauge: StandInGauge): Router {
  const routes = Router();
  routes.post('/compressors', async (req, res) => {
    await addCompressor(ledger, bodyOf(CompressorCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.put('/compressors/:id', async (req, res) => {
    await changeCompressor(ledger, idOf(req), bodyOf(CompressorEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  routes.post('/air-lines', async (req, res) => {
    await addAirLine(ledger, bodyOf(AirLineCreate, req));
    res.status(201).json(await shopSetup(ledger.manager));
  });
  routes.put('/air-lines/:id', async (req, res) => {
    await changeAirLine(ledger, idOf(req), bodyOf(AirLineEdit, req));
    res.json(await shopSetup(ledger.manager));
  });
  /**
   * The gauge at the gun while a coat is being sprayed; nothing where no line is described for its
   * room.
   */
  routes.get('/coats/:id/flowing', async (req, res) => {
    res.json({ flowing: (await flowingNow(ledger.manager, gauge, idOf(req))) ?? null });
  });
  routes.post('/gauge', async (req, res) => {
    await keepSteering(ledger.manager, 'gauge', gauge.steer(bodyOf(GaugeSteer, req)));
    res.json({ ok: true });
  });
  return routes;
}
