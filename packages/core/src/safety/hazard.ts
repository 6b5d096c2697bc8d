/**
 * What a product can do to whoever handles it: the few questions that every safety rule turns on.
 */
import type { Carrier, Chemistry } from '../trade/vocabulary.ts';

type Of = { product: { hardener: Chemistry; carrier: Carrier } };

/** Isocyanate, or nobody knows: then it counts as isocyanate. */
export const isTwoPackHazard = ({ product }: Of): boolean =>
  product.hardener === 'isocyanate' || product.hardener === 'unknown';

/**
 * Hardener harms the skin, and solvent goes through it: both want gloves, suit and eyes covered.
 */
export const needsCover = ({ product }: Of): boolean =>
  product.hardener !== 'none' || product.carrier === 'solvent';
