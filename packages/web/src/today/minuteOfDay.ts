/** Minutes since midnight in the shop, by a clock that may not be its own. */
export function minuteOfDay(timeZone: string, nowMs: number): number {
  const [hour = '0', minute = '0'] = new Date(nowMs)
    .toLocaleTimeString('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' })
    .split(':');
  return Number(hour) * 60 + Number(minute);
}
