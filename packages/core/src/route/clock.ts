/** An order on the clock: steps, refills, rims that come last, and the age of every edge. */
import { bodyMap } from '../body/bodyMap.ts';
import { spraySecondsOf } from '../gun/overlap.ts';
import type { Air } from './airOrder.ts';
import type { Found } from './improve.ts';
import type { Job } from './orders.ts';
import { isRimFirst, middle, type Place } from './places.ts';
import { fillingMl, fillingsOf, type Fillings, type Met } from './refills.ts';
import type { Refill, Rim, RouteInput, RouteStep, WetEdge } from './routeInput.ts';
import { moveBetween } from './walk.ts';

const REFILL_SECONDS = 60;
/** A part that nobody gave an area. */
const UNKNOWN_PART_M2 = 0.3;

export type Clock = {
  order: RouteStep[];
  rims: Rim[];
  walkM: number;
  wetEdges: WetEdge[];
  refills?: Refill[];
  /** Panels that take more than a cup. */
  runsOut: string[];
  /** Names that the map lacks. */
  unplaced: string[];
};

type Slot = { place: Place; index: number; start: number };

/** Lays what was found on the clock, then whatever has no place. */
export function onClock(input: RouteInput, job: Job, air: Air, found: Found | undefined): Clock {
  const slots = (found?.order ?? []).map((index) => {
    const { place } = job.variants[index]!;
    return { place: job.places[place]!, index, start: found!.laid.starts[place]! };
  });
  const met = metOf(job, slots);
  const fillings = fillingsFor(input, slots, met);
  const shiftOf = (k: number): number => shiftSeconds(input, fillings, k);
  const shifted = slots.map((slot, k) => ({ ...slot, start: slot.start + shiftOf(k) }));
  const placed = shifted.flatMap((slot) => stepsOf(job, air, slot));
  const known = new Set(bodyMap(input.body).panels.map(({ id }) => id));
  const unplaced = input.panels.filter((panel) => !known.has(panel));
  const steps = withUnplaced(input, placed, unplaced);
  const rims = isRimFirst(input) ? { rims: [], walkM: 0 } : rimsLast(job, shifted, steps);
  const refills = fillings && refillsOf(input, shifted, fillings);
  return {
    order: steps,
    rims: rims.rims,
    walkM: (found?.laid.walkM ?? 0) + rims.walkM,
    wetEdges: byPanels(shifted, metOf(job, shifted), 60 * input.openTimeMinutes),
    ...(refills ? { refills } : {}),
    runsOut: fillings ? fillings.runsOut.map((k) => slots[k]!.place.panel) : [],
    unplaced,
  };
}

/** Every edge with its age, by places in the order. */
function metOf(job: Job, slots: readonly Slot[]): Met[] {
  return slots.flatMap(({ index, start }, j) =>
    job.meets[index]!.flatMap(({ variant, apartSeconds }) => {
      const i = slots.findIndex((slot) => slot.index === variant);
      return i < 0 || i >= j ? [] : [{ i, j, ageSeconds: start - slots[i]!.start + apartSeconds }];
    }),
  );
}

/** One edge a pair of panels, the older of its halves; the middle of a panel by itself. */
function byPanels(slots: readonly Slot[], met: readonly Met[], limitSeconds: number): WetEdge[] {
  const edges = new Map<string, WetEdge>();
  for (const { i, j, ageSeconds } of met) {
    const [a, b] = [slots[i]!.place.panel, slots[j]!.place.panel];
    const between: [string, string] = [a, b];
    const key = [...between].sort().join(' ');
    const known = edges.get(key);
    if (known && known.ageSeconds >= ageSeconds) continue;
    edges.set(key, { between, ageSeconds, limitSeconds, ...(a === b ? { at: 'middle' } : {}) });
  }
  return [...edges.values()];
}

const needOf = (input: RouteInput, { areaM2, riders }: Place): number => {
  const allM2 = areaM2 + riders.reduce((sum, rider) => sum + rider.areaM2, 0);
  const onPanelMl = allM2 * input.wetFilmUm!;
  const sprayedMl = onPanelMl / (input.transferEfficiencyPercent! / 100);
  return sprayedMl * (1 + (input.wastePercent ?? 0) / 100);
};

function fillingsFor(
  input: RouteInput,
  slots: readonly Slot[],
  met: readonly Met[],
): Fillings | undefined {
  const { cupMl, wetFilmUm, transferEfficiencyPercent, refillSeconds = REFILL_SECONDS } = input;
  if (cupMl === undefined || wetFilmUm === undefined || transferEfficiencyPercent === undefined)
    return undefined;
  const needs = slots.map(({ place }) => needOf(input, place));
  return fillingsOf(needs, fillingMl(cupMl), met, refillSeconds);
}

