export function throwAwayFolder(name: string): string;
