import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import { EntitySchema } from 'typeorm';
import {
  edited,
  ids,
  integers,
  key,
  refersTo,
  structures,
  texts,
  type EditedRow,
} from '../database/columns.ts';

/** A product keeps its identity; `code` is the id its sheets carry. */
export type ProductRow = EditedRow & {
  shopId: string;
  code: string;
  name: string;
  kind: string;
  carrier: string;
};
export const ProductTable = new EntitySchema<ProductRow>({
  name: 'Product',
  tableName: 'product',
  columns: {
    ...key('product'),
    ...ids('shopId'),
    ...texts('code', 'name', 'kind', 'carrier'),
    ...edited,
  },
  uniques: [{ name: 'product_shop_code', columns: ['shopId', 'code'] }],
  foreignKeys: [refersTo('product', 'shopId', 'Shop')],
});

/** One issue of a data sheet. Never updated. */
export type SheetVersionRow = {
  id: string;
  productId: string;
  number: number;
  issuedOn: string;
  source: string;
  body: Sheet;
  createdAt: Date;
};
export const SheetVersionTable = new EntitySchema<SheetVersionRow>({
  name: 'SheetVersion',
  tableName: 'sheet_version',
  columns: {
    ...key('sheet_version'),
    ...ids('productId'),
    ...integers('number'),
    issuedOn: { type: 'date', name: 'issued_on' },
    ...texts('source'),
    ...structures('body'),
    createdAt: edited.createdAt,
  },
  uniques: [{ name: 'sheet_version_product_number', columns: ['productId', 'number'] }],
  foreignKeys: [refersTo('sheet_version', 'productId', 'Product')],
});
