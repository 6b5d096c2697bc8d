/**
 * A sheet as it is being typed: kept loose until it is whole, for what is not printed stays absent.
 */
import { textOf, type Json } from '@orthochrom/contract/sheet/byPath.ts';
import { refusalOf, type RefusalReport } from '@orthochrom/contract/quantity/refusal.ts';
import { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { sheetFaults } from '@orthochrom/contract/sheet/sheetChecks.ts';

export type SheetDraft = { [key: string]: Json };

/** Without what was left empty. */
export function pruned(value: Json): Json {
  if (value === '' || value === null || value === undefined) return undefined;
  if (typeof value !== 'object') return value;
  if (Array.isArray(value)) {
    const list = value.map(pruned).filter((item) => item !== undefined);
    return list.length > 0 ? list : undefined;
  }
  const entries = Object.entries(value)
    .map(([key, inner]) => [key, pruned(inner)] as const)
    .filter(([, inner]) => inner !== undefined);
  return entries.length > 0 ? Object.fromEntries(entries) : undefined;
}

const PAINTS = ['primer', 'sealer', 'base', 'effect', 'clear', 'singleStage'];
export const isPaint = (draft: SheetDraft): boolean => PAINTS.includes(textOf(draft['kind']));

/** The sheet as it would be saved. */
export function sheetOf(draft: SheetDraft): SheetDraft {
  const { recipes, ...rest } = draft;
  const whole = isPaint(draft) ? { ...rest, recipes } : rest;
  const use = Array.isArray(recipes)
    ? recipes.map((recipe) => ({ use: '', ...(pruned(recipe) as object | undefined) }))
    : undefined;
  const plain = (pruned(whole) ?? {}) as SheetDraft;
  return use && isPaint(draft) ? { ...plain, recipes: use } : plain;
}

/** What is wrong with it, field by field; empty when it may be issued. */
export function misfits(
  draft: SheetDraft,
  products: ReadonlyMap<string, Sheet>,
): Map<string, string> {
  const given = sheetOf(draft);
  const parsed = Sheet.safeParse(given);
  const listed = (report: RefusalReport) => [report, ...(report.more ?? [])];
  const faults = parsed.success
    ? sheetFaults(parsed.data, new Map(products).set(parsed.data.id, parsed.data))
    : listed(refusalOf(parsed.error, given));
  return new Map(faults.map(({ path, message }) => [path.join('.'), message]));
}

/** An id that no other product has, from its name. */
export function idFrom(name: string, taken: ReadonlySet<string>): string {
  const plain =
    name
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '') || 'product';
  if (!taken.has(plain)) return plain;
  for (let i = 2; ; i++) if (!taken.has(`${plain}-${i}`)) return `${plain}-${i}`;
}

export const emptySheet = (today: string): SheetDraft => ({
  name: '',
  line: '',
  kind: 'base',
  number: 1,
  issuedOn: today,
  source: 'sheet',
  carrier: 'solvent',
  recipes: [{ name: '1:1', use: '', parts: [{ role: 'paint', product: 'self', parts: 1 }] }],
});
