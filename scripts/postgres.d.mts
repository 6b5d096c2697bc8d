export class Plain extends Error {}
export type Cluster = {
  url: (name: string) => string;
  ensureDatabase: (name: string) => void;
  stop: (mode?: string) => void;
  place: string;
};
export function aptInstall(packages: string[], say: (text: string) => void): void;
export function startCluster(options: {
  folder: string;
  say: (text: string) => void;
  durable?: boolean;
  fresh?: boolean;
}): Promise<Cluster>;
export function freePort(): Promise<number>;
