/** Building blocks of the schemas: a quantity takes its range from its own name. */
import { remembered } from '@orthochrom/core/numerics/remembered.ts';
import { z } from 'zod';
import { rangeOf } from './ranges.ts';

export const LONGEST_LIST = 64;

/** Made once for a name: a schema takes longer to make than to use, and changes no more. */
export const quantity = remembered((field: string): z.ZodNumber => {
  const { from, to, unit } = rangeOf(field);
  return z.number().min(from).max(to).meta({ unit });
});
const quantityIfAny = remembered((field: string) => quantity(field).optional());

/** Amounts wanted or at hand, parts and sizes: nothing at all is not an amount. */
export const moreThanZero = (field: string): z.ZodNumber => {
  const { from, to, unit } = rangeOf(field);
  const some = from > 0 ? z.number().min(from) : z.number().gt(0);
  return some.max(to).meta({ unit });
};

const keyed = <K extends string, S>(names: readonly K[], schemaOf: (name: K) => S): Record<K, S> =>
  Object.fromEntries(names.map((name) => [name, schemaOf(name)])) as Record<K, S>;

/** A shape of wanted quantities, named once. */
export const wanted = <K extends string>(...names: K[]) => keyed(names, quantity);

/** A shape of quantities that may be left out. */
export const optional = <K extends string>(...names: K[]) => keyed(names, quantityIfAny);

export const name = () => z.string().min(1).max(80);
export const text = () => z.string().max(2000);
export const listOf = <S extends z.ZodType>(item: S, least = 0) =>
  z.array(item).min(least).max(LONGEST_LIST);

/** low ≤ high */
export const band = (field: string) =>
  z.tuple([quantity(field), quantity(field)]).superRefine(([low, high], ctx) => {
    if (low > high)
      ctx.addIssue(contradiction([1], `the band ends at ${high} before it begins at ${low}`));
  });

type CustomIssue = {
  code: 'custom';
  path: (string | number)[];
  message: string;
  params: { code: string };
};
const custom =
  (code: string) =>
  (path: (string | number)[], message: string): CustomIssue => ({
    code: 'custom',
    path,
    message,
    params: { code },
  });

export const contradiction = custom('contradiction');
export const exactlyOneOfIssue = custom('exactly-one-of');
export const needsField = custom('needs-field');
export const notInRecipe = custom('not-in-recipe');
export const unlikeUnits = custom('unlike-units');
export const outOfRange = custom('out-of-range');
export const notOneOf = custom('not-one-of');

/** Refinement: exactly one of these fields is given. */
export const exactlyOneOf =
  (...names: string[]) =>
  (value: Record<string, unknown>, ctx: z.RefinementCtx): void => {
    const given = names.filter((field) => value[field] !== undefined);
    if (given.length !== 1)
      ctx.addIssue(
        exactlyOneOfIssue(
          [],
          `${given.length === 0 ? 'none' : given.join(' and ')} given; exactly one of ${names.join(', ')} is wanted`,
        ),
      );
  };

/** Things of a list are told apart by their names: each but once. */
export function eachOnce(
  names: readonly string[],
  ctx: Pick<z.RefinementCtx, 'addIssue'>,
  pathOf: (at: number) => (string | number)[],
): void {
  names.forEach((own, at) => {
    if (names.indexOf(own) < at)
      ctx.addIssue(contradiction(pathOf(at), `${own} stands there twice`));
  });
}
