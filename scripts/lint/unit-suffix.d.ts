export function unitOf(name: string): string | undefined;
export function looksLikeUnit(name: string): boolean;
export const unitSuffix: { meta: object; create: (context: object) => object };
