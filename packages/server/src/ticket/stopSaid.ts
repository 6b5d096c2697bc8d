/** A stop in the units of the painter who is stopped. */
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { verdictMessage } from '@orthochrom/contract/words/verdictWords.ts';
import type { Verdict } from '@orthochrom/core/outcome/told.ts';

export const stopSaid = ({ code, params }: Verdict, { units }: Pick<Painter, 'units'>): string =>
  verdictMessage(code, params, formatFor(units).inWords);
