/** What a painter calls what a sheet names. */
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';

export const KIND_NAME: Record<Sheet['kind'], string> = {
  primer: 'primer',
  sealer: 'sealer',
  base: 'base',
  effect: 'effect',
  singleStage: 'single stage',
  clear: 'clear',
  reducer: 'reducer',
  hardener: 'hardener',
  adjuster: 'adjuster',
  additive: 'additive',
  cleaner: 'cleaner',
};
/** Whose word a sheet is. */
export const SOURCE_NAME: Record<Sheet['source'], string> = {
  sheet: 'the maker’s sheet',
  shopHabit: 'a habit of the shop',
  default: 'a usual figure',
};

/** “Issue 2, 2026-03-02, the maker’s sheet”. */
export const issueText = ({
  number,
  issuedOn,
  source,
}: Pick<Sheet, 'number' | 'issuedOn' | 'source'>): string =>
  `Issue ${number}, ${issuedOn}, ${SOURCE_NAME[source]}`;

/** Which temperatures of the panel no grade of a sheet is made for. */
export const uncoveredText = (
  { lowC, highC }: { lowC: number; highC: number },
  { joined, temperature }: Format,
): string => `No grade covers ${temperature(lowC).text} to ${joined(temperature(highC))}.`;
