/**
 * How many grades quicker or slower the reducer and hardener were than the air they were sprayed in
 * wanted.
 */
import { ask } from '../calculations/ask.ts';
import { reducerCalculation } from '../calculations/reducer.ts';
import type { AnswerOf, InputOf } from '../registry.ts';
import type { CoatAirPoint } from '../shop/air.ts';
import type { Coat } from '../shop/coat.ts';

type Grade = { name: string; minC?: number | undefined; maxC?: number | undefined };

/** Quick to slow: by the temperature they are made for. */
const inOrder = (grades: readonly Grade[]): string[] =>
  [...grades]
    .sort((a, b) => (a.minC ?? (a.maxC ?? 0) - 10) - (b.minC ?? (b.maxC ?? 0) - 10))
    .map(({ name }) => name);

/** A blend stands between its grades. */
function placeOf(
  order: readonly string[],
  parts: readonly { name: string; fraction: number }[],
): number | undefined {
  const sum = parts.reduce((total, { fraction }) => total + fraction, 0);
  if (sum <= 0 || parts.some(({ name }) => !order.includes(name))) return undefined;
  return (
    parts.reduce((total, { name, fraction }) => total + order.indexOf(name) * fraction, 0) / sum
  );
}

/**
 * What was wanted is asked again for the air at the coat's own taps: a plan of the cool morning may
 * be wrong at noon.
 */
export function gradeSteps(
  coat: Coat,
  air: readonly CoatAirPoint[],
): { red_step?: number; hard_step?: number } {
  const input = coat.planned?.inputs['reducer'] as InputOf<'reducer'> | undefined;
  const taken = (coat.planned?.answers['reducer'] as AnswerOf<'reducer'> | undefined)?.choice;
  if (!input || !taken) return {};
  const { wanted: _, ...plain } = input;
  const middle = air[Math.floor(air.length / 2)];
  const wantedNow = ask(reducerCalculation, {
    ...plain,
    ...(middle
      ? {
          airTemperatureC: middle.airC,
          relativeHumidityPercent: middle.rhPercent,
          ...(middle.panelC === undefined ? {} : { panelTemperatureC: middle.panelC }),
        }
      : {}),
    risks: false,
  }).choice;
  const step = (
    order: readonly string[],
    own: string | undefined,
    parts: readonly { name: string; fraction: number }[],
    to: readonly { name: string; fraction: number }[],
  ) => {
    const place = placeOf(order, own === undefined ? parts : [{ name: own, fraction: 1 }]);
    const wantedPlace = placeOf(order, to);
    return place === undefined || wantedPlace === undefined
      ? undefined
      : Math.round(place - wantedPlace);
  };
  const ownOf = (name: 'reducer' | 'hardener') => {
    const chosen = coat.overrides[name]?.chosen;
    return chosen === undefined ? undefined : String(chosen);
  };
  const one = (name: string | undefined) => (name === undefined ? [] : [{ name, fraction: 1 }]);
  const red = step(
    inOrder(input.grades ?? []),
    ownOf('reducer'),
    taken.parts,
    wantedNow?.parts ?? [],
  );
  const hard = step(
    inOrder(input.hardeners ?? []),
    ownOf('hardener'),
    one(taken.hardener),
    one(wantedNow?.hardener),
  );
  return {
    ...(red === undefined ? {} : { red_step: red }),
    ...(hard === undefined ? {} : { hard_step: hard }),
  };
}
