/**
 * Which undercoat shade lets a colour hide soonest: in coats, as a band, the unsuited last.
 *
 *   film to hide: the largest d at which ΔE2000 to the masstone is over 1;
 *   coats = max(1, d ÷ dry film per coat)                                                [ground-3]
 *
 * Source  colour/hiding.ts; which grounds are unsuited: rule of thumb of the trade
 */
import { chromaOf, hexOf, hueApartDeg, labOf, type Lab } from '../colour/cielab.ts';
import { apart, hidingDepth, JUST_SEEN, overGround } from '../colour/hiding.ts';
import { deltaE2000 } from '../colour/deltaE.ts';
import { logNormalSpread, mapSpread, type Spread } from '../outcome/spread.ts';
import { because, caution, term, type Reason, type Verdict } from '../outcome/verdicts.ts';
import type { TermCode } from '../outcome/terms.ts';
import { candyFilm, candyOver, type Candy } from './candy.ts';
import type { Ground, GroundAnswer, GroundInput, Ranked } from './groundInput.ts';
import { paintOf, scatterOf, type Paint } from './paint.ts';
import { tintFor, type Shade } from './tint.ts';

const LOG_SD = { measured: Math.hypot(0.15, 0.1), guessed: Math.hypot(0.35, 0.1) };
const USUAL_MOST = 3;
const CANDY_OFF = 3;
const HALF_A_COAT = 0.5;

type Judged = {
  ground: Ground;
  paint: Paint;
  why: TermCode | undefined;
  filmUm: number | undefined;
  candy: Candy | undefined;
  apartBy: number;
};

/** Why a ground is not for this colour; nothing where it will do. */
export function unsuited(
  { topcoat: { effect }, strongSun = false }: GroundInput,
  colour: Lab,
  { lab, texture }: { lab: Lab; texture?: Ground['texture'] },
): TermCode | undefined {
  if (effect === 'candy' && texture === 'coarse') return 'flakesShowThrough';
  if (effect === 'candy' && lab.l < colour.l + 15) return 'candyOnlyDarkens';
  if (effect === 'fluorescent' && (lab.l < 90 || chromaOf(lab) > 8)) return 'glowsOverWhite';
  const bleaches = effect === 'candy' || effect === 'fluorescent' || chromaOf(colour) > 50;
  const isOff = chromaOf(lab) < 15 || hueApartDeg(lab, colour) > 30;
  return strongSun && bleaches && isOff ? 'bleachesToGround' : undefined;
}

/** Grounds ranked for a colour, with the mix that saves half a coat. [ground-3] */
export function groundOf(input: GroundInput): GroundAnswer {
  const { topcoat, grounds, dryUmPerCoat, plannedCoats } = input;
  const colour = paintOf(topcoat.colour, { hidingUm: topcoat.hidingUm, finish: topcoat.effect });
  const isCandy = topcoat.effect === 'candy';
  const judged = grounds
    .map((ground) => judgedOf(input, ground, colour))
    .sort(
      (one, other) =>
        Number(one.why !== undefined) - Number(other.why !== undefined) ||
        (one.filmUm ?? Infinity) - (other.filmUm ?? Infinity) ||
        one.apartBy - other.apartBy ||
        one.ground.name.localeCompare(other.ground.name),
    );
  const sd = colour.isGuessed ? LOG_SD.guessed : LOG_SD.measured;
  const ranked = judged.map(({ ground, paint, filmUm, why }): Ranked => {
    const laid =
      plannedCoats !== undefined || topcoat.effect === 'pearl'
        ? asLaid(colour, paint, (plannedCoats ?? USUAL_MOST) * dryUmPerCoat)
        : undefined;
    return {
      name: ground.name,
      ...(filmUm === undefined ? {} : { coatsToHide: coatsOf(filmUm / dryUmPerCoat, sd), filmUm }),
      note: noteOf(input, { colour: colour.lab, ground: paint.lab, laid }, filmUm),
      suited: why === undefined,
      ...(laid ? { asLaid: laid } : {}),
    };
  });
  const advised = advisedOf(judged, colour.lab, dryUmPerCoat);
  const tinted = isCandy || topcoat.effect === 'flake' ? undefined : tintOf(input, colour, judged);
  return {
    ranked,
    ...(advised ? { advised } : {}),
    ...(tinted ? { tintedGround: tinted } : {}),
    ...(isCandy
      ? { candy: judged.map(({ ground, candy }) => candyStop(ground.name, candy!)) }
      : {}),
    verdicts: verdictsOf(input, colour, judged),
    reasons: [
      because('hiding-by-bands', 'model'),
      colour.isGuessed
        ? because('hiding-guessed', 'rule', { hidingUm: colour.hidingUm })
        : because('hiding-measured', 'record', { hidingUm: colour.hidingUm }),
    ],
  };
}

const coatsOf = (coats: number, sd: number): Spread =>
  mapSpread(logNormalSpread(Math.max(coats, 1e-6), sd), (value) => Math.max(1, value));

function judgedOf(input: GroundInput, ground: Ground, colour: Paint): Judged {
  const { topcoat, dryUmPerCoat } = input;
  const paint = paintOf(ground.colour, { hidingUm: ground.hidingUm });
  const candy =
    topcoat.effect === 'candy'
      ? candyOver(colour.full, paint.full, { hidingUm: topcoat.hidingUm, dryUmPerCoat })
      : undefined;
  const filmUm = candy
    ? candy.missesBy > CANDY_OFF
      ? undefined
      : candy.filmUm
    : hidingDepth(colour.full, paint.full, colour.cardX) / scatterOf(colour);
  return {
    ground,
    paint,
    why: unsuited(input, colour.lab, { lab: paint.lab, texture: ground.texture }),
    filmUm,
    candy,
    apartBy: deltaE2000(colour.lab, paint.lab),
  };
}

