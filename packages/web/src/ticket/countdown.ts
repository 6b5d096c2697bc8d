/** mm:ss, or h:mm:ss for long waits. */
export function countdownText(leftMs: number): string {
  const seconds = Math.max(0, Math.ceil(leftMs / 1000));
  const two = (n: number) => String(n).padStart(2, '0');
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60)];
  return hours > 0
    ? `${hours}:${two(minutes)}:${two(seconds % 60)}`
    : `${two(minutes)}:${two(seconds % 60)}`;
}
