/** What lies aside, held against the contract: a screen must be able to show it. */
import { Painter, Room, Shop, StoredCup } from '@orthochrom/contract/shop/setup.ts';
import { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';
import type { z } from 'zod';
import { SheetVersionTable, type SheetVersionRow } from '../sheet/sheetTables.ts';
import { cupOf, painterOf, roomOf, shopOf } from '../shop/shopReader.ts';
import { CupTable, PainterTable, RoomTable, ShopTable } from '../shop/shopTables.ts';
import { notAShop } from './readShopFile.ts';

/** @param manager of the place aside, brought up to date */
export async function checkAside(manager: EntityManager): Promise<void> {
  const each = async <Row extends ObjectLiteral & { id: string }>(
    table: EntitySchema<Row>,
    schema: z.ZodType,
    shown: (row: Row) => unknown,
  ): Promise<number> => {
    const rows = await manager.find(table);
    for (const row of rows) {
      const { error } = schema.safeParse(shown(row));
      const issue = error?.issues[0];
      if (issue)
        throw notAShop(
          `${table.options.tableName} ${row.id}, ${issue.path.join('.')}: ${issue.message}.`,
        );
    }
    return rows.length;
  };
  const shops = await each(ShopTable, Shop, shopOf);
  if (shops !== 1) throw notAShop(`It holds ${shops} shops where one is wanted.`);
  await each(PainterTable, Painter, painterOf);
  await each(RoomTable, Room, roomOf);
  await each(CupTable, StoredCup, cupOf);
  await each(SheetVersionTable, Sheet, ({ body }: SheetVersionRow) => body);
}
