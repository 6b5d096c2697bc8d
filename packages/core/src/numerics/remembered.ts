/**
 * A function that works out each answer once, by a key of what it is asked, or by the thing itself.
 * For what is asked again and again within one calculation: nothing is ever forgotten.
 */
export function remembered<K, V>(
  work: (asked: K) => V,
  keyOf: (asked: K) => unknown = (asked) => asked,
): (asked: K) => V {
  const known = new Map<unknown, V>();
  return (asked) => {
    const key = keyOf(asked);
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = work(asked);
    known.set(key, made);
    return made;
  };
}
