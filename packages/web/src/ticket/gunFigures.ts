/** The gun's figures as the coat is set now: ours where nothing was overridden, the painter's where it was. */
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { AnswerOf } from '@orthochrom/contract/registry.ts';
import type { Overrides, SettingName } from '@orthochrom/contract/shop/ticket.ts';
import { asSet, type AsSet, type SetKnobs } from '@orthochrom/core/gun/asSet.ts';

export const chosenValue = (setup: AnswerOf<'setup'>, overrides: Overrides, name: SettingName): number => {
  const own = overrides[name]?.chosen;
  return typeof own === 'number' ? own : setup[name];
};

export const knobsOf = (setup: AnswerOf<'setup'>, overrides: Overrides): SetKnobs => ({
  inletKPa: chosenValue(setup, overrides, 'inletKPa'),
  fluidTurnsOut: chosenValue(setup, overrides, 'fluidTurnsOut'),
  fanTurnsOut: chosenValue(setup, overrides, 'fanTurnsOut'),
  distanceMm: chosenValue(setup, overrides, 'distanceMm'),
  overlapPercent: chosenValue(setup, overrides, 'overlapPercent'),
  wetFilmUm: chosenValue(setup, overrides, 'wetFilmUm'),
});

/** By the gun as its tests describe it today, also for a plan that was taken before them. */
export const figuresNow = (plan: CoatPlan, setup: AnswerOf<'setup'>, overrides: Overrides): AsSet =>
  asSet({ ...plan.inputs.setup, nozzleMm: chosenValue(setup, overrides, 'nozzleMm') }, knobsOf(setup, overrides)).figures;
