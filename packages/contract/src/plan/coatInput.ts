/**
 * What is to be expected of a planned coat: its paint, gun, air and waits as the forward model
 * wants them.
 */
import { heatOf } from '@orthochrom/core/inForce/timesOf.ts';
import { simulated } from '../quantity/ranges.ts';
import type { InputOf } from '../registry.ts';
import type { TicketWhole } from '../shop/ticket.ts';
import type { CoatPlan } from './planCoat.ts';
import type { PlanContext } from './planContext.ts';
import { lapSecondsOf, panelOf, slopeDegOf } from './panels.ts';
import { gunSheetOf } from './planInputs.ts';
import { layerOf } from './recoatInputs.ts';

/**
 * The coats of this stage that are still to come, at the settings as they stand: what the set-up
 * was worked out from, no other.
 */
export function coatInput(
  context: PlanContext,
  plan: CoatPlan,
  below: NonNullable<InputOf<'coat'>['below']> = [],
): InputOf<'coat'> {
  const { stage, coatsLeft, isLastStage, sheet } = context;
  const { setup: asked, recoat: wait } = plan.inputs;
  const panel = panelOf(context);
  const {
    nozzleMm,
    inletKPa,
    fluidTurnsOut,
    fanTurnsOut,
    distanceMm,
    overlapPercent,
    gunSpeedMPerS,
  } = plan.setup.own ?? plan.setup;
  const lapSeconds = lapSecondsOf(context, plan.setup.own ?? plan.setup);
  const flashMinutes = plan.recoat.earliestMinutes.value;
  const times = asked.times!;
  const isBaked = isLastStage && times.bakeC !== undefined && times.beforeBakeMinutes !== undefined;
  return {
    climate: wait.climate,
    material: {
      class: plan.setup.class,
      ...asked.material,
      ...(asked.viscosityMm2PerS === undefined ? {} : { viscosityMm2PerS: asked.viscosityMm2PerS }),
      ...(stage.finish ? { finish: stage.finish } : {}),
      sheet: {
        times,
        // Its minutes stand for the sheet's own film, whatever this coat is aimed at.
        gun: gunSheetOf(context),
        ...(sheet.limits ? { limits: sheet.limits } : {}),
      },
    },
    gun: asked.gun,
    settings: {
      ...{ nozzleMm, inletKPa, fluidTurnsOut, fanTurnsOut, distanceMm, overlapPercent },
      // A shut needle lays nothing at any speed.
      ...(gunSpeedMPerS > 0 ? { gunSpeedMPerS } : {}),
    },
    panel: {
      slopeDeg: slopeDegOf(context),
      ...(panel ? { substrate: panel.substrate } : {}),
      ...(lapSeconds === undefined ? {} : { lapSeconds }),
    },
    technique: { skill: context.painter.skill },
    coats: Array.from({ length: coatsLeft }, () => ({ flashMinutes: simulated(flashMinutes) })),
    ...(isBaked
      ? {
          bake: {
            afterMinutes: simulated(
              Math.max(times.beforeBakeMinutes!, coatsLeft > 1 ? 0 : flashMinutes),
            ),
            ...heatOf({ sheet: times }),
          },
        }
      : {}),
    ...(below.length > 0 ? { below } : {}),
    ...(asked.capLimitKPa === undefined ? {} : { capLimitKPa: asked.capLimitKPa }),
  };
}

/** After this long a layer below has lost what it will lose before the next one. */
const STILL_WET_MS = 12 * 3_600_000;

/**
 * The coats of the stage before, where this one goes over them the same day: what they still hold
 * counts for popping.
 */
export function layersBelow(
  { ticket, coats, sheets }: Pick<TicketWhole, 'ticket' | 'coats' | 'sheets'>,
  stageId: string,
  nowMs: number,
): NonNullable<InputOf<'coat'>['below']> {
  const place = ticket.stages.findIndex(({ id }) => id === stageId);
  const before = ticket.stages[place - 1];
  // Primer is sanded before anything goes on: it has long been dry.
  if (!before || before.kind === 'primer') return [];
  const sheet = sheets.find(({ id }) => id === before.sheetVersionId)?.sheet;
  const isOld = coats.some(
    ({ stageId: of, endedAt }) =>
      of === before.id && endedAt !== undefined && nowMs - Date.parse(endedAt) > STILL_WET_MS,
  );
  if (!sheet?.recipes?.length || isOld) return [];
  const layer = layerOf({ sheet, stage: before });
  const { toNextMinutes: _, ...betweenCoats } = layer.sheet!;
  return Array.from({ length: before.coats }, (_coat, i) =>
    i === before.coats - 1 ? layer : { ...layer, sheet: betweenCoats },
  );
}
