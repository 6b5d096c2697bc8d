/** From rows to calculation input: the one place where it is assembled, so that the screen, the API and `ask` agree. */
import type { Grade } from '@orthochrom/core/reducer/grade.ts';
import type { RatioScale } from '@orthochrom/core/mix/cup.ts';
import { isCapBound } from '@orthochrom/core/gun/inletPressure.ts';
import { readyNeedMl, roundedToParts } from '@orthochrom/core/mix/need.ts';
import { ask, type InputOf } from '../registry.ts';
import type { AirNow } from '../shop/air.ts';
import { lineOf } from '../shop/compressedAir.ts';
import type { Room, StoredCup, StoredGun } from '../shop/setup.ts';
import type { FlowCup, StagePlan } from '../shop/ticket.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { middle, recipeOf, stageAreaM2, type PlanContext, type Products } from './planContext.ts';

type Climate = InputOf<'recoat'>['climate'];

/** The room's air with the panel where it is known; material is a reading of its own. */
export function climateFrom(room: Room, air: AirNow): Climate {
  return {
    airTemperatureC: air.air.value,
    relativeHumidityPercent: air.humidity.value,
    ...(air.panel ? { panelTemperatureC: air.panel.value } : {}),
    ...(air.material ? { materialTemperatureC: air.material.value } : {}),
    airMovement: room.airMovement,
    ...(room.airSpeedMPerS === undefined ? {} : { airSpeedMPerS: room.airSpeedMPerS }),
  };
}

export const climateInput = ({
  room,
  air,
  sheet,
  stage,
}: Pick<PlanContext, 'room' | 'air' | 'sheet' | 'stage'>): InputOf<'climate'> => ({
  ...climateFrom(room, air),
  ...(sheet.limits ? { limits: sheet.limits } : {}),
  next: { carrier: sheet.carrier, stage: stage.kind },
});

export const gateProduct = (sheet: Sheet, recipeName: string): InputOf<'gate'>['product'] => {
  const recipe = sheet.recipes?.find(({ name }) => name === recipeName);
  return {
    hardener: sheet.hardenerChemistry,
    carrier: sheet.carrier,
    ...(recipe ? { vocGPerL: recipe.vocLessWaterGPerL ?? recipe.vocGPerL } : {}),
  };
};

const gradesOf = (ids: readonly string[] | undefined, products: Products): Grade[] =>
  (ids ?? []).flatMap((id) => products.get(id)?.grade ?? []);

const isReduced = (context: PlanContext): boolean =>
  recipeOf(context).parts.some(({ role }) => role === 'reducer') || (context.sheet.reduction?.maxPercent ?? 0) > 0;

/** A hardener that the recipe names outright is the only one; else any of the sheet's. */
function hardenerIds(context: PlanContext): string[] {
  const part = recipeOf(context).parts.find(({ role }) => role === 'hardener');
  if (!part) return [];
  if (context.hardenerId) return [context.hardenerId];
  return part.product === 'hardener' ? (context.sheet.hardeners ?? []) : [part.product];
}

const surfaceOf = (stage: StagePlan, panels: PlanContext['ticket']['panels']): 'vertical' | 'horizontal' | 'both' => {
  const kinds = new Set(panels.filter(({ id }) => stage.panelIds.includes(id)).map(({ orientation }) => orientation));
  if (kinds.size > 1 || kinds.has('slope')) return 'both';
  return kinds.has('flat') ? 'horizontal' : 'vertical';
};

export function reducerInput(context: PlanContext): InputOf<'reducer'> {
  const { sheet, stage, room, air, ticket, painter, products, wantedParts } = context;
  const { airTemperatureC, relativeHumidityPercent, panelTemperatureC } = climateFrom(room, air);
  const hardeners = gradesOf(hardenerIds(context), products);
  const preference = painter.way.grade === 'gloss' || painter.way.grade === 'speed' ? painter.way.grade : undefined;
  const reduction = isReduced(context) ? sheet.reduction : { sheetPercent: 0, maxPercent: 0, of: 'paint' as const };
  const solvent = {
    grades: isReduced(context) ? gradesOf(sheet.grades, products) : [],
    ...(hardeners.length > 0 ? { hardeners } : {}),
    ...(reduction ? { reduction } : {}),
  };
  const panel = ticket.panels.find(({ id }) => stage.panelIds.includes(id));
  return {
    airTemperatureC,
    relativeHumidityPercent,
    ...(panelTemperatureC === undefined ? {} : { panelTemperatureC }),
    ...(air.outdoor ? { outdoorTemperatureC: air.outdoor.value } : {}),
    airMovement: room.airMovement,
    ...(room.airSpeedMPerS === undefined ? {} : { airSpeedMPerS: room.airSpeedMPerS }),
    jobSize: ticket.jobSize,
    carrier: sheet.carrier,
    stage: stage.kind,
    ...(stage.finish ? { finish: stage.finish } : {}),
    ...(sheet.carrier === 'solvent' ? solvent : sheet.adjusterGrid ? { adjusterGrid: sheet.adjusterGrid } : {}),
    ...(panel ? { substrate: panel.substrate } : {}),
    surface: surfaceOf(stage, ticket.panels),
    ...(preference ? { preference } : {}),
    ...(sheet.limits ? { limits: sheet.limits } : {}),
    ...(wantedParts && sheet.carrier === 'solvent' ? { wanted: { parts: wantedParts } } : {}),
  };
}

