/** Two products side by side, always by the ready litre: a tin says little of what it makes. */
import { Select } from '@mantine/core';
import { kitOfTins, kitParts, sizesOfKit } from '@orthochrom/contract/plan/kitFor.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor, moneyText } from '@orthochrom/contract/words/format.ts';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { usePainter } from '../frame/painter.ts';

type Mixed = { sheet: Sheet; recipe: NonNullable<Sheet['recipes']>[number] };

export function ReadyLitre({ sheets, setup }: { sheets: SheetVersion[]; setup: ShopSetup }) {
  const mixed = useMemo(
    () => sheets.flatMap(({ sheet }) => (sheet.recipes ?? []).map((recipe) => ({ sheet, recipe }))),
    [sheets],
  );
  if (mixed.length === 0) return null;
  return (
    <details className="card">
      <summary
        style={{ cursor: 'pointer', fontWeight: 600, minHeight: 48, alignContent: 'center' }}
      >
        What a ready litre costs, two products side by side
      </summary>
      <div className="grid2" style={{ marginTop: 12 }}>
        {[0, Math.min(1, mixed.length - 1)].map((first, place) => (
          <Side key={place} {...{ mixed, setup, sheets, first }} />
        ))}
      </div>
    </details>
  );
}

type SideProps = {
  mixed: Mixed[];
  first: number;
  setup: ShopSetup;
  sheets: SheetVersion[];
};

function Side({ mixed, first, setup, sheets }: SideProps) {
  const [at, setAt] = useState(first);
  const [sizes, setSizes] = useState<Record<string, number>>({});
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  const money = (amount: number) => moneyText(amount, setup.shop.currency);
  const products = useMemo(() => new Map(sheets.map(({ sheet }) => [sheet.id, sheet])), [sheets]);
  const prices = useMemo(
    () => new Map(setup.prices.map((one) => [one.productId, one.prices])),
    [setup.prices],
  );
  const { sheet, recipe } = mixed[at] ?? mixed[0]!;
  const parts = kitParts(sheet, recipe, products);
  const tins = parts ? sizesOfKit(parts, recipe, sizes) : [];
  const kit = kitOfTins(sheet, recipe, { products, prices, sizes });
  const unpriced = (parts ?? []).filter(({ product }) => !prices.get(product.id));
  return (
    <div className="stack">
      <Select
        label="Product and recipe"
        value={String(at)}
        data={mixed.map((one, i) => ({
          value: String(i),
          label: `${one.sheet.name}, ${one.recipe.name}`,
        }))}
        onChange={(value) => value && (setAt(Number(value)), setSizes({}))}
      />
      {kit ? (
        <>
          <div className="figure">
            {kit.pricePerReadyL === undefined ? '–' : money(kit.pricePerReadyL)}{' '}
            <small>the ready litre</small>
          </div>
          <p className="quiet">
            One tin of each makes {volume(kit.readyMl)}; {kit.limitedBy} runs out first.
            {kit.leftOver.some(({ ml }) => ml > 1) &&
              ` Left: ${kit.leftOver
                .filter(({ ml }) => ml > 1)
                .map(({ name, ml }) => `${volume(ml)} ${name}`)
                .join(', ')}.`}
          </p>
          {parts!.map(({ name, product, share }, i) => (
            <Select
              key={product.id}
              label={`${name}, ${share}`}
              value={String(tins[i])}
              data={(product.packSizesMl ?? []).map((sizeMl) => {
                const price = prices.get(product.id)?.[String(sizeMl)];
                return {
                  value: String(sizeMl),
                  label: `${volume(sizeMl)}${price === undefined ? ', no price' : `, ${money(price)}`}`,
                };
              })}
              onChange={(size) => size && setSizes({ ...sizes, [product.id]: Number(size) })}
            />
          ))}
        </>
      ) : (
        <p>Its sheets do not say which tins every part comes in.</p>
      )}
      {kit?.pricePerReadyL === undefined && unpriced.length > 0 && (
        <p>
          No price yet:{' '}
          {unpriced.map(({ name, product }, i) => (
            <span key={product.id}>
              {i > 0 && ', '}
              <Link to={`/sheets/${product.id}`}>{name}</Link>
            </span>
          ))}
        </p>
      )}
    </div>
  );
}
