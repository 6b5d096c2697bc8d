/** Which program this is: as the change log and every package.json say it. */
export const VERSION = '0.23.0';

/** Raised when a figure that is kept could come out differently for the same input. */
export const CALCULATION_VERSION = 7;
