/**
 * The sheet's recipe under the names of the products really taken: the grade, the hardener, the
 * adjuster of this air.
 */
import type { InputOf } from '../registry.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { additionsOf } from './additions.ts';
import type { GradeInUse } from './gradeInUse.ts';
import { recipeOf, shortName, type PlanContext } from './planContext.ts';
import { tintedParts } from './tint.ts';

export type MixParts = {
  recipe: {
    parts: { name: string; parts: number; role: Role }[];
    additions?: Addition[];
  };
  sheet: NonNullable<InputOf<'mix'>['sheet']>;
  densitiesGPerMl: Record<string, number>;
  vocGPerL: Record<string, number>;
  /** Which product is poured under a name; of a blend each with its share. */
  products: Record<string, { product: string; fraction: number }[]>;
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
type Member = {
  name: string;
  densityGPerMl: number;
  vocGPerL: number;
  products: MixParts['products'][string];
};

const memberOf = (sheet: Sheet): Member => ({
  name: shortName(sheet),
  products: [{ product: sheet.id, fraction: 1 }],
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
    products: members.map(({ products: [own], fraction }) => ({
      product: own!.product,
      fraction,
    })),
    densityGPerMl: average((m) => m.densityGPerMl),
    vocGPerL: average((m) => m.vocGPerL),
  };
}

function memberFor(context: PlanContext, inUse: GradeInUse, product: string): Member | undefined {
  if (product === 'self' || product === context.sheet.id) return memberOf(context.sheet);
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
  const parts = tintedParts(recipe.parts, context.stage).map((part) => ({
    part,
    member: named(memberFor(context, inUse, part.product), part.name),
  }));
  const added = additionsOf(context, inUse).map((addition) => ({
    addition,
    member: memberFor(context, inUse, addition.product),
  }));
  if ([...parts, ...added].some(({ member }) => !member)) return undefined;
  const members = [...parts, ...added].map(({ member }) => member!);
  const inParts = parts.map(({ part, member }) => ({
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
    recipe: { parts: inParts, ...(additions.length > 0 ? { additions } : {}) },
    sheet: {
      parts: [
        ...inParts,
        ...additions.map((addition) => ({
          name: addition.name,
          parts: partsOf(addition, inParts),
          role: addition.role,
        })),
      ],
      ...(context.sheet.reduction ? { reduction: context.sheet.reduction } : {}),
    },
    densitiesGPerMl: Object.fromEntries(
      members.map(({ name, densityGPerMl }) => [name, densityGPerMl]),
    ),
    vocGPerL: Object.fromEntries(members.map(({ name, vocGPerL }) => [name, vocGPerL])),
    products: Object.fromEntries(members.map(({ name, products }) => [name, products])),
  };
}

/** Under the name of its shade, where it has one. */
const named = (member: Member | undefined, name: string | undefined): Member | undefined =>
  member && name !== undefined ? { ...member, name } : member;

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
