/** An air line as it is typed: what it says so far, and why it cannot be kept yet. */
import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import { AirLineCreate, type AirLine } from '@orthochrom/contract/shop/compressedAir.ts';
import type { z } from 'zod';

export type AirLineDraft = Omit<z.infer<typeof AirLineCreate>, 'id'>;
/** Bore and length apart, since one is typed before the other. */
export type HoseDraft = { innerDiameterMm?: number | undefined; lengthM?: number | undefined };
export type CouplerKind = NonNullable<AirLineDraft['line']['couplers']>[number]['kind'];

const EMPTY: AirLineDraft = {
  name: '',
  gaugeAt: 'wall',
  gaugeTrust: 'good',
  line: { couplers: [{ kind: 'standard', count: 2 }], regulator: 'large' },
  note: '',
};

export function draftOf(stored: AirLine | undefined): AirLineDraft {
  if (!stored) return EMPTY;
  const { id: _i, version: _v, twoGauges: _t, ...draft } = stored;
  return draft;
}

export const couplersOf = ({ couplers = [] }: AirLineDraft['line'], kind: CouplerKind): number =>
  couplers.filter((one) => one.kind === kind).reduce((sum, { count }) => sum + count, 0);

export const withCouplers = (
  { couplers = [] }: AirLineDraft['line'],
  kind: CouplerKind,
  count: number,
): Pick<AirLineDraft['line'], 'couplers'> => ({
  couplers: [...couplers.filter((one) => one.kind !== kind), { kind, count }],
});

/** The line as it would be kept: a hose with both its figures, couplers that are there. */
export function describedLine(
  draft: AirLineDraft,
  { innerDiameterMm, lengthM }: HoseDraft,
): AirLineDraft {
  const { hose: _, ...line } = draft.line;
  const couplers = (line.couplers ?? []).filter(({ count }) => count > 0);
  const hose =
    innerDiameterMm === undefined || lengthM === undefined
      ? {}
      : { hose: { innerDiameterMm, lengthM } };
  return { ...draft, line: { ...line, couplers, ...hose } };
}

/** Why it cannot be kept yet, in words; nothing where it can. */
export function faultOf(draft: AirLineDraft, hose: HoseDraft, id: string): string | undefined {
  if (draft.name.trim() === '') return 'A line needs a name.';
  if ((hose.innerDiameterMm === undefined) !== (hose.lengthM === undefined))
    return 'A hose has a bore and a length: type both, or neither.';
  const given = { ...describedLine(draft, hose), id };
  const parsed = AirLineCreate.safeParse(given);
  return parsed.success ? undefined : refusalOf(parsed.error, given).message;
}
