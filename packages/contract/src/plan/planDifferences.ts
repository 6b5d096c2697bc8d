/** What becomes otherwise when the air changes, field by field, and why. */
import type { WordedReason, WordedVerdict } from '../words/worded.ts';
import { stopsOf, type CoatPlan } from './planCoat.ts';

export type PlanDifference = {
  field:
    | 'stops'
    | 'reducer'
    | 'hardener'
    | 'adjuster'
    | 'potLife'
    | 'flash'
    | 'openTime'
    | 'dewMargin'
    | 'inlet';
  from?: number | string;
  to?: number | string;
  why?: WordedReason | WordedVerdict;
};

export const blendText = (parts: readonly { name: string; fraction: number }[]): string =>
  parts
    .map(({ name, fraction }) =>
      fraction === 1 ? name : `${{ 0.25: '¼', 0.5: '½', 0.75: '¾' }[fraction] ?? fraction} ${name}`,
    )
    .join(' + ');

/**
 * Differences worth a painter's eye between two plans of the same coat; small drifts are left out.
 */
export function planDifferences(before: CoatPlan, after: CoatPlan): PlanDifference[] {
  const reason = (code: string) => after.reducer.reasons.find((r) => r.code === code);
  const words = (
    field: PlanDifference['field'],
    from: string | undefined,
    to: string | undefined,
    why?: PlanDifference['why'],
  ): PlanDifference[] =>
    from === to
      ? []
      : [{ field, ...(from ? { from } : {}), ...(to ? { to } : {}), ...(why ? { why } : {}) }];
  const figures = (
    field: PlanDifference['field'],
    from: number | undefined,
    to: number | undefined,
    least: number,
    why?: PlanDifference['why'],
  ): PlanDifference[] =>
    from === undefined || to === undefined || Math.abs(to - from) < least
      ? []
      : [{ field, from, to, ...(why ? { why } : {}) }];
  const [stopsBefore, stopsAfter] = [stopsOf(before), stopsOf(after)];
  const [was, is] = [before.reducer.choice, after.reducer.choice];
  return [
    ...words(
      'stops',
      stopsBefore.map(({ code }) => code).join(),
      stopsAfter.map(({ code }) => code).join(),
      stopsAfter[0] ?? after.climate.verdicts[0],
    ),
    ...(was && is
      ? words(
          'reducer',
          blendText(was.parts),
          blendText(is.parts),
          reason('grade-for-temperature') ?? reason('grade-nearest'),
        )
      : []),
    ...(was && is
      ? words('hardener', was.hardener, is.hardener, reason('hardener-for-temperature'))
      : []),
    ...figures(
      'adjuster',
      was?.adjusterPercentOfPaint,
      is?.adjusterPercentOfPaint,
      0.5,
      reason('adjuster-from-grid'),
    ),
    // The edge is that of what is in the cup: the painter's pick where there is one.
    ...figures(
      'openTime',
      before.inUse?.openTimeMinutes?.value,
      after.inUse?.openTimeMinutes?.value,
      0.3,
    ),
    ...figures(
      'potLife',
      before.mix?.potLifeMinutes?.value,
      after.mix?.potLifeMinutes?.value,
      2,
      after.mix?.reasons.find((r) => r.code === 'pot-life-by-temperature'),
    ),
    ...figures(
      'flash',
      before.recoat.earliestMinutes.value,
      after.recoat.earliestMinutes.value,
      0.4,
      after.recoat.reasons.find(
        (r) => r.code === 'moved-by-climate' || r.code === 'at-sheet-floor',
      ),
    ),
    ...figures('dewMargin', before.climate.panelMarginC, after.climate.panelMarginC, 0.5),
    ...figures('inlet', before.setup.inletKPa, after.setup.inletKPa, 1),
  ];
}
