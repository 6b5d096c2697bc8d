/** What is to be expected of a planned coat: its paint, gun, air and waits as the forward model wants them. */
import { fullFanTurnsOf } from '@orthochrom/core/gun/gun.ts';
import { materialClassOf } from '@orthochrom/core/material/classes.ts';
import { designTemperatureC } from '@orthochrom/core/reducer/grade.ts';
import type { InputOf } from '../registry.ts';
import type { CoatPlan } from './planCoat.ts';
import { recipeOf, type PlanContext } from './planContext.ts';
import { climateFrom, layerOf, setupInput } from './planInputs.ts';
import type { TicketWhole } from '../shop/ticket.ts';

type Settings = InputOf<'coat'>['settings'];
type Grade = NonNullable<InputOf<'coat'>['material']['grade']>;

const SLOPE_DEG = { upright: 90, slope: 60, flat: 0 } as const;
const USUAL_RAMP_C_PER_MIN = 4;
const GRADE_HALF_BAND_C = 3;

/** A blend of grades is one grade for the film: the middle of theirs, by their shares. */
function gradeTaken({ reducer, inputs }: CoatPlan): Grade | undefined {
  const parts = reducer.choice?.parts ?? [];
  const known = inputs.reducer.grades ?? [];
  const found = parts.flatMap(({ name, fraction }) => {
    const grade = known.find((candidate) => candidate.name === name);
    return grade ? [{ name, fraction, designC: designTemperatureC(grade) }] : [];
  });
  if (found.length === 0) return undefined;
  const designC =
    found.reduce((sum, { fraction, designC: c }) => sum + fraction * c, 0) /
    found.reduce((sum, { fraction }) => sum + fraction, 0);
  return {
    name: found.map(({ name }) => name).join(' + '),
    minC: designC - GRADE_HALF_BAND_C,
    maxC: designC + GRADE_HALF_BAND_C,
  };
}

/** The coats of this stage that are still to come, at the settings as they stand. */
export function coatInput(
  context: PlanContext,
  plan: CoatPlan,
  settings: Settings,
  below: NonNullable<InputOf<'coat'>['below']> = [],
): InputOf<'coat'> {
  const { sheet, stage, room, air, gun, ticket, coatsLeft, isLastStage } = context;
  const recipe = recipeOf(context);
  const setup = setupInput(context);
  const panel = ticket.panels.find(({ id }) => stage.panelIds.includes(id));
  const grade = gradeTaken(plan);
  const { bakeC, bakeMinutes, beforeBakeMinutes } = recipe.times;
  const flashMinutes = plan.recoat.earliestMinutes.value;
  const isBaked = isLastStage && bakeC !== undefined && beforeBakeMinutes !== undefined;
  return {
    climate: climateFrom(room, air),
    material: {
      class: sheet.materialClass ?? materialClassOf(stage.kind, sheet.carrier),
      ...(plan.parts ? { recipe: plan.parts.recipe } : {}),
      ...(grade ? { grade } : {}),
      ...(setup.viscosityMm2PerS === undefined ? {} : { viscosityMm2PerS: setup.viscosityMm2PerS }),
      ...(stage.finish ? { finish: stage.finish } : {}),
      sheet: { times: recipe.times, ...(setup.sheet ? { gun: setup.sheet } : {}) },
    },
    gun: gun.gun,
    settings: { ...settings, ...within(settings, gun.gun) },
    panel: { slopeDeg: SLOPE_DEG[panel?.orientation ?? 'upright'], ...(panel ? { substrate: panel.substrate } : {}) },
    coats: Array.from({ length: coatsLeft }, () => ({ flashMinutes })),
    ...(isBaked
      ? {
          bake: {
            afterMinutes: Math.max(beforeBakeMinutes, coatsLeft > 1 ? 0 : flashMinutes),
            toC: bakeC,
            rampCPerMin: USUAL_RAMP_C_PER_MIN,
            holdMinutes: bakeMinutes ?? 30,
          },
        }
      : {}),
    ...(below.length > 0 ? { below } : {}),
    ...(setup.capLimitKPa === undefined ? {} : { capLimitKPa: setup.capLimitKPa }),
  };
}

/** A plan that was taken for a gun with a longer knob is held to this one's travel. */
const within = ({ fanTurnsOut }: Settings, gun: PlanContext['gun']['gun']): Partial<Settings> =>
  fanTurnsOut === undefined ? {} : { fanTurnsOut: Math.min(fanTurnsOut, fullFanTurnsOf(gun)) };

/** After this long a layer below has lost what it will lose before the next one. */
const STILL_WET_MS = 12 * 3_600_000;

/** The coats of the stage before, where this one goes over them the same day: what they still hold counts for popping. */
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
    ({ stageId: of, endedAt }) => of === before.id && endedAt !== undefined && nowMs - Date.parse(endedAt) > STILL_WET_MS,
  );
  if (!sheet?.recipes?.length || isOld) return [];
  const layer = layerOf({ sheet, stage: before });
  const { toNextMinutes: _, ...betweenCoats } = layer.sheet!;
  return Array.from({ length: before.coats }, (_coat, i) => (i === before.coats - 1 ? layer : { ...layer, sheet: betweenCoats }));
}
