import { ProbeSteer } from '@orthochrom/contract/shop/air.ts';
import { ReadingCreate } from '@orthochrom/contract/shop/reading.ts';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import type { Changed, Ledger } from '../event/ledger.ts';
import { bodyOf } from '../http/request.ts';
import { RoomTable } from '../shop/shopTables.ts';
import { addReading, airNow } from './airLedger.ts';
import type { StandInProbe } from './probe.ts';

const AIR_EVERY_MS = 2000;

export function airRoutes(ledger: Ledger, probe: StandInProbe): Router {
  const routes = Router();
  const allAir = async () => {
    const rooms = await ledger.manager.find(RoomTable, { where: { archivedAt: IsNull() } });
    return Promise.all(rooms.map(({ id }) => airNow(ledger.manager, probe, id)));
  };
  routes.get('/air', async (_req, res) => {
    res.json({ rooms: await allAir(), days: probe.daysAhead() });
  });
  routes.post('/readings', async (req, res) => {
    await addReading(ledger, bodyOf(ReadingCreate, req));
    res.status(201).json({ rooms: await allAir(), days: probe.daysAhead() });
  });
  routes.post('/probe', async (req, res) => {
    probe.steer(bodyOf(ProbeSteer, req));
    res.json({ rooms: await allAir(), days: probe.daysAhead() });
  });
  /**
   * Server-sent events: the air as it moves, and what was written by whom; a screen fetches what it
   * shows.
   */
  routes.get('/stream', (req, res) => {
    res.set({
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    res.flushHeaders();
    const send = (event: string, data: unknown) =>
      res.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    const tellChange = (change: Changed) => send('changed', change);
    const sendAir = () =>
      void allAir().then(
        (rooms) => send('air', rooms),
        () => undefined,
      );
    const timer = setInterval(sendAir, AIR_EVERY_MS);
    ledger.heard.on('changed', tellChange);
    sendAir();
    req.on('close', () => {
      clearInterval(timer);
      ledger.heard.off('changed', tellChange);
    });
  });
  return routes;
}
