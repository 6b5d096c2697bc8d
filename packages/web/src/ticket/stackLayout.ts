/**
 * The film stack in pixels: substrate and coats to scale in micrometres, planned as outline, laid
 * as fill. Pure.
 */
import { leftOf, unsettledOf } from '@orthochrom/contract/plan/layersUnder.ts';
import { isBlendOnly, recipeOf } from '@orthochrom/contract/plan/planContext.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import type { Carrier } from '@orthochrom/core/trade/vocabulary.ts';
import { scaleLinear } from 'd3';
import { STAGE_NAME } from '../words/tradeNames.ts';

/** A fault in the layer: still open, or left with a word why. */
export type LayerMark = { isOpen: boolean; names: string };
export type StackLayer = {
  coatId: string;
  name: string;
  dryUm: number;
  isLaid: boolean;
  carrier: Carrier;
  colour: string;
  fault?: LayerMark;
};
export type StackBox = {
  widthPx: number;
  heightPx: number;
  leftPx: number;
  barPx: number;
  topPx: number;
  bottomPx: number;
  /** Between two labels: a finger in a glove. */
  apartPx: number;
};

const DEFAULT_COLOUR = '#a9a79f';
const LAID: Coat['state'][] = ['sprayed', 'flashed', 'looked'];

/**
 * Dry film of every coat on this panel, lowest first: what was logged, else what is planned, by the
 * sheet's solids.
 */
export function stackLayers(
  {
    ticket,
    coats,
    sheets,
    ...laid
  }: Pick<TicketWhole, 'ticket' | 'coats' | 'sheets' | 'works' | 'found'>,
  panelId: string,
): StackLayer[] {
  return ticket.stages
    .filter((stage) => stage.panelIds.includes(panelId))
    .flatMap((stage) => {
      const sheet = sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
      if (!sheet) return [];
      const { wetFilmUm, volumeSolidsPercent } = recipeOf({ sheet, stage });
      return coats
        .filter(({ stageId }) => stageId === stage.id)
        .map((coat): StackLayer => {
          const wetUm = coat.done['wetFilmUm']?.value ?? (wetFilmUm[0] + wetFilmUm[1]) / 2;
          return {
            coatId: coat.id,
            name:
              stage.coats > 1
                ? `${STAGE_NAME[stage.kind]} ${coat.ordinal}`
                : STAGE_NAME[stage.kind],
            dryUm: isBlendOnly(sheet, stage) ? 0 : (wetUm * volumeSolidsPercent) / 100,
            isLaid: LAID.includes(coat.state),
            carrier: sheet.carrier,
            colour: stage.colourHex ?? DEFAULT_COLOUR,
            ...markOf(laid, coat),
          };
        });
    });
}

function markOf(laid: Pick<TicketWhole, 'works' | 'found'>, coat: Coat): { fault?: LayerMark } {
  const open = unsettledOf(laid, coat);
  const shown = open.length > 0 ? open : leftOf(laid, coat);
  return shown.length > 0
    ? { fault: { isOpen: open.length > 0, names: shown.map(({ name }) => name).join(', ') } }
    : {};
}

/** A layer that nobody measured, and the least that a label wants. */
const UNMEASURED_PX = 28;
const LEAST_PX = 18;
/** Air over the topmost coat. */
const HEADROOM = 1.04;

/**
 * What was found below, to the scale of what is planned: heights lowest first, and the box with
 * room for them. What was not measured has no scale.
 */
export function layOutFound(
  found: readonly { dryUm?: number | undefined }[],
  layers: readonly StackLayer[],
  box: StackBox,
): { heightsPx: number[]; box: StackBox } {
  const plannedUm = Math.max(
    layers.reduce((sum, { dryUm }) => sum + dryUm, 0),
    10,
  );
  const foundUm = found.reduce((sum, { dryUm = 0 }) => sum + dryUm, 0);
  const unmeasuredPx = found.filter(({ dryUm }) => dryUm === undefined).length * UNMEASURED_PX;
  const pxPerUm =
    (box.heightPx - box.topPx - box.bottomPx - unmeasuredPx) / (plannedUm * HEADROOM + foundUm);
  const heightsPx = found.map(({ dryUm }) =>
    dryUm === undefined ? UNMEASURED_PX : Math.max(LEAST_PX, dryUm * pxPerUm),
  );
  const wholePx = heightsPx.reduce((sum, px) => sum + px, 0);
  return { heightsPx, box: { ...box, bottomPx: box.bottomPx + wholePx } };
}

export function layOutStack(layers: readonly StackLayer[], box: StackBox) {
  const totalUm = layers.reduce((sum, { dryUm }) => sum + dryUm, 0);
  const floorPx = box.heightPx - box.bottomPx;
  const y = scaleLinear([0, Math.max(totalUm, 10) * HEADROOM], [floorPx, box.topPx]);
  let baseUm = 0;
  const bars = layers.map((layer) => {
    const [fromUm, toUm] = [baseUm, baseUm + layer.dryUm];
    baseUm = toUm;
    return {
      ...layer,
      yPx: y(toUm),
      heightPx: y(fromUm) - y(toUm),
      middlePx: (y(fromUm) + y(toUm)) / 2,
    };
  });
  const places = spread(
    bars.map(({ middlePx }) => middlePx),
    box.apartPx,
    box.topPx + 6,
    floorPx - 2,
  );
  return {
    totalUm,
    laidUm: layers.filter(({ isLaid }) => isLaid).reduce((sum, { dryUm }) => sum + dryUm, 0),
    floorPx,
    bars: bars.map((bar, i) => ({ ...bar, labelPx: places[i]! })),
    ticks: y.ticks(6).map((um) => ({ um, yPx: y(um) })),
  };
}

/** Labels, lowest first, moved up and down just enough that none covers another. */
export function spread(
  wantedPx: readonly number[],
  apartPx: number,
  topPx: number,
  bottomPx: number,
): number[] {
  const places = [...wantedPx];
  for (let i = 0; i < places.length; i++) {
    const below = i === 0 ? bottomPx + apartPx : places[i - 1]!;
    places[i] = Math.min(places[i]!, below - apartPx);
  }
  for (let i = places.length - 1; i >= 0; i--) {
    const above = i === places.length - 1 ? topPx - apartPx : places[i + 1]!;
    places[i] = Math.max(places[i]!, above + apartPx);
  }
  return places;
}

/** Where paint carried by one thing meets paint carried by another: the layer over it. */
export const carriersMeet = <L extends Pick<StackLayer, 'carrier'>>(layers: readonly L[]): L[] =>
  layers.filter(({ carrier }, i) => i > 0 && layers[i - 1]!.carrier !== carrier);
