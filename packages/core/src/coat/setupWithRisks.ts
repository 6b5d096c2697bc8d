/**
 * A set-up with what the model foresees of it, and other good ways to set this gun, each with what
 * it trades.
 */
import { COARSE } from '../film/filmRun.ts';
import { capSpreadOf } from '../gun/gunOutput.ts';
import type { Gun, KnownSettings, Settings } from '../gun/gun.ts';
import type { GunModel } from '../gun/gunModel.ts';
import { isNeedleOpen, ownDistanceMm } from '../gun/technique.ts';
import { coatOfGun, inletBandFor, mostInletKPa } from '../gun/inletPressure.ts';
import { leastOverlapPercent } from '../gun/overlap.ts';
import type { Costed, PlanBounds } from '../gun/planCost.ts';
import { plansFor, type PlanSearch } from '../gun/plans.ts';
import { presetFor } from '../gun/preset.ts';
import { setupOf, type SetupAnswer } from '../gun/setup.ts';
import type { SetupInput } from '../gun/setupInput.ts';
import { practiceOf } from '../inForce/nozzleBandOf.ts';
import { because, caution, type Verdict } from '../outcome/verdicts.ts';
import { PSI_KPA } from '../units/physical.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { STAGE_PRACTICE } from '../trade/practice.ts';
import type { CoatPlan } from './coatPlan.ts';
import { simulateCoat } from './simulateCoat.ts';
import { planOf } from './plan.ts';
import type { Sprayed } from './sprayedCoat.ts';
import { coatOfSetup } from './setupCoat.ts';
import { deviationsOf, HIGH_RISK, risksOf, type RiskName, type Risks } from './riskIntervals.ts';
import { uncertaintyOf } from './uncertainty.ts';

/** Against the set-up as it stands: shares over 1 are more. */
export type Trade = { fog: number; drops: number; time: number; wetness: number };
export type PlanOffered = { settings: Settings; trade: Trade; risks: Risks };
/**
 * `better`: which of the plans goes before the set-up itself where that is likely to fail; 1 is the
 * first.
 */
export type SetupWithRisks = SetupAnswer & {
  risks?: Risks;
  plans?: PlanOffered[];
  better?: number;
};

const OVERLAPS = {
  primer: [0.5, 0.6],
  sealer: [0.5, 0.6, 0.66],
  solid: [0.5, 0.6, 0.66],
  effect: [0.66, 0.75],
} as const;
const FOG_G_PER_MIN = { base: 25, other: 30 } as const;
const REACH_MM = 15;
/** Less than this between two plans is no reason to change. */
const WORTH_CHANGING = 0.1;

/**
 * A set-up with its risks and other plans beside it; without, where no gun or paint is known well
 * enough.
 */
export function setupWithRisks(input: SetupInput): SetupWithRisks {
  const answer = setupOf(input);
  if (answer.dropletUm === undefined || answer.gunSpeedMPerS <= 0) return answer;
  const asked = coatOfSetup(input, answer);
  const { plan, settings: main } = planOf(asked);
  const { model } = plan.coats[0]!;
  const uncertainty = uncertaintyOf(
    input.gun,
    model,
    main,
    plan.rig.paint,
    [],
    asked.technique?.skill,
  );
  const effort = { mesh: COARSE, firstReadyOnly: true };
  const best = simulateCoat(plan, uncertainty.centre, effort);
  const sds = deviationsOf(plan, uncertainty, best);
  const risks = risksOf(best, plan, sds);
  const foreseen = (settings: KnownSettings): Risks => {
    const other = { ...plan, coats: plan.coats.map((coat) => ({ ...coat, settings })) };
    const simulated = simulateCoat(other, uncertainty.centre, {
      ...effort,
      retained: best.retained,
    });
    return risksOf(simulated, other, sds);
  };
  const offered = plansFor(roomFor(input, answer, plan), searchOf(input)).map(
    (costed): PlanOffered => {
      const settings = offeredSettings(costed, input.gun, model);
      const trade = tradeOf(costed, settings, { main, now: best.sprayed[0]! });
      return { settings, trade, risks: foreseen(settings) };
    },
  );
  const better = betterOf(risks, offered);
  return {
    ...answer,
    risks,
    plans: offered,
    ...(better === undefined ? {} : { better }),
    verdicts: [...answer.verdicts, ...riskVerdicts(risks, better)],
    reasons: [
      ...answer.reasons,
      ...(offered.length > 1
        ? [because('valley-is-flat', 'model', { count: offered.length })]
        : []),
    ],
  };
}

/** Another plan beside ours: fog, drops, time and wetness, each over ours. */
function tradeOf(
  { spray, wetness }: Costed,
  { gunSpeedMPerS, stepMm }: KnownSettings,
  { main, now }: { main: KnownSettings; now: Sprayed },
): PlanOffered['trade'] {
  const fogOf = (ml: number, lands: number) => ml * (1 - lands);
  return {
    fog:
      fogOf(spray.fluidMlPerMin, spray.landing.transferFraction) /
      fogOf(now.spray.fluidMlPerMin, now.transferFraction),
    drops: spray.sauterUm / now.spray.sauterUm,
    time: (main.gunSpeedMPerS * now.stepMm) / (gunSpeedMPerS * stepMm!),
    wetness: wetness / now.wetness,
  };
}

