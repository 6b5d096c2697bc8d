/** A set-up with what the model foresees of it, and other good ways to set this gun, each with what it trades. */
import { FALLBACK_MINUTES } from '../film/flashToday.ts';
import { COARSE } from '../film/filmRun.ts';
import { paintFor, USUAL_C } from '../gun/atWork.ts';
import type { KnownSettings } from '../gun/completed.ts';
import { isNeedleOpen } from '../gun/hand.ts';
import { HVLP_CAP_KPA, inletAtCap, inletBandFor, isCapBound } from '../gun/inletPressure.ts';
import { DISTANCE_MM } from '../gun/practiceBands.ts';
import { PSI_KPA, type Costed, type PlanRoom } from '../gun/planCost.ts';
import { plansFor } from '../gun/plans.ts';
import { presetFor } from '../gun/preset.ts';
import { setupOf, type SetupAnswer, type SetupInput } from '../gun/setup.ts';
import type { Settings } from '../gun/gun.ts';
import { dropWindowUm } from '../gun/spray.ts';
import { materialClassOf } from '../material/classes.ts';
import { FILM_DATA } from '../material/filmData.ts';
import { because, caution, type Verdict } from '../outcome/told.ts';
import { benchModel } from './bench.ts';
import { foresee, type CoatPlan } from './foresee.ts';
import { paintOf } from './material.ts';
import { deviationsOf, HIGH_RISK, linkedRisks, riskSpread, type RiskName, type Risks } from './spreads.ts';
import { surenessOf } from './sureness.ts';

/** Against the set-up as it stands: shares over 1 are more. */
export type Trade = { fog: number; drops: number; time: number; wetness: number };
export type PlanOffered = { settings: Settings; trade: Trade; risks: Risks };
export type SetupForeseen = SetupAnswer & { risks?: Risks; plans?: PlanOffered[] };

const OVERLAPS: Record<string, number[]> = {
  primer: [0.5, 0.6],
  sealer: [0.5, 0.6, 0.66],
  solid: [0.5, 0.6, 0.66],
  effect: [0.66, 0.75],
};
const FOG_G_PER_MIN = { base: 25, other: 30 } as const;
const REACH_MM = 15;

export function setupForeseen(input: SetupInput): SetupForeseen {
  const answer = setupOf(input);
  if (answer.dropletUm === undefined || answer.gunSpeedMPerS <= 0) return answer;
  const coat = coatOfSetup(input, answer.nozzleMm);
  const main = settingsOf(answer);
  const planFor = (settings: KnownSettings): CoatPlan => ({
    ...coat.plan,
    coats: [{ flashMinutes: coat.waitMinutes, settings, model: coat.model }],
  });
  const sure = surenessOf(input.gun, coat.model, main, coat.plan.bench.paint, []);
  const best = foresee(planFor(main), sure.centre, { mesh: COARSE, firstReadyOnly: true });
  const sds = deviationsOf(planFor(main), sure, best);
  const risksFor = (
    settings: KnownSettings,
    foreseen = foresee(planFor(settings), sure.centre, { mesh: COARSE, firstReadyOnly: true, retained: 1 }),
  ): Risks =>
    Object.fromEntries(
      Object.entries(linkedRisks(foreseen, planFor(settings)))
        .filter(([name]) => name !== 'pop' && name !== 'blush')
        .map(([name, link]) => [name, riskSpread(name as RiskName, link, sds.risks[name as RiskName] ?? 0)]),
    );
  const risks = risksFor(main, best);
  const now = best.sprayed[0]!;
  const { densityKgPerM3 } = coat.plan.bench.paint;
  const fogOf = (ml: number, lands: number) => ml * densityKgPerM3 * (1 - lands);
  const offered = plansFor(roomOf(input, answer, coat), searchOf(input)).map((plan): PlanOffered => {
    const settings = offeredSettings(plan, answer.nozzleMm, coat.model.fullFanTurns);
    return {
      settings,
      trade: {
        fog:
          fogOf(plan.spray.fluidMlPerMin, plan.spray.landing.transferFraction) /
          fogOf(now.spray.fluidMlPerMin, now.transferFraction),
        drops: plan.spray.sauterUm / now.spray.sauterUm,
        time: (main.gunSpeedMPerS * now.stepMm) / (settings.gunSpeedMPerS * settings.stepMm!),
        wetness: plan.wetness / now.wetness,
      },
      risks: risksFor(settings),
    };
  });
  return {
    ...answer,
    risks,
    plans: offered,
    verdicts: [...answer.verdicts, ...riskVerdicts(risks, offered)],
    reasons: [...answer.reasons, ...(offered.length > 1 ? [because('valley-is-flat', 'model', { count: offered.length })] : [])],
  };
}

function riskVerdicts(risks: Risks, plans: readonly PlanOffered[]): Verdict[] {
  return (Object.entries(risks) as [RiskName, { value: number }][]).flatMap(([risk, { value }]) => {
    if (value <= HIGH_RISK) return [];
    const better = plans.findIndex((plan) => (plan.risks[risk]?.value ?? 1) < value * 0.8);
    return [caution('risk-high', { risk, word: 'likely', knob: better < 0 ? 'none' : 'plan', from: 0, to: better + 1 })];
  });
}

