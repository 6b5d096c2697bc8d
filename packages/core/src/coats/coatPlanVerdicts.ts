/** What is told of a plan of coats: past its sheet, not hiding, not to be faded, no film to cut. */
import { caution, type Verdict } from '../outcome/verdicts.ts';
import { isEffect } from '../trade/vocabulary.ts';
import type { CoatPanel, CoatPlanInput, PlannedCoat } from './coatPlanInput.ts';
import { clearWantedUm, type CoatsOfStage } from './coatsOfStage.ts';
import { cannotFade, stepOutM } from './reach.ts';
import type { StageFilm } from './stageFilm.ts';

/** Less than this a coat and the fade is a step. */
const LEAST_STEP_M = 0.1;
/** Full coats of flake that still lie flat over one another. */
const MOST_FULL_EFFECT = 2;

type Told = {
  film: StageFilm;
  on: readonly CoatPanel[];
  planned: CoatsOfStage;
  coats: readonly PlannedCoat[];
};

/**
 * What a plan of coats has to say: a stage that covers nothing,
 * a missing sheet, a film past the sheet's, a ground not hidden (share of ground left, 0 to 1), a
 * blend with too little room (m) and a film too thin to cut (µm).
 */
export function coatPlanVerdicts(input: CoatPlanInput, told: Told): Verdict[] {
  const { stage, sheet } = input;
  if (told.on.length === 0) return [caution('stage-covers-nothing', { stage })];
  return [
    ...(sheet ? [] : [caution('no-sheet')]),
    ...pastTheSheet(input, told),
    ...notHidden(input, told),
    ...faded(input, told),
    ...filmToCut(input, told),
  ];
}

function pastTheSheet(input: CoatPlanInput, { film, planned, coats }: Told): Verdict[] {
  const asked = input.coats ?? (input.stage === 'effect' ? planned.wanted : 0);
  const full = coats.filter(({ role, filmFactor }) => role === input.stage && filmFactor === 1);
  const stacks =
    isEffect(input.finish) && input.stage !== 'effect' && full.length > MOST_FULL_EFFECT;
  const isHalfAsked = input.way?.baseCover === 'oneAndHalf' && input.stage === 'base';
  return [
    ...(asked > film.most ? [caution('coats-over-sheet', { coats: asked, most: film.most })] : []),
    ...(stacks ? [caution('effect-stacks', { coats: full.length })] : []),
    ...(isHalfAsked && !input.sheet?.coatRule?.oneAndHalf
      ? [caution('one-and-half-not-on-sheet')]
      : []),
    ...(input.stage === 'effect' && !input.card
      ? [caution('card-first', { coats: planned.laid.length })]
      : []),
  ];
}

function notHidden({ ground }: CoatPlanInput, { planned, coats }: Told): Verdict[] {
  const { toHide } = planned;
  if (!toHide || !ground || planned.isHalved) return [];
  const laid = coats
    .filter(({ role }) => role !== 'bed' && role !== 'fadeOut' && role !== 'control')
    .reduce((sum, { filmFactor }) => sum + filmFactor, 0);
  return laid + 1e-9 < toHide.value
    ? [caution('ground-will-not-hide', { ground: ground.name, coats: toHide.value })]
    : [];
}

function faded(input: CoatPlanInput, { on, coats }: Told): Verdict[] {
  const fading = on.filter(({ scope }) => scope === 'blend' || scope === 'spot');
  if (fading.length === 0 || ['primer', 'sealer', 'clear'].includes(input.stage)) return [];
  if (input.stage === 'singleStage')
    return fading.map(({ name }) => caution('single-not-blended', { panel: name }));
  if (cannotFade(input))
    return fading.map(({ name }) => caution('candy-not-blended', { panel: name }));
  const count = coats.filter(({ role }) => role !== 'bed').length;
  return fading
    .filter(({ scope }) => scope === 'blend')
    .map((panel) => ({ name: panel.name, stepM: stepOutM(panel, count) }))
    .filter(({ stepM }) => stepM < LEAST_STEP_M)
    .map(({ name, stepM }) => caution('blend-panel-short', { panel: name, stepM, coats: count }));
}

function filmToCut(input: CoatPlanInput, { coats }: Told): Verdict[] {
  if (input.stage !== 'clear' || input.target !== 'show') return [];
  const dryUm = coats.reduce((sum, coat) => sum + coat.dryUm, 0);
  const wantUm = clearWantedUm(input);
  return dryUm + 1e-9 < wantUm
    ? [caution('no-film-to-cut', { coats: coats.length, dryUm, wantUm })]
    : [];
}
