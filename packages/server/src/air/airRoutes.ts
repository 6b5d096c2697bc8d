import { ProbeSteer } from '@orthochrom/contract/shop/air.ts';
import { ReadingCreate } from '@orthochrom/contract/shop/reading.ts';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import type { Ledger } from '../event/ledger.ts';
import type { Changes } from '../event/changes.ts';
import { Stream } from '../event/stream.ts';
import { bodyOf } from '../http/request.ts';
import { RoomTable } from '../shop/shopTables.ts';
import { STILL_IN, type StillIn } from '../signIn/guard.ts';
import { addReading, airNow } from './airLedger.ts';
import type { StandInProbe } from './probe.ts';
import { keepSteering } from './standIns.ts';

export function airRoutes(
  ledger: Ledger,
  probe: StandInProbe,
  changes: Changes | undefined,
): Router {
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
    await keepSteering(ledger.manager, 'probe', probe.steering);
    res.json({ rooms: await allAir(), days: probe.daysAhead() });
  });
  const stream = new Stream(changes, allAir);
  routes.get('/stream', (_req, res) =>
    stream.open(res, res.locals[STILL_IN] as StillIn | undefined),
  );
  return routes;
}