const settingsOf = (answer: SetupAnswer): KnownSettings => ({
  nozzleMm: answer.nozzleMm,
  inletKPa: answer.inletKPa,
  fluidTurnsOut: answer.fluidTurnsOut,
  fanTurnsOut: answer.fanTurnsOut,
  distanceMm: answer.distanceMm,
  overlapPercent: answer.overlapPercent,
  gunSpeedMPerS: answer.gunSpeedMPerS,
});

const offeredSettings = (
  { place, spray, gunSpeedMPerS }: Costed,
  nozzleMm: number,
  fullFanTurns: number,
): KnownSettings & Settings => ({
  nozzleMm,
  inletKPa: Math.round(place.psi * PSI_KPA),
  capKPa: spray.air.capKPa,
  fluidTurnsOut: place.turns,
  fanTurnsOut: place.fanShare * fullFanTurns,
  fanWidthMm: spray.fanWidthMm,
  distanceMm: place.distanceMm,
  overlapPercent: place.overlap * 100,
  stepMm: spray.fanWidthMm * (1 - place.overlap),
  gunSpeedMPerS,
  fluidMlPerMin: spray.fluidMlPerMin,
});

type CoatOfSetup = { plan: Omit<CoatPlan, 'coats'>; model: ReturnType<typeof benchModel>; waitMinutes: number };

/** One coat on an upright panel in a booth's air, as a set-up knows it. */
function coatOfSetup(input: SetupInput, nozzleMm: number): CoatOfSetup {
  const { gun, stage, carrier, finish } = input;
  const materialClass = materialClassOf(stage, carrier, input);
  const airC = input.airTemperatureC ?? USUAL_C;
  const paint = paintOf(
    { class: materialClass, ...(input.viscosityMm2PerS === undefined ? {} : { viscosityMm2PerS: input.viscosityMm2PerS }) },
    input.materialTemperatureC ?? airC,
  );
  const bench = { gun, paint, room: { airTemperatureC: airC, relativeHumidityPercent: 50 } };
  const wait = FALLBACK_MINUTES[materialClass].last;
  const sheetFilmM = input.sheet?.wetFilmUm === undefined ? FILM_DATA[materialClass].wetFilmM : input.sheet.wetFilmUm * 1e-6;
  return {
    model: benchModel(bench, nozzleMm),
    waitMinutes: wait,
    plan: {
      bench,
      sheet: { wetFilmM: sheetFilmM, flashMinutes: wait, lastMinutes: wait, atC: 21, atHumidityPercent: 50 },
      below: [],
      panelC: airC,
      airSpeedMPerS: 0.3,
      substrate: 'metal',
      slopeDeg: 90,
      isEffect: finish !== undefined && finish !== 'solid' && finish !== 'fluorescent',
      dropWindowUm: dropWindowUm(materialClass, gun.class),
    },
  };
}

function roomOf(input: SetupInput, answer: SetupAnswer, { model, plan }: CoatOfSetup): PlanRoom {
  const { gun, stage, carrier, sheet, way, capLimitKPa, part, mist } = input;
  const { bandKPa } = inletBandFor({ gun, model, fanTurnsOut: model.fullFanTurns, stage, carrier, sheet });
  const wholeBandPsi = bandKPa.map((kPa) => Math.round(kPa / PSI_KPA)) as [number, number];
  const limitKPa = capLimitKPa ?? (isCapBound(gun.class) ? HVLP_CAP_KPA : undefined);
  const mostKPa = gun.maxInletKPa ?? Infinity;
  return {
    gun,
    model,
    paint: paintFor(input),
    materialClass: plan.bench.paint.materialClass,
    stage,
    room: plan.bench.room,
    wetFilmUm: answer.wetFilmUm,
    wholeBandPsi,
    bandPsi: (fanShare) => {
      const [foot, whole] = wholeBandPsi;
      const byCap = limitKPa === undefined ? Infinity : inletAtCap(model, limitKPa, fanShare * model.fullFanTurns);
      const top = Math.max(1, Math.min(whole, Math.floor((Math.min(byCap, mostKPa) + 0.05) / PSI_KPA)));
      return [Math.min(foot, top), top];
    },
    usualDistanceMm: (sheet?.distanceMm ?? way?.distanceMm ?? DISTANCE_MM[gun.class]) * presetFor(part, mist).distance,
    ...(input.limitFog ? { mostOversprayGPerMin: stage === 'base' ? FOG_G_PER_MIN.base : FOG_G_PER_MIN.other } : {}),
  };
}

function searchOf(input: SetupInput): Parameters<typeof plansFor>[1] {
  const { gun, stage, finish, sheet, way, part, mist } = input;
  const preset = presetFor(part, mist);
  const usualMm = (sheet?.distanceMm ?? way?.distanceMm ?? DISTANCE_MM[gun.class]) * preset.distance;
  const isFixed = sheet?.distanceMm !== undefined;
  const isEffect = stage === 'clear' || stage === 'effect' || (finish !== undefined && finish !== 'solid');
  const own = sheet?.overlapPercent ?? way?.overlapPercentByStage?.[stage] ?? way?.overlapPercent;
  const kind = stage === 'primer' || stage === 'sealer' ? stage : isEffect ? 'effect' : 'solid';
  return {
    distancesMm: isFixed ? [usualMm] : [usualMm - REACH_MM, usualMm + REACH_MM],
    overlaps: own === undefined ? OVERLAPS[kind]! : [own / 100],
    fanShares: (way?.fan === 'open' ? [1] : [0.7, 0.85, 1]).map((share) => share * preset.fan),
    isNeedleOpen: isNeedleOpen(input),
  };
}
