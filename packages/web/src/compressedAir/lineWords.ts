import type { AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';

export const hoseWord = (
  { line }: Pick<AirLine, 'line'>,
  { bore, metres, joined }: Format,
): string =>
  line.hose
    ? `${joined(bore(line.hose.innerDiameterMm))} hose, ${joined(metres(line.hose.lengthM))}`
    : 'no hose described';

export const couplerWord = ({ line }: Pick<AirLine, 'line'>): string =>
  (line.couplers ?? [])
    .filter(({ count }) => count > 0)
    .map(
      ({ kind, count }) =>
        `${count} ${kind === 'standard' ? 'standard' : 'high-flow'} coupler${count === 1 ? '' : 's'}`,
    )
    .join(', ');
