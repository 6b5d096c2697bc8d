import type {
  Painter,
  ProductPrices,
  Room,
  Shop,
  StoredCup,
  StoredGun,
} from '@orthochrom/contract/shop/setup.ts';
import { EntitySchema } from 'typeorm';
import {
  booleans,
  doubles,
  edited,
  ids,
  instants,
  integers,
  key,
  optionalBooleans,
  optionalDoubles,
  optionalInstants,
  optionalStructures,
  optionalTexts,
  refersTo,
  structures,
  texts,
  type EditedRow,
  type Nullable,
} from '../database/columns.ts';

export type ShopRow = EditedRow & Nullable<Omit<Shop, 'id' | 'version'>> & { nextTicketNo: number };
export const ShopTable = new EntitySchema<ShopRow>({
  name: 'Shop',
  tableName: 'shop',
  columns: {
    ...key('shop'),
    ...texts('name', 'timeZone', 'ticketPrefix'),
    ...optionalTexts('currency'),
    ...optionalStructures('hours'),
    ...optionalBooleans('apprenticeAsks'),
    ...integers('nextTicketNo'),
    ...edited,
  },
});

export type PainterRow = EditedRow & Nullable<Omit<Painter, 'id' | 'version'>> & { shopId: string };
export const PainterTable = new EntitySchema<PainterRow>({
  name: 'Painter',
  tableName: 'painter',
  columns: {
    ...key('painter'),
    ...ids('shopId'),
    ...texts('name', 'skill'),
    ...structures('units', 'way'),
    ...optionalStructures('prepWay'),
    ...optionalTexts('role'),
    ...edited,
  },
  foreignKeys: [refersTo('painter', 'shopId', 'Shop')],
});

export type RoomRow = EditedRow &
  Nullable<Omit<Room, 'id' | 'version'>> & {
    shopId: string;
  };
export const RoomTable = new EntitySchema<RoomRow>({
  name: 'Room',
  tableName: 'room',
  columns: {
    ...key('room'),
    ...ids('shopId'),
    ...texts('name', 'place', 'airMovement', 'airflow', 'extraction', 'region', 'note'),
    ...booleans('heated'),
    ...optionalDoubles('airSpeedMPerS', 'capLimitKPa'),
    ...optionalBooleans('wetsFloor', 'filtered', 'sideLight'),
    ...optionalTexts('carEndAtFan'),
    siliconeLastOn: { type: 'date', name: 'silicone_last_on', nullable: true },
    ...structures('regionRules'),
    ...optionalStructures('ignitionSources'),
    ...edited,
  },
  foreignKeys: [refersTo('room', 'shopId', 'Shop')],
});

/**
 * `body` is the gun without its nozzle sets; those have rows of their own, for settings and tests
 * belong to them.
 */
export type GunRow = EditedRow &
  Omit<StoredGun, 'id' | 'version' | 'gun' | 'sets'> & {
    shopId: string;
    class: string;
    body: Omit<StoredGun['gun'], 'nozzleSets' | 'nozzlesMm'>;
  };
export const GunTable = new EntitySchema<GunRow>({
  name: 'Gun',
  tableName: 'gun',
  columns: {
    ...key('gun'),
    ...ids('shopId'),
    ...texts('name', 'class', 'gaugeTrust', 'note'),
    ...structures('usedFor', 'body', 'intervals'),
    ...edited,
  },
  foreignKeys: [refersTo('gun', 'shopId', 'Shop')],
});

export type NozzleSetRow = {
  id: string;
  gunId: string;
  ordinal: number;
  nozzleMm: number;
  needle: string | null;
  cap: string | null;
  fittedSince: Date;
  retiredAt: Date | null;
};
export const NozzleSetTable = new EntitySchema<NozzleSetRow>({
  name: 'NozzleSet',
  tableName: 'nozzle_set',
  columns: {
    ...key('nozzle_set'),
    ...ids('gunId'),
    ...integers('ordinal'),
    ...doubles('nozzleMm'),
    ...optionalTexts('needle', 'cap'),
    ...instants('fittedSince'),
    ...optionalInstants('retiredAt'),
  },
  foreignKeys: [refersTo('nozzle_set', 'gunId', 'Gun')],
});

export type CupRow = EditedRow &
  Omit<StoredCup, 'id' | 'version' | 'strainerUm'> & { shopId: string; strainerUm: number | null };
export const CupTable = new EntitySchema<CupRow>({
  name: 'Cup',
  tableName: 'cup',
  columns: {
    ...key('cup'),
    ...ids('shopId'),
    ...texts('name'),
    ...doubles('capacityMl'),
    ...structures('marksMl', 'scales'),
    ...optionalDoubles('strainerUm'),
    ...edited,
  },
  foreignKeys: [refersTo('cup', 'shopId', 'Shop')],
});

export type ProductPricesRow = EditedRow & { shopId: string } & Omit<
    ProductPrices,
    'id' | 'version'
  >;
export const ProductPricesTable = new EntitySchema<ProductPricesRow>({
  name: 'ProductPrices',
  tableName: 'product_prices',
  columns: {
    ...key('product_prices'),
    ...ids('shopId'),
    ...texts('productId'),
    ...structures('prices'),
    ...edited,
  },
  uniques: [{ name: 'product_prices_shop_product', columns: ['shopId', 'productId'] }],
  foreignKeys: [refersTo('product_prices', 'shopId', 'Shop')],
});
