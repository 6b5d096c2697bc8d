/**
 * The forward simulation: what these settings lay on this panel in this air, and what becomes of
 * it. Sheet before model: where they part, both are told and the sheet's figure stands (MODEL, read
 * first).
 */
import { airVerdictsOf, materialVerdictsOf } from '../inForce/airVerdictsOf.ts';
import { FINE } from '../film/filmRun.ts';
import { peelIndex } from '../film/levelling.ts';
import { fanHeightM } from '../gun/fan.ts';
import { capSpreadOf, fanLogSd } from '../gun/gunOutput.ts';
import { testsOf } from '../gun/gun.ts';
import { hornShareOf } from '../gun/gunModel.ts';
import { handWanderM } from '../gun/ripple.ts';
import { drawnWanderM } from './sprayedCoat.ts';
import { logNormalSpread, Z_80, type Spread } from '../outcome/spread.ts';
import { changesFor, type CoatChange } from './changes.ts';
import type { CoatPlan } from './coatPlan.ts';
import { LONGEST_READY_MINUTES, simulateCoat, type SimulatedCoat } from './simulateCoat.ts';
import type { ChangeBounds } from './moves.ts';
import { planOf } from './plan.ts';
import { deviationsOf, HIGH_RISK, multiplied, type Risks, type Sds } from './riskIntervals.ts';
import { uncertaintyOf } from './uncertainty.ts';
import { coatReasons, coatVerdicts } from './coatVerdicts.ts';
import { designTemperatureC } from '../reducer/grade.ts';
import { openLogSd } from '../reducer/openTime.ts';
import { ownDistanceMm } from '../gun/technique.ts';
import { bandOfWork, mostInletKPa } from '../gun/inletPressure.ts';
import { paintOf } from '../mix/paint.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { CoatInput } from './coatInput.ts';
import type { CoatAnswer } from './coatAnswer.ts';
import { effectiveCOf } from '../film/job.ts';
import { runsAt, runsFromUm } from '../risk/links.ts';
import { risksOf } from './riskIntervals.ts';

const PROFILE_POINTS = 41;
const TRACE_POINTS = 60;
const POP_WORTH_A_LAYER = 0.1;

export function coatOf(input: CoatInput): CoatAnswer {
  const { plan, defaulted, settings } = planOf(input);
  const { gun } = input;
  const model = plan.coats[0]!.model;
  const uncertainty = uncertaintyOf(
    gun,
    model,
    settings,
    plan.rig.paint,
    input.material.tests ?? [],
    input.technique?.skill,
  );
  const best = simulateCoat(plan, uncertainty.centre, { mesh: FINE, keepTrace: true });
  const last = best.sprayed.at(-1)!;
  const lands = last.filmM > 0;
  const sds = input.spread === false || !lands ? undefined : deviationsOf(plan, uncertainty, best);
  const risks = lands ? risksOf(best, plan, sds) : {};
  const isHigh = Object.values(risks).some(({ value }) => value > HIGH_RISK);
  const changes =
    lands && (input.rankChanges || (isHigh && input.spread !== false))
      ? changesOf(input, plan, uncertainty.centre, sds)
      : undefined;
  const answer: CoatAnswer = {
    film: {
      wetUm: sized(last.filmM * 1e6, sds?.film),
      dryUm: sized(lands ? best.dryM * 1e6 : 0, sds?.dry),
      profileUm: profileOf(best),
      ripplePercent: sized(last.ripple.total * 100, sds?.ripple),
    },
    dropletUm: sized(last.spray.sauterUm, sds?.drops),
    fanWidthMm: sized(last.fanWidthMm, sds && fanLogSd(model, settings)),
    transferEfficiencyPercent: shared(last.transferFraction * 100, sds ? 10 : 0),
    oversprayGPerMin: sized(
      (last.spray.fluidMlPerMin * plan.rig.paint.densityKgPerM3 * (1 - last.transferFraction)) /
        1000,
      sds ? 0.3 : undefined,
    ),
    fluidMlPerMin: last.spray.fluidMlPerMin,
    airFlowLPerMin: last.spray.airFlowLPerMin,
    capKPa: capSpreadOf(gun, model, plan.coats.at(-1)!.settings).value,
    stepMm: last.stepMm,
    dropWindowUm: plan.dropWindowUm,
    pass: passOf(best, plan),
    wetness: sized(last.wetness, sds?.wetness),
    peelIndex: bounded(lands ? best.peelIndex : 0, sds?.peel ?? 0, 0, 10),
    sagMm: sized(lands ? best.sagMm : 0, sds?.sag),
    ...runsOf(best, plan, sds),
    openTimeSeconds: sized(
      best.openSeconds,
      sds && openLogSd(MATERIALS[input.material.class].carrier === 'waterborne'),
    ),
    lapSeconds: best.lapSeconds,
    drySprayIndex: sized(
      last.wetness > 0 ? Math.min(MOST_DRY, 1 / last.wetness) : MOST_DRY,
      sds?.wetness,
    ),
    mottleIndex: bounded(
      best.mottle ?? 0,
      best.mottle === undefined ? 0 : (sds?.mottle ?? 0),
      -20,
      20,
    ),
    risks,
    flashReadyMinutes: best.readySeconds.map((seconds) =>
      sized(
        lands ? Math.min(LONGEST_READY_MINUTES, (seconds ?? LONGEST_READY_MINUTES * 60) / 60) : 0,
        sds?.ready,
      ),
    ),
    ...historyOf(best, plan, lands),
    ...popLayerOf(best, plan, risks),
    ...(changes ? { changes } : {}),
    settings: { ...settings, stepMm: last.stepMm, fanWidthMm: last.fanWidthMm },
    verdicts: [],
    reasons: [],
  };
  const sprayed = {
    limits: input.material.sheet?.limits,
    carrier: MATERIALS[input.material.class].carrier,
    class: input.material.class,
  };
  const air = [
    ...airVerdictsOf(input.climate, sprayed).filter(({ code }) => code !== 'panel-unread'),
    ...materialVerdictsOf(input.climate.materialTemperatureC, sprayed),
  ];
  return {
    ...answer,
    verdicts: [...air, ...coatVerdicts(input, plan, answer)],
    reasons: coatReasons(input, plan, best, answer, { defaulted, uncertainty }),
  };
}

