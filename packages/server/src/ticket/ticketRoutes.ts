import {
  LookedAgain,
  MixCreate,
  MixFlowCup,
  TicketCreate,
  TicketEdit,
  TicketQuery,
  TimerConfirm,
  IdsQuery,
} from '@orthochrom/contract/shop/ticket.ts';
import {
  Look,
  OverridePlan,
  PanelSprayed,
  PanelTakenBack,
  SprayEnd,
  SprayStart,
  TestPanelDone,
  TakePlan,
  WetFilmRead,
} from '@orthochrom/contract/shop/coat.ts';
import { GateAnswers } from '@orthochrom/contract/shop/gateRecord.ts';
import { LayerWorkCreate } from '@orthochrom/contract/shop/layerWork.ts';
import { LateFindCreate, PrepAnswerCreate } from '@orthochrom/contract/shop/prep.ts';
import { RecordQuery } from '@orthochrom/contract/shop/record.ts';
import { UsageCounts, UsageCreate } from '@orthochrom/contract/shop/usage.ts';
import { Router } from 'express';
import type { StandInProbe } from '../air/probe.ts';
import type { StandInGauge } from '../compressedAir/gauge.ts';
import type { Ledger } from '../event/ledger.ts';
import { NotFound } from '../http/faults.ts';
import { bodyOf, idOf, parsed } from '../http/request.ts';
import { endSpraying, startSpraying } from './coatLedger.ts';
import { panelSprayed, panelTakenBack } from './panelLedger.ts';
import { FinishStepCreate } from '@orthochrom/contract/shop/finishStep.ts';
import { HeatReadCreate } from '@orthochrom/contract/shop/heatRead.ts';
import { readOnPanel } from './heatLedger.ts';
import { finishStep } from './finishLedger.ts';
import { lookedAgain } from './lookAgainLedger.ts';
import { lookAt } from './lookLedger.ts';
import { readWetFilm } from './combLedger.ts';
import { answerGate } from './gateKeeper.ts';
import { addLayerWork } from './layerWorkLedger.ts';
import { addMix, noteFlowCup } from './mixLedger.ts';
import { keepTestPanel } from './testPanelLedger.ts';
import { overrideSettings, takePlan } from './planLedger.ts';
import { coatRow } from './planReader.ts';
import { answerPrep, findLate } from './prepLedger.ts';
import { countFound } from './recordFinder.ts';
import { allRecords, recordOf, records, recordsCsv } from './records.ts';
import { changeTicket, createTicket } from './ticketLedger.ts';
import { listedTickets } from './ticketList.ts';
import { wholeTicket } from './ticketReader.ts';
import { confirmTimer } from './timerLedger.ts';
import { countUsage, keepUsage } from './usageLedger.ts';
import { TimerTable } from './ticketTables.ts';

type Instruments = { probe: StandInProbe; gauge: StandInGauge };

