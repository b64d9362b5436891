"use client";
import { useCallback, useSyncExternalStore } from "react";

/** A form as it was left on this device. */
export interface Draft<T> {
  readonly value: T;
  readonly savedMs: number;
}

const PREFIX = "ruchka-draft/";
/** What nobody came back to in two weeks is not meant any more. */
const KEPT_MS = 14 * 86_400_000;

const listeners = new Set<() => void>();
// Parsed once a change: a store must give the same object while nothing changed.
const parsed = new Map<string, { readonly text: string | null; readonly draft: Draft<unknown> | null }>();

function textOf(key: string): string | null {
  try {
    return localStorage.getItem(PREFIX + key);
  } catch {
    // A browser may keep nothing; then a draft lives as long as its page.
    return parsed.get(key)?.text ?? null;
  }
}

function parse(text: string | null): Draft<unknown> | null {
  if (text === null) return null;
  try {
    const draft = JSON.parse(text) as Draft<unknown>;
    return Date.now() - draft.savedMs < KEPT_MS ? draft : null;
  } catch {
    return null;
  }
}

function read(key: string): Draft<unknown> | null {
  const text = textOf(key);
  const known = parsed.get(key);
  if (known && known.text === text) return known.draft;
  const draft = parse(text);
  parsed.set(key, { text, draft });
  return draft;
}

function write(key: string, text: string | null): void {
  parsed.set(key, { text, draft: parse(text) });
  try {
    if (text === null) localStorage.removeItem(PREFIX + key);
    else localStorage.setItem(PREFIX + key, text);
  } catch {
    // See above.
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener("storage", listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener("storage", listener);
  };
}

/**
 * What is being typed, kept on this device until it is sent or dropped: Back, Escape, a reload and a click beside lose nothing.
 * @param key one for each thing that can be begun, such as "fill/3"
 * @returns null where nothing is kept, and while the server draws
 */
export function useDraft<T>(key: string): {
  readonly draft: Draft<T> | null;
  readonly keep: (value: T) => void;
  readonly drop: () => void;
} {
  const draft = useSyncExternalStore(
    subscribe,
    () => read(key) as Draft<T> | null,
    () => null,
  );
  const keep = useCallback(
    (value: T) => write(key, JSON.stringify({ value, savedMs: Date.now() } satisfies Draft<T>)),
    [key],
  );
  const drop = useCallback(() => write(key, null), [key]);
  return { draft, keep, drop };
}
