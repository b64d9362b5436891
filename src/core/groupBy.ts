/** Things by what they have in common, in their order. */
export function groupBy<T, K>(things: readonly T[], keyOf: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const thing of things) {
    const key = keyOf(thing);
    const known = groups.get(key);
    if (known) known.push(thing);
    else groups.set(key, [thing]);
  }
  return groups;
}
