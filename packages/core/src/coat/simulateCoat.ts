/**
 * One run of the whole chain: sprayed, landed, dried, levelled, run, popped; without any word about
 * how sure it is.
 */
import type { KnownSettings } from '../gun/gun.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { eachVolatile } from '../evaporation/solvents.ts';
import { FINE, type Mesh } from '../film/filmRun.ts';
import type { FilmRun } from '../film/filmNotes.ts';
import { dryFilmM, runJob, type Job, type JobCoat } from '../film/job.ts';
import { peelIndex, steepnessOf } from '../film/levelling.ts';
import { popLogit, type PopTerm } from '../risk/pop.ts';
import { popOfJob, retainedOf } from '../risk/popOfJob.ts';
import { openSeconds } from '../reducer/openTime.ts';
import { panelLapSeconds } from './lap.ts';
import { sprayedBy, type Sprayed } from './sprayedCoat.ts';
import type { CoatPlan } from './coatPlan.ts';
import { airOverPanel, effectRisksOf, usualFilmM, type EffectRisks } from './effectRisks.ts';

/**
 * What is not known, as multipliers on the model: 1 as the card has it, or as the shop's tests
 * moved it.
 */
export type Unknowns = {
  evaporation: number;
  diffusion: number;
  viscosity: number;
  amplitude: number;
  sag: number;
  film: number;
};
export const AS_KNOWN: Unknowns = {
  evaporation: 1,
  diffusion: 1,
  viscosity: 1,
  amplitude: 1,
  sag: 1,
  film: 1,
};

export type SimulatedCoat = EffectRisks & {
  sprayed: Sprayed[];
  job: Job;
  run: FilmRun;
  /** Of this call's own coats. */
  dryM: number;
  peelIndex: number;
  steepness: number;
  /** E as far as it shuts waves in; absent where water carries it. */
  peelEvaporation?: number | undefined;
  sagMm: number;
  openSeconds: number;
  lapSeconds: number;
  readySeconds: (number | undefined)[];
  retained: number;
  popTerms: Record<PopTerm, number>;
  popLogit: number;
};

/** Looked at so long after the last coat where no heat comes. */
const LOOK_MINUTES = 45;

/** How a run is made: finely and with all its moments, or as one of many. */
export type Effort = {
  mesh: Mesh;
  keepTrace?: boolean;
  /** Readiness of the first coat alone. */
  firstReadyOnly?: boolean;
  /** What the stack holds over the sheet's, where it was worked out already. */
  retained?: number;
  /** The films that the hand and its eye lay, whatever else is unknown, by coat, m. */
  heldFilmsM?: readonly number[];
};

/**
 * The one chain: sprayed, landed, dried, levelled, run, popped; pure, the same for the same input.
 * @param unknowns multipliers, 1 as the card has it.
 * @param effort how finely, and what may be left out
 */
export function simulateCoat(
  plan: CoatPlan,
  unknowns: Unknowns = AS_KNOWN,
  effort: Effort = { mesh: FINE },
): SimulatedCoat {
  const { mesh } = effort;
  const sprayed = sprayAll(plan, unknowns, effort.heldFilmsM);
  const job = jobOf(plan, sprayed);
  const factors = {
    evaporation: unknowns.evaporation,
    diffusion: unknowns.diffusion,
    viscosity: unknowns.viscosity,
    amplitude: unknowns.amplitude,
  };
  const run = runJob(effort.keepTrace ? { ...job, keepTrace: true } : job, factors, mesh);
  const retained = effort.retained ?? retainedOf(job, mesh);
  const local = sprayed.some(({ localShare }) => localShare > 1.001)
    ? runJob(thicker(job, plan.below.length, sprayed), factors, mesh)
    : run;
  const popTerms = popTermsOf(plan, job, retained);
  const top = sprayed.at(-1)!;
  const steepness = steepnessOf(run.amplitudesM, unknowns.amplitude * top.spray.coarseShare);
  const air = airOverPanel(plan, job);
  const peelEvaporation = air.isWaterborne ? undefined : air.evaporation;
  return {
    sprayed,
    job,
    run,
    dryM: ownDryFilmM(plan, job),
    peelIndex: peelIndex(steepness, peelEvaporation),
    steepness,
    peelEvaporation,
    sagMm: local.runM * 1000 * unknowns.sag,
    openSeconds: openSeconds({ ...air, filmShare: job.coats.at(-1)!.wetFilmM / usualFilmM(plan) }),
    lapSeconds: lapSecondsOf(plan, top),
    readySeconds: readyOf(plan, job, run, factors, effort),
    retained,
    popTerms,
    popLogit: popLogit(popTerms, MATERIALS[plan.rig.paint.materialClass].shows === 'gloss'),
    ...effectRisksOf(plan, job, run, { viscosity: unknowns.viscosity, air }),
  };
}

