/** The look at a coat, kept with what was really set. */
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import { settingNames } from '@orthochrom/contract/shop/coat.ts';
import type { Done, Look } from '@orthochrom/contract/shop/coat.ts';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { changeCoat, mustBe } from './coatOrderRules.ts';
import { keepLookAgain } from './lookAgainLedger.ts';
import { coatRow, planContextOf } from './planReader.ts';
import type { CoatRow } from './coatTables.ts';

/**
 * What was done, where it differed from the plan; what the painter did not touch is kept as
 * confirmed.
 */
export const lookAt = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, done: given, seen, rating, note }: z.infer<typeof Look>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'flashed', 'looked');
    const done = doneOf(coat, given);
    const figure = (name: string) => done[name]?.value ?? null;
    const changes = {
      state: 'looked',
      done,
      seen,
      rating,
      note,
      inletKPaDone: figure('inletKPa'),
      fluidTurnsDone: figure('fluidTurnsOut'),
      distanceMmDone: figure('distanceMm'),
      overlapPercentDone: figure('overlapPercent'),
      wetUmDone: figure('wetFilmUm'),
    };
    await changeCoat(manager, trace, coat, {
      kind: 'looked',
      version,
      painterId,
      changes,
      mine: { done: given, seen, rating, note },
    });
    await keepLookAgain(manager, coat, () => planContextOf(manager, probe, coat, { painterId }));
  });

/** What the painter says, else what an instrument read, else what was intended. */
function doneOf(
  { planned, overrides, done: before }: CoatRow,
  given: Partial<Record<string, number>>,
): Done {
  const setup = planned?.answers['setup'] as AnswerOf<'setup'> | undefined;
  const settings = settingNames.flatMap((name) => {
    const own = overrides[name]?.chosen;
    const read = before[name];
    if (given[name] === undefined && read?.source === 'instrument') return [[name, read] as const];
    const intended = typeof own === 'number' ? own : setup?.[name];
    const value = given[name] ?? intended;
    return value === undefined
      ? []
      : [
          [
            name,
            {
              value,
              source:
                given[name] !== undefined && given[name] !== intended ? 'changed' : 'confirmed',
            },
          ] as const,
        ];
  });
  return Object.fromEntries([
    ...settings,
    ...(given['fanWidthMm'] === undefined
      ? []
      : [['fanWidthMm', { value: given['fanWidthMm'], source: 'changed' }] as const]),
  ]) as Done;
}
