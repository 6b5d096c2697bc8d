/**
 * A recipe solved into shares. Every per cent says of what: of the paint, of all that is in the cup
 * so far, or of the finished mix. Several per cents of the final mix are solved
 * together:
 *
 *   a_i = α_i + β_i T,  T = Σα / (1 − Σβ)                        [recipe-1]
 *
 * Source  ours: linear balance
 */
import type { Basis, Role } from '../trade/vocabulary.ts';

export type RecipePart = { name: string; parts: number; role?: Role };
export type Addition = { name: string; percent: number; of: Basis; role?: Role };
export type Recipe =
  | { parts: RecipePart[]; additions?: Addition[] }
  | { paint: string; additions: Addition[] };
export type Share = { name: string; role?: Role; share: number };

const partsOf = (recipe: Recipe): RecipePart[] =>
  'parts' in recipe ? recipe.parts : [{ name: recipe.paint, parts: 1, role: 'paint' }];

/** The names of a recipe in pouring order. */
export const namesOf = (recipe: Recipe): string[] =>
  [...partsOf(recipe), ...(recipe.additions ?? [])].map(({ name }) => name);

/** Share of the finished mix that the final-mix per cents take together; at 1 no paint is left. */
export const finalMixFraction = (recipe: Recipe): number =>
  (recipe.additions ?? [])
    .filter((a) => a.of === 'finalMix')
    .reduce((sum, a) => sum + a.percent / 100, 0);

/**
 * Volume shares of the finished mix, in pouring order, summing to 1. [recipe-1]
 * @throws RangeError when the per cents leave no paint (refused by the contract)
 */
export function sharesOf(recipe: Recipe): Share[] {
  const parts = partsOf(recipe);
  const hasPaintRole = parts.some(({ role }) => role === 'paint');
  const paint = hasPaintRole
    ? parts.filter(({ role }) => role === 'paint').reduce((sum, p) => sum + p.parts, 0)
    : parts[0]!.parts;
  const amounts: { name: string; role?: Role; fixed: number; ofTotal: number }[] = parts.map(
    ({ name, role, parts: fixed }) => ({
      name,
      ...(role ? { role } : {}),
      fixed,
      ofTotal: 0,
    }),
  );
  for (const { name, role, percent, of } of recipe.additions ?? []) {
    const p = percent / 100;
    const so = sumOf(amounts);
    const amount =
      of === 'paint'
        ? { fixed: p * paint, ofTotal: 0 }
        : of === 'mixSoFar'
          ? { fixed: p * so.fixed, ofTotal: p * so.ofTotal }
          : { fixed: 0, ofTotal: p };
    amounts.push({ name, ...(role ? { role } : {}), ...amount });
  }
  const { fixed, ofTotal } = sumOf(amounts);
  if (ofTotal >= 1) throw new RangeError('the per cents of the final mix leave no paint');
  const total = fixed / (1 - ofTotal);
  return amounts.map(({ name, role, fixed: a, ofTotal: b }) => ({
    name,
    ...(role ? { role } : {}),
    share: (a + b * total) / total,
  }));
}

const sumOf = (amounts: { fixed: number; ofTotal: number }[]) =>
  amounts.reduce((sum, a) => ({ fixed: sum.fixed + a.fixed, ofTotal: sum.ofTotal + a.ofTotal }), {
    fixed: 0,
    ofTotal: 0,
  });

/** Share of the paint itself, the basis of "per cent of paint". */
export function paintShare(shares: readonly Share[]): number {
  const painted = shares.filter(({ role }) => role === 'paint');
  return painted.length > 0 ? painted.reduce((sum, s) => sum + s.share, 0) : shares[0]!.share;
}
