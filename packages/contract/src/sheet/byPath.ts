/** Loose structures by dotted path: a sheet while it is typed or read from a file. */
export type Json = string | number | boolean | null | undefined | Json[] | { [key: string]: Json };

const stepsOf = (path: string): string[] => path.split('.');

/** What stands at a dotted path; nothing where nothing does. */
export const at = (value: Json, path: string): Json =>
  stepsOf(path).reduce<Json>(
    (inner, step) =>
      typeof inner === 'object' && inner !== null
        ? (inner as { [key: string]: Json })[step]
        : undefined,
    value,
  );

/** The same with something else there; a step that is a number makes a list. */
export function withAt<T extends Json>(value: T, path: string, next: Json): T {
  const [step, ...rest] = stepsOf(path);
  const inner = (value ?? (/^\d+$/.test(step!) ? [] : {})) as { [key: string]: Json };
  const put = rest.length === 0 ? next : withAt(inner[step!], rest.join('.'), next);
  if (Array.isArray(inner)) {
    const list: Json[] = [...(inner as Json[])];
    list[Number(step)] = put;
    return list as T;
  }
  return { ...inner, [step!]: put } as T;
}

/** What was typed as a text; nothing where it is none. */
export const textOf = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';
