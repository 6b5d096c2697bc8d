/**
 * Taking a plan, and overriding it. Whatever is chosen is judged here again by the rules that judge
 * ours.
 */
import { additionsOnOffer, dosesBeyond } from '@orthochrom/contract/plan/additions.ts';
import { planCoat, wordWanted } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { settingsNow, type SetNow } from '@orthochrom/contract/plan/settingsNow.ts';
import { takenSetup } from '@orthochrom/contract/plan/takenPlan.ts';
import { CALCULATION_VERSION } from '@orthochrom/contract/version.ts';
import { settingNames } from '@orthochrom/contract/shop/coat.ts';
import type {
  OverridePlan,
  Overrides,
  TakenPlan,
  TakePlan,
} from '@orthochrom/contract/shop/coat.ts';
import type { z } from 'zod';
import type { StandInProbe } from '../air/probe.ts';
import type { Ledger } from '../event/ledger.ts';
import { BadInput } from '../http/faults.ts';
import { changeCoat, mustBe, mustBeNext } from './coatOrderRules.ts';
import { mustHavePassedGate, mustStandFree } from './judge.ts';
import { coatRow, planContextOf } from './planReader.ts';
import { stopSaid } from './stopSaid.ts';

/**
 * "Take it": the plan as it is now is worked out here, frozen with its inputs, and kept beside
 * whatever is overridden.
 */
export const takePlan = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  wish: z.infer<typeof TakePlan>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'planned', 'taken');
    await mustBeNext(manager, coat);
    const { version, painterId, gunId, cupId, overrides, ...asked } = wish;
    // A plan taken anew is worked out anew: what was taken before no longer counts.
    const context = await planContextOf(
      manager,
      probe,
      { ...coat, state: 'planned', planned: null, overrides: {} },
      wish,
    );
    mustHavePassedGate(context);
    const wishes = present(asked);
    const plan = planCoat(context);
    mustStandFree('take', coat, context, plan);
    mustSayWhy(plan, context, overrides);
    mustBeAllowed(context, settingsNow(plan.setup, overrides), overrides);
    const { inputs, climate, reducer, quantity, mix, setup, recoat } = plan;
    const planned: TakenPlan = {
      at: new Date().toISOString(),
      calculationVersion: CALCULATION_VERSION,
      sheetVersionIds: context.sheetVersionIds,
      inputs,
      answers: { climate, reducer, quantity, ...(mix ? { mix } : {}), setup, recoat },
      wishes,
    };
    const { air, humidity, panel, material } = context.air;
    const changes = {
      state: 'taken',
      planned,
      overrides,
      gunId,
      nozzleMm: setup.nozzleMm,
      painterId,
      roomId: context.room.id,
      airC: air.value,
      rhPercent: humidity.value,
      panelC: panel?.value ?? null,
      materialC: material?.value ?? null,
    };
    await changeCoat(manager, trace, coat, {
      kind: 'plan-taken',
      version,
      painterId,
      changes,
      mine: wish,
    });
  });

type Asked = Omit<
  z.infer<typeof TakePlan>,
  'version' | 'painterId' | 'gunId' | 'cupId' | 'overrides'
>;
const present = ({
  wantedParts,
  hardenerId,
  doses,
  readyMl,
  part,
  mist,
}: Asked): NonNullable<TakenPlan['wishes']> => ({
  ...(wantedParts ? { wantedParts } : {}),
  ...(hardenerId ? { hardenerId } : {}),
  ...(doses && doses.length > 0 ? { doses } : {}),
  ...(readyMl === undefined ? {} : { readyMl }),
  ...(part ? { part } : {}),
  ...(mist ? { mist } : {}),
});

/**
 * An override keeps the recommendation beside it, with a word why; the plan that was taken stays as
 * it was.
 */
export const overrideSettings = (
  ledger: Ledger,
  probe: StandInProbe,
  coatId: string,
  { version, painterId, overrides }: z.infer<typeof OverridePlan>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const coat = await coatRow(manager, coatId);
    mustBe(coat, 'taken');
    const context = await planContextOf(manager, probe, coat, { painterId });
    mustBeAllowed(
      context,
      settingsNow(takenSetup({ planned: coat.planned! })!, overrides),
      overrides,
    );
    await changeCoat(manager, trace, coat, {
      kind: 'overridden',
      version,
      painterId,
      changes: { overrides },
      mine: overrides,
    });
  });

/** @throws BadInput where the sheet is left without a word why, or something is dosed it has not */
function mustSayWhy(
  plan: ReturnType<typeof planCoat>,
  context: PlanContext,
  { coats, dose }: Overrides,
): void {
  const wanted = wordWanted(plan, context);
  if (wanted && !coats)
    throw BadInput.at(
      ['overrides', 'coats'],
      'needs-field',
      `This is coat ${context.ordinal}; the sheet has ${wanted.most} at most. Say in a word why.`,
    );
  const { inUse } = plan;
  if (!inUse) return;
  const offered = additionsOnOffer(context, inUse).map(({ product }) => product);
  const strange = (context.doses ?? []).findIndex(({ product }) => !offered.includes(product));
  if (strange >= 0)
    throw BadInput.at(
      ['doses', strange, 'product'],
      'not-one-of',
      `${context.sheet.name} takes ${offered.join(', ') || 'nothing by per cent'} here.`,
    );
  const [beyond] = dosesBeyond(context, inUse);
  if (beyond && !dose)
    throw BadInput.at(
      ['overrides', 'dose'],
      'needs-field',
      `${beyond.dose.percent} % is not what the sheet prints. Say in a word why.`,
    );
}

/**
 * @throws BadInput when what the painter set is something that must never be, told at the setting
 * that was changed
 */
export function mustBeAllowed(context: PlanContext, own: SetNow, overrides: Overrides): void {
  const changed = settingNames.filter((name) => overrides[name] !== undefined);
  if (changed.length === 0) return;
  const { setup } = planCoat({ ...context, own });
  const stop = (setup.own ?? setup).verdicts.find(({ level }) => level === 'stop');
  if (!stop) return;
  const at = changed.includes('inletKPa')
    ? 'inletKPa'
    : changed.includes('fanTurnsOut')
      ? 'fanTurnsOut'
      : changed[0]!;
  throw BadInput.at(['overrides', at, 'chosen'], 'contradiction', stopSaid(stop, context.painter));
}
