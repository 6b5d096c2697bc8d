/**
 * A plan of its own for every coat of a stage: how thick, how laid, how far on each panel, what to
 * wait for, and when to stop.
 *
 * Source  rule of thumb of the trade; the sheet's film, coats and rule first
 */
import { because } from '../outcome/verdicts.ts';
import { presetOf } from './coatKinds.ts';
import { FILM_FACTOR } from './coatKinds.ts';
import type {
  BlendCoat,
  CoatPanel,
  CoatPlanAnswer,
  CoatPlanInput,
  PlannedCoat,
} from './coatPlanInput.ts';
import { coatPlanVerdicts } from './coatPlanVerdicts.ts';
import { coatsOfStage, type CoatsOfStage, type Laid } from './coatsOfStage.ts';
import { cannotFade, panelInCoat, panelsOf } from './reach.ts';
import { stageFilm, type StageFilm } from './stageFilm.ts';

/**
 * The coats of one stage of a job: of which kind each is, how thick it is laid wet (µm), where
 * each panel's paint ends, and what the plan has to say. Rules of the trade throughout; the sheet's
 * own coat rule and its coat counts win over them. Throws nothing: what cannot be is a verdict.
 */
export function coatPlanOf(input: CoatPlanInput): CoatPlanAnswer {
  const film = stageFilm(input);
  const on = panelsOf(input);
  const faded = cannotFade(input) || input.stage === 'clear' ? [] : fadedPanels(on);
  const planned = on.length === 0 ? { laid: [], wanted: 0 } : coatsOfStage(input, film, on);
  const rule = input.sheet?.coatRule ?? {};
  const isColour = !['primer', 'sealer', 'clear'].includes(input.stage);
  const bed = isColour && faded.length > 0 ? rule.blend?.bed : undefined;
  const last = isColour && faded.length > 0 ? rule.blend?.last : undefined;
  const of = planned.laid.length + (last ? 1 : 0);
  const coats = [
    ...(bed ? [blendCoat(input, film, faded, { blend: bed, role: 'bed' })] : []),
    ...planned.laid.map((laid, i) => coatOf(input, film, { laid, on, k: i + 1, of })),
    ...(last ? [blendCoat(input, film, faded, { blend: last, role: 'fadeOut', k: of, of })] : []),
  ].map((coat, i, all) => ({
    ...coat,
    coat: i + 1,
    wait: waitOf(input, all, i),
  }));
  const { toHide } = planned as CoatsOfStage;
  return {
    least: film.least,
    most: film.most,
    coats,
    dryUm: coats.reduce((sum, { dryUm }) => sum + dryUm, 0),
    landedMl: coats.reduce((sum, { landedMl }) => sum + landedMl, 0),
    edges: input.carrier === 'waterborne' ? 'last' : 'first',
    stop: {
      rule: ruleOf(input),
      fromCoat: toHide ? looksFrom(coats, toHide.low) : coats.length,
      most: film.most,
      ...(toHide ? { coatsToHide: toHide } : {}),
    },
    verdicts: coatPlanVerdicts(input, { film, on, planned, coats }),
    reasons: reasonsOf(input, coats),
  };
}

const fadedPanels = (on: readonly CoatPanel[]): CoatPanel[] =>
  on.filter(({ scope }) => scope === 'blend' || scope === 'spot');

type Coat = Omit<PlannedCoat, 'coat' | 'wait'>;

const landed = (on: readonly CoatPanel[], panels: Coat['panels'], wetFilmUm: number): number =>
  panels.reduce((sum, { areaFactor }, i) => sum + on[i]!.areaM2 * areaFactor * wetFilmUm, 0);

function coatOf(
  input: CoatPlanInput,
  { midUm, solids }: StageFilm,
  { laid, on, k, of }: { laid: Laid; on: readonly CoatPanel[]; k: number; of: number },
): Coat {
  const { kind, wetFilmUm, role } = laid;
  const filmFactor = wetFilmUm / midUm;
  const panels = on.map((panel) => panelInCoat(input, panel, { k, of }));
  return {
    kind,
    role: role ?? input.stage,
    wetFilmUm,
    filmFactor,
    dryUm: wetFilmUm * solids,
    landedMl: landed(on, panels, wetFilmUm),
    preset: presetOf(kind, filmFactor, input.sheet?.coatRule),
    panels,
  };
}