/** The limit at the cap that is set for this room, for the kinds of gun it is meant for. */
export const capLimitOf = (gun: Pick<StoredGun, 'gun'>, room: Pick<Room, 'capLimitKPa'> | undefined): { capLimitKPa?: number } =>
  isCapBound(gun.gun.class) && room?.capLimitKPa !== undefined ? { capLimitKPa: room.capLimitKPa } : {};

/** What the cup showed, at the temperature the mix has now. */
function viscosityNow({ cup, seconds, measuredAtC }: FlowCup, { materialClass }: Sheet, materialC: number): number {
  const { kinematicMm2PerS, atWantedC } = ask('viscosity', {
    cup,
    seconds,
    measuredAtC,
    wantedAtC: materialC,
    ...(materialClass ? { class: materialClass } : {}),
  });
  return atWantedC?.kinematicMm2PerS.value ?? kinematicMm2PerS;
}

/** The longest of the panels that this stage covers: where nobody measured, about half as long again as a square of it. */
function panelLengthM({ ticket, stage }: Pick<PlanContext, 'ticket' | 'stage'>): number {
  const areas = ticket.panels.filter(({ id }) => stage.panelIds.includes(id)).map(({ areaM2 }) => areaM2);
  return Math.max(0.05, Math.sqrt(Math.max(...areas, 0.01) * LENGTH_TO_HEIGHT));
}
const LENGTH_TO_HEIGHT = 1.5;

export function setupInput(context: PlanContext): InputOf<'setup'> {
  const { sheet, stage, gun, painter, room, airLine, flowCup } = context;
  const recipe = recipeOf(context);
  const climate = climateFrom(room, context.air);
  const materialC = climate.materialTemperatureC ?? climate.airTemperatureC;
  const own = sheet.gunSheet?.[gun.gun.class];
  return {
    gun: gun.gun,
    stage: stage.kind,
    carrier: sheet.carrier,
    ...(stage.finish ? { finish: stage.finish } : {}),
    build: sheet.materialClass === 'buildPrimer',
    highSolids: sheet.materialClass === 'clearHighSolids',
    place: room.place,
    part: context.part ?? stage.part,
    ...(context.mist ? { mist: true } : {}),
    airTemperatureC: climate.airTemperatureC,
    materialTemperatureC: materialC,
    ...(flowCup ? { viscosityMm2PerS: viscosityNow(flowCup, sheet, materialC) } : {}),
    ...(airLine ? { airline: lineOf(airLine) } : {}),
    panelLengthM: panelLengthM(context),
    sheet: { nozzleMm: recipe.nozzleMm, wetFilmUm: middle(recipe.wetFilmUm), ...own, coats: stage.coats },
    way: { ...painter.way, skill: painter.skill },
    hardener: sheet.hardenerChemistry,
    ...capLimitOf(gun, room),
    ...(room.place === 'booth' ? {} : { limitFog: true }),
    ...(context.knobsLeft ? { knobsNow: context.knobsLeft } : {}),
  };
}

/** The layer just laid, as the waits see it. */
export function layerOf(context: Pick<PlanContext, 'sheet' | 'stage'>): InputOf<'recoat'>['layer'] {
  const recipe = recipeOf(context);
  return {
    stage: context.stage.kind,
    carrier: context.sheet.carrier,
    activated: recipe.parts.some(({ role }) => role === 'hardener'),
    sheet: recipe.times,
  };
}

function nextAfter(context: PlanContext): InputOf<'recoat'>['next'] {
  if (context.coatsLeft > 1) return 'coat';
  return context.isLastStage && recipeOf(context).times.beforeBakeMinutes !== undefined ? 'bake' : 'clear';
}

/** The wait after this coat: to the next coat of the stage, or to what comes over it. */
export function recoatInput(
  context: PlanContext,
  now: { minutesSince: number; wetFilmUm?: number; tests?: InputOf<'recoat'>['tests'] },
): InputOf<'recoat'> {
  return {
    layer: layerOf(context),
    climate: climateFrom(context.room, context.air),
    minutesSince: now.minutesSince,
    ...(now.wetFilmUm === undefined ? {} : { wetFilmUm: now.wetFilmUm }),
    next: nextAfter(context),
    ...(now.tests ? { tests: now.tests } : {}),
  };
}

/** Ready mix for what is left of this stage, as a place to start from. */
export function readyMlFor(context: PlanContext): number {
  const recipe = recipeOf(context);
  if (context.readyMl !== undefined) return context.readyMl;
  const needMl = readyNeedMl({
    areaM2: stageAreaM2(context),
    coats: context.coatsLeft,
    wetFilmUm: middle(recipe.wetFilmUm),
    gunClass: context.gun.gun.class,
  });
  const parts = recipe.parts.map(({ parts: share }) => share);
  return roundedToParts(needMl, parts, context.cup?.capacityMl, scaleFor(context)?.mlPerPart);
}

/** The cup's printed scale for this recipe, if it has one. */
const scaleFor = (context: PlanContext): RatioScale | undefined => {
  const parts = recipeOf(context).parts.map(({ parts: share }) => share);
  return context.cup?.scales.find(
    ({ ratio }) => ratio.length === parts.length && ratio.every((share, i) => share * parts[0]! === parts[i]! * ratio[0]!),
  );
};

/** The smallest cup that takes it all in one batch; else the largest there is. */
export function cupFor(cups: readonly StoredCup[], context: PlanContext): StoredCup | undefined {
  const bySize = [...cups].sort((a, b) => a.capacityMl - b.capacityMl);
  return bySize.find((cup) => readyMlFor({ ...context, cup }) <= cup.capacityMl) ?? bySize.at(-1);
}
