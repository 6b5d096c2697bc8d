/**
 * What a lab set-up becomes on a ticket's coat: the painter's own choices, each with its why. Pure.
 */
import type { Overrides } from '@orthochrom/contract/shop/coat.ts';
import type { LabSetup } from './labSetup.ts';

const SENT = ['inletKPa', 'fluidTurnsOut', 'fanTurnsOut', 'distanceMm', 'overlapPercent'] as const;
/** What differs from what was recommended, as the painter's own choice with its why. */
export function overridesFrom(
  { settings }: LabSetup,
  recommended: Partial<Record<string, unknown>> | undefined,
): Overrides {
  return Object.fromEntries(
    SENT.flatMap((name) => {
      const [chosen, ours] = [settings[name], recommended?.[name]];
      if (chosen === undefined || typeof ours !== 'number' || Math.abs(chosen - ours) < 1e-6)
        return [];
      return [[name, { recommended: ours, chosen, why: 'tried in the spray lab' }]];
    }),
  ) as Overrides;
}
