/**
 * From many tries to one answer with its spread: each risk on its own link, each size on its
 * logarithm (MODEL 15).
 */
import { logistic, normalShare } from '../numerics/probability.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import { PRIOR_LOG_SD, RAN_LOG_SD } from '../calibration/productFit.ts';
import { effectiveCOf } from '../film/job.ts';
import { ROUGH } from '../film/filmRun.ts';
import { peelIndex } from '../film/levelling.ts';
import { DROPS_LOG_SD } from '../gun/gunOutput.ts';
import { momentsOf, sigmaPoints } from '../numerics/sigmaPoints.ts';
import { Z_80, type Spread } from '../outcome/spread.ts';
import { combinedSd } from '../numerics/deviation.ts';
import {
  LINK,
  dryDeviations,
  mottleLogit,
  peelDeviations,
  runDeviations,
  runsAt,
  stripeDeviations,
  type Shows,
} from '../risk/links.ts';
import type { CoatPlan } from './coatPlan.ts';
import {
  LONGEST_READY_MINUTES,
  AS_KNOWN,
  simulateCoat,
  type SimulatedCoat,
  type Unknowns,
} from './simulateCoat.ts';
import type { Uncertainty } from './uncertainty.ts';

export const RISKS = [
  'peel',
  'run',
  'pop',
  'drySpray',
  'stripe',
  'pinhole',
  'mottle',
  'blush',
] as const;
export type RiskName = (typeof RISKS)[number];
/** Over this an able painter would likely want it mended. */
export const HIGH_RISK = 0.3;
export type Risks = Partial<Record<RiskName, Spread>>;

/** What is not ready by then is told as that. */
const LONGEST_SECONDS = LONGEST_READY_MINUTES * 60;
/** What runs of the film need not be tried for: it only scales what they gave. */
const SCALED = { amplitude: 0, sag: 0 } as const;
/** What the size of the drops does to ripple and to wetness: known without a run. */
const RIPPLE_PER_DROP = 1.5;
const WETNESS_PER_DROP = 0.5;

/** Each risk on the scale of its link; absent where it does not arise. */
export function linkedRisks(
  simulated: SimulatedCoat,
  plan: CoatPlan,
): Partial<Record<RiskName, number>> {
  const last = simulated.sprayed.at(-1)!;
  const { materialClass } = plan.rig.paint;
  const { shows: on, linesShow } = MATERIALS[materialClass];
  const isGlossy = on === 'gloss';
  const isBase = on === 'colour';
  const shows: Shows = isBase && plan.isEffect ? 'effectBase' : linesShow ? 'solid' : 'covered';
  const runs = runsAt(MATERIALS[materialClass].film.runs, effectiveCOf(simulated.job));
  return {
    ...(isGlossy ? { peel: peelDeviations(simulated.peelIndex) } : {}),
    run: runDeviations(simulated.sagMm, runs),
    pop: simulated.popLogit,
    drySpray: dryDeviations({ ...simulated, wetness: last.wetness }),
    stripe: stripeDeviations(last.stripeIndex, shows),
    ...(simulated.mottle === undefined ? {} : { mottle: mottleLogit(simulated.mottle) }),
    ...(simulated.pinholeLogit === undefined ? {} : { pinhole: simulated.pinholeLogit }),
    ...(simulated.blushLogit === undefined ? {} : { blush: simulated.blushLogit }),
  };
}
const LOGITS: RiskName[] = ['pop', 'mottle', 'pinhole', 'blush'];

/** Probability averaged over what is not known, with its band. */
export function riskSpread(name: RiskName, link: number, sd: number): Spread {
  const isLogit = LOGITS.includes(name);
  const p = (x: number) => (isLogit ? logistic(x) : normalShare(x));
  const averaged = isLogit
    ? p(link / Math.sqrt(1 + (Math.PI * sd * sd) / 8))
    : p(link / Math.sqrt(1 + sd * sd));
  const [low, high] = [p(link - Z_80 * sd), p(link + Z_80 * sd)];
  return { value: averaged, low: Math.min(low, averaged), high: Math.max(high, averaged) };
}

/**
 * −ln of the chance that nothing is wrong, on the link's own scale: a certain fault is still told
 * from a more certain one. Past four deviations of Φ by its asymptote z²/2 + ln z + ½ ln 2π.
 */
export function troubleOf(name: RiskName, link: number, sd: number): number {
  if (LOGITS.includes(name))
    return Math.log1p(Math.exp(link / Math.sqrt(1 + (Math.PI * sd * sd) / 8)));
  const z = link / Math.sqrt(1 + sd * sd);
  return z > FAR
    ? (z * z) / 2 + Math.log(z) + 0.5 * Math.log(2 * Math.PI)
    : -Math.log(1 - normalShare(z));
}
const FAR = 4;

/**
 * Every risk of a coat with its band: the one place where a foreseen coat becomes likely or not.
 */
export const risksOf = (simulated: SimulatedCoat, plan: CoatPlan, sds?: Sds): Risks =>
  Object.fromEntries(
    Object.entries(linkedRisks(simulated, plan)).map(([name, link]) => [
      name,
      riskSpread(name as RiskName, link, sds?.risks[name as RiskName] ?? 0),
    ]),
  );

