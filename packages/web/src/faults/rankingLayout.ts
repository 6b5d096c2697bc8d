/** Bars of belief, and how far each answer pushed them. */
import { scaleLinear } from 'd3';

export const BAR_WIDTH = 200;
const ONE_PUSH = 46;
/** A push beyond this is drawn as this: e^3 is twenty times. */
const MOST_PUSH = 3;

export const barOf = scaleLinear().domain([0, 1]).range([0, BAR_WIDTH]).clamp(true);
const pushOf = scaleLinear()
  .domain([-MOST_PUSH, MOST_PUSH])
  .range([-ONE_PUSH, ONE_PUSH])
  .clamp(true);

export type DrawnPush = { x: number; width: number; speaksFor: boolean; times: string };

/** From a middle line: to the right what speaks for it, to the left what speaks against. */
export const drawnPush = (logRatio: number): DrawnPush => {
  const length = pushOf(logRatio);
  return {
    x: ONE_PUSH + Math.min(0, length),
    width: Math.max(1, Math.abs(length)),
    speaksFor: logRatio >= 0,
    times: timesText(logRatio),
  };
};
export const PUSH_WIDTH = 2 * ONE_PUSH;

/** "3 × for", "5 × against". */
export function timesText(logRatio: number): string {
  const times = Math.exp(Math.abs(logRatio));
  if (times < 1.15) return 'says little';
  return `${times < 10 ? times.toFixed(1) : times.toFixed(0)} × ${logRatio >= 0 ? 'for' : 'against'}`;
}

export const percentText = (probability: number): string =>
  probability < 0.01 ? 'under 1 %' : `${(probability * 100).toFixed(0)} %`;
/** A belief as a word first. */
export const beliefWord = (probability: number): string =>
  probability >= 0.8
    ? 'very likely'
    : probability >= 0.5
      ? 'likely'
      : probability >= 0.2
        ? 'possible'
        : 'unlikely';
