/**
 * The film over time: landings, waits and heat, one after another, with what flows, what levels and
 * when it is ready.
 *
 *   dt ← dt · clamp(tolerance / max φ² |Δu|, 0.4, 1.4); 0.1 s after a landing;
 *     never across an event
 *                                                                                           [run-1]
 *   run R ← (R + flow dt)/(1 + dt/300 s): what has set carries the next; the longest R is the run
 *                                                                                           [run-3]
 *   ready: surface η ≥ its class's and v* ≤ its class's, both read within the step          [run-2]
 *
 * Source  MODEL 12
 */
import { clamp } from '../numerics/rounding.ts';
import { GRAVITY_M_PER_S2, kelvin, radians } from '../units/physical.ts';
import {
  cureStep,
  dryingStep,
  workspaceFor,
  type DryingFactors,
  type Panel,
  type Workspace,
} from './drying.ts';
import { airOver, type AirOver, type Surroundings } from './surface.ts';
import { coldness, filmPaS } from './filmLaws.ts';
import { emptyRun, momentOf, noteReady, type FilmRun } from './filmNotes.ts';
import {
  amplitudesM,
  flatGround,
  landingAmplitudeM,
  landOn,
  level,
  WAVELENGTHS_M,
  type Ripples,
} from './levelling.ts';
import { mechanicsOf, type Mechanics } from './mechanics.ts';
import { addCoat, emptyStack, volatileM, type LaidCoat, type Stack } from './stack.ts';

export type Heat = { onAtSeconds: number; toC: number; rampKPerMin: number };
export type FilmRunInput = {
  /** In the order of landing. */
  coats: readonly LaidCoat[];
  around: Surroundings;
  panelC: number;
  /** 90 upright, 0 lying. */
  slopeDeg: number;
  endSeconds: number;
  heat?: Heat | undefined;
  /** Stops where the last coat is ready. */
  untilReady?: boolean;
  /** Keeps every moment, for pictures. */
  keepTrace?: boolean;
  /** Only what is left in the film matters: no flow, no levelling, no readiness. */
  dryingOnly?: boolean;
  /** Amplitudes of the ground at the three wavelengths, m. */
  groundM?: readonly number[];
};
export type FilmFactors = DryingFactors & { viscosity: number; amplitude: number };
export const AS_THE_CARD: FilmFactors = {
  evaporation: 1,
  diffusion: 1,
  viscosity: 1,
  amplitude: 1,
};
/**
 * How finely: fine for one answer, coarse for several to be compared, rough for the tries of a
 * spread, where differences alone count.
 */
export type Mesh = { cellsPerCoat: number; tolerance: number; longestSeconds: number };
export const FINE: Mesh = { cellsPerCoat: 8, tolerance: 0.02, longestSeconds: 20 };
export const COARSE: Mesh = { cellsPerCoat: 6, tolerance: 0.04, longestSeconds: 40 };
export const ROUGH: Mesh = { cellsPerCoat: 5, tolerance: 0.07, longestSeconds: 60 };

const FIRST_STEP_SECONDS = 0.1;
const LEAST_STEP_SECONDS = 1e-3;
const LONG_AFTER_SECONDS = 3 * 3600;
const LONG_STEP_SECONDS = 1800;
/** A coat that has set for so long carries the next one. */
const SETS_SECONDS = 300;

/** A film on its way: what lies on the panel, how warm it is, how it flows, what is noted. */
type Progress = {
  input: FilmRunInput;
  factors: FilmFactors;
  mesh: Mesh;
  stack: Stack;
  work: Workspace;
  air: AirOver;
  panel: Panel;
  ripples: Ripples;
  run: FilmRun;
  gravityMPerS2: number;
  now: number;
  step: number;
  goneM: number;
  runningM: number;
  heatedFromC: number;
  flow: Mechanics | undefined;
};

/**
 * The film from its first landing to the end. [run-1]
 * @param factors what is not known, as multipliers
 * @param mesh how finely; see FINE, COARSE and ROUGH
 */
export function runFilm(
  input: FilmRunInput,
  factors: FilmFactors = AS_THE_CARD,
  mesh: Mesh = FINE,
): FilmRun {
  const film = begin(input, factors, mesh);
  for (;;) {
    const next = input.coats[film.stack.coats.length];
    if (next && next.landsAtSeconds <= film.now + 1e-9) {
      landNext(film, next);
      continue;
    }
    const isHeated = input.heat !== undefined && film.now >= input.heat.onAtSeconds - 1e-9;
    if (isHeated && film.run.volatileAtHeatM === undefined) noteHeat(film);
    const until = Math.min(
      next?.landsAtSeconds ?? Infinity,
      input.heat && !isHeated ? input.heat.onAtSeconds : Infinity,
      input.endSeconds,
    );
    const isDone = input.untilReady && film.run.readySeconds.at(-1) !== undefined;
    if (until - film.now <= 1e-9 || isDone) return ended(film);
    stepOn(film, until, isHeated);
  }
}

