/**
 * From rows to calculation input: the one place where it is assembled, so that the screen, the API
 * and `ask` agree.
 */
import { fullFanTurnsOf, fullFluidTurnsOf } from '@orthochrom/core/gun/gun.ts';
import type { Grade } from '@orthochrom/core/reducer/grade.ts';
import { placeLimitFor } from '@orthochrom/core/inForce/capLimitOf.ts';
import { ask } from '../calculations/ask.ts';
import { viscosityCalculation } from '../calculations/viscosity.ts';
import type { InputOf } from '../registry.ts';
import type { AirNow } from '../shop/air.ts';
import { lineOf } from '../shop/compressedAir.ts';
import type { Room, StoredGun } from '../shop/setup.ts';
import type { FlowCup, StagePlan } from '../shop/ticket.ts';
import type { Sheet } from '../sheet/sheet.ts';
import type { GradeInUse } from './gradeInUse.ts';
import { coatPlanned, middle, recipeOf, type PlanContext, type Products } from './planContext.ts';
import { panelLengthM, panelOf, slopeDegOf } from './panels.ts';
import { isReduced, reductionBeyond } from './reduction.ts';
import type { SetNow } from './settingsNow.ts';
import { gridRules } from './additions.ts';
import type { MixParts } from './takenRecipe.ts';

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
  next: { carrier: sheet.carrier, stage: stage.kind, ...classOfSheet(sheet) },
});

/** The sheet's own word on the kind of paint, for whoever judges by it. */
export const classOfSheet = ({ materialClass }: Sheet) =>
  materialClass ? { class: materialClass } : {};

const gradesOf = (ids: readonly string[] | undefined, products: Products): Grade[] =>
  (ids ?? []).flatMap((id) => products.get(id)?.grade ?? []);

/** A hardener that the recipe names outright is the only one; else any of the sheet's. */
function hardenerIds(context: PlanContext): string[] {
  const part = recipeOf(context).parts.find(({ role }) => role === 'hardener');
  if (!part) return [];
  return part.product === 'hardener' ? (context.sheet.hardeners ?? []) : [part.product];
}

const surfaceOf = (
  stage: StagePlan,
  panels: PlanContext['ticket']['panels'],
): 'vertical' | 'horizontal' | 'both' => {
  const kinds = new Set(
    panels.filter(({ id }) => stage.panelIds.includes(id)).map(({ orientation }) => orientation),
  );
  if (kinds.size > 1 || kinds.has('slope')) return 'both';
  return kinds.has('flat') ? 'horizontal' : 'vertical';
};

export function reducerInput(context: PlanContext): InputOf<'reducer'> {
  const { sheet, stage, room, air, ticket, painter, products } = context;
  const { airTemperatureC, relativeHumidityPercent, panelTemperatureC } = climateFrom(room, air);
  const hardeners = gradesOf(hardenerIds(context), products);
  const preference =
    painter.way.grade === 'gloss' || painter.way.grade === 'speed' ? painter.way.grade : undefined;
  const reduced = isReduced(context);
  const beyond = reductionBeyond(context);
  const solvent = {
    grades: reduced ? gradesOf(sheet.grades, products) : [],
    ...(hardeners.length > 0 ? { hardeners } : {}),
    ...(beyond.sheetPercent > 0 || !reduced
      ? { reduction: beyond }
      : sheet.reduction
        ? { reduction: sheet.reduction }
        : {}),
  };
  const panel = panelOf(context);
  const wanted = wantedOf(context);
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
    ...classOfSheet(sheet),
    ...(stage.finish ? { finish: stage.finish } : {}),
    ...(sheet.carrier === 'solvent'
      ? solvent
      : sheet.adjusterGrid && gridRules(context)
        ? { adjusterGrid: sheet.adjusterGrid }
        : {}),
    ...(panel ? { substrate: panel.substrate } : {}),
    surface: surfaceOf(stage, ticket.panels),
    ...(preference ? { preference } : {}),
    ...(sheet.limits ? { limits: sheet.limits } : {}),
    ...(reduced && context.mixedNow ? { now: context.mixedNow } : {}),
    ...(wanted ? { wanted } : {}),
  };
}

/** The painter's own pick, held beside ours. */
function wantedOf(context: PlanContext): InputOf<'reducer'>['wanted'] {
  const { sheet, products, wantedParts, hardenerId } = context;
  if (sheet.carrier !== 'solvent') return undefined;
  const hardener = hardenerId === undefined ? undefined : products.get(hardenerId)?.grade?.name;
  const parts = wantedParts ?? [];
  return parts.length > 0 || hardener ? { parts, ...(hardener ? { hardener } : {}) } : undefined;
}

