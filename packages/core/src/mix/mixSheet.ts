/**
 * A recipe held against the product's own sheet: roles, shares, and what the sheet does not name.
 */
import { FLOWS_WELL_C } from '../air/limits.ts';
import type { Role } from '../trade/vocabulary.ts';
import { caution, stop, type Verdict } from '../outcome/verdicts.ts';
import type { Reduction } from '../reducer/asked.ts';
import { paintShare, sharesOf, type RecipePart, type Share } from './recipe.ts';

export type MixSheet = {
  parts: (RecipePart & { role: Role })[];
  reduction?: Reduction;
  tolerancePercent?: number;
};

/**
 * Hardener off by more than this, in per cent of its own share, is refused unless the sheet says
 * otherwise.
 */
export const HARDENER_TOLERANCE_PERCENT = 10;
/** Two ratios are the same within this; less than a cup's line is thick. */
const SAME_RATIO = 0.02;
/** Over the sheet's own part only counts once it is more than a drop. */
const DROP = 1.005;

const perPaint = (shares: readonly Share[], role: Role): number =>
  shares.filter((s) => s.role === role).reduce((sum, s) => sum + s.share, 0) / paintShare(shares);

const ratioText = (sheet: MixSheet): string =>
  `${sheet.parts.map((p) => `${p.name} ${p.parts}`).join(' : ')}`;

/** Fills roles that a recipe leaves out from the sheet's part of the same name. */
export const withSheetRoles = (shares: readonly Share[], sheet?: MixSheet): Share[] =>
  shares.map((share) => {
    const role = share.role ?? sheet?.parts.find(({ name }) => name === share.name)?.role;
    return role ? { ...share, role } : { ...share };
  });

/** All that stands against these shares on the sheet. */
export function sheetVerdicts(mixed: readonly Share[], sheet: MixSheet): Verdict[] {
  const shares = withSheetRoles(mixed, sheet);
  const ideal = sharesOf({ parts: sheet.parts });
  const [hardener, reducer] = [perPaint(shares, 'hardener'), perPaint(shares, 'reducer')];
  const [sheetHardener, sheetReducer] = [perPaint(ideal, 'hardener'), perPaint(ideal, 'reducer')];
  const verdicts = unnamedParts(shares, sheet);
  if (areSwapped({ hardener, reducer, sheetHardener, sheetReducer }))
    return [...verdicts, stop('hardener-reducer-swapped', { sheet: ratioText(sheet) })];
  if (sheetHardener > 0) {
    const percent = (hardener / sheetHardener - 1) * 100;
    if (Math.abs(percent) > (sheet.tolerancePercent ?? HARDENER_TOLERANCE_PERCENT) + 1e-9)
      verdicts.push(stop('hardener-off-sheet', { percent, sheet: ratioText(sheet) }));
  }
  return [...verdicts, ...reducerVerdicts(shares, sheet, sheetReducer)];
}

function areSwapped(of: {
  hardener: number;
  reducer: number;
  sheetHardener: number;
  sheetReducer: number;
}): boolean {
  const alike = (a: number, b: number) => Math.abs(a - b) <= SAME_RATIO * Math.max(a, b);
  if (of.sheetReducer === 0 || of.sheetHardener === 0 || alike(of.sheetHardener, of.sheetReducer))
    return false;
  const cross =
    Math.abs(Math.log(of.hardener / of.sheetReducer || 1e-9)) +
    Math.abs(Math.log(of.reducer / of.sheetHardener || 1e-9));
  const straight =
    Math.abs(Math.log(of.hardener / of.sheetHardener || 1e-9)) +
    Math.abs(Math.log(of.reducer / of.sheetReducer || 1e-9));
  return cross < straight && cross < 0.3;
}

/** What the sheet has in the place of a part it does not name. */
function namedOnSheet({ parts }: MixSheet, role: Role | undefined): string {
  const same = parts.filter((part) => role !== undefined && part.role === role);
  return (same.length > 0 ? same : parts).map(({ name }) => name).join(' or ');
}

function unnamedParts(shares: readonly Share[], sheet: MixSheet): Verdict[] {
  const hasOwnReducer = sheet.parts.some(({ role }) => role === 'reducer');
  return shares
    .filter(({ name }) => !sheet.parts.some((part) => part.name === name))
    .filter(({ role, share }) => share > 0 && (role !== 'reducer' || hasOwnReducer))
    .map(({ name, role }) => stop('wrong-system', { name, right: namedOnSheet(sheet, role) }));
}

function reducerVerdicts(
  shares: readonly Share[],
  sheet: MixSheet,
  sheetReducer: number,
): Verdict[] {
  const reducer = perPaint(shares, 'reducer');
  const extra = sheet.reduction ? reductionPerPaint(sheet.reduction, shares) : 0;
  if (reducer > 0 && sheetReducer === 0 && extra === 0)
    return [stop('reducer-not-on-sheet', { warmC: FLOWS_WELL_C })];
  const most = sheetReducer + extra;
  if (reducer <= most * DROP) return [];
  return [caution('reducer-over-sheet', { percent: reducer * 100, maxPercent: most * 100 })];
}

/**
 * The most reducer a sheet allows beyond its own parts, per volume of paint, whatever its basis.
 */
function reductionPerPaint({ maxPercent, of }: Reduction, shares: readonly Share[]): number {
  const fraction = maxPercent / 100;
  const rest =
    shares.filter(({ role }) => role !== 'reducer').reduce((sum, s) => sum + s.share, 0) /
    paintShare(shares);
  if (of === 'paint') return fraction;
  return of === 'mixSoFar' ? fraction * rest : (fraction / Math.max(1e-9, 1 - fraction)) * rest;
}
