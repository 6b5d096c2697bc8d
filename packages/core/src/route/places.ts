/**
 * Where a painter stands on a job, one place a panel; a broad flat panel is two, for an arm reaches
 * to its middle. What each place takes, and how it may be sprayed.
 *
 *   face F = passes (A/h)/v + 0.4 s (passes − 1);  rim = outline/v, of a half without the middle
 *                                                                                  [route-1]
 *
 * Source  ours: volume balance of passes (gun/overlap.ts); the turn, the halves and the riders are
 *         rules of thumb
 */
import { bodyMap, type Body, type BodyPanel } from '../body/bodyMap.ts';
import { passCount, spraySecondsOf } from '../gun/overlap.ts';
import type { Band } from '../outcome/spread.ts';
import type { Half, RouteInput, STANDS } from './routeInput.ts';

/** At the end of a pass, trigger let go. */
export const TURN_SECONDS = 0.4;
const REACHED_M = 1;
/** A mirror rides just before the door it hangs on. */
const RIDES_M2 = 0.2;

/** How a place is sprayed: a half picked up in the middle has its rim last. */
export type Variant = {
  place: number;
  isOut: boolean;
  faceSeconds: number;
  /** Before the first pass lies: riders, and the rim where it goes first. */
  leadSeconds: number;
  totalSeconds: number;
};
export type Lane = Half | 'both';
export type Place = {
  panel: string;
  side?: Half;
  map: BodyPanel;
  lane: Lane;
  /** 0 is where the air comes from, or the nose where none moves along the car. */
  along: Band;
  areaM2: number;
  rimSeconds: number;
  passSeconds: number;
  stand: { at: (typeof STANDS)[number]; alongM: number };
  reach?: 'step' | 'platform';
  riders: { map: BodyPanel; areaM2: number; seconds: number }[];
  variants: number[];
  /** The other half. */
  partner?: number;
};
export type Places = { places: Place[]; variants: Variant[]; lengthM: number; widthM: number };

export type Hand = Pick<RouteInput, 'gunSpeedMPerS' | 'stepMm' | 'carrier' | 'areasM2'>;

/** Middle of a band. */
export const middle = ([from, to]: Band): number => (from + to) / 2;

/** Seconds of a face and of its rim. [route-1] */
export function faceOf(
  { heightM, areaM2, isHalf }: { heightM: number; areaM2: number; isHalf: boolean },
  { gunSpeedMPerS, stepMm }: Pick<Hand, 'gunSpeedMPerS' | 'stepMm'>,
): { faceSeconds: number; rimSeconds: number; passSeconds: number } {
  const heightMm = heightM * 1000;
  const passes = passCount(heightMm, stepMm);
  const lengthM = areaM2 / heightM;
  const sprayed = spraySecondsOf({ areaM2, heightMm, gunSpeedMPerS }, stepMm, passes)!;
  const outlineM = 2 * heightM + (isHalf ? 1 : 2) * lengthM;
  return {
    faceSeconds: sprayed + TURN_SECONDS * (passes - 1),
    rimSeconds: outlineM / gunSpeedMPerS,
    passSeconds: lengthM / gunSpeedMPerS,
  };
}

const isFlat = ({ orientation }: BodyPanel): boolean => orientation !== 'upright';
const acrossOf = ({ acrossM, heightsM }: BodyPanel): number => acrossM ?? heightsM[1] - heightsM[0];
/** Wider than an arm reaches to: sprayed from both sides. */
const isSplit = (panel: BodyPanel): boolean =>
  panel.halves === true || (isFlat(panel) && acrossOf(panel) > REACHED_M);

/** The body seen from where the air comes: turned round, nothing else differs. */
const seenFrom = (panel: BodyPanel, isTurned: boolean): BodyPanel =>
  isTurned ? { ...panel, along: [1 - panel.along[1], 1 - panel.along[0]] } : panel;

/** The panel that a mirror rides before, where nothing of it must stay wet. */
function hostOf(body: Body, panel: BodyPanel, areaM2: number, on: Set<string>): string | undefined {
  if (areaM2 > RIDES_M2) return undefined;
  const edges = bodyMap(body).edges.filter(({ between }) => between.includes(panel.id));
  const otherOf = ([a, b]: [string, string]): string => (a === panel.id ? b : a);
  if (edges.some(({ kind, between }) => kind !== 'trim' && on.has(otherOf(between))))
    return undefined;
  return edges.map(({ between }) => otherOf(between)).find((other) => on.has(other));
}

