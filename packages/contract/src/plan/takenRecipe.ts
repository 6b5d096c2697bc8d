/** The sheet's recipe under the names of the products really taken: the grade, the hardener, the adjuster of this air. */
import type { AnswerOf, InputOf } from '../registry.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { recipeOf, shortName, type PlanContext } from './planContext.ts';

export type MixParts = {
  recipe: {
    parts: { name: string; parts: number; role: Role }[];
    additions?: { name: string; percent: number; of: 'paint' | 'mixSoFar' | 'finalMix'; role: Role }[];
  };
  sheet: NonNullable<InputOf<'mix'>['sheet']>;
  densitiesGPerMl: Record<string, number>;
  vocGPerL: Record<string, number>;
};
type Role = 'paint' | 'hardener' | 'reducer' | 'adjuster' | 'additive';
type Choice = NonNullable<AnswerOf<'reducer'>['choice']>;
/** A blend of grades is poured as one part; the card shows what it is made of. */
export const BLEND_NAME = 'Reducer';
type Member = { name: string; densityGPerMl: number; vocGPerL: number };

const memberOf = (sheet: Sheet): Member => ({
  name: shortName(sheet),
  densityGPerMl: sheet.densityGPerMl,
  vocGPerL: sheet.vocGPerL ?? 0,
});

const byGradeName = ({ products }: PlanContext, ids: readonly string[] | undefined, name: string): Sheet | undefined =>
  (ids ?? []).map((id) => products.get(id)).find((sheet) => sheet?.grade?.name === name);

function reducerMember(context: PlanContext, parts: Choice['parts']): Member | undefined {
  const members = parts.flatMap(({ name, fraction }) => {
    const sheet = byGradeName(context, context.sheet.grades, name);
    return sheet ? [{ ...memberOf(sheet), fraction }] : [];
  });
  if (members.length <= 1) return members[0];
  const average = (of: (m: Member) => number) => members.reduce((sum, m) => sum + m.fraction * of(m), 0);
  return { name: BLEND_NAME, densityGPerMl: average((m) => m.densityGPerMl), vocGPerL: average((m) => m.vocGPerL) };
}

function memberFor(context: PlanContext, choice: Choice, product: string): Member | undefined {
  if (product === 'self') return memberOf(context.sheet);
  if (product === 'reducer') return reducerMember(context, choice.parts);
  if (product === 'hardener') {
    const sheet = byGradeName(context, context.sheet.hardeners, choice.hardener ?? '');
    return sheet && memberOf(sheet);
  }
  const sheet = context.products.get(product);
  return sheet && memberOf(sheet);
}

/** @returns undefined while a part cannot be named: the shop lacks the product the sheet wants */
export function takenRecipe(context: PlanContext, choice: Choice): MixParts | undefined {
  const recipe = recipeOf(context);
  const parts = recipe.parts.map((part) => ({ part, member: memberFor(context, choice, part.product) }));
  if (parts.some(({ member }) => !member)) return undefined;
  const adjuster = adjusterOf(context, choice);
  const members = [...parts.map(({ member }) => member!), ...(adjuster ? [adjuster.member] : [])];
  const named = parts.map(({ part, member }) => ({ name: member!.name, parts: part.parts, role: part.role }));
  const additions = adjuster
    ? [{ name: adjuster.member.name, percent: adjuster.percent, of: 'paint' as const, role: 'adjuster' as const }]
    : [];
  const paintParts = named.find(({ role }) => role === 'paint')?.parts ?? 1;
  return {
    recipe: { parts: named, ...(additions.length > 0 ? { additions } : {}) },
    sheet: {
      parts: [...named, ...additions.map(({ name, percent, role }) => ({ name, parts: (paintParts * percent) / 100, role }))],
      ...(context.sheet.reduction ? { reduction: context.sheet.reduction } : {}),
    },
    densitiesGPerMl: Object.fromEntries(members.map(({ name, densityGPerMl }) => [name, densityGPerMl])),
    vocGPerL: Object.fromEntries(members.map(({ name, vocGPerL }) => [name, vocGPerL])),
  };
}

/** The grid's adjuster and dose beat the recipe's own; a dose of nothing is left out. */
function adjusterOf(context: PlanContext, choice: Choice): { member: Member; percent: number } | undefined {
  const own = recipeOf(context).additions?.find(({ role }) => role === 'adjuster');
  const percent = choice.adjusterPercentOfPaint ?? own?.percent ?? 0;
  const sheet = context.products.get(choice.adjuster ?? own?.product ?? '');
  return sheet && percent > 0 ? { member: memberOf(sheet), percent } : undefined;
}
