/** Made once: a formatter takes longer to make than to use. */
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** A time of the day as a clock on the wall has it. */
export const timeText = (at: number | string): string => CLOCK.format(new Date(at));
