/**
 * How many coats a stage gets and of which kind: until it hides, until it is thick enough, or as
 * many as the card had.
 *
 * Source  rule of thumb; film to hide from `ground`
 */
import type { Spread } from '../outcome/spread.ts';
import { isEffect } from '../trade/vocabulary.ts';
import { FILM_FACTOR } from './coatKinds.ts';
import type { CoatKind, CoatPlanInput, CoatRole } from './coatPlanInput.ts';
import { isOverOld, type StageFilm } from './stageFilm.ts';

export type Laid = { kind: CoatKind; wetFilmUm: number; role?: CoatRole };
export type CoatsOfStage = {
  laid: Laid[];
  /** Coats that would be wanted: more than are planned where the sheet stops before. */
  wanted: number;
  /** Of the colour in full coats, as thick as these are; absent without a ground. */
  toHide?: Spread;
  isHalved?: boolean;
};

/** Film of a clear that lasts, dry, µm; and of one that is to be cut flat. */
const CLEAR_UM = { factory: 45, show: (40 + 5 + 9) / 0.85 } as const;
/** Dry film of clear a finish wants, µm: one that lasts, or one that is cut flat after. */
export const clearWantedUm = ({ target }: Pick<CoatPlanInput, 'target'>): number =>
  target === 'show' ? CLEAR_UM.show : CLEAR_UM.factory;

/** The most that may be planned: the sheet's, or what is wished with a word why. */
const mostOf = (
  { coats = 0, why = '' }: CoatPlanInput,
  { most }: Pick<StageFilm, 'most'>,
): number => (why.trim() === '' ? most : Math.max(most, Math.round(coats)));
/** As wished, else as wanted; never none. */
const counted = (input: CoatPlanInput, wanted: number, film: Pick<StageFilm, 'most'>): number =>
  Math.max(1, Math.min(Math.round(input.coats ?? wanted), mostOf(input, film)));

const first = (kind: CoatKind, wetFilmUm: number, isOld: boolean, midUm: number): Laid =>
  isOld
    ? { kind: 'light', wetFilmUm: Math.min(wetFilmUm, FILM_FACTOR.light * midUm) }
    : { kind, wetFilmUm };
const times = (count: number, laid: Laid): Laid[] =>
  Array.from({ length: Math.max(0, count) }, () => laid);

const isOld = (input: CoatPlanInput, on: CoatPlanInput['panels']): boolean =>
  on.some(({ over }) => isOverOld(input, over ?? input.over));

/** Primer fills, a sealer closes. */
function undercoats(input: CoatPlanInput, film: StageFilm, isOverIt: boolean): CoatsOfStage {
  const usual = input.stage === 'sealer' ? (isOverIt ? 2 : 1) : film.least;
  const count = counted(input, Math.max(usual, film.least), film);
  const full: Laid = { kind: 'mediumWet', wetFilmUm: film.midUm };
  const isLighter = isOverIt && (input.stage === 'primer' || count > 1);
  return {
    laid: [first('mediumWet', film.midUm, isLighter, film.midUm), ...times(count - 1, full)],
    wanted: usual,
  };
}

/** Even coats of a clear, the first a little thinner. */
function clears(input: CoatPlanInput, film: StageFilm): CoatsOfStage {
  const dryACoatUm = film.midUm * film.solids;
  const wanted = Math.max(film.least, Math.ceil(clearWantedUm(input) / dryACoatUm - 1e-9), 1);
  const extra = input.target === 'show' ? (input.sheet?.coatRule?.extraToCut ?? 0) : 0;
  const count = counted(input, wanted, { ...film, most: film.most + extra });
  if (count <= 1) return { laid: times(count, { kind: 'wet', wetFilmUm: film.midUm }), wanted };
  const then = (count * film.midUm - film.lowUm) / (count - 1);
  return {
    laid: [
      { kind: 'mediumWet', wetFilmUm: film.lowUm },
      ...times(count - 1, { kind: 'wet', wetFilmUm: then }),
    ],
    wanted,
  };
}

