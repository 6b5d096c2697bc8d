/** So many tickets are read whole at once; apart from what parses them, which no page needs. */
export const MOST_WHOLE = 50;
