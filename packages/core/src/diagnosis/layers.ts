/**
 * The stack of layers, walked from the bottom: where a fault can show and where its cause can sit.
 */
import type { Cause, Fault, Layer, Log } from './knowledge.ts';

/** Single stage is colour and clear in one: it lies on the ground and reaches to the top. */
const HEIGHT: Record<Layer, number> = {
  substrate: 0,
  primer: 1,
  sealer: 2,
  ground: 2,
  base: 3,
  effect: 4,
  singleStage: 5,
  clear: 5,
};

/** Lies under the other, in the order they are sprayed. */
export const isBelow = (layer: Layer, other: Layer): boolean => HEIGHT[layer] < HEIGHT[other];

/**
 * The painter points at a layer and may be wrong about it: a fault that does not show there is less
 * likely, not out.
 */
const SHOWS_ELSEWHERE = 0.5;
/**
 * A cause above the layer the fault is seen in cannot have brought it, unless the painter points at
 * the wrong layer.
 */
const SITS_ABOVE = 0.1;

/** How much likelier or less a fault is, for the layer it is looked at in. */
export const showFactor = (fault: Fault, seenIn: Layer | undefined): number =>
  seenIn === undefined || fault.showsIn.includes('any') || fault.showsIn.includes(seenIn)
    ? 1
    : SHOWS_ELSEWHERE;

/** How much a cause counts, for the layer that is looked at. */
export const sitFactor = (cause: Cause, seenIn: Layer | undefined): number =>
  seenIn === undefined || cause.layers.some((layer) => layer === 'any' || !isBelow(seenIn, layer))
    ? 1
    : SITS_ABOVE;

/** Its layer stands in the log. */
const TEXTURE = 'texture_below';

/**
 * The layer a cause sits in: the lowest one in which the trouble was seen, else the usual one for
 * such a cause at or under the layer looked at, else the layer looked at.
 * @returns undefined when neither the cause nor the painter names a layer and the fault shows in
 *   several
 */
export function rootLayerOf(
  cause: Cause,
  fault: Fault,
  log: Log,
  seenIn: Layer | undefined,
): Layer | undefined {
  const seen = log['texture_layer'];
  if (cause.id === TEXTURE && typeof seen === 'string' && seen !== 'none') return seen as Layer;
  const named = cause.layers.filter((layer): layer is Layer => layer !== 'any');
  const shown = seenIn ?? fault.showsIn.find((layer): layer is Layer => layer !== 'any');
  if (named.length < cause.layers.length) return shown;
  const reachable = named.filter((layer) => shown === undefined || !isBelow(shown, layer));
  const isPreparation = cause.layers.includes('substrate');
  if (!isPreparation && shown !== undefined && reachable.includes(shown)) return shown;
  return reachable[0] ?? shown;
}
