/** Leaves out what a row holds as null: in the contract what is not known is absent. */
export function present<T extends object>(row: T): { [K in keyof T]: Exclude<T[K], null> } {
  return Object.fromEntries(
    Object.entries(row).filter(([, value]) => value !== null && value !== undefined),
  ) as never;
}
