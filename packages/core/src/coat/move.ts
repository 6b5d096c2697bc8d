/** A lever moved once: which, from where to where, and how far it may go. */
import type { Paint } from '../mix/paint.ts';
import type { Band } from '../outcome/spread.ts';
import type { Speed } from '../trade/vocabulary.ts';
import type { CoatPlan } from './coatPlan.ts';

export type ChangeKnob =
  | 'inletKPa'
  | 'fluidTurnsOut'
  | 'fanTurnsOut'
  | 'distanceMm'
  | 'gunSpeedMPerS'
  | 'stepMm'
  | 'flashMinutes'
  | 'afterMinutes'
  | 'rampCPerMin'
  | 'gradeC'
  | 'hardenerC'
  | 'airSpeedMPerS';
/** What goes with a move: the step that is kept, or the hand that keeps the film. */
export type Along = { stepMm?: number; gunSpeedMPerS?: number };
export type Move = { knob: ChangeKnob; from: number; to: number; plan: CoatPlan; along?: Along };

/** What practice and sheet have, and how the mix is made anew. */
export type ChangeBounds = {
  bandKPa: Band;
  /** The top of the band in force, and what gun and place allow. */
  mostKPa: number;
  usualDistanceMm: number;
  designC: number | undefined;
  hardenerSpeed: Speed | undefined;
  withGrade: (designC: number) => Paint;
  withHardener: (speed: Speed) => Paint;
};
