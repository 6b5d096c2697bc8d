/** What a second start waits at: it holds the process id of the first. */
export function lockOf(root: string): string;
/** Waits until nobody else of this checkout is at it, then does it. */
export function oneAtATime<T>(root: string, say: (text: string) => void, work: () => T): T;
