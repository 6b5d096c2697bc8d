/**
 * How old an edge is when its neighbour meets it.
 *
 *   laid at  t(u) = s + o + u F,  u = 0 where a face begins, 1 where it ends        [route-2]
 *   age      max over the edge's two ends of t_j − t_i = (s_j − s_i) + c_ij          [route-3]
 *
 * o is what is done before the first pass; an upright goes bottom to top, a half from its rim to
 * the middle, or out from the wet middle.
 *
 * Source  ours
 */
import { bodyMap, type Body, type BodyPanel } from '../body/bodyMap.ts';
import { middle, type Place, type Places, type Variant } from './places.ts';

/** Where along a face the two ends of an edge lie. */
type Ends = [number, number];
export type PlaceEdge = {
  a: number;
  b: number;
  /** Where two halves meet: one sheet, as a skin is. */
  kind: 'skin' | 'gap' | 'middle';
  lengthM: number;
};
/** What is met wet: laid in this variant before, and c of [route-3]. */
export type Meeting = { variant: number; place: number; apartSeconds: number };
export type WetEdges = {
  edges: PlaceEdge[];
  /** Of every variant: what it meets. */
  meets: Meeting[][];
};

const within = (share: number): number => Math.min(1, Math.max(0, share));
const upAt = ({ heightsM: [low, high] }: BodyPanel, atM: number): number =>
  within((atM - low) / (high - low));

function uprightEnds(panel: BodyPanel, at: string, other: BodyPanel): Ends {
  if (at === 'bottom') return [0, 0];
  if (other.orientation !== 'upright') {
    const u = upAt(panel, middle(other.heightsM));
    return [u, u];
  }
  if (at === 'top') return [1, 1];
  const low = Math.max(panel.heightsM[0], other.heightsM[0]);
  const high = Math.min(panel.heightsM[1], other.heightsM[1]);
  return [upAt(panel, low), upAt(panel, Math.max(low, high))];
}

/** Rim first, then middle; absent where this half does not touch the edge. */
function flatEnds({ side, isOut }: { side: string | undefined; isOut: boolean }, at: string) {
  const [rim, inner] = isOut ? [1, 0] : [0, 1];
  if (at === 'left' || at === 'right') {
    if (side === undefined) return at === 'left' ? ([0, 0] as Ends) : ([1, 1] as Ends);
    return at === side ? ([rim, rim] as Ends) : undefined;
  }
  return [rim, inner] as Ends;
}

const lengthOf = ({ areaM2, map }: Place): number => (2 * areaM2) / (map.acrossM ?? 1);
const endsOf = (place: Place, variant: Variant, at: string, other: BodyPanel): Ends | undefined =>
  place.map.orientation === 'upright'
    ? uprightEnds(place.map, at, other)
    : flatEnds({ side: place.side, isOut: variant.isOut }, at);

const laidAfter = ({ leadSeconds, faceSeconds }: Variant, u: number): number =>
  leadSeconds + u * faceSeconds;

/** Every edge of a job that must be met wet, and what lies between two starts beside the starts. */
export function wetEdgesOf(body: Body, { places, variants }: Places): WetEdges {
  const edges: PlaceEdge[] = [];
  const lag = variants.map(() => new Array<number | undefined>(variants.length));
  const join = (a: number, b: number, ends: (one: Variant, to: number) => Ends | undefined) => {
    let isMet = false;
    for (const i of places[a]!.variants)
      for (const j of places[b]!.variants) {
        const [one, other] = [variants[i]!, variants[j]!];
        const [from, to] = [ends(one, b), ends(other, a)];
        if (!from || !to) continue;
        isMet = true;
        const apart = [0, 1].map((k) => laidAfter(other, to[k]!) - laidAfter(one, from[k]!));
        lag[i]![j] = Math.max(lag[i]![j] ?? -Infinity, ...apart);
        lag[j]![i] = Math.max(lag[j]![i] ?? -Infinity, ...apart.map((seconds) => -seconds));
      }
    return isMet;
  };
  for (const { between, at, kind, lengthM } of bodyMap(body).edges) {
    if (kind === 'trim') continue;
    places.forEach((one, a) => {
      if (one.panel !== between[0]) return;
      places.forEach((other, b) => {
        if (other.panel !== between[1]) return;
        const isMet = join(a, b, (variant, to) =>
          variant.place === a
            ? endsOf(one, variant, at[0], places[to]!.map)
            : endsOf(other, variant, at[1], places[to]!.map),
        );
        if (isMet) edges.push({ a, b, kind, lengthM });
      });
    });
  }
  places.forEach(({ partner }, a) => {
    if (partner === undefined || partner < a) return;
    join(a, partner, ({ isOut }) => (isOut ? [0, 0] : [1, 1]));
    edges.push({ a, b: partner, kind: 'middle', lengthM: lengthOf(places[a]!) });
  });
  const meets = variants.map((_, after) =>
    variants.flatMap(({ place }, variant) => {
      const apartSeconds = lag[variant]![after];
      return apartSeconds === undefined ? [] : [{ variant, place, apartSeconds }];
    }),
  );
  return { edges, meets };
}
