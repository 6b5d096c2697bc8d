/** What the order of panels is asked with, and what it answers. */
import type { Body } from '../body/bodyMap.ts';
import type { Explained } from '../outcome/verdicts.ts';
import type { Spread } from '../outcome/spread.ts';
import type { Carrier, Airflow } from '../trade/vocabulary.ts';

export const CAR_ENDS = ['front', 'rear'] as const;
export type CarEnd = (typeof CAR_ENDS)[number];
export const HALVES = ['left', 'right'] as const;
export type Half = (typeof HALVES)[number];
export const STANDS = ['left', 'right', 'front', 'rear'] as const;
export const FACE_EDGES = ['top', 'bottom', 'front', 'rear', 'left', 'right'] as const;
export type FaceEdge = (typeof FACE_EDGES)[number];
export const AIDS = ['step', 'platform'] as const;

export type RouteInput = {
  body: Body;
  panels: string[];
  airflow: Airflow;
  openTimeMinutes: number;
  gunSpeedMPerS: number;
  stepMm: number;
  carrier?: Carrier | undefined;
  /** The ticket's own, times what the coat plan lays of each. */
  areasM2?: Record<string, number> | undefined;
  coats?: number | undefined;
  flashMinutes?: number | undefined;
  /** Ready paint in one filling. */
  cupMl?: number | undefined;
  wetFilmUm?: number | undefined;
  transferEfficiencyPercent?: number | undefined;
  wastePercent?: number | undefined;
  refillSeconds?: number | undefined;
  /** Which end of the car stands at the fan. */
  doorAt?: CarEnd | undefined;
  hoseAt?: CarEnd | undefined;
  /** No section larger than this. */
  mostM2?: number | undefined;
};

export type RouteStep = {
  panel: string;
  side?: Half;
  from: FaceEdge;
  to: FaceEdge;
  startSeconds: number;
  endSeconds: number;
  /** Where the painter stands, at the middle of the face; absent where the map has no place. */
  stand?: { at: (typeof STANDS)[number]; along: number };
};
export type WetEdge = {
  between: [string, string];
  ageSeconds: number;
  limitSeconds: number;
  /** The line where two halves of one panel meet. */
  at?: 'middle';
};
export type Rim = { panel: string; side?: Half; startSeconds: number; endSeconds: number };
export type Refill = { before: string; side?: Half; atSeconds: number; ml: number };
export type RouteCoat = {
  coat: number;
  startSeconds: number;
  endSeconds: number;
  waitSeconds: number;
};

export type RouteAnswer = Explained & {
  order: RouteStep[];
  wetEdges: WetEdge[];
  worstWetEdgeSeconds: number;
  /** `value` was found, no order is better than `low`. */
  leastWorstSeconds?: Spread;
  walkM?: number;
  sections?: string[][];
  aids?: { what: (typeof AIDS)[number]; panel: string }[];
  rims?: Rim[];
  refills?: Refill[];
  coats?: RouteCoat[];
};
