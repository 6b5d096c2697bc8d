import type { Rule } from 'eslint';
export function unitOf(name: string): string | undefined;
export function looksLikeUnit(name: string): boolean;
export const unitSuffix: Rule.RuleModule;