const worst = (risks: Risks): number =>
  Math.max(0, ...Object.values(risks).map(({ value }) => value));

/** Where the set-up is likely to fail, the plan that is least likely to. */
function betterOf(risks: Risks, plans: readonly PlanOffered[]): number | undefined {
  if (worst(risks) <= HIGH_RISK || plans.length === 0) return undefined;
  const least = plans.reduce(
    (best, plan, i) => (worst(plan.risks) < worst(plans[best]!.risks) ? i : best),
    0,
  );
  return worst(plans[least]!.risks) < worst(risks) - WORTH_CHANGING ? least + 1 : undefined;
}

const riskVerdicts = (risks: Risks, better: number | undefined): Verdict[] =>
  (Object.entries(risks) as [RiskName, { value: number }][])
    .filter(([, { value }]) => value > HIGH_RISK)
    .map(([risk]) =>
      caution('risk-high', {
        risk,
        word: 'likely',
        knob: better === undefined ? 'none' : 'plan',
        from: 0,
        to: better ?? 0,
      }),
    );

const offeredSettings = (
  { candidate, spray, gunSpeedMPerS }: Costed,
  gun: Gun,
  model: GunModel,
): KnownSettings & Settings => ({
  nozzleMm: model.nozzleMm,
  inletKPa: Math.round(candidate.psi * PSI_KPA),
  capKPa: capSpreadOf(gun, model, {
    inletKPa: candidate.psi * PSI_KPA,
    fanTurnsOut: candidate.fanShare * model.fullFanTurns,
  }).value,
  fluidTurnsOut: candidate.turns,
  fanTurnsOut: candidate.fanShare * model.fullFanTurns,
  fanWidthMm: spray.fanWidthMm,
  distanceMm: candidate.distanceMm,
  overlapPercent: candidate.overlap * 100,
  stepMm: spray.fanWidthMm * (1 - candidate.overlap),
  gunSpeedMPerS,
  fluidMlPerMin: spray.fluidMlPerMin,
});

/**
 * The room the search may move in: the band in force, what binds it, and practice for this work.
 */
function roomFor(input: SetupInput, answer: SetupAnswer, plan: CoatPlan): PlanBounds {
  const { gun, stage, part, mist, capLimitKPa } = input;
  const { model } = plan.coats[0]!;
  const { isBuild } = MATERIALS[answer.class];
  const band = inletBandFor({ ...input, model, fanTurnsOut: model.fullFanTurns, isBuild }).value;
  const wholeBandPsi = band.map((kPa) => Math.round(kPa / PSI_KPA)) as [number, number];
  return {
    gun,
    model,
    paint: plan.rig.paint,
    materialClass: answer.class,
    needleTurnsOfFour: practiceOf(coatOfGun({ ...input, isBuild })).needleTurnsOfFour,
    roomAir: plan.rig.roomAir,
    wetFilmUm: answer.wetFilmUm,
    wholeBandPsi,
    bandPsi: (fanShare) => {
      const [foot, whole] = wholeBandPsi;
      const mostKPa = mostInletKPa({
        gun,
        model,
        fanTurnsOut: fanShare * model.fullFanTurns,
        capLimitKPa,
      });
      const top = Math.max(1, Math.min(whole, Math.floor((mostKPa + 0.05) / PSI_KPA)));
      return [Math.min(foot, top), top];
    },
    usualDistanceMm: ownDistanceMm(input) * presetFor(part, mist).distance,
    ...(input.limitFog
      ? {
          mostOversprayGPerMin: STAGE_PRACTICE[stage].isColour
            ? FOG_G_PER_MIN.base
            : FOG_G_PER_MIN.other,
        }
      : {}),
  };
}

function searchOf(input: SetupInput): PlanSearch {
  const { stage, finish, sheet, way, part, mist } = input;
  const preset = presetFor(part, mist);
  const usualMm = ownDistanceMm(input) * preset.distance;
  const isFixed = sheet?.distanceMm !== undefined;
  const own = sheet?.overlapPercent ?? way?.overlapPercentByStage?.[stage] ?? way?.overlapPercent;
  const showsBands = leastOverlapPercent(stage, finish) > leastOverlapPercent();
  const kind = stage === 'primer' || stage === 'sealer' ? stage : showsBands ? 'effect' : 'solid';
  return {
    distancesMm: isFixed ? [usualMm] : [usualMm - REACH_MM, usualMm + REACH_MM],
    overlaps: own === undefined ? OVERLAPS[kind] : [own / 100],
    fanShares: (way?.fan === 'open' ? [1] : [0.7, 0.85, 1]).map((share) => share * preset.fan),
    isNeedleOpen: isNeedleOpen(input),
  };
}
