/**
 * A wet film read off the comb while the coat flashes: kept with the coat, and the clock runs by
 * it.
 */
import { planCoat } from '@orthochrom/contract/plan/planCoat.ts';
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
    const { recoat } = planCoat(
      await planContextOf(manager, probe, await coatRow(manager, coatId), { painterId }),
    );
    const timer = await manager.findOneBy(TimerTable, { coatId, kind: 'flash' });
    if (!timer || timer.confirmedAt) return;
    const at = (minutes: number) => new Date(timer.startedAt.getTime() + minutes * MINUTE_MS);
    await manager
      .createQueryBuilder()
      .update(TimerTable)
      .set({
        dueAt: at(recoat.earliestMinutes.value),
        latestAt: recoat.latestMinutes === undefined ? null : at(recoat.latestMinutes),
      })
      .where({ id: timer.id })
      .execute();
  });