const popTermsOf = ({ rig: { paint }, sheet }: CoatPlan, job: Job, retained: number) =>
  popOfJob(
    {
      ...job,
      ...(paint.isTwoPack ? { hardenerSpeed: paint.hardenerSpeed } : {}),
      ...(sheet.coats === undefined ? {} : { sheetCoats: sheet.coats }),
    },
    retained,
  );

/** Of this stage's own coats, without what lay there before, m. */
const ownDryFilmM = ({ rig, below }: CoatPlan, { coats }: Job): number =>
  rig.paint.solidsFactor * coats.slice(below.length).reduce((sum, coat) => sum + dryFilmM(coat), 0);

/** From a pass to its neighbour: of a whole round where it is known, else of this panel. */
const lapSecondsOf = ({ panel, slopeDeg, coats }: CoatPlan, { stepMm }: Sprayed): number =>
  panel.lapSeconds ??
  panelLapSeconds({ ...panel, slopeDeg }, { ...coats.at(-1)!.settings, stepMm });

function sprayAll(
  { rig, coats }: CoatPlan,
  unknowns: Unknowns,
  heldFilmsM: readonly number[] | undefined,
): Sprayed[] {
  const known = new Map<KnownSettings, Sprayed>();
  return coats.map(({ settings, model }, i) => {
    const sprayed =
      known.get(settings) ?? sprayedBy(rig, model, settings, unknowns, heldFilmsM?.[i]);
    known.set(settings, sprayed);
    return sprayed;
  });
}

/** Thinner than this is no film to be dried; it keeps the arithmetic whole where nothing flows. */
const LEAST_FILM_M = 1e-7;

function jobOf(plan: CoatPlan, sprayed: readonly Sprayed[]): Job {
  const { paint, roomAir } = plan.rig;
  const { sheet } = plan;
  const own = sprayed.map(({ spray, filmM }, i): JobCoat => {
    return {
      materialClass: paint.materialClass,
      mixture: paint.mixture,
      wetFilmM: Math.max(LEAST_FILM_M, filmM),
      arrived: eachVolatile((name) => 1 - spray.landing.lossOf[name]),
      dropM: spray.sauterUm * 1e-6,
      hardenerSpeed: paint.hardenerSpeed,
      viscosityFactor: paint.viscosityFactor,
      flashMinutes: plan.coats[i]!.flashMinutes,
      isTopMaterial: true,
      gradeSlowFraction: paint.gradeSlowFraction,
      sheet: {
        wetFilmM: sheet.wetFilmM,
        waitMinutes: i === sprayed.length - 1 ? sheet.lastMinutes : sheet.flashMinutes,
        atC: sheet.atC,
        atHumidityPercent: sheet.atHumidityPercent,
      },
    };
  });
  return {
    coats: [...plan.below, ...own],
    roomAir,
    panelC: plan.panelC,
    airSpeedMPerS: plan.airSpeedMPerS,
    substrate: plan.substrate,
    slopeDeg: plan.slopeDeg,
    ...(plan.heat ? { heat: plan.heat } : { lookMinutes: LOOK_MINUTES }),
  };
}

/** The thickest place of an unsteady hand, which is where it runs. */
const thicker = (job: Job, below: number, sprayed: readonly Sprayed[]): Job => ({
  ...job,
  coats: job.coats.map((coat, i) =>
    i < below ? coat : { ...coat, wetFilmM: coat.wetFilmM * sprayed[i - below]!.localShare },
  ),
});

/** No one waits longer than this for a flash. */
export const LONGEST_READY_MINUTES = 360;

/** A coat that is covered before it is ready is asked about alone: as if nothing came after it. */
function readyOf(
  plan: CoatPlan,
  job: Job,
  run: FilmRun,
  factors: Parameters<typeof runJob>[1],
  { mesh, firstReadyOnly }: Effort,
): (number | undefined)[] {
  const below = plan.below.length;
  return plan.coats.slice(0, firstReadyOnly ? 1 : undefined).map((_, i) => {
    const known = run.readySeconds[below + i];
    const waitedSeconds = plan.coats[i]!.flashMinutes * 60;
    // Readiness that only the oven brought is not readiness to go on.
    if (known !== undefined && (known <= waitedSeconds || !job.heat)) return known;
    const coats = job.coats
      .slice(0, below + i + 1)
      .map((coat, at) =>
        at === below + i ? { ...coat, flashMinutes: LONGEST_READY_MINUTES } : coat,
      );
    return runJob(
      { ...job, coats, heat: undefined, lookMinutes: 0, untilReady: true },
      factors,
      mesh,
    ).readySeconds.at(-1);
  });
}
