/** The film of a stage as its coats go by it, and what it lands on. */
import { classOf } from '../inForce/classOf.ts';
import { filmOf } from '../inForce/filmOf.ts';
import type { Band } from '../outcome/spread.ts';
import { MATERIALS } from '../trade/materialClasses.ts';
import type { Stage } from '../trade/vocabulary.ts';
import type { CoatPlanInput, Over } from './coatPlanInput.ts';

/** Coats where no sheet says how many. */
const USUAL_COATS: Record<Stage, Band> = {
  primer: [2, 3],
  sealer: [1, 2],
  ground: [2, 3],
  base: [2, 3],
  effect: [3, 5],
  clear: [2, 3],
  singleStage: [2, 3],
};
export type StageFilm = {
  /** Middle of the band, its ends, µm wet. */
  midUm: number;
  lowUm: number;
  highUm: number;
  /** Dry from wet. */
  solids: number;
  least: number;
  most: number;
};

/**
 * The film one coat of a stage lays, µm wet, its dry share and the least and most coats: of the
 * sheet where it says so, of the material's class where it does not.
 */
export function stageFilm({ stage, carrier, class: told, sheet }: CoatPlanInput): StageFilm {
  const { value: materialClass } = classOf({ stage, carrier, class: told });
  const { aimUm } = filmOf({ class: materialClass }).value;
  const [lowUm, highUm] = sheet?.wetFilmUm ?? MATERIALS[materialClass].film.wetFilmBandUm;
  const [least, most] = sheet?.coats ?? USUAL_COATS[stage];
  const percent = sheet?.volumeSolidsPercent;
  return {
    midUm: sheet?.wetFilmUm ? (lowUm + highUm) / 2 : aimUm,
    lowUm,
    highUm,
    solids: percent === undefined ? MATERIALS[materialClass].standardSolids : percent / 100,
    least,
    most: Math.max(1, most),
  };
}

const SOUND: readonly Over[] = ['factory', 'known2k', 'fresh2k', 'fresh'];
/** Old paint under the first coat softens where that lies heavy. */
export const isOverOld = (
  { stage }: Pick<CoatPlanInput, 'stage'>,
  over: Over | undefined,
): boolean =>
  over !== undefined && !SOUND.includes(over) && !(stage === 'primer' && over === 'bareMetal');
