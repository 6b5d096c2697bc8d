/** How Records writes moments and ratings. */
export const whenText = (iso: string | undefined): string =>
  iso
    ? new Date(iso).toLocaleString('en-GB', {
        day: 'numeric',
        month: 'short',
        hour: '2-digit',
        minute: '2-digit',
      })
    : '';
export const RATING_MARK = { good: '● good', fair: '▲ fair', poor: '■ poor' } as const;
