import { EntitySchema } from 'typeorm';
import { instants, key, optionalStructures, texts } from '../database/columns.ts';

/**
 * Every write that was asked for under an id and committed: what it said, and what it came to. The
 * same request that comes again is answered by it; another one under its id is a clash.
 */
export type RequestRow = {
  id: string;
  /** Method and path. */
  what: string;
  /** SHA-256 of all that was said, in hexadecimal. */
  digest: string;
  /** What was said, where it is not too large to show. */
  given: unknown;
  result: unknown;
  at: Date;
};
export const RequestTable = new EntitySchema<RequestRow>({
  name: 'Request',
  tableName: 'request',
  columns: {
    ...key('request'),
    ...texts('what', 'digest'),
    ...optionalStructures('given', 'result'),
    ...instants('at'),
  },
  indices: [{ name: 'request_at', columns: ['at'] }],
});