function passOf({ sprayed }: SimulatedCoat, plan: CoatPlan): CoatAnswer['pass'] {
  const { spray, fanWidthMm } = sprayed.at(-1)!;
  const { settings, model } = plan.coats.at(-1)!;
  const hornShare = hornShareOf(model, settings.fanTurnsOut);
  const own = drawnWanderM(testsOf(plan.rig.gun, settings.nozzleMm));
  return {
    beta: spray.beta,
    split: spray.split,
    landedMlPerMin: spray.landing.landedM3PerS * 6e7,
    fanHeightMm:
      fanHeightM(model.data, { distanceM: settings.distanceMm / 1000, hornShare }) * 1000,
    wanderMm: (own ?? handWanderM(fanWidthMm / 1000)) * 1000,
  };
}

/** Thicker than this no coat is laid: beyond it a run is not told. */
const MOST_RUNS_UM = 600;
function runsOf(
  { sagMm, sprayed, job }: SimulatedCoat,
  { rig }: CoatPlan,
  sds: Sds | undefined,
): Pick<CoatAnswer, 'runsFromUm'> {
  const runs = runsAt(MATERIALS[rig.paint.materialClass].film.runs, effectiveCOf(job));
  const filmUm = sprayed.at(-1)!.filmM * 1e6;
  const fromUm = filmUm > 0 && sagMm > 0 ? runsFromUm(filmUm, sagMm, runs) : Infinity;
  return fromUm > MOST_RUNS_UM ? {} : { runsFromUm: sized(fromUm, sds?.runsFrom) };
}

const MOST_DRY = 20;

const sized = (value: number, logSd = 0): Spread =>
  value > 0 ? logNormalSpread(value, logSd) : { value: 0, low: 0, high: 0 };
const bounded = (value: number, sd: number, least: number, most: number): Spread => ({
  value,
  low: Math.min(value, Math.max(least, value - Z_80 * sd)),
  high: Math.max(value, Math.min(most, value + Z_80 * sd)),
});
const shared = (percent: number, points: number): Spread => ({
  value: percent,
  low: Math.max(0, percent - points),
  high: Math.max(percent, Math.min(98, percent + points)),
});

