/**
 * Mesh to strain through where no sheet prints one.
 *
 * Source  rule of thumb of the trade
 */
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

/** Mesh, µm; nothing where straining would take the pigment out. */
export const meshUm = ({
  finish = 'solid',
  isBuild = false,
}: {
  finish?: Finish | undefined;
  isBuild?: boolean | undefined;
}): number | undefined => (isBuild ? FLAKE_UM : BY_FINISH[finish]);
