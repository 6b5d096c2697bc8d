/** A stop in the units of the painter who is stopped. */
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { leadOf, verdictMessage, verdictSaid } from '@orthochrom/contract/words/verdictWords.ts';
import type { Verdict } from '@orthochrom/core/outcome/verdicts.ts';

/** With what would follow and what to do instead. */
export const stopSaid = ({ code, params }: Verdict, { units }: Pick<Painter, 'units'>): string =>
  verdictSaid(code, params, formatFor(units).inWords);

/**
 * One stop whole; of several, each with what to do instead: what would follow stands with the
 * verdicts.
 */
export function stopsSaid(stops: readonly Verdict[], painter: Pick<Painter, 'units'>): string {
  const { inWords } = formatFor(painter.units);
  if (stops.length === 1) return stopSaid(stops[0]!, painter);
  return stops
    .map(
      ({ code, params }) =>
        `${verdictMessage(code, params, inWords)} ${leadOf(code, params, inWords).instead?.text ?? ''}`,
    )
    .join(' ');
}
