/** A time of the day as a clock on the wall has it. */
export const timeText = (at: number | string): string =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
