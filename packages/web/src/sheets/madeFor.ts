import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';

/** The temperatures a grade is made for, in the painter's unit. */
export function madeFor({ minC, maxC }: NonNullable<Sheet['grade']>, format: Format): string {
  const said = (c: number) => format.joined(format.temperature(c));
  if (minC !== undefined && maxC !== undefined) return `${said(minC)} to ${said(maxC)}`;
  if (minC !== undefined) return `${said(minC)} and over`;
  return maxC === undefined ? 'any temperature' : `up to ${said(maxC)}`;
}
