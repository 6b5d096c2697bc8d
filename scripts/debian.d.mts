export class Plain extends Error {}
export function aptInstall(packages: string[], say: (text: string) => void): void;
