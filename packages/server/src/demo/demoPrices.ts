/** What the invented shop pays for its tins: by the litre of each kind, the large tin cheaper. */
import type { ProductPrices } from '@orthochrom/contract/shop/setup.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';

const ML_PER_L = 1000;
const PER_L: Record<Sheet['kind'], number> = {
  primer: 27,
  sealer: 31,
  base: 64,
  effect: 92,
  clear: 38,
  singleStage: 46,
  reducer: 9,
  hardener: 52,
  adjuster: 6,
  additive: 30,
  cleaner: 5,
};
/** Each tin five times as large costs so much less a litre. */
const LARGE_SHARE = 0.85;

export function pricesOfTins({ kind, packSizesMl = [] }: Sheet): ProductPrices['prices'] {
  return Object.fromEntries(
    packSizesMl.map((sizeMl) => {
      const litres = sizeMl / ML_PER_L;
      const share = LARGE_SHARE ** (Math.log(litres) / Math.log(5));
      return [String(sizeMl), Math.round(PER_L[kind] * litres * share * 10) / 10];
    }),
  );
}