/** What refills before a place, and in the faces before it, put it back by. */
function shiftSeconds(input: RouteInput, fillings: Fillings | undefined, k: number): number {
  if (!fillings) return 0;
  const { refillSeconds = REFILL_SECONDS } = input;
  const inFaces = fillings.runsOut.filter((other) => other < k).length;
  return refillSeconds * (fillings.before[k]! + inFaces);
}

function refillsOf(input: RouteInput, slots: readonly Slot[], { before }: Fillings): Refill[] {
  const { refillSeconds = REFILL_SECONDS } = input;
  return slots.flatMap(({ place, start }, k) => {
    if (k === 0 || before[k] === before[k - 1]) return [];
    const until = slots.filter((_, other) => before[other] === before[k]);
    const ml = until.reduce((sum, slot) => sum + needOf(input, slot.place), 0);
    return [{ before: place.panel, ...sideOf(place), atSeconds: start - refillSeconds, ml }];
  });
}

const sideOf = ({ side }: Place) => (side ? { side } : {});

function stepsOf({ variants, lengthM }: Job, air: Air, { place, index, start }: Slot): RouteStep[] {
  const { isOut, totalSeconds } = variants[index]!;
  const turned = (along: number): number => (air.isTurned ? 1 - along : along);
  const at = air.isTurned ? turnedEnd(place.stand.at) : place.stand.at;
  let now = start;
  const riders = place.riders.map(({ map, seconds }): RouteStep => {
    const from = now;
    now += seconds;
    return {
      panel: map.id,
      from: 'bottom',
      to: 'top',
      startSeconds: from,
      endSeconds: now,
      stand: { at, along: turned(middle(map.along)) },
    };
  });
  const [from, to] = directionOf(place, isOut);
  return [
    ...riders,
    {
      panel: place.panel,
      ...sideOf(place),
      from,
      to,
      startSeconds: now,
      endSeconds: start + totalSeconds,
      stand: { at, along: turned(place.stand.alongM / lengthM) },
    },
  ];
}

const turnedEnd = (at: Place['stand']['at']): Place['stand']['at'] =>
  at === 'front' ? 'rear' : at === 'rear' ? 'front' : at;

function directionOf(
  { side, map }: Place,
  isOut: boolean,
): ['bottom', 'top'] | ['left' | 'right', 'left' | 'right'] {
  if (map.orientation === 'upright') return ['bottom', 'top'];
  return (side === 'right') === isOut ? ['left', 'right'] : ['right', 'left'];
}

/** Loose parts as they are listed; on a car, what the map lacks comes last. */
function withUnplaced(
  input: RouteInput,
  placed: readonly RouteStep[],
  unplaced: readonly string[],
): RouteStep[] {
  const { gunSpeedMPerS, stepMm, areasM2 = {} } = input;
  const list = input.body === 'parts' ? input.panels : ['', ...unplaced];
  let now = 0;
  return list.flatMap((panel): RouteStep[] => {
    const isMapped = !unplaced.includes(panel);
    const here = isMapped
      ? placed.map((step) => ({
          ...step,
          startSeconds: now + step.startSeconds,
          endSeconds: now + step.endSeconds,
        }))
      : [];
    if (!isMapped) {
      const areaM2 = areasM2[panel] ?? UNKNOWN_PART_M2;
      const seconds = spraySecondsOf({ areaM2, gunSpeedMPerS }, stepMm)!;
      const step = { panel, from: 'bottom', to: 'top' } as const;
      here.push({ ...step, startSeconds: now, endSeconds: now + seconds });
    }
    now = here.at(-1)?.endSeconds ?? now;
    return here;
  });
}

/** Rims dusted after the last face, round the car from where it ended. */
function rimsLast(
  job: Job,
  slots: readonly Slot[],
  steps: readonly RouteStep[],
): { rims: Rim[]; walkM: number } {
  let now = Math.max(0, ...steps.map(({ endSeconds }) => endSeconds));
  let at = slots.at(-1)?.place;
  const left = slots.map(({ place }) => place);
  const rims: Rim[] = [];
  let walkM = 0;
  while (at && left.length > 0) {
    const here = at;
    const ways = left.map((place) => moveBetween(job, here, place));
    const nearest = ways.reduce(
      (best, way, i) => (way.seconds < ways[best]!.seconds ? i : best),
      0,
    );
    const [place] = left.splice(nearest, 1);
    walkM += ways[nearest]!.metres;
    const startSeconds = now + ways[nearest]!.seconds;
    now = startSeconds + place!.rimSeconds;
    rims.push({ panel: place!.panel, ...sideOf(place!), startSeconds, endSeconds: now });
    at = place;
  }
  return { rims, walkM };
}
