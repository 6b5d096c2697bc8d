/**
 * A mix that runs too slow through its cup: how much reducer brings it to the seconds that are
 * wanted, in two halves with a timing between, and never past what the sheet allows.
 */
import type { Role } from '@orthochrom/core/trade/vocabulary.ts';
import { viscosityCalculation } from '../calculations/viscosity.ts';
import { outcomeOf } from '../calculations/outcome.ts';
import type { FlowCup, Mix } from '../shop/ticket.ts';
import type { Sheet } from '../sheet/sheet.ts';

export type Thinned = {
  name: string;
  /** Wanted by the model for the seconds. */
  wantedMl: number;
  /** Half of what may be added: pour it, stir, time it again. */
  firstMl: number;
  /** What the sheet still lets in; nothing where this paint takes no reducer. */
  mostMl: number;
};

type Timed = { mix: Mix; sheet: Sheet; flowCup: FlowCup; wantedSeconds: number };
const PERCENT = 100;

/**
 * Undefined where it is thin enough, no reducer is in the recipe, or nothing is known of the paint.
 */
export function thinnedTo({ mix, sheet, flowCup, wantedSeconds }: Timed): Thinned | undefined {
  const { parts, additions = [] } = mix.recipe;
  const reducer = [...parts, ...additions].find(({ role }) => role === 'reducer');
  if (!reducer || !sheet.materialClass) return undefined;
  const outcome = outcomeOf(viscosityCalculation, {
    ...flowCup,
    wantedSeconds,
    class: sheet.materialClass,
  });
  const answer = 'answer' in outcome ? outcome.answer : undefined;
  const percent = answer?.addReducerPercentOfPaint?.value;
  if (percent === undefined) return undefined;
  const paintMl = pouredMl(mix, 'paint');
  const wantedMl = (percent / PERCENT) * paintMl;
  const mostMl = roomFor(mix, sheet);
  return { name: reducer.name, wantedMl, firstMl: Math.min(wantedMl, mostMl) / 2, mostMl };
}

/** What was poured of a role; what was weighed counts by its share of the whole. */
function pouredMl({ recipe, poured, readyMl }: Mix, role: Role): number {
  const of = new Set(
    [...recipe.parts, ...(recipe.additions ?? [])]
      .filter((part) => part.role === role)
      .map(({ name }) => name),
  );
  const amountOf = (part: Mix['poured'][number]) => ('ml' in part ? part.ml : part.grams);
  const sum = (all: Mix['poured']): number =>
    all.reduce((total, part) => total + amountOf(part), 0);
  const own = sum(poured.filter(({ name }) => of.has(name)));
  if (poured.every((part) => 'ml' in part)) return own;
  return (own / Math.max(1e-9, sum(poured))) * readyMl;
}

/** The sheet's most less what is in already, ml; a sheet without a figure leaves no room. */
function roomFor(mix: Mix, { reduction }: Sheet): number {
  if (!reduction) return 0;
  const isPart = mix.recipe.parts.some(({ role }) => role === 'reducer');
  const inMl = pouredMl(mix, 'reducer');
  // A part of the recipe is there beside what the sheet lets in beyond it.
  const counted = isPart ? 0 : inMl;
  const fraction = reduction.maxPercent / PERCENT;
  const paintMl = pouredMl(mix, 'paint');
  const restMl = mix.readyMl - counted;
  const mostMl =
    reduction.of === 'paint'
      ? fraction * paintMl
      : reduction.of === 'mixSoFar'
        ? fraction * restMl
        : (fraction / Math.max(1e-9, 1 - fraction)) * restMl;
  return Math.max(0, mostMl - counted);
}

/**
 * What is in the cup once so much more of a part was poured; undefined where its weight is unknown.
 */
export function pouredAfter(
  { poured }: Pick<Mix, 'poured'>,
  { name, ml }: { name: string; ml: number },
  densitiesGPerMl: Record<string, number> = {},
): Mix['poured'] | undefined {
  const density = densitiesGPerMl[name];
  const held = poured.find((part) => part.name === name);
  if (held && 'grams' in held && density === undefined) return undefined;
  if (!held) return [...poured, { name, ml }];
  return poured.map((part) =>
    part.name !== name
      ? part
      : 'ml' in part
        ? { name, ml: part.ml + ml }
        : { name, grams: part.grams + ml * density! },
  );
}
