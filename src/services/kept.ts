import "server-only";
import { LRUCache } from "lru-cache";

// By the process, as its pool is (runtime.ts): what turns a server to another farm lets go of both.
const holder = globalThis as typeof globalThis & { ruchkaKept?: Map<string, LRUCache<string, object>> };

/** What was worked out once, by a key that names everything it depends on; the longest unused goes first. */
export interface Kept<V extends object> {
  readonly get: (key: string) => V | undefined;
  readonly set: (key: string, value: V) => V;
  readonly drop: (key: string) => void;
}

/** Values kept in this process under a name of their own, `most` of them. */
export function keeping<V extends object>(name: string, most: number): Kept<V> {
  const cache = (): LRUCache<string, object> => {
    const all = (holder.ruchkaKept ??= new Map());
    const known = all.get(name) ?? new LRUCache<string, object>({ max: most });
    all.set(name, known);
    return known;
  };
  return {
    get: (key) => cache().get(key) as V | undefined,
    set: (key, value) => {
      cache().set(key, value);
      return value;
    },
    drop: (key) => void cache().delete(key),
  };
}
