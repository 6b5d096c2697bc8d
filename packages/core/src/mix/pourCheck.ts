/**
 * What was really poured against the recipe: mended by adding only, or said to be lost.
 */
import {
  because,
  caution,
  go,
  isStopped,
  stop,
  type Reason,
  type WithVerdicts,
  type Verdict,
} from '../outcome/verdicts.ts';
import type { Cup, Densities } from './cup.ts';
import { sheetVerdicts, withSheetRoles, type MixSheet } from './mixSheet.ts';
import { sharesOf, type Recipe, type Share } from './recipe.ts';

export type Poured = { name: string; ml: number } | { name: string; grams: number };
export type PourCheckInput = {
  recipe: Recipe;
  poured: Poured[];
  densitiesGPerMl?: Densities;
  tolerancePercent?: number;
  cup?: Cup;
  /** What else the shop has to mix in: a mended mix may go into a larger one. */
  pots?: { name: string; capacityMl: number }[];
  sheet?: MixSheet;
};
export type PourCheckAnswer = WithVerdicts & {
  ratio: { name: string; wantedParts: number; pouredParts: number; errorPercent: number }[];
  correct?: { name: string; addMl: number; addGrams?: number }[];
  /** The pot to move to before adding, where this one is too small. */
  moveTo?: string;
  pouredMl: number;
  readyMl: number;
  effects: Reason[];
};

const TOLERANCE_PERCENT = 5;

/** What was poured against the recipe: right, mended by adding, or lost. */
export function pourCheckOf(input: PourCheckInput): PourCheckAnswer {
  const tolerancePercent = input.tolerancePercent ?? TOLERANCE_PERCENT;
  const wanted = withSheetRoles(sharesOf(input.recipe), input.sheet);
  const pouredMl = wanted.map(({ name }) => amountMl(input, name));
  const totalMl = pouredMl.reduce((sum, ml) => sum + ml, 0);
  const ratio = ratioOf(wanted, pouredMl);
  const additions = additionsOf(wanted, pouredMl);
  const mendedMl = totalMl + additions.reduce((sum, a) => sum + a.addMl, 0);
  const worst = ratio.reduce((a, b) =>
    Math.abs(b.errorPercent) > Math.abs(a.errorPercent) ? b : a,
  );
  const isRight = Math.abs(worst.errorPercent) <= tolerancePercent + 1e-9;
  const isTooMuch = input.cup !== undefined && mendedMl > input.cup.capacityMl;
  const pot = isTooMuch ? smallestHolding(input.pots ?? [], mendedMl) : undefined;
  const overfills = isTooMuch && !pot;
  const verdicts =
    input.sheet && totalMl > 0
      ? sheetVerdicts(pouredShares(wanted, pouredMl, totalMl), input.sheet)
      : [];
  if (isRight && !isStopped(verdicts)) verdicts.push(go('pour-good', { tolerancePercent }));
  else if (overfills) verdicts.push(stop('pour-lost'));
  else if (pot)
    verdicts.push(
      caution('pour-off-larger-pot', {
        name: worst.name,
        errorPercent: worst.errorPercent,
        pot: pot.name,
      }),
    );
  else verdicts.push(caution('pour-off', { name: worst.name, errorPercent: worst.errorPercent }));
  const isMended =
    !overfills &&
    verdicts.some(({ code }) => code === 'pour-off' || code === 'pour-off-larger-pot');
  return {
    ratio,
    ...(isMended ? { correct: withGrams(additions, input.densitiesGPerMl) } : {}),
    ...(isMended && pot ? { moveTo: pot.name } : {}),
    pouredMl: totalMl,
    readyMl: isMended ? mendedMl : totalMl,
    effects: effectsOf(wanted, ratio, tolerancePercent),
    verdicts: verdicts as Verdict[],
  };
}

const smallestHolding = (pots: NonNullable<PourCheckInput['pots']>, ml: number) =>
  [...pots].sort((a, b) => a.capacityMl - b.capacityMl).find(({ capacityMl }) => capacityMl >= ml);

function amountMl({ poured, densitiesGPerMl }: PourCheckInput, name: string): number {
  return poured
    .filter((p) => p.name === name)
    .reduce((sum, p) => sum + ('ml' in p ? p.ml : p.grams / densitiesGPerMl![name]!), 0);
}

/** Errors with the first part taken as right; where none of it was poured, with the largest. */
function ratioOf(wanted: readonly Share[], pouredMl: readonly number[]): PourCheckAnswer['ratio'] {
  const scale = pouredMl[0]! > 0 ? pouredMl[0]! / wanted[0]!.share : largestScale(wanted, pouredMl);
  const unit = Math.min(...wanted.filter(({ share }) => share > 0).map(({ share }) => share));
  return wanted.map(({ name, share }, i) => ({
    name,
    wantedParts: share / unit,
    pouredParts: scale > 0 ? pouredMl[i]! / scale / unit : 0,
    errorPercent: scale > 0 && share > 0 ? (pouredMl[i]! / (scale * share) - 1) * 100 : 0,
  }));
}

const largestScale = (wanted: readonly Share[], pouredMl: readonly number[]): number =>
  Math.max(...wanted.map(({ share }, i) => (share > 0 ? pouredMl[i]! / share : 0)));

/** Nothing can be taken out again: everything is brought up to the part there is most of. */
function additionsOf(
  wanted: readonly Share[],
  pouredMl: readonly number[],
): { name: string; addMl: number }[] {
  const scale = largestScale(wanted, pouredMl);
  return wanted
    .map(({ name, share }, i) => ({ name, addMl: scale * share - pouredMl[i]! }))
    .filter(({ addMl }) => addMl > 1e-6);
}

const withGrams = (additions: { name: string; addMl: number }[], densities: Densities = {}) =>
  additions.map(({ name, addMl }) => ({
    name,
    addMl,
    ...(densities[name] === undefined ? {} : { addGrams: addMl * densities[name] }),
  }));

const pouredShares = (
  wanted: readonly Share[],
  pouredMl: readonly number[],
  totalMl: number,
): Share[] => wanted.map((share, i) => ({ ...share, share: pouredMl[i]! / totalMl }));

/** What spraying it as it is would do. */
function effectsOf(
  wanted: readonly Share[],
  ratio: PourCheckAnswer['ratio'],
  tolerancePercent: number,
): Reason[] {
  return ratio.flatMap(({ name, errorPercent }, i) => {
    const role = wanted[i]!.role;
    if (
      Math.abs(errorPercent) <= tolerancePercent ||
      (role !== 'hardener' && role !== 'reducer' && role !== 'adjuster')
    )
      return [];
    const kind = role === 'adjuster' ? 'reducer' : role;
    return [
      because(`${kind}-${errorPercent > 0 ? 'over' : 'under'}`, 'rule', { name, errorPercent }),
    ];
  });
}
