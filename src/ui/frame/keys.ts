/** Whether a key belongs to something that is being typed or to an open panel, rather than to the screen. */
export function isTyping(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  const target = event.target as HTMLElement | null;
  return (
    document.querySelector("[role=dialog]") !== null ||
    (target !== null && (target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName)))
  );
}
