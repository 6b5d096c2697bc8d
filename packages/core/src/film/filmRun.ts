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
import {
  airOver,
  cureStep,
  dryingStep,
  workspaceFor,
  type DryingFactors,
  type Panel,
  type Surroundings,
} from './drying.ts';
import { coldness, filmPaS } from './filmLaws.ts';
import {
  amplitudesM,
  flatGround,
  landingAmplitudeM,
  landOn,
  level,
  steepnessOf,
  WAVELENGTHS_M,
  type Ripples,
} from './levelling.ts';
import { mechanicsOf, type Mechanics } from './mechanics.ts';
import { emptyStack, addCoat, volatileM, type LaidCoat, type Stack } from './stack.ts';
import { GRAVITY_M_PER_S2, kelvin, radians } from '../units/physical.ts';

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

export type Moment = {
  seconds: number;
  volatileM: number[];
  surfacePaS: number;
  runM: number;
  panelC: number;
  steepness: number;
};
export type FilmRun = {
  /** By coat, s after its own landing; absent: covered or over before it was. */
  readySeconds: (number | undefined)[];
  skinSeconds: (number | undefined)[];
  /** The longest run of all that was wet at once, m; and all that ever flowed. */
  runM: number;
  flowedM: number;
  amplitudesM: number[];
  solidsM: number;
  landedVolatileM: number[];
  /** Left at the end, by coat. */
  volatileM: number[];
  /** Left of all when the heat came on. */
  volatileAtHeatM?: number;
  topVolatileAtHeatM?: number;
  cure: number[];
  trace: Moment[];
  /** Volatile unaccounted for, share of what landed. */
  massError: number;
  steps: number;
};

const FIRST_STEP_SECONDS = 0.1;
const LEAST_STEP_SECONDS = 1e-3;
const LONG_AFTER_SECONDS = 3 * 3600;
const LONG_STEP_SECONDS = 1800;
/** A coat that has set for so long carries the next one. */
const SETS_SECONDS = 300;

export function runFilm(
  input: FilmRunInput,
  factors: FilmFactors = AS_THE_CARD,
  mesh: Mesh = FINE,
): FilmRun {
  const {
    coats,
    around,
    heat,
    endSeconds,
    slopeDeg,
    keepTrace = false,
    dryingOnly = false,
  } = input;
  const stack = emptyStack(coats, mesh.cellsPerCoat);
  const work = workspaceFor(coats.length * mesh.cellsPerCoat);
  const air = airOver(around, factors.evaporation);
  const panel: Panel = { temperatureC: input.panelC };
  const ripples = flatGround(input.groundM);
  const run: FilmRun = {
    readySeconds: coats.map(() => undefined),
    skinSeconds: coats.map(() => undefined),
    runM: 0,
    flowedM: 0,
    amplitudesM: [],
    solidsM: 0,
    landedVolatileM: [],
    volatileM: [],
    cure: [],
    trace: [],
    massError: 0,
    steps: 0,
  };
  const gravity = GRAVITY_M_PER_S2 * Math.sin(radians(slopeDeg));
  let [now, step, gone, heatedFromC] = [
    coats[0]?.landsAtSeconds ?? 0,
    FIRST_STEP_SECONDS,
    0,
    panel.temperatureC,
  ];
  let before: Mechanics | undefined;
  let running = 0;
  for (;;) {
    const next = coats[stack.coats.length];
    if (next && next.landsAtSeconds <= now + 1e-9) {
      landNext(stack, next, mesh, panel, ripples, factors);
      run.landedVolatileM.push(volatileM(stack, stack.coats.at(-1)!));
      step = FIRST_STEP_SECONDS;
      before = mechanicsOf(stack, panel.temperatureC, now, gravity, factors.viscosity);
      if (keepTrace) run.trace.push(momentOf(stack, run, panel, before, ripples, now));
      continue;
    }
    const isHeated = heat !== undefined && now >= heat.onAtSeconds - 1e-9;
    if (isHeated && run.volatileAtHeatM === undefined) {
      run.volatileAtHeatM = volatileM(stack, { from: 0, to: stack.cells });
      run.topVolatileAtHeatM = volatileM(stack, stack.coats.at(-1)!);
      heatedFromC = panel.temperatureC;
    }
    const until = Math.min(
      next?.landsAtSeconds ?? Infinity,
      heat && !isHeated ? heat.onAtSeconds : Infinity,
      endSeconds,
    );
    if (until - now <= 1e-9 || (input.untilReady && run.readySeconds.at(-1) !== undefined)) break;
    const longest =
      now > LONG_AFTER_SECONDS + (coats.at(-1)?.landsAtSeconds ?? 0)
        ? LONG_STEP_SECONDS
        : mesh.longestSeconds;
    const seconds = Math.min(step, longest, until - now);
    const wasC = panel.temperatureC;
    const heatC = isHeated
      ? Math.min(
          heat.toC,
          heatedFromC + (heat.rampKPerMin / 60) * (now + seconds - heat.onAtSeconds),
        )
      : undefined;
    const { change, leftM } = dryingStep(stack, panel, air, work, {
      seconds,
      heatC,
      diffusion: factors.diffusion,
    });
    cureStep(stack, panel.temperatureC, seconds);
    gone += leftM;
    now += seconds;
    run.steps += 1;
    if (!dryingOnly) {
      const after = mechanicsOf(stack, panel.temperatureC, now, gravity, factors.viscosity);
      level(ripples, stack.coats.at(-1)!.data.surfaceTensionNPerM, after.mobility, seconds);
      run.flowedM += after.flowMPerS * seconds;
      running = (running + after.flowMPerS * seconds) / (1 + seconds / SETS_SECONDS);
      run.runM = Math.max(run.runM, running);
      noteReady(run, stack, before!, after, { now, seconds });
      before = after;
      if (keepTrace) run.trace.push(momentOf(stack, run, panel, after, ripples, now));
    }
    const grown = Math.abs(panel.temperatureC - wasC) > 1 ? 1 : 1.4;
    step = Math.max(
      LEAST_STEP_SECONDS,
      seconds * clamp(mesh.tolerance / Math.max(change, 1e-12), 0.4, grown),
    );
  }
  const landed = run.landedVolatileM.reduce((sum, m) => sum + m, 0);
  const left = volatileM(stack, { from: 0, to: stack.cells });
  return {
    ...run,
    amplitudesM: amplitudesM(ripples),
    solidsM: stack.coats.reduce((sum, { solidsM }) => sum + solidsM, 0),
    volatileM: stack.coats.map((coat) => volatileM(stack, coat)),
    cure: stack.coats.map(({ from, to }) => mean(stack.cure.subarray(from, to))),
    massError: landed > 0 ? Math.abs(landed - left - gone) / landed : 0,
  };
}