/** A wet bed before the colour, or one thinned coat after it: no film of the stage. */
function blendCoat(
  input: CoatPlanInput,
  { midUm }: StageFilm,
  on: readonly CoatPanel[],
  {
    blend,
    role,
    k = 1,
    of = 1,
  }: { blend: BlendCoat; role: 'bed' | 'fadeOut'; k?: number; of?: number },
): Coat {
  const filmFactor = blend.filmFactor ?? (role === 'bed' ? 1 : FILM_FACTOR.fadeOut);
  const kind = role === 'bed' ? 'wet' : 'light';
  const panels = on.map((panel) =>
    role === 'bed'
      ? { name: panel.name, scope: panel.scope, areaFactor: 1 }
      : panelInCoat(input, panel, { k, of }),
  );
  return {
    kind,
    role,
    wetFilmUm: filmFactor * midUm,
    filmFactor,
    dryUm: 0,
    landedMl: landed(on, panels, filmFactor * midUm),
    recipe: blend.recipe,
    preset: presetOf(kind, filmFactor),
    panels,
  };
}

function waitOf(input: CoatPlanInput, coats: readonly Coat[], i: number): PlannedCoat['wait'] {
  const [coat, next] = [coats[i]!, coats[i + 1]];
  const { times, coatRule = {} } = input.sheet ?? {};
  const { halfAfterMinutes } = coatRule;
  if (coat.role === 'bed') return { next: 'atOnce' };
  if (next?.role === 'half')
    return { next: 'atOnce', ...(halfAfterMinutes ? { minutes: halfAfterMinutes } : {}) };
  const isTop = input.isLastStage ?? (input.stage === 'clear' || input.stage === 'singleStage');
  if (!next) return { next: isTop ? 'bake' : 'next' };
  const { minFlashMinutes, flashMinutes } = times ?? {};
  return {
    next: 'coat',
    ...(minFlashMinutes !== undefined && flashMinutes !== undefined
      ? { minutes: [minFlashMinutes, flashMinutes] as [number, number] }
      : {}),
    ...(next.role === 'control' && coatRule.lastCoat?.onMatt !== false ? { matt: true } : {}),
  };
}

/** The coat after which it may hide already. */
function looksFrom(
  coats: readonly Pick<PlannedCoat, 'filmFactor' | 'role'>[],
  low: number,
): number {
  let laid = 0;
  for (const [i, { filmFactor, role }] of coats.entries()) {
    if (role !== 'bed' && role !== 'fadeOut') laid += filmFactor;
    if (laid >= low - 1e-9) return i + 1;
  }
  return coats.length;
}

function ruleOf({ stage }: CoatPlanInput): CoatPlanAnswer['stop']['rule'] {
  if (stage === 'effect') return 'card';
  if (stage === 'sealer') return 'count';
  return stage === 'clear' || stage === 'primer' ? 'film' : 'hiding';
}

function reasonsOf(
  input: CoatPlanInput,
  coats: readonly Pick<PlannedCoat, 'kind' | 'role'>[],
): CoatPlanAnswer['reasons'] {
  const own = coats.filter(({ role }) => role !== 'bed');
  return [
    ...(own[0]?.kind === 'light' && input.stage !== 'effect'
      ? [because('first-lighter-over-old', 'rule')]
      : []),
    ...(coats.some(({ role }) => role === 'control')
      ? [
          because(
            'last-lighter-from-further',
            input.sheet?.coatRule?.lastCoat ? 'dataSheet' : 'rule',
          ),
        ]
      : []),
    ...(input.sheet?.coats
      ? [because('coats-from-sheet', 'dataSheet')]
      : [because('coats-as-usual', 'rule')]),
  ];
}
