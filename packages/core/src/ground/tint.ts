/**
 * A ground of its own, mixed from two neighbours in lightness or with the colour: offered where it
 * saves half a coat, or where no shade is suited.
 *
 * Source  trial of every ratio; which is offered: rule of thumb
 */
import { hexOf, labOf, type Lab, type Light } from '../colour/cielab.ts';
import { apart, hidingDepth, JUST_SEEN, mixtureOf, overGround } from '../colour/hiding.ts';
import { scatterOf, type Paint } from './paint.ts';

export type Shade = Paint & { name: string };
type Tried = { parts: { name: string; parts: number }[]; full: Light; colourShare: number };
export type Tinted = Omit<Tried, 'full' | 'colourShare'> & { coatsToHide: number; colour: string };

const BETWEEN_GROUNDS = [
  [4, 1],
  [3, 1],
  [2, 1],
  [1, 1],
  [1, 2],
  [1, 3],
  [1, 4],
] as const;
const WITH_COLOUR = [
  [4, 1],
  [3, 1],
  [2, 1],
  [1, 1],
] as const;
const SAVES_COATS = 0.5;
const ALIKE_COATS = 0.05;

const mixed = (one: Shade, other: Shade, [a, b]: readonly [number, number]): Tried => ({
  parts: [
    { name: one.name, parts: a },
    { name: other.name, parts: b },
  ],
  full: mixtureOf([
    { full: one.full, scatter: scatterOf(one), share: a / (a + b) },
    { full: other.full, scatter: scatterOf(other), share: b / (a + b) },
  ]),
  colourShare: 0,
});

function candidates(colour: Shade, grounds: readonly Shade[], withColour: boolean): Tried[] {
  const byLightness = [...grounds].sort((a, b) => b.lab.l - a.lab.l);
  const between = byLightness
    .slice(1)
    .flatMap((darker, i) => BETWEEN_GROUNDS.map((ratio) => mixed(byLightness[i]!, darker, ratio)));
  const tinted = withColour
    ? grounds.flatMap((ground) =>
        WITH_COLOUR.map((ratio) => ({
          ...mixed(ground, colour, ratio),
          colourShare: ratio[1] / (ratio[0] + ratio[1]),
        })),
      )
    : [];
  return [...between, ...tinted];
}

export type Wanted = {
  dryUmPerCoat: number;
  /** Coats over the best suited shade; without one any suited mix will do. */
  bestCoats: number | undefined;
  withColour: boolean;
  isSuited: (lab: Lab) => boolean;
};

/** The mix to lay under a colour, where one is worth its work. */
export function tintFor(
  colour: Shade,
  grounds: readonly Shade[],
  { dryUmPerCoat, bestCoats, withColour, isSuited }: Wanted,
): Tinted | undefined {
  const scatter = scatterOf(colour);
  const wantedCoats = bestCoats === undefined ? Infinity : bestCoats - SAVES_COATS;
  if (wantedCoats < 1) return undefined;
  const counted = candidates(colour, grounds, withColour)
    .map((tried) => ({ ...tried, lab: labOf(tried.full) }))
    .filter(({ full, lab }) => {
      if (!isSuited(lab)) return false;
      // What still shows at the film that it would have to hide in is dropped unsought.
      const shown =
        wantedCoats === Infinity
          ? 0
          : apart(overGround(colour.full, full, scatter * wantedCoats * dryUmPerCoat), colour.full);
      return shown <= JUST_SEEN;
    })
    .map((tried) => ({
      ...tried,
      coats: Math.max(
        1,
        hidingDepth(colour.full, tried.full, colour.cardX) / scatter / dryUmPerCoat,
      ),
    }))
    .filter(({ coats }) => coats <= wantedCoats + 1e-9);
  if (counted.length === 0) return undefined;
  const fewest = Math.min(...counted.map(({ coats }) => coats));
  const [best] = counted
    .filter(({ coats }) => coats <= fewest + ALIKE_COATS)
    .sort(
      (one, other) =>
        Number(one.lab.l < colour.lab.l) - Number(other.lab.l < colour.lab.l) ||
        one.colourShare - other.colourShare ||
        one.coats - other.coats,
    );
  return { parts: best!.parts, coatsToHide: best!.coats, colour: hexOf(best!.full) };
}
