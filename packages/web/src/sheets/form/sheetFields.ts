/** What a field of a sheet may be, and the choices that several pages offer. */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { BASES } from '@orthochrom/core/trade/vocabulary.ts';
import type { Kind } from '../../units/typed.ts';
import { BASIS_NAME } from '../../words/tradeNames.ts';

export type Option = [value: string, word: string];
type Options = Option[] | ((products: readonly Sheet[]) => Option[]);
export type Field = { path: string; label: string; help?: string } & (
  | { kind: 'text' | 'date' | 'lines' | 'yesNo' }
  | { kind: 'figure' | 'band'; unit: Kind; field: string }
  | { kind: 'number' | 'numberBand' | 'numbers'; suffix: string }
  | { kind: 'choice' | 'many'; options: Options }
  | { kind: 'rows'; of: Field[]; blank: Record<string, string | number> }
);
export type SheetPage = { title: string; fields: Field[]; paintOnly?: boolean };

export const same = (values: readonly string[]): Option[] => values.map((value) => [value, value]);
export const ofKind = (kind: Sheet['kind']) => (products: readonly Sheet[]) =>
  products.filter((sheet) => sheet.kind === kind).map(({ id, name }): Option => [id, name]);
export const anyProduct = (products: readonly Sheet[]): Option[] => [
  ['self', 'this product'],
  ['reducer', 'a reducer it takes'],
  ['hardener', 'a hardener it takes'],
  ...products
    .filter(({ kind }) => kind === 'adjuster' || kind === 'additive')
    .map(({ id, name }): Option => [id, name]),
];
export const minutes = (path: string, label: string): Field => ({
  path: `recipes.$.times.${path}`,
  label,
  kind: 'number',
  suffix: 'min',
});
export const celsius = (path: string, label: string, field: string): Field => ({
  path,
  label,
  kind: 'figure',
  unit: 'temperature',
  field,
});

export const BASIS_OPTIONS = BASES.map((basis): Option => [basis, BASIS_NAME[basis]]);
