export type Network = {
  host: string;
  names: string[];
  isProxied: boolean;
  certificate?: string;
  key?: string;
};
export function startOptions(
  root: string,
  words: readonly string[],
): { port: number; data: string; fresh: boolean; isEmpty: boolean; network?: Network };
