/** The figures of a simulated coat as its answer has them, each with how sure it is. */
import { peelIndex } from '../film/levelling.ts';
import { fanHeightM } from '../gun/fan.ts';
import { capSpreadOf, fanLogSd } from '../gun/gunOutput.ts';
import { testsOf } from '../gun/gun.ts';
import { hornShareOf } from '../gun/gunModel.ts';
import { handWanderM } from '../gun/ripple.ts';
import { drawnWanderM } from './sprayedCoat.ts';
import { logNormalSpread, Z_80, type Spread } from '../outcome/spread.ts';
import type { CoatPlan } from './coatPlan.ts';
import { LONGEST_READY_MINUTES, type SimulatedCoat } from './simulateCoat.ts';
import type { Risks, Sds } from './riskIntervals.ts';
import { openLogSd } from '../reducer/openTime.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { CoatAnswer } from './coatAnswer.ts';
import { effectiveCOf } from '../film/job.ts';
import { runsAt, runsFromUm } from '../risk/links.ts';

import type { KnownSettings } from '../gun/gun.ts';
import type { Sprayed } from './sprayedCoat.ts';

const PROFILE_POINTS = 41;
const TRACE_POINTS = 60;
const POP_WORTH_A_LAYER = 0.1;

/** What lands on the floor: as unsure as the landing. */
const OVERSPRAY_LOG_SD = 0.3;

/** What leaves the gun and lands. */
export function sprayFigures(
  { sprayed }: SimulatedCoat,
  plan: CoatPlan,
  settings: KnownSettings,
  sds: Sds | undefined,
) {
  const { spray, transferFraction, fanWidthMm, stepMm, wetness } = sprayed.at(-1)!;
  const { gun, paint } = plan.rig;
  const { model } = plan.coats[0]!;
  const oversprayGPerMin =
    (spray.fluidMlPerMin * paint.densityKgPerM3 * (1 - transferFraction)) / 1000;
  const dryIndex = wetness > 0 ? Math.min(MOST_DRY, 1 / wetness) : MOST_DRY;
  return {
    dropletUm: sized(spray.sauterUm, sds?.drops),
    dropWindowUm: plan.dropWindowUm,
    fanWidthMm: sized(fanWidthMm, sds && fanLogSd(model, settings)),
    transferEfficiencyPercent: shared(transferFraction * 100, sds ? 10 : 0),
    oversprayGPerMin: sized(oversprayGPerMin, sds && OVERSPRAY_LOG_SD),
    fluidMlPerMin: spray.fluidMlPerMin,
    airFlowLPerMin: spray.airFlowLPerMin,
    capKPa: capSpreadOf(gun, model, plan.coats.at(-1)!.settings).value,
    stepMm,
    pass: passOf(sprayed, plan),
    wetness: sized(wetness, sds?.wetness),
    drySprayIndex: sized(dryIndex, sds?.wetness),
  };
}

/** What lies on the panel, how it looks and when it is ready. */
export function filmFigures(coat: SimulatedCoat, plan: CoatPlan, sds: Sds | undefined) {
  const { filmM, ripple } = coat.sprayed.at(-1)!;
  const lands = filmM > 0;
  const readyMinutes = (seconds = LONGEST_READY_MINUTES * 60) =>
    lands ? Math.min(LONGEST_READY_MINUTES, seconds / 60) : 0;
  const isWaterborne = MATERIALS[plan.rig.paint.materialClass].carrier === 'waterborne';
  return {
    film: {
      wetUm: sized(filmM * 1e6, sds?.film),
      dryUm: sized(lands ? coat.dryM * 1e6 : 0, sds?.dry),
      profileUm: profileOf(coat),
      ripplePercent: sized(ripple.total * 100, sds?.ripple),
    },
    peelIndex: bounded(lands ? coat.peelIndex : 0, sds?.peel ?? 0, 0, 10),
    sagMm: sized(lands ? coat.sagMm : 0, sds?.sag),
    ...runsOf(coat, plan, sds),
    openTimeSeconds: sized(coat.openSeconds, sds && openLogSd(isWaterborne)),
    lapSeconds: coat.lapSeconds,
    mottleIndex: bounded(
      coat.mottle ?? 0,
      coat.mottle === undefined ? 0 : (sds?.mottle ?? 0),
      -20,
      20,
    ),
    flashReadyMinutes: coat.readySeconds.map((seconds) => sized(readyMinutes(seconds), sds?.ready)),
    ...historyOf(coat, plan, lands),
  };
}

function passOf(sprayed: readonly Sprayed[], plan: CoatPlan): CoatAnswer['pass'] {
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
export function popLayerOf(
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
