/**
 * A candy absorbs and does not hide: light goes through it twice.
 *
 *   R = Rg · e^(−2 k d),  k = ln(0.62 ÷ R wanted) ÷ (2 d*), not under 0                   [candy-1]
 *
 * d*: the film at which the colour wanted stands over smooth silver (0.62), else four coats.
 * Source  beer-lambert
 */
import { apart } from '../colour/hiding.ts';
import type { Light } from '../colour/cielab.ts';

const SILVER = 0.62;
const USUAL_COATS = 4;
const SCAN = 60;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
const NARROWINGS = 40;

export type Candy = {
  /** Film at which it comes nearest, µm. */
  filmUm: number;
  missesBy: number;
  perTenPercentFilm: number;
  oneCoatMore: number;
};

type Film = { hidingUm: number | undefined; dryUmPerCoat: number };
const fullFilmUm = ({ hidingUm, dryUmPerCoat }: Film): number =>
  hidingUm ?? USUAL_COATS * dryUmPerCoat;

/** A candy over a ground by its film, µm. [candy-1] */
export function candyFilm(wanted: Light, ground: Light, film: Film): (um: number) => Light {
  const fullUm = fullFilmUm(film);
  const absorbs = wanted.map((band) => Math.max(0, Math.log(SILVER / band) / (2 * fullUm)));
  return (um) =>
    ground.map((band, i) => band * Math.exp(-2 * absorbs[i]! * um)) as unknown as Light;
}

/** Where a candy over a ground comes nearest to the colour wanted. [candy-1] */
export function candyOver(wanted: Light, ground: Light, film: Film): Candy {
  const { dryUmPerCoat } = film;
  const fullUm = fullFilmUm(film);
  const at = candyFilm(wanted, ground, film);
  const misses = (um: number): number => apart(at(um), wanted);
  const most = 3 * fullUm;
  let best = 0;
  for (let i = 1; i <= SCAN; i++)
    if (misses((i / SCAN) * most) < misses((best / SCAN) * most)) best = i;
  let from = (Math.max(0, best - 1) / SCAN) * most;
  let to = (Math.min(SCAN, best + 1) / SCAN) * most;
  for (let i = 0; i < NARROWINGS; i++) {
    const [a, b] = [to - GOLDEN * (to - from), from + GOLDEN * (to - from)];
    if (misses(a) <= misses(b)) to = b;
    else from = a;
  }
  const filmUm = (from + to) / 2;
  return {
    filmUm,
    missesBy: misses(filmUm),
    perTenPercentFilm: apart(at(filmUm), at(1.1 * filmUm)),
    oneCoatMore: apart(at(filmUm), at(filmUm + dryUmPerCoat)),
  };
}
