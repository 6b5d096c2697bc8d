/**
 * What must hold on a sheet before it is saved: its figures agree with one another and its ids with
 * the shop's products.
 */
import { sharesOf, type Recipe } from '@orthochrom/core/mix/recipe.ts';
import type { Refusal } from '../quantity/refusal.ts';
import type { Sheet, SheetRecipe } from './sheet.ts';

type Products = ReadonlyMap<string, Sheet>;

const contradiction = (path: Refusal['path'], message: string): Refusal => ({
  code: 'contradiction',
  path,
  message,
});

/**
 * The product a recipe names: itself, an id, or the first of the kind's place ("reducer": any of
 * its grades).
 */
export function productOf(sheet: Sheet, product: string, products: Products): Sheet | undefined {
  if (product === 'self') return sheet;
  if (product === 'reducer') return products.get(sheet.grades?.[0] ?? '');
  if (product === 'hardener') return products.get(sheet.hardeners?.[0] ?? '');
  return products.get(product);
}

/** Everything on this sheet that cannot be true; empty when it may be saved. */
export function sheetFaults(sheet: Sheet, products: Products): Refusal[] {
  return [
    ...idFaults(sheet, products),
    ...(sheet.recipes ?? []).flatMap((recipe, i) =>
      recipeFaults(sheet, recipe, products, ['recipes', i]),
    ),
  ];
}

function idFaults(sheet: Sheet, products: Products): Refusal[] {
  const named = [
    ...(sheet.grades ?? []).map((id, i) => ({ id, path: ['grades', i], kind: 'reducer' })),
    ...(sheet.hardeners ?? []).map((id, i) => ({ id, path: ['hardeners', i], kind: 'hardener' })),
    ...(sheet.adjusterGrid ?? []).flatMap(({ name }, i) =>
      name ? [{ id: name, path: ['adjusterGrid', i, 'name'], kind: 'adjuster' }] : [],
    ),
  ];
  return named.flatMap(({ id, path, kind }) => {
    const product = products.get(id);
    if (!product) return [contradiction(path, `There is no product ${id}.`)];
    if (product.kind !== kind)
      return [contradiction(path, `${id} is a ${product.kind}, not a ${kind}.`)];
    return product.carrier === sheet.carrier
      ? []
      : [contradiction(path, `${id} is ${product.carrier}; this sheet is ${sheet.carrier}.`)];
  });
}

function recipeFaults(
  sheet: Sheet,
  recipe: SheetRecipe,
  products: Products,
  path: Refusal['path'],
): Refusal[] {
  const faults: Refusal[] = [];
  const all = [...recipe.parts, ...(recipe.additions ?? [])];
  if (recipe.parts.filter(({ role }) => role === 'paint').length !== 1)
    faults.push(
      contradiction([...path, 'parts'], 'A recipe has exactly one part with role paint.'),
    );
  if (recipe.parts.some(({ role }) => role === 'hardener') && sheet.hardenerChemistry === 'none')
    faults.push(
      contradiction(
        ['hardenerChemistry'],
        'The recipe has a hardener, so its chemistry cannot be none.',
      ),
    );
  const unknown = all.find(({ product }) => !productOf(sheet, product, products));
  if (unknown)
    return [
      ...faults,
      contradiction([...path, 'parts'], `There is no product ${unknown.product}.`),
    ];
  return [...faults, ...figureFaults(sheet, recipe, products, path)];
}

/**
 * Density and VOC within 2 %, solids within one point, dry film within 15 % of wet film × solids.
 */
function figureFaults(
  sheet: Sheet,
  recipe: SheetRecipe,
  products: Products,
  path: Refusal['path'],
): Refusal[] {
  const asRecipe: Recipe = {
    parts: recipe.parts.map(({ role, parts }, i) => ({ name: `${i}`, parts, role })),
    additions: (recipe.additions ?? []).map(({ role, percent, of }, i) => ({
      name: `a${i}`,
      percent,
      of,
      role,
    })),
  };
  const members = [...recipe.parts, ...(recipe.additions ?? [])].map(({ product }) =>
    productOf(sheet, product, products)!,
  );
  const blend = (of: (s: Sheet) => number | undefined) =>
    sharesOf(asRecipe).reduce((sum, { share }, i) => sum + share * (of(members[i]!) ?? 0), 0);
  const faults: Refusal[] = [];
  const off = (field: 'densityGPerMl' | 'vocGPerL', tolerance: number) => {
    const worked = blend((s) => s[field]);
    if (worked > 0 && Math.abs(recipe[field] / worked - 1) > tolerance)
      faults.push(
        contradiction(
          [...path, field],
          `${field} is ${recipe[field]}; its parts make ${worked.toFixed(3)}.`,
        ),
      );
  };
  off('densityGPerMl', 0.02);
  off('vocGPerL', 0.02);
  const solids = blend((s) => s.volumeSolidsPercent);
  if (solids > 0 && Math.abs(recipe.volumeSolidsPercent - solids) > 1)
    faults.push(
      contradiction(
        [...path, 'volumeSolidsPercent'],
        `volumeSolidsPercent is ${recipe.volumeSolidsPercent}; its parts make ${solids.toFixed(1)}.`,
      ),
    );
  ([0, 1] as const).forEach((end) => {
    const dry = (recipe.wetFilmUm[end] * recipe.volumeSolidsPercent) / 100;
    if (Math.abs(recipe.dryFilmUm[end] / dry - 1) > 0.15)
      faults.push(
        contradiction(
          [...path, 'dryFilmUm', end],
          `dryFilmUm is ${recipe.dryFilmUm[end]}; ${recipe.wetFilmUm[end]} µm wet at these solids dries to ${dry.toFixed(1)}.`,
        ),
      );
  });
  return faults;
}

/**
 * Where the sheet's own limits allow a panel temperature that none of its grades reaches: told, not
 * refused.
 */
export function uncoveredRange(
  sheet: Sheet,
  products: Products,
): { lowC: number; highC: number } | undefined {
  const grades = (sheet.grades ?? []).flatMap((id) => products.get(id)?.grade ?? []);
  if (grades.length === 0 || !sheet.limits) return undefined;
  const low = Math.min(...grades.map((g) => g.minC ?? -Infinity));
  const high = Math.max(...grades.map((g) => g.maxC ?? Infinity));
  const { minPanelC, maxPanelC } = sheet.limits;
  if (minPanelC !== undefined && minPanelC < low) return { lowC: minPanelC, highC: low };
  return maxPanelC !== undefined && maxPanelC > high ? { lowC: high, highC: maxPanelC } : undefined;
}