function begin(input: FilmRunInput, factors: FilmFactors, mesh: Mesh): Progress {
  const { coats, around, panelC, slopeDeg } = input;
  return {
    input,
    factors,
    mesh,
    stack: emptyStack(coats, mesh.cellsPerCoat),
    work: workspaceFor(coats.length * mesh.cellsPerCoat),
    air: airOver(around, factors.evaporation),
    panel: { temperatureC: panelC },
    ripples: flatGround(input.groundM),
    run: emptyRun(coats.length),
    gravityMPerS2: GRAVITY_M_PER_S2 * Math.sin(radians(slopeDeg)),
    now: coats[0]?.landsAtSeconds ?? 0,
    step: FIRST_STEP_SECONDS,
    goneM: 0,
    runningM: 0,
    heatedFromC: panelC,
    flow: undefined,
  };
}

const flowOf = ({ stack, panel, now, gravityMPerS2, factors }: Progress): Mechanics =>
  mechanicsOf(stack, panel.temperatureC, now, gravityMPerS2, factors.viscosity);

function noteMoment({ input, run, stack, panel, flow, ripples, now }: Progress): void {
  if (input.keepTrace) run.trace.push(momentOf(stack, run, panel, flow!, ripples, now));
}

function landNext(film: Progress, coat: LaidCoat): void {
  const { stack, mesh, panel, ripples, factors, run } = film;
  addCoat(stack, coat, mesh.cellsPerCoat);
  const top = stack.coats.at(-1)!;
  const viscosityPaS =
    filmPaS(top.constants, top.landedSolids, coldness(kelvin(panel.temperatureC)), 0) *
    coat.viscosityFactor *
    factors.viscosity;
  landOn(
    ripples,
    WAVELENGTHS_M.map(
      (length) =>
        factors.amplitude *
        landingAmplitudeM(length, { dropM: coat.dropM, wetFilmM: coat.wetFilmM, viscosityPaS }),
    ),
  );
  run.landedVolatileM.push(volatileM(stack, top));
  film.step = FIRST_STEP_SECONDS;
  film.flow = flowOf(film);
  noteMoment(film);
}

/** What the film still holds when the heat comes on, and how warm the panel was. */
function noteHeat(film: Progress): void {
  const { run, stack, panel } = film;
  run.volatileAtHeatM = volatileM(stack, { from: 0, to: stack.cells });
  run.topVolatileAtHeatM = volatileM(stack, stack.coats.at(-1)!);
  film.heatedFromC = panel.temperatureC;
}

/** One step of drying, cure and flow, and how long the next one may be. [run-1] */
function stepOn(film: Progress, until: number, isHeated: boolean): void {
  const { input, stack, panel, air, work, factors, mesh, run } = film;
  const isLongAfter = film.now > LONG_AFTER_SECONDS + (input.coats.at(-1)?.landsAtSeconds ?? 0);
  const longest = isLongAfter ? LONG_STEP_SECONDS : mesh.longestSeconds;
  const seconds = Math.min(film.step, longest, until - film.now);
  const wasC = panel.temperatureC;
  const heatC = isHeated ? heatedToC(film, seconds) : undefined;
  const { diffusion } = factors;
  const { change, leftM } = dryingStep(stack, panel, air, work, { seconds, heatC, diffusion });
  cureStep(stack, panel.temperatureC, seconds);
  film.goneM += leftM;
  film.now += seconds;
  run.steps += 1;
  if (!input.dryingOnly) flowOn(film, seconds);
  const mostGrowth = Math.abs(panel.temperatureC - wasC) > 1 ? 1 : 1.4;
  const growth = clamp(mesh.tolerance / Math.max(change, 1e-12), 0.4, mostGrowth);
  film.step = Math.max(LEAST_STEP_SECONDS, seconds * growth);
}

function heatedToC({ input, heatedFromC, now }: Progress, seconds: number): number {
  const { toC, rampKPerMin, onAtSeconds } = input.heat!;
  return Math.min(toC, heatedFromC + (rampKPerMin / 60) * (now + seconds - onAtSeconds));
}

/** It levels and runs through the step, and may be found skinned or ready at its end. */
function flowOn(film: Progress, seconds: number): void {
  const { stack, ripples, run } = film;
  const before = film.flow!;
  const after = flowOf(film);
  level(ripples, stack.coats.at(-1)!.data.surfaceTensionNPerM, after.mobility, seconds);
  run.flowedM += after.flowMPerS * seconds;
  film.runningM = (film.runningM + after.flowMPerS * seconds) / (1 + seconds / SETS_SECONDS);
  run.runM = Math.max(run.runM, film.runningM);
  noteReady(run, stack, before, after, { now: film.now, seconds });
  film.flow = after;
  noteMoment(film);
}

function ended({ run, stack, ripples, goneM }: Progress): FilmRun {
  const landedM = run.landedVolatileM.reduce((sum, m) => sum + m, 0);
  const leftM = volatileM(stack, { from: 0, to: stack.cells });
  return {
    ...run,
    amplitudesM: amplitudesM(ripples),
    solidsM: stack.coats.reduce((sum, { solidsM }) => sum + solidsM, 0),
    volatileM: stack.coats.map((coat) => volatileM(stack, coat)),
    cure: stack.coats.map(({ from, to }) => mean(stack.cure.subarray(from, to))),
    massError: landedM > 0 ? Math.abs(landedM - leftM - goneM) / landedM : 0,
  };
}

const mean = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