export type Sds = {
  risks: Partial<Record<RiskName, number>>;
  film: number;
  dry: number;
  ready: number;
  sag: number;
  /** Of the film at which it would run. */
  runsFrom: number;
  peel: number;
  drops: number;
  wetness: number;
  ripple: number;
  mottle: number;
};

/** Deviations of everything foreseen, on the scale each is told on. */
export function deviationsOf(
  plan: CoatPlan,
  uncertainty: Uncertainty,
  simulated: Pick<SimulatedCoat, 'retained' | 'sprayed'>,
): Sds {
  const { tries, weights } = triedOut(plan, uncertainty, simulated);
  const { runs } = MATERIALS[plan.rig.paint.materialClass].film;
  const sdOf = (value: (f: SimulatedCoat) => number): number =>
    momentsOf(tries.map(value), weights).sd;
  const log = (value: (f: SimulatedCoat) => number) =>
    sdOf((f) => Math.log(Math.max(1e-12, value(f))));
  const links = tries.map((one) => linkedRisks(one, plan));
  const linkSd = (name: RiskName): number =>
    momentsOf(
      links.map((link) => link[name] ?? 0),
      weights,
    ).sd;
  const runsFrom = runLimitSd(
    log((f) => f.sagMm / f.sprayed.at(-1)!.filmM ** runs.perFilm) / runs.perFilm,
    uncertainty,
  );
  const { film, sag } = uncertainty.logSd;
  const own = untriedSds(tries[0]!, uncertainty);
  return {
    risks: {
      ...Object.fromEntries(
        RISKS.map((name) => [name, Math.hypot(linkSd(name), own.risks[name] ?? 0)]),
      ),
      ...(uncertainty.runsSeen > 0 ? { run: Math.hypot(runsFrom, film) / LINK.run.width } : {}),
    },
    film,
    dry: log((f) => f.dryM),
    ready: log((f) => f.readySeconds[0] ?? LONGEST_SECONDS),
    sag: Math.hypot(
      log((f) => f.sagMm),
      sag * runs.perFilm,
    ),
    runsFrom,
    peel: Math.hypot(
      sdOf((f) => f.peelIndex),
      own.amplitude,
    ),
    drops: DROPS_LOG_SD,
    wetness: Math.hypot(
      log((f) => f.sprayed.at(-1)!.wetness),
      own.wetness,
    ),
    ripple: log((f) => f.sprayed.at(-1)!.ripple.total),
    mottle: sdOf((f) => f.mottle ?? 0),
  };
}

/** What is not known but not tried out either, since its effect is known in closed form. */
function untriedSds(
  asKnown: SimulatedCoat,
  { logSd, popLogSd, blushLogitSd }: Uncertainty,
): { amplitude: number; wetness: number; risks: Partial<Record<RiskName, number>> } {
  const amplitude = amplitudeEffect(
    asKnown,
    Math.hypot(logSd.amplitude, RIPPLE_PER_DROP * DROPS_LOG_SD),
  );
  const wetness = WETNESS_PER_DROP * DROPS_LOG_SD;
  const risks = {
    peel: amplitude / LINK.peel.width,
    run: logSd.sag / LINK.run.width,
    drySpray: wetness / LINK.dryFilm.width,
    pop: popLogSd,
    blush: blushLogitSd,
  };
  return { amplitude, wetness, risks };
}

/** The coat once for every point of what is not known, with the film that the eye holds. */
function triedOut(
  plan: CoatPlan,
  { logSd, centre }: Uncertainty,
  { retained, sprayed }: Pick<SimulatedCoat, 'retained' | 'sprayed'>,
): { tries: SimulatedCoat[]; weights: number[] } {
  const heldFilmsM = sprayed.map(({ filmM }) => filmM);
  const points = sigmaPoints({ ...logSd, ...SCALED });
  const effort = { mesh: ROUGH, firstReadyOnly: true, retained, heldFilmsM };
  return {
    tries: points.map(({ at }) => simulateCoat(plan, multiplied(centre, at), effort)),
    weights: points.map(({ weight }) => weight),
  };
}

/** How far the film at which it runs is known: by the model, or better by having seen it run. */
function runLimitSd(byModel: number, { runsSeen, logSd }: Uncertainty): number {
  if (runsSeen === 0) return Math.hypot(byModel, logSd.sag);
  const unseen = Math.hypot(byModel, PRIOR_LOG_SD.sag);
  return combinedSd(unseen, RAN_LOG_SD / Math.sqrt(runsSeen));
}

/** Ripple scales with its start: what one deviation of that does to the index. */
const amplitudeEffect = ({ steepness, peelEvaporation }: SimulatedCoat, sd: number): number =>
  Math.abs(
    peelIndex(steepness * Math.exp(sd), peelEvaporation) -
      peelIndex(steepness * Math.exp(-sd), peelEvaporation),
  ) / 2;

/** Unknowns multiplied one by one. */
export const multiplied = (centre: Unknowns, by: Unknowns = AS_KNOWN): Unknowns =>
  Object.fromEntries(
    (Object.keys(AS_KNOWN) as (keyof Unknowns)[]).map((name) => [name, centre[name] * by[name]]),
  ) as Unknowns;
