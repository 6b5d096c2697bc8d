/**
 * A body as data: its panels with areas, where they lie along and over the car, and their
 * neighbours. No car's in particular: our own round figures.
 *
 * Source  rule of thumb, ours
 */
import type { Band } from '../outcome/spread.ts';
import type { Substrate } from '../trade/vocabulary.ts';
import coupe from './maps/coupe.json' with { type: 'json' };
import hatchback from './maps/hatchback.json' with { type: 'json' };
import parts from './maps/parts.json' with { type: 'json' };
import pickup from './maps/pickup.json' with { type: 'json' };
import saloon from './maps/saloon.json' with { type: 'json' };
import van from './maps/van.json' with { type: 'json' };
import wagon from './maps/wagon.json' with { type: 'json' };

export const BODIES = ['hatchback', 'saloon', 'wagon', 'coupe', 'van', 'pickup', 'parts'] as const;
export type Body = (typeof BODIES)[number];
export type Side = 'left' | 'right' | 'middle';
export type Orientation = 'upright' | 'flat' | 'slope';

export type BodyPanel = {
  id: string;
  side: Side;
  /** Usual area to be coated, returns included; the ticket's own beats it. */
  areaM2: number;
  orientation: Orientation;
  /** 0 at the front, 1 at the rear. */
  along: Band;
  /** Over the floor. */
  heightsM: Band;
  /** Width of a flat panel, or of an upright one in the middle. */
  acrossM?: number;
  substrate?: Substrate;
  reach?: 'step' | 'platform';
  /** Directions it is sprayed from; absent: one. */
  attacks?: number;
  halves?: boolean;
  outline: string;
};
export type BodyEdge = {
  between: [string, string];
  at: [string, string];
  lengthM: number;
  /** One sheet; a shut line; glass, rubber, or another plane well apart. */
  kind: 'skin' | 'gap' | 'trim';
};
export type BodyMap = {
  body: Body;
  lengthM: number;
  widthM: number;
  panels: BodyPanel[];
  edges: BodyEdge[];
  /** Corners of a face: along it and over it, each 0 to 1, clockwise from front bottom. */
  outlines: Record<string, [number, number][]>;
};

/** The shape of the files; what they say is held by the laws of the body's test. */
const MAPS = { hatchback, saloon, wagon, coupe, van, pickup, parts } as unknown as Record<
  Body,
  BodyMap
>;
/** The map of a body. */
export const bodyMap = (body: Body): BodyMap => MAPS[body];

/** A panel of a body by its name; nothing for one that the map lacks. */
export const bodyPanel = (body: Body, name: string): BodyPanel | undefined =>
  bodyMap(body).panels.find(({ id }) => id === name);

/** The panels that an edge joins to this one, glass and rubber between them left out. */
export const neighboursOf = (body: Body, name: string): string[] =>
  bodyMap(body)
    .edges.filter(({ between, kind }) => kind !== 'trim' && between.includes(name))
    .map(({ between: [a, b] }) => (a === name ? b : a));