const candyStop = (name: string, { missesBy, perTenPercentFilm, oneCoatMore }: Candy) => ({
  name,
  missesBy,
  perTenPercentFilm,
  oneCoatMore,
});

const asLaid = (colour: Paint, ground: Paint, um: number): Lab =>
  labOf(overGround(colour.full, ground.full, scatterOf(colour) * um));

/** Grounds alike in coats are told apart by the eye: as light as the colour, and not darker. */
function advisedOf(judged: readonly Judged[], colour: Lab, dryUmPerCoat: number) {
  const suited = judged.filter(({ why, filmUm }) => why === undefined && filmUm !== undefined);
  const coats = ({ filmUm }: Judged) => Math.max(1, filmUm! / dryUmPerCoat);
  const best = Math.min(...suited.map(coats));
  const alike = suited.filter((one) => coats(one) <= best + HALF_A_COAT);
  const rank = ({ paint: { lab } }: Judged) =>
    Math.abs(lab.l - colour.l) + (lab.l < colour.l ? 100 : 0);
  return alike.sort((one, other) => rank(one) - rank(other))[0]?.ground.name;
}

function tintOf(input: GroundInput, colour: Paint, judged: readonly Judged[]) {
  const { topcoat, dryUmPerCoat, tintWithTopcoat = true } = input;
  const suited = judged.filter(({ why }) => why === undefined);
  const bestUm = suited[0]?.filmUm;
  const shades = judged.map(({ ground, paint }): Shade => ({ ...paint, name: ground.name }));
  return tintFor({ ...colour, name: topcoat.name ?? 'topcoat' }, shades, {
    dryUmPerCoat,
    bestCoats: bestUm === undefined ? undefined : Math.max(1, bestUm / dryUmPerCoat),
    withColour: tintWithTopcoat,
    isSuited: (lab) => unsuited(input, colour.lab, { lab, texture: 'smooth' }) === undefined,
  });
}

function noteOf(
  { topcoat: { effect } }: GroundInput,
  { colour, ground, laid }: { colour: Lab; ground: Lab; laid: Lab | undefined },
  filmUm: number | undefined,
): Reason {
  if (effect === 'flake') return because('flake-takes-ground', 'rule');
  if (filmUm === undefined) return because('candy-never-there', 'model');
  if (effect === 'candy') return because('candy-by-absorption', 'model', { filmUm });
  if (laid && deltaE2000(laid, colour) > JUST_SEEN) {
    const lighter = laid.l - colour.l;
    return because(lighter < 0 ? 'leans-darker' : 'leans-lighter', 'model', {
      deltaE: deltaE2000(laid, colour),
      by: Math.abs(lighter),
    });
  }
  return because(ground.l < colour.l ? 'ground-darker' : 'ground-lighter', 'model', { filmUm });
}

function verdictsOf(input: GroundInput, colour: Paint, judged: readonly Judged[]): Verdict[] {
  const { topcoat, dryUmPerCoat, maxCoats = USUAL_MOST, plannedCoats = maxCoats } = input;
  const [first] = judged;
  const coats = first?.filmUm === undefined ? 0 : first.filmUm / dryUmPerCoat;
  const hides = topcoat.effect !== 'candy' && topcoat.effect !== 'flake';
  const beside = judged.filter(({ ground }) => ground.onPanel);
  const laid = (paint: Paint) =>
    overGround(colour.full, paint.full, scatterOf(colour) * plannedCoats * dryUmPerCoat);
  const shadows = beside.flatMap((one, i) =>
    beside.slice(i + 1).map((other) => ({
      a: one.ground.name,
      b: other.ground.name,
      deltaE: apart(laid(one.paint), laid(other.paint)),
    })),
  );
  const isClipped = colour.isClipped || judged.some(({ paint }) => paint.isClipped);
  return [
    ...(first && hides && coats > maxCoats
      ? [caution('ground-will-not-hide', { ground: first.ground.name, coats })]
      : []),
    ...judged.flatMap(({ ground, why }) =>
      why ? [caution('ground-unsuited', { ground: ground.name, why: term(why) })] : [],
    ),
    ...judged.flatMap(({ ground, candy }) =>
      candy && candy.missesBy > CANDY_OFF
        ? [caution('candy-out-of-reach', { ground: ground.name, deltaE: candy.missesBy })]
        : [],
    ),
    ...shadows
      .filter(({ deltaE }) => hides && deltaE > JUST_SEEN)
      .map((shadow) => caution('shadow-shows', shadow)),
    ...(isClipped
      ? [caution('beyond-formula', { what: term('thisColour'), range: term('displayColours') })]
      : []),
  ];
}

/** The colour over a ground after so many coats, as a display shows it: for its card. */
export function cardColours(
  { topcoat, dryUmPerCoat }: Pick<GroundInput, 'topcoat' | 'dryUmPerCoat'>,
  ground: Pick<Ground, 'colour' | 'hidingUm'>,
  coats: readonly number[],
): string[] {
  const colour = paintOf(topcoat.colour, { hidingUm: topcoat.hidingUm, finish: topcoat.effect });
  const under = paintOf(ground.colour, { hidingUm: ground.hidingUm });
  if (topcoat.effect === 'candy') {
    const film = { hidingUm: topcoat.hidingUm, dryUmPerCoat };
    const at = candyFilm(colour.full, under.full, film);
    return coats.map((count) => hexOf(at(count * dryUmPerCoat)));
  }
  const scatter = scatterOf(colour);
  return coats.map((count) =>
    hexOf(overGround(colour.full, under.full, scatter * count * dryUmPerCoat)),
  );
}
