/**
 * From one place to the next with a hose in hand: round the car on a rectangle, the shorter way.
 *
 * Source  rule of thumb
 */
import type { Place, Places } from './places.ts';

const CLEAR_M = 0.7;
const WALK_M_PER_S = 0.8;
const SET_STEP_SECONDS = 10;
/** A step stands there already within so much. */
const SAME_STAND_M = 0.3;

type Car = Pick<Places, 'lengthM' | 'widthM'>;

/** Metres from the middle of the nose round the left side. */
function roundAt({ lengthM, widthM }: Car, { stand: { at, alongM } }: Place): number {
  const halfM = widthM / 2 + CLEAR_M;
  const sideM = lengthM + 2 * CLEAR_M;
  if (at === 'front') return 0;
  if (at === 'left') return halfM + CLEAR_M + alongM;
  if (at === 'rear') return 2 * halfM + sideM;
  return 3 * halfM + sideM + (sideM - CLEAR_M - alongM);
}

export type Move = {
  metres: number;
  seconds: number;
  /** Which end of the car it goes round from one side to the other. */
  round?: 'front' | 'rear';
};

/** The way between two places. */
export function moveBetween(car: Car, from: Place, to: Place): Move {
  const aroundM = 2 * (car.lengthM + 2 * CLEAR_M) + 2 * (car.widthM + 2 * CLEAR_M);
  const [a, b] = [roundAt(car, from), roundAt(car, to)];
  const straightM = Math.abs(b - a);
  const metres = Math.min(straightM, aroundM - straightM);
  const isStanding = from.reach === to.reach && metres < SAME_STAND_M;
  // A platform stands along the whole side; a step is carried.
  const setSeconds = to.reach === 'step' && !isStanding ? SET_STEP_SECONDS : 0;
  const seconds = metres / WALK_M_PER_S + setSeconds;
  const sides = [from, to].map(({ stand }) => stand.at);
  if (!sides.includes('left') || !sides.includes('right')) return { metres, seconds };
  return { metres, seconds, round: straightM < aroundM - straightM ? 'rear' : 'front' };
}
