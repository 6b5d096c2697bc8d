/** Every edge is parsed: a body or a path value is what the contract says, or it is refused. */
import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import { Id } from '@orthochrom/contract/shop/common.ts';
import type { Request } from 'express';
import type { z } from 'zod';
import { BadInput } from './faults.ts';

export function parsed<T>(schema: z.ZodType<T>, input: unknown): T {
  const result = schema.safeParse(input);
  if (!result.success) throw new BadInput(refusalOf(result.error, input));
  return result.data;
}

export const bodyOf = <T>(schema: z.ZodType<T>, req: Request): T => parsed(schema, req.body);

export function idOf(req: Request, name = 'id'): string {
  const result = Id.safeParse(req.params[name]);
  if (!result.success) throw BadInput.at([name], 'wrong-type', `${name} is not an id.`);
  return result.data;
}
