/**
 * A wet film read off the comb while the coat flashes: kept with the coat, and the clock runs by
 * it.
 */
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
import { warmAirOn } from '@orthochrom/contract/plan/heatOn.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { LayerWork } from '@orthochrom/contract/shop/layerWork.ts';
import type { WetFilmRead } from '@orthochrom/contract/shop/coat.ts';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { changeCoat, mustBe } from './coatOrderRules.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { TimerTable } from './ticketTables.ts';

const MINUTE_MS = 60_000;

export const readWetFilm = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, wetFilmUm }: z.infer<typeof WetFilmRead>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'sprayed');
    const done = { ...coat.done, wetFilmUm: { value: wetFilmUm, source: 'instrument' as const } };
    await changeCoat(manager, trace, coat, {
      kind: 'film-combed',
      version,
      painterId,
      changes: { done, wetUmDone: wetFilmUm },
      mine: { wetFilmUm },
    });
    const context = await planContextOf(manager, probe, await coatRow(manager, coatId), {
      painterId,
    });
    const { recoat } = planCoat(context);
    const timer = await manager.findOneBy(TimerTable, { coatId, kind: 'flash' });
    if (!timer || timer.confirmedAt) return;
    const at = (minutes: number) => new Date(timer.startedAt.getTime() + minutes * MINUTE_MS);
    const warmed = context.whole.works.findLast(
      (work) => work.coatId === coatId && work.kind === 'warmed',
    );
    const dueMinutes = warmed
      ? warmedUntil(context, warmed, timer.startedAt)
      : recoat.earliestMinutes.value;
    await manager
      .createQueryBuilder()
      .update(TimerTable)
      .set({
        dueAt: at(dueMinutes),
        latestAt: recoat.latestMinutes === undefined ? null : at(recoat.latestMinutes),
      })
      .where({ id: timer.id })
      .execute();
  });

/** Minutes from the coat, where its flash was shortened by warm air. */
function warmedUntil(context: PlanContext, { at, warmC }: LayerWork, startedAt: Date): number {
  const minutesSince = (Date.parse(at) - startedAt.getTime()) / MINUTE_MS;
  return minutesSince + warmAirOn(context, { minutesSince, warmC }).openMinute!.value;
}