/** Every place of a job, upstream first, left before right; what has no place is left out. */
export function placesOf(
  input: Hand & Pick<RouteInput, 'body' | 'panels'>,
  isTurned: boolean,
): Places {
  const { body, panels, areasM2 = {} } = input;
  const map = bodyMap(body);
  const on = new Set(panels);
  const known = map.panels
    .filter(({ id }) => on.has(id))
    .map((panel) => seenFrom(panel, isTurned))
    .map((panel) => ({ panel, areaM2: areasM2[panel.id] ?? panel.areaM2 }));
  const hosts = new Map(
    known.map(({ panel, areaM2 }) => [panel.id, hostOf(body, panel, areaM2, on)]),
  );
  const isRider = (id: string): boolean => hosts.get(id) !== undefined;
  const made: Places = { places: [], variants: [], lengthM: map.lengthM, widthM: map.widthM };
  const inOrder = known
    .filter(({ panel }) => !isRider(panel.id))
    .sort((a, b) => middle(a.panel.along) - middle(b.panel.along) || sideOrder(a.panel, b.panel));
  for (const { panel, areaM2 } of inOrder) {
    const riders = known
      .filter((one) => hosts.get(one.panel.id) === panel.id)
      .map((one) => ({ map: one.panel, areaM2: one.areaM2, seconds: riderSeconds(one, input) }));
    if (isSplit(panel)) addHalves(made, panel, areaM2, input);
    else addWhole(made, panel, areaM2, input, riders);
  }
  return made;
}

const SIDE_ORDER = ['left', 'middle', 'right'] as const;
const sideOrder = (a: BodyPanel, b: BodyPanel): number =>
  SIDE_ORDER.indexOf(a.side) - SIDE_ORDER.indexOf(b.side) || (a.id < b.id ? -1 : 1);

function riderSeconds({ panel, areaM2 }: { panel: BodyPanel; areaM2: number }, hand: Hand): number {
  const heightM = panel.heightsM[1] - panel.heightsM[0];
  const { faceSeconds, rimSeconds } = faceOf({ heightM, areaM2, isHalf: false }, hand);
  return faceSeconds + (isRimFirst(hand) ? rimSeconds : 0);
}

/** Waterborne rims are dusted last. */
export const isRimFirst = ({ carrier }: Pick<RouteInput, 'carrier'>): boolean =>
  carrier !== 'waterborne';

function addWhole(
  { places, variants, lengthM }: Places,
  panel: BodyPanel,
  areaM2: number,
  hand: Hand,
  riders: Place['riders'],
): void {
  const heightM = isFlat(panel) ? acrossOf(panel) : panel.heightsM[1] - panel.heightsM[0];
  const face = faceOf({ heightM, areaM2, isHalf: false }, hand);
  const isFront = middle(panel.along) < 0.5;
  const at = panel.side !== 'middle' ? panel.side : isFlat(panel) ? 'left' : endOf(isFront);
  places.push({
    panel: panel.id,
    map: panel,
    lane: panel.side === 'middle' ? 'both' : panel.side,
    along: panel.along,
    areaM2,
    rimSeconds: face.rimSeconds,
    passSeconds: face.passSeconds,
    stand: { at, alongM: middle(panel.along) * lengthM },
    ...(panel.reach ? { reach: panel.reach } : {}),
    riders,
    variants: [variants.length],
  });
  const ridesSeconds = riders.reduce((sum, { seconds }) => sum + seconds, 0);
  const leadSeconds = ridesSeconds + (isRimFirst(hand) ? face.rimSeconds : 0);
  variants.push({
    place: places.length - 1,
    isOut: false,
    faceSeconds: face.faceSeconds,
    leadSeconds,
    totalSeconds: leadSeconds + face.faceSeconds,
  });
}
const endOf = (isFront: boolean): 'front' | 'rear' => (isFront ? 'front' : 'rear');

function addHalves(
  { places, variants, lengthM }: Places,
  panel: BodyPanel,
  areaM2: number,
  hand: Hand,
): void {
  const face = faceOf({ heightM: acrossOf(panel) / 2, areaM2: areaM2 / 2, isHalf: true }, hand);
  const rimSeconds = isRimFirst(hand) ? face.rimSeconds : 0;
  const first = places.length;
  for (const side of ['left', 'right'] as const) {
    places.push({
      panel: panel.id,
      side,
      map: panel,
      lane: side,
      along: panel.along,
      areaM2: areaM2 / 2,
      rimSeconds: face.rimSeconds,
      passSeconds: face.passSeconds,
      stand: { at: side, alongM: middle(panel.along) * lengthM },
      ...(panel.reach ? { reach: panel.reach } : {}),
      riders: [],
      variants: [variants.length, variants.length + 1],
      partner: side === 'left' ? first + 1 : first,
    });
    for (const isOut of [false, true])
      variants.push({
        place: places.length - 1,
        isOut,
        faceSeconds: face.faceSeconds,
        leadSeconds: isOut ? 0 : rimSeconds,
        totalSeconds: face.faceSeconds + rimSeconds,
      });
  }
}
