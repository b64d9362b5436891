/** Whether the farm answers, as this device last found. The browser's own word is not enough: a yard's network may stand and the farm be out of it. */
let answers = true;
const listeners = new Set<() => void>();

export function setReach(found: boolean): void {
  if (answers === found) return;
  answers = found;
  for (const listener of listeners) listener();
}

export function subscribeReach(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener("online", listener);
  window.addEventListener("offline", listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener("online", listener);
    window.removeEventListener("offline", listener);
  };
}

export const inReach = (): boolean => answers && navigator.onLine;

const ASK_LIMIT_MS = 5000;

/** Asks the farm whether it is there. */
export async function askReach(): Promise<boolean> {
  try {
    await fetch("/api/health", { cache: "no-store", signal: AbortSignal.timeout(ASK_LIMIT_MS) });
    setReach(true);
  } catch {
    setReach(false);
  }
  return answers;
}