/** The limit at the cap that is set for this room, for the kinds of gun it is meant for. */
export function limitOfPlace(
  gun: Pick<StoredGun, 'gun'>,
  room: Pick<Room, 'capLimitKPa'> | undefined,
): { capLimitKPa?: number } {
  const capLimitKPa = placeLimitFor(gun.gun.class, room?.capLimitKPa);
  return capLimitKPa === undefined ? {} : { capLimitKPa };
}

/** What the cup showed, at the temperature the mix has now. */
function viscosityNow(
  { cup, seconds, measuredAtC }: FlowCup,
  { materialClass }: Sheet,
  materialC: number,
): number {
  const { kinematicMm2PerS, atWantedC } = ask(viscosityCalculation, {
    cup,
    seconds,
    measuredAtC,
    wantedAtC: materialC,
    ...(materialClass ? { class: materialClass } : {}),
  });
  return atWantedC?.kinematicMm2PerS.value ?? kinematicMm2PerS;
}

/** The sheet's word on the gun for this coat. */
export function gunSheetOf(
  context: Pick<PlanContext, 'sheet' | 'stage' | 'gun'>,
): NonNullable<InputOf<'setup'>['sheet']> {
  const { sheet, stage, gun } = context;
  const recipe = recipeOf(context);
  return {
    nozzleMm: recipe.nozzleMm,
    wetFilmUm: middle(recipe.wetFilmUm),
    wetFilmBandUm: recipe.wetFilmUm,
    coatsBand: recipe.coats,
    ...sheet.gunSheet?.[gun.gun.class],
    coats: stage.coats,
  };
}

/** The mix as it is poured: what gun and forecast both work with. */
function mixed(
  context: PlanContext,
  inUse?: GradeInUse,
  parts?: MixParts,
): NonNullable<InputOf<'setup'>['material']> {
  const recipe = recipeOf(context);
  // The sheet's figures are of its own recipe: what is poured beyond that is worked out.
  const isSheets = reductionBeyond(context).sheetPercent === 0;
  return {
    ...(parts ? { recipe: parts.recipe } : {}),
    ...(inUse?.grade ? { grade: inUse.grade } : {}),
    ...(inUse?.hardenerSpeed ? { hardenerSpeed: inUse.hardenerSpeed } : {}),
    ...(isSheets
      ? { volumeSolidsPercent: recipe.volumeSolidsPercent, densityGPerMl: recipe.densityGPerMl }
      : {}),
  };
}

export function setupInput(
  context: PlanContext,
  inUse?: GradeInUse,
  parts?: MixParts,
): InputOf<'setup'> {
  const { sheet, stage, gun, painter, room, airLine, flowCup } = context;
  const climate = climateFrom(room, context.air);
  const materialC = climate.materialTemperatureC ?? climate.airTemperatureC;
  // A mist coat of the painter's own goes before what was planned for this one.
  const own = context.mist ? undefined : coatPlanned(context);
  return {
    gun: gun.gun,
    stage: stage.kind,
    carrier: sheet.carrier,
    ...classOfSheet(sheet),
    ...(stage.finish ? { finish: stage.finish } : {}),
    material: mixed(context, inUse, parts),
    place: room.place,
    part: context.part ?? stage.part,
    ...(context.mist ? { mist: true } : {}),
    climate,
    ...(flowCup ? { viscosityMm2PerS: viscosityNow(flowCup, sheet, materialC) } : {}),
    ...(airLine ? { airline: lineOf(airLine) } : {}),
    panelLengthM: panelLengthM(context),
    slopeDeg: slopeDegOf(context),
    ...(inUse?.stepsSlower === undefined ? {} : { reducer: { stepsSlower: inUse.stepsSlower } }),
    sheet: { ...gunSheetOf(context), ...(own ? { wetFilmUm: own.wetFilmUm } : {}) },
    ...(own ? { preset: own.preset } : {}),
    times: recipeOf(context).times,
    way: { ...painter.way, skill: painter.skill },
    hardener: sheet.hardenerChemistry,
    ...limitOfPlace(gun, room),
    ...(room.place === 'booth' ? {} : { limitFog: true }),
    coatsWanted: stage.coats,
    ...(context.knobsLeft ? { knobsNow: context.knobsLeft } : {}),
    ...(context.own ? { own: withinTravel(context.own, gun.gun) } : {}),
  };
}

/** A plan that was taken for a gun with longer knobs is held to this one's travel. */
const withinTravel = (own: SetNow, gun: PlanContext['gun']['gun']): SetNow => ({
  ...own,
  fluidTurnsOut: Math.min(own.fluidTurnsOut, fullFluidTurnsOf(gun)),
  fanTurnsOut: Math.min(own.fanTurnsOut, fullFanTurnsOf(gun)),
});