function changesOf(
  input: CoatInput,
  plan: CoatPlan,
  centre: ReturnType<typeof multiplied>,
  sds: Sds | undefined,
): CoatChange[] {
  const { material, climate, gun } = input;
  const { stage, carrier, isBuild } = MATERIALS[material.class];
  const { settings, model } = plan.coats[0]!;
  const at = { gun, model, fanTurnsOut: settings.fanTurnsOut, capLimitKPa: input.capLimitKPa };
  const sheet = material.sheet?.gun;
  const bandKPa = bandOfWork({ ...at, stage, carrier, isBuild, sheet }).value;
  const cupC = climate.materialTemperatureC ?? climate.airTemperatureC;
  const bounds: ChangeBounds = {
    bandKPa,
    mostKPa: Math.min(bandKPa[1], mostInletKPa(at)),
    usualDistanceMm: ownDistanceMm({ gun, sheet }),
    designC: material.grade ? designTemperatureC(material.grade) : undefined,
    hardenerSpeed: material.hardenerSpeed,
    withGrade: (designC) =>
      paintOf({ ...material, grade: { name: 'another', minC: designC, maxC: designC } }, cupC),
    withHardener: (hardenerSpeed) => paintOf({ ...material, hardenerSpeed }, cupC),
  };
  return changesFor(plan, centre, bounds, sds);
}

/** Film across one fan of the last coat, all passes of it, µm. */
function profileOf({ sprayed }: SimulatedCoat): number[] {
  const { profile, fanWidthMm, filmM, stepMm } = sprayed.at(-1)!;
  if (filmM <= 0) return Array.from({ length: PROFILE_POINTS }, () => 0);
  const reach = Math.ceil(fanWidthMm / stepMm) + 1;
  const raw = Array.from({ length: PROFILE_POINTS }, (_, i) => {
    const y = -fanWidthMm / 2 + (i * fanWidthMm) / (PROFILE_POINTS - 1);
    let sum = 0;
    for (let k = -reach; k <= reach; k++) sum += profile((2 * (y - k * stepMm)) / fanWidthMm);
    // Area 1 over s of −1 to 1: the passes' mean is fan over twice the step.
    return (sum * 2 * stepMm) / fanWidthMm;
  });
  return raw.map((share) => share * filmM * 1e6);
}

function historyOf(
  { run, job, peelEvaporation }: SimulatedCoat,
  plan: CoatPlan,
  lands: boolean,
): Pick<CoatAnswer, 'solventLeft' | 'trace'> {
  const below = plan.below.length;
  const every = Math.max(1, Math.floor(run.trace.length / TRACE_POINTS));
  const kept = run.trace.filter((_, i) => i % every === 0 || i === run.trace.length - 1);
  const start = job.coats.slice(0, below).reduce((sum, coat) => sum + coat.flashMinutes * 60, 0);
  return {
    solventLeft: kept
      .filter(({ seconds }) => seconds >= start)
      .map(({ seconds, volatileM }) => ({
        minutes: (seconds - start) / 60,
        byCoat: plan.coats.map((_, i) => {
          const landed = run.landedVolatileM[below + i];
          return landed && volatileM[below + i] !== undefined && lands
            ? Math.min(1, Math.max(0, volatileM[below + i]! / landed))
            : 0;
        }),
      })),
    trace: kept
      .filter(({ seconds }) => seconds >= start)
      .map(({ seconds, surfacePaS, runM, panelC, steepness }) => ({
        minutes: (seconds - start) / 60,
        surfacePaS: Math.min(1e12, surfacePaS),
        sagMm: runM * 1000,
        panelC,
        peelIndex: peelIndex(steepness, peelEvaporation),
      })),
  };
}

/** The coat that most wants time: 1 is the first of this call's coats, 0 lies below. */
function popLayerOf(
  { job, popTerms }: SimulatedCoat,
  plan: CoatPlan,
  { pop }: Risks,
): { popLayer?: { coat: number } } {
  if (!pop || pop.value < POP_WORTH_A_LAYER) return {};
  const below = plan.below.length;
  if (popTerms.wetUnder > Math.max(popTerms.flash, popTerms.wait)) return { popLayer: { coat: 0 } };
  const shortage = job.coats.map(({ flashMinutes, sheet, wetFilmM }) =>
    Math.log(
      (sheet.waitMinutes * (wetFilmM / sheet.wetFilmM) ** 1.5) / Math.max(0.05, flashMinutes),
    ),
  );
  const worst = shortage.indexOf(Math.max(...shortage));
  return { popLayer: { coat: worst < below ? 0 : worst - below + 1 } };
}
