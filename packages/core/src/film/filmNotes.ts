/** What a run of a film writes down as it goes: when a coat skinned and was ready, and moments. */
import { clamp } from '../numerics/rounding.ts';
import type { Panel } from './drying.ts';
import { amplitudesM, steepnessOf, type Ripples } from './levelling.ts';
import type { Mechanics } from './mechanics.ts';
import { volatileM, type Stack } from './stack.ts';

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

/** Nothing written yet, for so many coats. */
export const emptyRun = (coats: number): FilmRun => ({
  readySeconds: Array.from({ length: coats }),
  skinSeconds: Array.from({ length: coats }),
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
});

const SKIN_PA_S = 1000;

/** When skin and readiness were reached, read between two steps. [run-2] */
export function noteReady(
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

/** The film at this moment, for a picture. */
export const momentOf = (
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
