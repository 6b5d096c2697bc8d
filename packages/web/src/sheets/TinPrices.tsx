/** What the shop pays for a product, tin by tin: amounts are worth money by it. */
import { Button, NumberInput } from '@mantine/core';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { putJson } from '../api/client.ts';
import { useDraft } from '../api/draft.ts';
import { ADDRESS, hold } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';

export function TinPrices({ sheet, setup }: { sheet: Sheet; setup: ShopSetup }) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const sizes = sheet.packSizesMl ?? [];
  const kept = setup.prices.find(({ productId }) => productId === sheet.id);
  const start = useMemo(
    () => ({ version: kept?.version ?? 0, prices: kept?.prices ?? {} }),
    [kept],
  );
  const { draft, setDraft, isChanged, settle, round } = useDraft(start);
  const [busy, write] = useWrite();
  if (sizes.length === 0) return null;
  const put = (size: number, price: number | string) => {
    const { [String(size)]: _, ...rest } = draft.prices;
    // Typed to the last penny it comes as text.
    const isPrice = price !== '' && Number.isFinite(Number(price));
    setDraft({
      ...draft,
      prices: isPrice ? { ...rest, [String(size)]: Number(price) } : rest,
    });
  };
  const save = () =>
    write(async (over?: number) => {
      const next = await putJson<ShopSetup>(ADDRESS.prices(sheet.id), {
        id: kept?.id ?? newId(),
        version: over ?? draft.version,
        prices: draft.prices,
      });
      const own = next.prices.find(({ productId }) => productId === sheet.id)!;
      settle({ version: own.version, prices: own.prices });
      await hold(ADDRESS.setup, next);
    });
  return (
    <section className="card stack" aria-label="What a tin costs">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        What a tin costs
      </h2>
      <div className="grid2" key={round}>
        {sizes.map((sizeMl) => (
          <NumberInput
            key={sizeMl}
            label={format.joined(format.volume(sizeMl))}
            description="empty: not known, or not bought"
            value={draft.prices[String(sizeMl)] ?? ''}
            min={0}
            max={1_000_000}
            decimalScale={2}
            fixedDecimalScale
            {...(setup.shop.currency ? { prefix: `${setup.shop.currency} ` } : {})}
            onChange={(price) => put(sizeMl, price)}
          />
        ))}
      </div>
      <div className="row">
        <Button loading={busy} disabled={!isChanged} onClick={() => void save()}>
          Keep these prices
        </Button>
      </div>
    </section>
  );
}
