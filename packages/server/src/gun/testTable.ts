import type { ShopTest, TestGate } from '@orthochrom/contract/shop/test.ts';
import { EntitySchema } from 'typeorm';
import {
  ids,
  instants,
  key,
  optionalIds,
  optionalStructures,
  refersTo,
  structures,
  texts,
} from '../database/columns.ts';

/** What was measured in the shop; append-only. Nobody need have signed what came with a gun. */
export type TestRow = {
  id: string;
  shopId: string;
  painterId: string | null;
  nozzleSetId: string | null;
  airLineId: string | null;
  compressorId: string | null;
  kind: string;
  input: ShopTest;
  note: string;
  /** The gate it was shot behind; none where no mix is sprayed, or from before it was asked. */
  gate: TestGate | null;
  takenAt: Date;
};
export const TestTable = new EntitySchema<TestRow>({
  name: 'Calibration',
  tableName: 'calibration',
  columns: {
    ...key('calibration'),
    ...ids('shopId'),
    ...optionalIds('painterId', 'nozzleSetId', 'airLineId', 'compressorId'),
    ...texts('kind', 'note'),
    ...structures('input'),
    ...optionalStructures('gate'),
    ...instants('takenAt'),
  },
  indices: [{ name: 'calibration_taken_at', columns: ['takenAt'] }],
  foreignKeys: [
    refersTo('calibration', 'shopId', 'Shop'),
    refersTo('calibration', 'painterId', 'Painter'),
    refersTo('calibration', 'nozzleSetId', 'NozzleSet'),
    refersTo('calibration', 'airLineId', 'AirLine'),
    refersTo('calibration', 'compressorId', 'Compressor'),
  ],
});
