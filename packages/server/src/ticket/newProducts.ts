/** Which products of a ticket are new to this shop. */
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import type { EntityManager } from 'typeorm';
import { prepared } from '../database/prepared.ts';

/** Of these products, those of which no coat was ever laid in this shop. */
export async function newProductsOf(
  manager: EntityManager,
  sheets: readonly SheetVersion[],
): Promise<string[]> {
  const asked = [...new Set(sheets.map(({ sheet }) => sheet.id))];
  const laid = await prepared<{ code: string }>(
    manager,
    `select code from product
     where code = any($1::text[]) and exists (
       select 1 from sheet_version
       join stage on stage.sheet_version_id = sheet_version.id
       join coat on coat.stage_id = stage.id
       where sheet_version.product_id = product.id and coat.ended_at is not null
     )`,
    [asked],
  );
  return asked.filter((id) => !laid.some(({ code }) => code === id));
}
