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

/** What was worked out last for each slot, while what it rests on stays the same. */
export interface KeptNewest<V extends object> {
  readonly get: (slot: string, restsOn: string) => V | undefined;
  readonly set: (slot: string, restsOn: string, value: V) => V;
  readonly drop: (slot: string, restsOn: string) => void;
}

/**
 * Values kept in this process, one a slot: what takes the place of an older one lets go of it at once. For what grows with each entry, where
 * the last two thousand by key alone held hundreds of MB of drums as they had been.
 */
export function keepingNewest<V extends object>(name: string, most: number): KeptNewest<V> {
  const slots = keeping<{ readonly restsOn: string; readonly value: V }>(name, most);
  const get = (slot: string, restsOn: string): V | undefined => {
    const known = slots.get(slot);
    return known?.restsOn === restsOn ? known.value : undefined;
  };
  return {
    get,
    set: (slot, restsOn, value) => slots.set(slot, { restsOn, value }).value,
    drop: (slot, restsOn) => {
      if (get(slot, restsOn)) slots.drop(slot);
    },
  };
}
