/** How what comes after the last coat is called. */
import type { CureDate } from '@orthochrom/core/cure/cure.ts';

export const AFTER_NAME: Record<CureDate, string> = {
  tapeMinute: 'Tape',
  sandMinute: 'Sand, cut',
  polishMinute: 'Polish',
  handOverMinute: 'Keys',
  handWashMinute: 'Wash by hand',
  machineWashMinute: 'Machine wash',
  waxMinute: 'Wax',
};
