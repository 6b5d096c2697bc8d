/**
 * Mesh to strain through.
 *
 * Source  rule of thumb of the trade
 */
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { Finish } from '../trade/vocabulary.ts';

const FINE_UM = 125;
const FLAKE_UM = 200;
const BY_FINISH: Record<Finish, number | undefined> = {
  solid: FINE_UM,
  candy: FINE_UM,
  fluorescent: FINE_UM,
  metallic: FLAKE_UM,
  silver: FLAKE_UM,
  pearl: FLAKE_UM,
  // Coarse flake goes in after straining: no mesh lets it through.
  flake: undefined,
};

export type StrainerAsked = {
  /** As its sheet prints it. */
  strainerUm?: number | undefined;
  finish?: Finish | undefined;
  class?: MaterialClass | undefined;
};
/** Mesh, µm: the sheet's word first; nothing where straining would take the pigment out. */
export const meshUm = ({
  strainerUm,
  finish = 'solid',
  class: materialClass,
}: StrainerAsked): number | undefined => {
  const isBuild = materialClass !== undefined && MATERIALS[materialClass].isBuild;
  return strainerUm ?? (isBuild ? FLAKE_UM : BY_FINISH[finish]);
};