/** Every write on a ticket is answered with the whole ticket as it now is on disk. */
export function ticketRoutes(ledger: Ledger, { probe, gauge }: Instruments): Router {
  const routes = Router();
  const whole = (ticketId: string) => wholeTicket(ledger.manager, ticketId);
  const ticketOfCoat = async (coatId: string) =>
    whole((await coatRow(ledger.manager, coatId)).ticketId);

  routes.get('/tickets', async (req, res) => {
    res.json(await listedTickets(ledger.manager, parsed(TicketQuery, req.query)));
  });
  routes.post('/tickets', async (req, res) => {
    const ticket = bodyOf(TicketCreate, req);
    await createTicket(ledger, ticket);
    res.status(201).json(await whole(ticket.id));
  });
  routes.get('/tickets/whole', async (req, res) => {
    const all = [];
    for (const id of parsed(IdsQuery, req.query).ids) all.push(await whole(id));
    res.json(all);
  });
  routes.get('/tickets/:id', async (req, res) => {
    res.json(await whole(idOf(req)));
  });
  routes.put('/tickets/:id', async (req, res) => {
    await changeTicket(ledger, idOf(req), bodyOf(TicketEdit, req));
    res.json(await whole(idOf(req)));
  });
  routes.post('/tickets/:id/gate-answers', async (req, res) => {
    await answerGate(ledger, idOf(req), bodyOf(GateAnswers, req));
    res.status(201).json(await whole(idOf(req)));
  });
  routes.post('/tickets/:id/prep-answers', async (req, res) => {
    await answerPrep(ledger, probe, idOf(req), bodyOf(PrepAnswerCreate, req));
    res.status(201).json(await whole(idOf(req)));
  });
  routes.post('/tickets/:id/late-finds', async (req, res) => {
    await findLate(ledger, idOf(req), bodyOf(LateFindCreate, req));
    res.status(201).json(await whole(idOf(req)));
  });
  routes.post('/tickets/:id/usages', async (req, res) => {
    await keepUsage(ledger, idOf(req), bodyOf(UsageCreate, req));
    res.status(201).json(await whole(idOf(req)));
  });
  routes.put('/usages/:id', async (req, res) => {
    res.json(await whole(await countUsage(ledger, idOf(req), bodyOf(UsageCounts, req))));
  });
  routes.post('/tickets/:id/mixes', async (req, res) => {
    await addMix(ledger, probe, idOf(req), bodyOf(MixCreate, req));
    res.status(201).json(await whole(idOf(req)));
  });

  routes.post('/mixes/:id/flow-cup', async (req, res) => {
    res.json(await whole(await noteFlowCup(ledger, idOf(req), bodyOf(MixFlowCup, req))));
  });

  routes.post('/coats/:id/take', async (req, res) => {
    await takePlan(ledger, probe, idOf(req), bodyOf(TakePlan, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/overrides', async (req, res) => {
    await overrideSettings(ledger, probe, idOf(req), bodyOf(OverridePlan, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/test-panel', async (req, res) => {
    await keepTestPanel(ledger, probe, idOf(req), bodyOf(TestPanelDone, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/spray-start', async (req, res) => {
    await startSpraying(ledger, probe, idOf(req), bodyOf(SprayStart, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/panels', async (req, res) => {
    await panelSprayed(ledger, { probe, gauge }, idOf(req), bodyOf(PanelSprayed, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/panels-back', async (req, res) => {
    await panelTakenBack(ledger, idOf(req), bodyOf(PanelTakenBack, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/heat-reads', async (req, res) => {
    await readOnPanel(ledger, probe, idOf(req), bodyOf(HeatReadCreate, req));
    res.status(201).json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/finish-steps', async (req, res) => {
    await finishStep(ledger, probe, idOf(req), bodyOf(FinishStepCreate, req));
    res.status(201).json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/spray-end', async (req, res) => {
    await endSpraying(ledger, { probe, gauge }, idOf(req), bodyOf(SprayEnd, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/wet-film', async (req, res) => {
    await readWetFilm(ledger, probe, idOf(req), bodyOf(WetFilmRead, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/look', async (req, res) => {
    await lookAt(ledger, probe, idOf(req), bodyOf(Look, req));
    res.json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/coats/:id/works', async (req, res) => {
    await addLayerWork(ledger, probe, idOf(req), bodyOf(LayerWorkCreate, req));
    res.status(201).json(await ticketOfCoat(idOf(req)));
  });
  routes.post('/timers/:id/looked', async (req, res) => {
    res.json(await whole(await lookedAgain(ledger, idOf(req), bodyOf(LookedAgain, req))));
  });
  routes.post('/timers/:id/confirm', async (req, res) => {
    await confirmTimer(ledger, probe, idOf(req), bodyOf(TimerConfirm, req));
    const timer = await ledger.manager.findOneByOrFail(TimerTable, { id: idOf(req) });
    res.json(await whole(timer.ticketId));
  });

  routes.get('/records', async (req, res) => {
    res.json(await records(ledger.manager, parsed(RecordQuery, req.query)));
  });
  routes.get('/records/count', async (req, res) => {
    const { after: _, ...asked } = parsed(RecordQuery, req.query);
    res.json({ count: await countFound(ledger.manager, asked) });
  });
  routes.get('/records.csv', async (req, res) => {
    const query = parsed(RecordQuery, req.query);
    res.attachment('orthochrom-records.csv').type('text/csv');
    let isFirst = true;
    for await (const rows of allRecords(ledger.manager, query)) {
      if (rows.length > 0 && !isFirst) res.write('\r\n');
      if (rows.length > 0) res.write(recordsCsv(rows, isFirst));
      isFirst = false;
    }
    res.end();
  });
  routes.get('/records/:id', async (req, res) => {
    const record = await recordOf(ledger.manager, idOf(req));
    if (!record) throw new NotFound(`There is no coat ${idOf(req)}.`);
    res.json(record);
  });
  return routes;
}
