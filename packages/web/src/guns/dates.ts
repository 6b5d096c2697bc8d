/** A day as people say it: "today", "3 days ago", a date when it is long past. */
const DAY_MS = 86_400_000;

export const dayText = (iso: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: '2-digit' });

export function agoText(iso: string, nowMs: number): string {
  const days = Math.floor((nowMs - Date.parse(iso)) / DAY_MS);
  if (days < 1) return 'today';
  if (days === 1) return 'yesterday';
  return days < 60 ? `${days} days ago` : dayText(iso);
}
