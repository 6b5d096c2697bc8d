/**
 * The sheet's recipe under the names of the products really taken: the grade, the hardener, the
 * adjuster of this air.
 */
import type { InputOf } from '../registry.ts';
import type { Sheet, SheetRecipe } from '../sheet/sheet.ts';
import type { GradeInUse } from './gradeInUse.ts';
import { recipeOf, shortName, type PlanContext } from './planContext.ts';
import { reductionBeyond } from './reduction.ts';

export type MixParts = {
  recipe: {
    parts: { name: string; parts: number; role: Role }[];
    additions?: Addition[];
  };
  sheet: NonNullable<InputOf<'mix'>['sheet']>;
  densitiesGPerMl: Record<string, number>;
  vocGPerL: Record<string, number>;
};
type Addition = {
  name: string;
  percent: number;
  of: 'paint' | 'mixSoFar' | 'finalMix';
  role: Role;
};
type Role = 'paint' | 'hardener' | 'reducer' | 'adjuster' | 'additive';
/** A blend of grades is poured as one part; the card shows what it is made of. */
export const BLEND_NAME = 'Reducer';
type Member = { name: string; densityGPerMl: number; vocGPerL: number };

const memberOf = (sheet: Sheet): Member => ({
  name: shortName(sheet),
  densityGPerMl: sheet.densityGPerMl,
  vocGPerL: sheet.vocGPerL ?? 0,
});

const byGradeName = (
  { products }: PlanContext,
  ids: readonly string[] | undefined,
  name: string,
): Sheet | undefined =>
  (ids ?? []).map((id) => products.get(id)).find((sheet) => sheet?.grade?.name === name);

function reducerMember(context: PlanContext, { parts }: GradeInUse): Member | undefined {
  const members = parts.flatMap(({ name, fraction }) => {
    const sheet = byGradeName(context, context.sheet.grades, name);
    return sheet ? [{ ...memberOf(sheet), fraction }] : [];
  });
  if (members.length <= 1) return members[0];
  const average = (of: (m: Member) => number) =>
    members.reduce((sum, m) => sum + m.fraction * of(m), 0);
  return {
    name: BLEND_NAME,
    densityGPerMl: average((m) => m.densityGPerMl),
    vocGPerL: average((m) => m.vocGPerL),
  };
}

function memberFor(context: PlanContext, inUse: GradeInUse, product: string): Member | undefined {
  if (product === 'self') return memberOf(context.sheet);
  if (product === 'reducer') return reducerMember(context, inUse);
  if (product === 'hardener') {
    const sheet = byGradeName(context, context.sheet.hardeners, inUse.hardener ?? '');
    return sheet && memberOf(sheet);
  }
  const sheet = context.products.get(product);
  return sheet && memberOf(sheet);
}

/** @returns undefined while a part cannot be named: the shop lacks the product the sheet wants */
export function takenRecipe(context: PlanContext, inUse: GradeInUse): MixParts | undefined {
  const recipe = recipeOf(context);
  const parts = recipe.parts.map((part) => ({
    part,
    member: memberFor(context, inUse, part.product),
  }));
  const added = additionsOf(context, inUse).map((addition) => ({
    addition,
    member: memberFor(context, inUse, addition.product),
  }));
  if ([...parts, ...added].some(({ member }) => !member)) return undefined;
  const members = [...parts, ...added].map(({ member }) => member!);
  const named = parts.map(({ part, member }) => ({
    name: member!.name,
    parts: part.parts,
    role: part.role,
  }));
  const additions = added.map(({ addition: { percent, of, role }, member }): Addition => ({
    name: member!.name,
    percent,
    of,
    role,
  }));
  return {
    recipe: { parts: named, ...(additions.length > 0 ? { additions } : {}) },
    sheet: {
      parts: [
        ...named,
        ...additions.map((addition) => ({
          name: addition.name,
          parts: partsOf(addition, named),
          role: addition.role,
        })),
      ],
      ...(context.sheet.reduction ? { reduction: context.sheet.reduction } : {}),
    },
    densitiesGPerMl: Object.fromEntries(
      members.map(({ name, densityGPerMl }) => [name, densityGPerMl]),
    ),
    vocGPerL: Object.fromEntries(members.map(({ name, vocGPerL }) => [name, vocGPerL])),
  };
}

/** A per cent as parts beside the recipe's own. */
function partsOf(
  { percent, of }: Addition,
  named: readonly { parts: number; role: Role }[],
): number {
  const all = named.reduce((sum, { parts }) => sum + parts, 0);
  const paint = named
    .filter(({ role }) => role === 'paint')
    .reduce((sum, { parts }) => sum + parts, 0);
  if (of === 'paint') return (paint * percent) / 100;
  return of === 'mixSoFar'
    ? (all * percent) / 100
    : (all * percent) / Math.max(1e-9, 100 - percent);
}

type SheetAddition = NonNullable<SheetRecipe['additions']>[number];

/**
 * All that is added by per cent: the recipe's own, none left out; the adjuster by the grid only
 * where the recipe leaves it open.
 */
function additionsOf(context: PlanContext, inUse: GradeInUse): SheetAddition[] {
  const own = recipeOf(context).additions ?? [];
  const byRecipe = own.map((addition) =>
    isOpen(addition) ? { ...addition, ...dosed(addition, inUse) } : addition,
  );
  const named = own.some(({ role }) => role === 'adjuster');
  const byGrid: SheetAddition[] =
    !named && inUse.adjuster
      ? [
          {
            role: 'adjuster',
            product: inUse.adjuster,
            percent: inUse.adjusterPercentOfPaint ?? 0,
            of: 'paint',
          },
        ]
      : [];
  const beyond = reductionBeyond(context);
  const reducer: SheetAddition[] =
    beyond.sheetPercent > 0
      ? [{ role: 'reducer', product: 'reducer', percent: beyond.sheetPercent, of: beyond.of }]
      : [];
  return [...byRecipe, ...byGrid, ...reducer].filter(({ percent }) => percent > 0);
}

const isOpen = ({ role, byGrid }: SheetAddition): boolean => role === 'adjuster' && byGrid === true;

const dosed = (
  { product, percent }: SheetAddition,
  { adjuster, adjusterPercentOfPaint }: GradeInUse,
) => ({
  product: adjuster ?? product,
  percent: adjusterPercentOfPaint ?? percent,
  of: 'paint' as const,
});

/** Whether the sheet's grid rules this recipe's adjuster, or the recipe says its own per cent. */
export function gridRules(context: Pick<PlanContext, 'sheet' | 'stage'>): boolean {
  const adjusters = (recipeOf(context).additions ?? []).filter(({ role }) => role === 'adjuster');
  return (
    context.sheet.adjusterGrid !== undefined && (adjusters.length === 0 || adjusters.some(isOpen))
  );
}
