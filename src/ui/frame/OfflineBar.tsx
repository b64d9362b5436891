"use client";
import { useSyncExternalStore } from "react";

function subscribe(onChange: () => void): () => void {
  window.addEventListener("online", onChange);
  window.addEventListener("offline", onChange);
  return () => {
    window.removeEventListener("online", onChange);
    window.removeEventListener("offline", onChange);
  };
}

/** Says when the phone has lost the farm, and what that means for what is being typed. */
export const OfflineBar = () => {
  const online = useSyncExternalStore(
    subscribe,
    () => navigator.onLine,
    () => true,
  );
  return online ? null : (
    <p role="status" className="border-b-2 border-ink bg-marigold-wash px-4 py-2 text-center font-semibold text-ink">
      No connection. What is on the screen is as it was last seen; what you type is kept until you can send it.
    </p>
  );
};
