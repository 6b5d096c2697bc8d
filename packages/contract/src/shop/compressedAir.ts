/**
 * The shop's compressed air as the painter describes it once: compressors, and the lines from the
 * wall to a gun.
 */
import { Trust } from '../shapes/trade.ts';
import { REGULATOR_MARGIN_KPA } from '@orthochrom/core/compressedAir/compressor.ts';
import { z } from 'zod';
import { contradiction, name, text, wanted } from '../quantity/fields.ts';
import { Line } from '../shapes/gun.ts';
import { edited, Id, stored } from './common.ts';
import type { StoredTest } from './test.ts';

const compressorShape = {
  name: name(),
  ...wanted('tankL', 'freeAirLPerMin', 'freeAirAtKPa', 'cutInKPa', 'cutOutKPa'),
  note: text(),
};
const cutsOutAbove = (
  { cutInKPa, cutOutKPa }: { cutInKPa: number; cutOutKPa: number },
  ctx: z.RefinementCtx,
): void => {
  if (cutOutKPa <= cutInKPa)
    ctx.addIssue(
      contradiction(['cutOutKPa'], `cutOutKPa ${cutOutKPa} is not over cutInKPa ${cutInKPa}`),
    );
};
export const CompressorCreate = z
  .strictObject({ id: Id, ...compressorShape })
  .superRefine(cutsOutAbove);
export const CompressorEdit = z
  .strictObject({ ...edited, ...compressorShape })
  .superRefine(cutsOutAbove);
export const Compressor = z.strictObject({ ...stored, ...compressorShape });
export type Compressor = z.infer<typeof Compressor> & {
  /** The newest pump-up since it was last described; it rules over the plate. */
  pumpUp?: StoredTest;
};

/** What is screwed together; a loss is measured, not described. */
export const LinePieces = Line.refine((line) => line.measuredLossPercent === undefined, {
  path: ['measuredLossPercent'],
  message: 'measuredLossPercent is measured, not described: take a two-gauge test',
  params: { code: 'unknown-field' },
});
const airLineShape = {
  name: name(),
  roomId: Id.optional(),
  compressorId: Id.optional(),
  gaugeAt: z.enum(['gun', 'wall']),
  gaugeTrust: Trust,
  line: LinePieces,
  note: text(),
};
export const AirLineCreate = z.strictObject({ id: Id, ...airLineShape });
export const AirLineEdit = z.strictObject({ ...edited, ...airLineShape });
export const AirLine = z.strictObject({ ...stored, ...airLineShape });
export type AirLine = z.infer<typeof AirLine> & {
  /** The newest two-gauge test since its pieces were last changed. */
  twoGauges?: StoredTest;
};

/** A line with its own measured loss and where that was read: what every calculation is given. */
export function lineOf({
  line,
  twoGauges,
}: Pick<AirLine, 'line' | 'twoGauges'>): z.infer<typeof Line> {
  const { test } = twoGauges ?? {};
  if (test?.kind !== 'twoGauges') return line;
  return {
    ...line,
    measuredLossPercent: (1 - test.inletKPa / test.wallKPa) * 100,
    measuredAtInletKPa: test.inletKPa,
    measuredAtAirFlowLPerMin: test.airFlowLPerMin,
  };
}

/** Delivery as last timed, else as on the plate. */
export function deliveryOf({ freeAirLPerMin, freeAirAtKPa, pumpUp }: Compressor): {
  freeAirLPerMin: number;
  freeAirAtKPa: number;
} {
  const { test } = pumpUp ?? {};
  return test?.kind === 'pumpUp'
    ? { freeAirLPerMin: test.freeAirLPerMin, freeAirAtKPa: (test.fromKPa + test.toKPa) / 2 }
    : { freeAirLPerMin, freeAirAtKPa };
}

/** What the tank must hold for a regulator that stands at this at rest. */
export const neededTankKPa = (regulatorStaticKPa: number): number =>
  regulatorStaticKPa + REGULATOR_MARGIN_KPA;

/** How long a trigger is pulled and let go in a usual job, and for how long. */
export const USUAL_RHYTHM = { triggerOnSeconds: 8, triggerOffSeconds: 2, runMinutes: 15 } as const;
