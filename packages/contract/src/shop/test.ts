/**
 * What a shop measures on its own guns and air: append-only, each belonging to a nozzle set, a line
 * or a compressor.
 */
import { StageName } from '../shapes/trade.ts';
import { z } from 'zod';
import { gateAnswersShape } from '../calculations/gate.ts';
import { contradiction, moreThanZero, name, quantity, text, wanted } from '../quantity/fields.ts';
import { GunTest, PatternSymptom, Settings } from '../shapes/gun.ts';
import { Id } from './common.ts';

const PatternTest = z.strictObject({
  kind: z.literal('pattern'),
  seen: PatternSymptom,
  ...wanted('distanceMm'),
  settings: Settings,
});
/** What a painter found on a test panel or by ear, to begin from next time. */
const Baseline = z.strictObject({
  kind: z.literal('baseline'),
  stage: StageName,
  product: z.string().max(120),
  byEar: z.boolean(),
  settings: Settings,
});
const TwoGauges = z
  .strictObject({
    kind: z.literal('twoGauges'),
    wallKPa: quantity('wallKPa'),
    ...wanted('inletKPa'),
    restKPa: quantity('restKPa').optional(),
    gunId: Id,
    ...wanted('airFlowLPerMin'),
  })
  .superRefine(({ wallKPa, inletKPa, restKPa }, ctx) => {
    if (inletKPa > wallKPa)
      ctx.addIssue(
        contradiction(
          ['inletKPa'],
          `${inletKPa} kPa at the gun cannot be over ${wallKPa} kPa at the wall`,
        ),
      );
    if (restKPa !== undefined && restKPa < wallKPa)
      ctx.addIssue(
        contradiction(
          ['restKPa'],
          `${restKPa} kPa at rest lies under ${wallKPa} kPa flowing; it falls when the trigger is pulled`,
        ),
      );
  });
const PumpUp = z
  .strictObject({
    kind: z.literal('pumpUp'),
    ...wanted('fromKPa', 'toKPa'),
    seconds: moreThanZero('seconds'),
    ...wanted('freeAirLPerMin'),
  })
  .superRefine(({ fromKPa, toKPa }, ctx) => {
    if (toKPa <= fromKPa)
      ctx.addIssue(contradiction(['toKPa'], `toKPa ${toKPa} is not over fromKPa ${fromKPa}`));
  });

export const ShopTest = z.union([...GunTest.options, PatternTest, Baseline, TwoGauges, PumpUp]);
export type ShopTest = z.infer<typeof ShopTest>;
export type TestKind = ShopTest['kind'];

/** Exactly one of these is what was tested. */
const about = { nozzleSetId: Id.optional(), airLineId: Id.optional(), compressorId: Id.optional() };
const ABOUT: Record<TestKind, keyof typeof about> = {
  catch: 'nozzleSetId',
  fan: 'nozzleSetId',
  cap: 'nozzleSetId',
  comb: 'nozzleSetId',
  lines: 'nozzleSetId',
  pattern: 'nozzleSetId',
  baseline: 'nozzleSetId',
  twoGauges: 'airLineId',
  pumpUp: 'compressorId',
};
/** What is in the cup and where it is shot: the same gate as before a coat. */
export const TestGate = z.strictObject({
  roomId: Id,
  sheetVersionId: Id,
  recipeName: name(),
  ...gateAnswersShape,
});
export type TestGate = z.infer<typeof TestGate>;
/** Tests that put the real mix through the gun. */
const SHOOTS_MIX: ReadonlySet<TestKind> = new Set([
  'catch',
  'fan',
  'comb',
  'lines',
  'pattern',
] as const);
export const shootsMix = (kind: TestKind): boolean => SHOOTS_MIX.has(kind);

export const TestCreate = z
  .strictObject({
    id: Id,
    painterId: Id,
    ...about,
    test: ShopTest,
    note: text(),
    gate: TestGate.optional(),
  })
  .superRefine((given, ctx) => {
    if (shootsMix(given.test.kind) && !given.gate)
      ctx.addIssue({
        code: 'custom',
        path: ['gate'],
        message: 'the real mix goes through the gun: the safety gate is answered first',
        params: { code: 'needs-field' },
      });
    const wantedField = ABOUT[given.test.kind];
    if (given[wantedField] === undefined)
      ctx.addIssue({
        code: 'custom',
        path: [wantedField],
        message: `${wantedField} is needed for a ${given.test.kind} test`,
        params: { code: 'needs-field' },
      });
    for (const field of Object.keys(about) as (keyof typeof about)[])
      if (field !== wantedField && given[field] !== undefined)
        ctx.addIssue(
          contradiction([field], `a ${given.test.kind} test belongs to a ${wantedField}`),
        );
  });
export type TestCreate = z.infer<typeof TestCreate>;
export type StoredTest = {
  id: string;
  takenAt: string;
  painterId?: string;
  nozzleSetId?: string;
  airLineId?: string;
  compressorId?: string;
  test: ShopTest;
  note: string;
};
