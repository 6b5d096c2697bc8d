/** A dose as a painter types it: `10`, `10 %`, `9:1`. */
import type { Dosed } from '@orthochrom/core/mix/percentReadings.ts';

const PERCENT = /^(\d+(?:[.,]\d+)?)\s*%?$/;
const RATIO = /^(\d+(?:[.,]\d+)?)\s*(?::|to)\s*1$/i;
const plain = (figure: string): number => Number(figure.replace(',', '.'));

/**
 * Nothing for an empty field; a message where it is neither a per cent nor so many parts to one.
 */
export function readDosed(text: string): Dosed | { message: string } | undefined {
  const typed = text.trim();
  if (typed === '') return undefined;
  const percent = PERCENT.exec(typed);
  if (percent) {
    const value = plain(percent[1]!);
    return value <= 100 ? { percent: value } : { message: `${value} % is over 100 %.` };
  }
  const ratio = RATIO.exec(typed);
  const partsToOne = ratio ? plain(ratio[1]!) : 0;
  return partsToOne > 0
    ? { partsToOne }
    : { message: `${typed} is read as neither a per cent (10 %) nor parts to one (9:1).` };
}
