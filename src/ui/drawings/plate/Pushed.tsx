"use client";
import { useEffect, useRef, type ReactNode } from "react";

/** The present stands so far across what is seen of a plate that is wider than the screen. */
const NOW_AT = 0.6;

/** What is wider than the screen, and pushed sideways. It opens on the present, not on the first day. */
export const Pushed = ({
  label,
  nowShare,
  children,
}: {
  readonly label: string;
  /** Where the present stands, as a share of its width. */
  readonly nowShare: number;
  readonly children: ReactNode;
}) => {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = box.current;
    if (element) element.scrollLeft = nowShare * element.scrollWidth - NOW_AT * element.clientWidth;
    // Only as it opens: whoever has pushed it aside to look at the first days is left there.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <div ref={box} role="region" aria-label={label} tabIndex={0} className="mt-4 relative overflow-x-auto">
      {children}
    </div>
  );
};