const mean = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

function landNext(
  stack: Stack,
  coat: LaidCoat,
  mesh: Mesh,
  panel: Panel,
  ripples: Ripples,
  factors: FilmFactors,
): void {
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
}

const SKIN_PA_S = 1000;

/** When skin and readiness were reached, read between two steps. [run-2] */
function noteReady(
  run: FilmRun,
  stack: Stack,
  was: Mechanics,
  is: Mechanics,
  at: { now: number; seconds: number },
): void {
  const place = stack.coats.length - 1;
  const { coat, data } = stack.coats[place]!;
  const sinceLanding = at.now - coat.landsAtSeconds;
  const thickAt = (wantedPaS: number) =>
    is.surfacePaS < wantedPaS
      ? 0
      : crossing(Math.log(was.surfacePaS), Math.log(is.surfacePaS), Math.log(wantedPaS));
  if (run.skinSeconds[place] === undefined && is.surfacePaS >= SKIN_PA_S)
    run.skinSeconds[place] = sinceLanding - (1 - thickAt(SKIN_PA_S)) * at.seconds;
  if (
    run.readySeconds[place] !== undefined ||
    is.surfacePaS < data.readyPaS ||
    is.nearVolatile > data.readyVolatile
  )
    return;
  const share = Math.max(
    thickAt(data.readyPaS),
    crossing(was.nearVolatile, is.nearVolatile, data.readyVolatile),
  );
  run.readySeconds[place] = sinceLanding - (1 - share) * at.seconds;
}

/** Where between two values a third is met, 0 to 1; 0 where it was met before. */
const crossing = (from: number, to: number, wanted: number): number =>
  (wanted - from) * (to - from) <= 0 || to === from
    ? 0
    : clamp((wanted - from) / (to - from), 0, 1);

const momentOf = (
  stack: Stack,
  run: FilmRun,
  { temperatureC }: Panel,
  { surfacePaS }: Mechanics,
  ripples: Ripples,
  seconds: number,
): Moment => ({
  seconds,
  volatileM: stack.coats.map((coat) => volatileM(stack, coat)),
  surfacePaS,
  runM: run.runM,
  panelC: temperatureC,
  steepness: steepnessOf(amplitudesM(ripples)),
});
