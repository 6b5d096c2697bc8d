/**
 * All that is added by per cent: the recipe's own, none left out; the adjuster by the grid only
 * where the recipe leaves it open; reducer beyond the recipe; and what the painter doses himself.
 */
import type { SheetRecipe } from '../sheet/sheet.ts';
import type { GradeInUse } from './gradeInUse.ts';
import { recipeOf, type PlanContext } from './planContext.ts';
import { holdsReducer, REDUCER, reductionBeyond } from './reduction.ts';

export type SheetAddition = NonNullable<SheetRecipe['additions']>[number];
export type Dose = NonNullable<PlanContext['doses']>[number];

/** As sheet, grid and habit have it. */
export function additionsUsual(context: PlanContext, inUse: GradeInUse): SheetAddition[] {
  const own = recipeOf(context).additions ?? [];
  const byRecipe = own.map((addition) =>
    isOpen(addition) ? { ...addition, ...byTheGrid(addition, inUse) } : addition,
  );
  const isNamed = own.some(({ role }) => role === 'adjuster');
  const byGrid: SheetAddition[] =
    !isNamed && inUse.adjuster
      ? [
          {
            role: 'adjuster',
            product: inUse.adjuster,
            percent: inUse.adjusterPercentOfPaint ?? 0,
            of: 'paint',
          },
        ]
      : [];
  const { sheetPercent, of } = reductionBeyond({ ...context, doses: [] });
  const reducer: SheetAddition[] =
    sheetPercent > 0 ? [{ role: 'reducer', product: REDUCER, percent: sheetPercent, of }] : [];
  return [...byRecipe, ...byGrid, ...reducer];
}

/**
 * What may be dosed by hand: what goes in anyway, reducer up to the sheet's most, its additives.
 */
export function additionsOnOffer(context: PlanContext, inUse: GradeInUse): SheetAddition[] {
  const usual = additionsUsual(context, inUse);
  const { reduction, additives = [] } = context.sheet;
  const isIn = (product: string) => usual.some((one) => one.product === product);
  const more = additives
    .filter(({ id }) => !isIn(id))
    .map(({ id, of }): SheetAddition => ({ role: 'additive', product: id, percent: 0, of }));
  const mayReduce = reduction && reduction.maxPercent > 0 && !holdsReducer(context);
  const reducer: SheetAddition[] =
    mayReduce && !isIn(REDUCER)
      ? [{ role: 'reducer', product: REDUCER, percent: 0, of: reduction.of }]
      : [];
  return [...usual, ...reducer, ...more];
}

/** What goes into the cup. */
export function additionsOf(context: PlanContext, inUse: GradeInUse): SheetAddition[] {
  const doses = context.doses ?? [];
  return additionsOnOffer(context, inUse)
    .map((addition) => ({
      ...addition,
      ...doses.find(({ product }) => product === addition.product),
    }))
    .filter(({ percent }) => percent > 0);
}

/** A dose that is neither ours nor within what the sheet prints: it wants a word why. */
export function dosesBeyond(
  context: PlanContext,
  inUse: GradeInUse,
): { ours: SheetAddition; dose: Dose }[] {
  const { reduction, additives = [] } = context.sheet;
  const isPrinted = ({ product, percent, of }: Dose): boolean =>
    product === REDUCER
      ? reduction !== undefined && of === reduction.of && percent <= reduction.maxPercent
      : additives.some((one) => one.id === product && one.of === of && one.percent === percent);
  return additionsOnOffer(context, inUse).flatMap((ours) => {
    const dose = context.doses?.find(({ product }) => product === ours.product);
    const isOurs = dose?.percent === ours.percent && (dose.of === ours.of || dose.percent === 0);
    return dose && !isOurs && !isPrinted(dose) ? [{ ours, dose }] : [];
  });
}

const isOpen = ({ role, byGrid }: SheetAddition): boolean => role === 'adjuster' && byGrid === true;

const byTheGrid = (
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
