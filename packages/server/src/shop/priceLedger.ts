/** What the shop pays for its tins, product by product. */
import type { PricesEdit } from '@orthochrom/contract/shop/setup.ts';
import type { z } from 'zod';
import { changeVersioned, type Ledger } from '../event/ledger.ts';
import { insertNew } from '../event/insertOnce.ts';
import { BadInput } from '../http/faults.ts';
import { latestSheets } from '../sheet/sheetLedger.ts';
import { shopIdOf } from './shopId.ts';
import { pricesOf } from './shopReader.ts';
import { ProductPricesTable, type ProductPricesRow } from './shopTables.ts';

/** @throws BadInput for a product, or a size of tin, that no sheet has */
export const keepPrices = (
  ledger: Ledger,
  productId: string,
  { id, version, prices }: z.infer<typeof PricesEdit>,
): Promise<void> =>
  ledger.write(async (manager, trace) => {
    const shopId = await shopIdOf(manager);
    const kept = await latestSheets(manager);
    const sheet = kept.find((one) => one.sheet.id === productId)?.sheet;
    if (!sheet) throw BadInput.at([], 'not-one-of', `The shop has no product ${productId}.`);
    const strange = Object.keys(prices).find((size) => !sheet.packSizesMl?.includes(Number(size)));
    if (strange !== undefined)
      throw BadInput.at(
        ['prices', strange],
        'not-one-of',
        `${sheet.name} comes in ${(sheet.packSizesMl ?? []).join(', ') || 'no'} ml; ${strange} ml is no tin of it.`,
      );
    const there = await manager.findOneBy(ProductPricesTable, { shopId, productId });
    if (!there && version === 0)
      await insertNew(manager, ProductPricesTable, {
        id,
        shopId,
        productId,
        prices,
      } as ProductPricesRow);
    else
      await changeVersioned(manager, ProductPricesTable, {
        what: 'price list',
        id: there?.id ?? id,
        version,
        changes: { prices },
        mine: { prices },
        showTheirs: pricesOf,
      });
    await trace({
      shopId,
      aggregateType: 'shop',
      aggregateId: there?.id ?? id,
      kind: 'priced',
      patch: { productId, prices },
    });
  });
