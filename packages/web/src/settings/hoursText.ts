/** A minute of the day as a clock writes it, and back. Pure. */

export const clockOf = (minute: number): string => {
  const [hour, rest] = [Math.floor(minute / 60) % 24, minute % 60];
  return `${String(hour).padStart(2, '0')}:${String(rest).padStart(2, '0')}`;
};

/** Undefined where it is no time of the day yet. */
export function minuteOf(clock: string): number | undefined {
  const [, hour, minute] = /^(\d\d):(\d\d)/.exec(clock) ?? [];
  return hour === undefined ? undefined : Number(hour) * 60 + Number(minute);
}