/** By the card: each coat of a candy deepens it, each of flake throws more. */
function effects(input: CoatPlanInput, film: StageFilm): CoatsOfStage {
  const wanted = input.card?.coats ?? film.least;
  const count = counted(input, wanted, film);
  const kind: CoatKind =
    input.finish === 'flake' ? 'mist' : isEffect(input.finish) ? 'light' : 'medium';
  return { laid: times(count, { kind, wetFilmUm: film.midUm }), wanted };
}

/** Until it hides; an effect colour keeps its last coat for control. */
function colours(input: CoatPlanInput, film: StageFilm, isOverIt: boolean): CoatsOfStage {
  const { ground, sheet, carrier, finish, stage } = input;
  const { midUm } = film;
  const toHide = ground && scaled(ground.coatsToHide, ground.dryUmPerCoat / (midUm * film.solids));
  const rule = sheet?.coatRule ?? {};
  const hasControl =
    stage !== 'singleStage' &&
    isEffect(finish) &&
    (carrier === 'solvent' || rule.lastCoat !== undefined);
  const control = hasControl ? 1 : 0;
  const firstUm = stage === 'singleStage' ? film.lowUm : midUm;
  const firstFactor = isOverIt ? FILM_FACTOR.light : firstUm / midUm;
  const halved = toHide && !hasControl && film.most > 1 && oneAndHalf(input, toHide.value);
  if (halved)
    return {
      laid: halved.map((one) => ({ ...one, wetFilmUm: one.wetFilmUm * midUm })),
      wanted: 2,
      toHide,
      isHalved: true,
    };
  const full = toHide
    ? Math.max(1, film.least - control, Math.ceil(toHide.value - firstFactor - 1e-9) + 1)
    : film.least;
  const total = counted(input, full + control, film);
  // One coat alone is the colour itself.
  const isControlled = hasControl && total > 1;
  const count = total - (isControlled ? 1 : 0);
  const then: Laid = { kind: stage === 'singleStage' ? 'wet' : 'medium', wetFilmUm: midUm };
  const start = first(stage === 'singleStage' ? 'mediumWet' : 'medium', firstUm, isOverIt, midUm);
  const last: Laid[] = isControlled
    ? [
        {
          kind: rule.lastCoat?.kind ?? 'drop',
          wetFilmUm: (rule.lastCoat?.filmFactor ?? FILM_FACTOR.drop) * midUm,
          role: 'control',
        },
      ]
    : [];
  return {
    laid: [start, ...times(count - 1, then), ...last],
    wanted: full + control,
    ...(toHide ? { toHide } : {}),
  };
}

/**
 * Where painter and sheet both have it, and the ground lets it hide: a full coat and a half at
 * once.
 */
const oneAndHalf = ({ way, sheet }: CoatPlanInput, toHide: number): Laid[] | undefined =>
  way?.baseCover === 'oneAndHalf' && sheet?.coatRule?.oneAndHalf && toHide <= 1.5
    ? [
        { kind: 'mediumWet', wetFilmUm: 1 },
        { kind: 'light', wetFilmUm: FILM_FACTOR.half, role: 'half' },
      ]
    : undefined;

const scaled = ({ value, low, high }: Spread, by: number): Spread => ({
  value: value * by,
  low: low * by,
  high: high * by,
});

/** The coats of a stage, before panels are looked at. */
export function coatsOfStage(
  input: CoatPlanInput,
  film: StageFilm,
  on: CoatPlanInput['panels'],
): CoatsOfStage {
  const isOverIt = isOld(input, on);
  switch (input.stage) {
    case 'primer':
    case 'sealer':
      return undercoats(input, film, isOverIt);
    case 'clear':
      return clears(input, film);
    case 'effect':
      return effects(input, film);
    default:
      return colours(input, film, isOverIt);
  }
}
