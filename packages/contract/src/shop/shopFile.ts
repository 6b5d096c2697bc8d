/**
 * A whole shop in one file: a ZIP of one JSON row a line and of pictures, which says of itself what
 * it holds and how far its tables had come.
 */
import { z } from 'zod';
import { Id } from './common.ts';

export const SHOP_FILE_FORMAT = 'orthochrom-shop';
export const SHOP_FILE_VERSION = 1;
/** Where what stands in the file. */
export const FILE_PATHS = {
  manifest: 'shop.json',
  rows: (table: string): string => `rows/${table}.ndjson`,
  schema: (table: string): string => `schemas/${table}.json`,
  picture: (table: string, id: string, column: string): string =>
    `pictures/${table}/${id}.${column}`,
} as const;

const Count = z.int().min(0);
export const ShopFileManifest = z.strictObject({
  format: z.literal(SHOP_FILE_FORMAT),
  version: z.int().min(1).max(SHOP_FILE_VERSION),
  /** The last change of the tables that it has seen: later ones are made to it as it comes in. */
  migration: z.string().min(1).max(120),
  /** In an order in which none refers to a later one. */
  tables: z.array(
    z.strictObject({ name: z.string().regex(/^[a-z][a-z_]{0,60}$/), rows: Count, pictures: Count }),
  ),
});
export type ShopFileManifest = z.infer<typeof ShopFileManifest>;

/** What stands under one key, here and in the file. */
export type RowClash = { key: string; ours: unknown; theirs: unknown };
export type TableMerge = {
  table: string;
  /** Not here yet. */
  added: number;
  /** The same in both. */
  same: number;
  /** Changed in the file only, since both had the same. */
  newerThere: number;
  /** Changed here only. */
  newerHere: number;
  /** Changed in both: who goes first is asked. */
  changedInBoth: number;
  /** The first of those that were changed in both. */
  clashes: RowClash[];
};
/** What bears one name in both and is not the same: it comes in under another. */
export type Renamed = { what: string; from: string; to: string };
export type ShopFilePreview = {
  /** Under which it is taken in or dropped. */
  id: string;
  shopName: string;
  /** There is no shop here yet: it is opened as it is. */
  opensEmpty: boolean;
  /** It is the shop of this machine, brought back. */
  isThisShop: boolean;
  tables: TableMerge[];
  renamed: Renamed[];
};

export const ShopFileTake = z.strictObject({
  /** Whose word stands where both were changed. */
  changedInBoth: z.enum(['ours', 'theirs']),
});
export type ShopFileTake = z.infer<typeof ShopFileTake>;
export const ShopFileId = Id;
