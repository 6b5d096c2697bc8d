import { EntitySchema } from 'typeorm';
import { structures } from '../database/columns.ts';

/** How the instruments' stand-ins were last steered, for every process of the server. */
export type StandInRow = { kind: 'probe' | 'gauge'; state: object };
export const StandInTable = new EntitySchema<StandInRow>({
  name: 'StandIn',
  tableName: 'stand_in',
  columns: {
    kind: { type: 'text', primary: true, primaryKeyConstraintName: 'stand_in_pkey' },
    ...structures('state'),
  },
});
