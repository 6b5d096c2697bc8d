/** How Records writes ratings. */
export const RATING_MARK = { good: '● good', fair: '▲ fair', poor: '■ poor' } as const;
