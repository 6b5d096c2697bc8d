/** Tins, what stays in them, what is short, and what it all costs. */
import type { Component } from '../mix/cup.ts';
import type { QuantityAnswer, QuantityInput } from './quantityInput.ts';
import { tinsFor } from './tins.ts';

type Money = Pick<
  QuantityAnswer,
  'packs' | 'leftOver' | 'short' | 'cost' | 'costPerReadyL' | 'spend'
>;

/** What is bought for this much of each component, beside what is at hand. */
export function moneyOf(
  { packSizesMl = {}, packPrices = {}, pricePerL, have = [] }: QuantityInput,
  components: readonly Component[],
  readyMl: number,
): Money {
  const tins = components.map(({ name, ml }) => {
    const atHandMl = have.find((tin) => tin.name === name)?.ml ?? 0;
    const priceOf = (sizeMl: number) => packPrices[name]?.[String(sizeMl)];
    const bought = tinsFor(ml - atHandMl, packSizesMl[name] ?? [], priceOf);
    const boughtMl = bought.reduce((sum, { sizeMl, count }) => sum + sizeMl * count, 0);
    return { name, ml, bought, atHandMl, leftMl: atHandMl + boughtMl - ml, priceOf };
  });
  const bought = tins.flatMap(({ name, bought: own, priceOf }) =>
    own.map((tin) => ({ name, ...tin, price: priceOf(tin.sizeMl) })),
  );
  const kept = tins.filter(({ bought: own, atHandMl }) => own.length > 0 || atHandMl > 0);
  const short = tins.filter(
    ({ name, leftMl, bought: own }) =>
      leftMl < 0 && own.length === 0 && have.some((tin) => tin.name === name),
  );
  const cost = components.every(({ name }) => pricePerL?.[name] !== undefined)
    ? components.reduce((sum, { name, ml }) => sum + (ml / 1000) * pricePerL![name]!, 0)
    : undefined;
  const spend = bought.every(({ price }) => price !== undefined)
    ? bought.reduce((sum, { price, count }) => sum + price! * count, 0)
    : undefined;
  return {
    ...(bought.length > 0
      ? { packs: bought.map(({ name, sizeMl, count }) => ({ name, sizeMl, count })) }
      : {}),
    ...(kept.length > 0
      ? { leftOver: kept.map(({ name, leftMl }) => ({ name, ml: Math.max(0, leftMl) })) }
      : {}),
    ...(short.length > 0
      ? { short: short.map(({ name, leftMl }) => ({ name, ml: -leftMl })) }
      : {}),
    ...(cost === undefined || !pricePerL
      ? {}
      : { cost, ...(readyMl > 0 ? { costPerReadyL: cost / (readyMl / 1000) } : {}) }),
    ...(spend === undefined || bought.length === 0 ? {} : { spend }),
  };
}
