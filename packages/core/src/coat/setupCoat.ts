/**
 * The coats that a set-up lays, as the forward simulation has them: one coat has one forecast
 * through whichever door it is asked.
 */
import { recoatTime } from '../film/recoatTimes.ts';
import { paintInCup, roomOf } from '../gun/paintInCup.ts';
import type { SetupAnswer } from '../gun/setup.ts';
import type { SetupInput } from '../gun/setupInput.ts';
import type { CoatInput } from './coatInput.ts';
import { layerOfMaterial, type Material } from './coatInput.ts';

/** More coats than this change nothing that is asked here. */
const MOST_COATS = 3;
const UPRIGHT_DEG = 90;

const climateOf = (input: SetupInput): CoatInput['climate'] => ({
  ...roomOf(input),
  ...(input.materialTemperatureC === undefined
    ? {}
    : { materialTemperatureC: input.materialTemperatureC }),
  ...input.climate,
});

/**
 * The coat that a set-up would lay, on a panel as its part is: up to three coats, the sheet's waits
 * between.
 */
export function coatOfSetup(input: SetupInput, answer: SetupAnswer): CoatInput {
  const climate = climateOf(input);
  const material: Material = {
    class: answer.class,
    ...input.material,
    viscosityMm2PerS: input.viscosityMm2PerS,
    finish: input.finish,
    sheet: input.sheet || input.times ? { times: input.times, gun: input.sheet } : undefined,
  };
  const layer = layerOfMaterial(material, paintInCup(input).isTwoPack);
  const today = {
    climate,
    wetFilmUm: answer.wetFilmUm,
    gradeStepsSlower: input.reducer?.stepsSlower,
  };
  const flash = recoatTime('coat', layer, today, input.mist);
  return {
    climate,
    material,
    gun: input.gun,
    settings: {
      nozzleMm: answer.nozzleMm,
      inletKPa: answer.inletKPa,
      fluidTurnsOut: answer.fluidTurnsOut,
      fanTurnsOut: answer.fanTurnsOut,
      distanceMm: answer.distanceMm,
      overlapPercent: answer.overlapPercent,
      gunSpeedMPerS: answer.gunSpeedMPerS,
    },
    panel: {
      slopeDeg: input.slopeDeg ?? UPRIGHT_DEG,
      ...(input.panelLengthM === undefined ? {} : { lengthM: input.panelLengthM }),
      ...(input.panelHeightM === undefined ? {} : { heightM: input.panelHeightM }),
      ...(input.lapSeconds === undefined ? {} : { lapSeconds: input.lapSeconds }),
    },
    ...(input.way?.skill ? { technique: { skill: input.way.skill } } : {}),
    coats: Array.from(
      { length: Math.max(1, Math.min(MOST_COATS, Math.round(answer.coats))) },
      () => ({
        flashMinutes: flash.earliestMinutes.value,
      }),
    ),
    ...(input.capLimitKPa === undefined ? {} : { capLimitKPa: input.capLimitKPa }),
  };
}
