import type { Rule } from 'eslint';
export function unitOf(name: string): string | undefined;
export const unitSuffix: Rule.RuleModule;
