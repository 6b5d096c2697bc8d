/** A reading in the painter's own units. */
import type { ReadingValue } from '@orthochrom/core/diagnosis/knowledge.ts';
import { convert } from '@orthochrom/core/units/convert.ts';
import { theKnowledge } from '@orthochrom/contract/knowledge/knowledge.ts';
import { readingValueText } from '@orthochrom/contract/words/faultWords.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';

const MM_PER_INCH = 25.4;

/** Pressures and lengths are kept in psi and inches; they are shown as this painter reads them. */
export function readingText(id: string, value: ReadingValue, format: Format): string {
  const known = theKnowledge().files.readings.readings[id];
  if (typeof value !== 'number' || known?.kind !== 'number') return readingValueText(id, value);
  if (known.unit === 'psi') return format.joined(format.pressure(convert(value, 'psi', 'kPa')));
  if (known.unit === 'bar') return format.joined(format.pressure(convert(value, 'bar', 'kPa')));
  if (known.unit === 'inch') return format.joined(format.length(value * MM_PER_INCH));
  return readingValueText(id, value);
}
