/** The test panel before the car: kept with its coat, and the turns found there set by it. */
import type { Overrides, TestPanel, TestPanelDone } from '@orthochrom/contract/shop/coat.ts';
import { settingsNow } from '@orthochrom/contract/plan/settingsNow.ts';
import { takenSetup } from '@orthochrom/contract/plan/takenPlan.ts';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { changeCoat, mustBe, mustBeNext } from './coatOrderRules.ts';
import { mustHavePassedGate, mustStandFree } from './judge.ts';
import { mustBeAllowed } from './planLedger.ts';
import { coatRow, planContextOf } from './planReader.ts';

/** Of a turn: what a knob is read to. */
const SAME_TURNS = 1 / 16;

/**
 * Kept beside the plan, never over it.
 * @throws OutOfTurn before the plan is taken, GateOpen and Stopped as at the trigger: it is paint
 *   in the air
 */
export const keepTestPanel = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, fluidTurnsOut, skippedBecause }: z.infer<typeof TestPanelDone>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'taken');
    await mustBeNext(manager, coat);
    const context = await planContextOf(manager, probe, coat, { painterId });
    mustHavePassedGate(context);
    mustStandFree('test', coat, context);
    const planned = takenSetup({ planned: coat.planned! })!;
    const turns = fluidTurnsFound(settingsNow(planned, coat.overrides), fluidTurnsOut);
    const overrides: Overrides = turns
      ? {
          ...coat.overrides,
          fluidTurnsOut: {
            recommended: planned.fluidTurnsOut,
            chosen: turns,
            why: 'found on the test panel',
          },
        }
      : coat.overrides;
    if (turns) mustBeAllowed(context, settingsNow(planned, overrides), overrides);
    const testPanel: TestPanel = {
      at: new Date().toISOString(),
      painterId,
      gunId: coat.gunId!,
      ...(coat.nozzleMm === null ? {} : { nozzleMm: coat.nozzleMm }),
      ...(fluidTurnsOut === undefined ? {} : { fluidTurnsOut }),
      ...(skippedBecause === undefined ? {} : { skippedBecause }),
    };
    await changeCoat(manager, trace, coat, {
      kind: 'test-panel',
      version,
      painterId,
      changes: { testPanel, overrides },
      mine: { fluidTurnsOut, skippedBecause },
    });
  });

const fluidTurnsFound = (
  set: { fluidTurnsOut: number },
  found: number | undefined,
): number | undefined =>
  found !== undefined && Math.abs(found - set.fluidTurnsOut) > SAME_TURNS ? found : undefined;
