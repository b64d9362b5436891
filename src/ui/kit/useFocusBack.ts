import { useCallback, useRef } from "react";

/**
 * For a panel that is opened by state rather than by a trigger of its own: its focus goes to the panel itself as it opens (Tab leads on
 * from there), and back to where it came from as it closes; to the page, where that is gone by then.
 */
export function useFocusBack(): {
  readonly onOpenAutoFocus: (event: Event) => void;
  readonly onCloseAutoFocus: (event: Event) => void;
} {
  const cameFrom = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: useCallback((event) => {
      cameFrom.current = document.activeElement;
      event.preventDefault();
      (event.currentTarget as HTMLElement).focus();
    }, []),
    onCloseAutoFocus: useCallback((event) => {
      event.preventDefault();
      const from = cameFrom.current;
      const isThere = from instanceof HTMLElement && from.isConnected && from !== document.body;
      (isThere ? from : document.getElementById("content"))?.focus({ preventScroll: true });
    }, []),
  };
}
