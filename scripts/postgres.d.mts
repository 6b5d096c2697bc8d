export type Cluster = {
  url: (name: string) => string;
  ensureDatabase: (name: string) => void;
  isUp: () => boolean;
  start: () => boolean;
  stop: (mode?: string) => void;
  place: string;
};
export function startCluster(options: {
  folder: string;
  say: (text: string) => void;
  durable?: boolean;
  fresh?: boolean;
}): Promise<Cluster>;
export function freePort(): Promise<number>;
