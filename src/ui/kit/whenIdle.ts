/** Does something once the page has nothing better to do. @returns what calls it off */
export function whenIdle(work: () => void): () => void {
  // Not every phone's browser has it.
  if (!("requestIdleCallback" in window)) {
    const timer = setTimeout(work, 2000);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(work, { timeout: 5000 });
  return () => cancelIdleCallback(asked);
}
