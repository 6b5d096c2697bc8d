/**
 * How much reducer this recipe holds, beyond or within its parts: the sheet's word, and for clear
 * the painter's own habit.
 */
import type { InputOf } from '../registry.ts';
import { recipeOf, type PlanContext } from './planContext.ts';

type Reduction = NonNullable<InputOf<'reducer'>['reduction']>;
/** Stands in a recipe for whichever grade is taken. */
export const REDUCER = 'reducer';
const NONE: Reduction = { sheetPercent: 0, maxPercent: 0, of: 'paint' };

/** Reducer is a part of the recipe itself, or one of its additions. */
export const holdsReducer = (context: PlanContext): boolean => {
  const { parts, additions = [] } = recipeOf(context);
  return [...parts, ...additions].some(({ role }) => role === 'reducer');
};

/**
 * Reducer that is poured beyond the recipe's own parts. The sheet's usual per cent; clear goes
 * without, unless the painter's habit is to take it up to the sheet's most.
 */
export function reductionBeyond(context: PlanContext): Reduction {
  const { sheet, stage, painter } = context;
  if (!sheet.reduction || holdsReducer(context)) return NONE;
  const dose = context.doses?.find(({ product }) => product === REDUCER);
  // What is over the sheet's most is told where it is mixed; here it only picks a grade.
  if (dose)
    return {
      ...sheet.reduction,
      sheetPercent: Math.min(dose.percent, sheet.reduction.maxPercent),
    };
  if (stage.kind !== 'clear') return sheet.reduction;
  return painter.way.clearReduction === 'sheet'
    ? { ...sheet.reduction, sheetPercent: sheet.reduction.maxPercent }
    : NONE;
}

/** Whether any reducer goes into this coat's mix: only then is there a grade to choose. */
export const isReduced = (context: PlanContext): boolean =>
  holdsReducer(context) || reductionBeyond(context).sheetPercent > 0;
