/** Moments in words: one home for how an hour, a day and both together read. */
const DAY_MS = 86_400_000;

type Moment = number | string | Date;
/** The shop's; this device's until the shop is read. */
let shopZone: string | undefined;
/** Whatever zone a tablet thinks it is in, it shows the hours of the shop's own clock. */
export function goByZone(timeZone: string): void {
  shopZone = timeZone;
}

/** Made once for a zone: a formatter takes longer to make than to use. */
const said = (parts: Intl.DateTimeFormatOptions) => {
  let made: { zone: string | undefined; format: Intl.DateTimeFormat } | undefined;
  return (at: Moment): string => {
    if (!made || made.zone !== shopZone)
      made = {
        zone: shopZone,
        format: new Intl.DateTimeFormat('en-GB', {
          ...parts,
          ...(shopZone ? { timeZone: shopZone } : {}),
        }),
      };
    return made.format.format(new Date(at));
  };
};
const HOUR = { hour: '2-digit', minute: '2-digit' } as const;

/** A time of the day as a clock on the wall has it. */
export const timeText = said(HOUR);
/** An hour of this week: "Sat, 19:35". */
export const weekdayTimeText = said({ weekday: 'short', ...HOUR });
/** An hour some days off, day and date: "Sat, 28 Nov, 19:35". */
export const dateTimeText = said({ weekday: 'short', day: 'numeric', month: 'short', ...HOUR });
const doneText = said({ day: 'numeric', month: 'short', ...HOUR });
/** When something was done: "28 Nov, 19:35"; nothing for what is not done. */
export const whenText = (at: string | undefined): string => (at ? doneText(at) : '');
export const dayText = said({ day: 'numeric', month: 'short', year: '2-digit' });
/** Under a bar of a picture: "Sat 28". */
export const weekdayText = said({ weekday: 'short', day: 'numeric' });
export const monthText = said({ month: 'short', year: '2-digit' });

/** A day as people say it: "today", "3 days ago", a date when it is long past. */
export function agoText(iso: string, nowMs: number): string {
  const days = Math.floor((nowMs - Date.parse(iso)) / DAY_MS);
  if (days < 1) return 'today';
  if (days === 1) return 'yesterday';
  return days < 60 ? `${days} days ago` : dayText(iso);
}
