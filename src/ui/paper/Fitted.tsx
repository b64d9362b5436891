"use client";
import { useLayoutEffect, useRef, type ReactNode } from "react";

/** Below this share of its usual size a hand's length is too far to read it. */
const LEAST = 0.55;
const HALVINGS = 6;

/** The letters of a box as large as they may be, all alike, with nothing of it beyond its edge. */
function fit(box: HTMLElement, most: number): void {
  const fits = (share: number) => {
    box.style.setProperty("--fit", String(share));
    return box.scrollHeight <= box.clientHeight && box.scrollWidth <= box.clientWidth;
  };
  if (fits(most)) return;
  let [small, large] = [LEAST, most];
  for (let turn = 0; turn < HALVINGS; turn += 1) {
    const share = (small + large) / 2;
    if (fits(share)) small = share;
    else large = share;
  }
  fits(small);
}

/**
 * A label's frame: as large as the paper leaves it, its letters no larger than what lets every line stand. Sizes within are in em.
 * Nothing of a label may be cut, in whatever language and however long a name is.
 */
export const Fitted = ({
  label,
  letterMm,
  most = 1,
  className = "",
  children,
}: {
  readonly label: string;
  /** The usual size of its letters, mm. */
  readonly letterMm: number;
  /** How much larger they may become where there is room. */
  readonly most?: number;
  readonly className?: string;
  readonly children: ReactNode;
}) => {
  const box = useRef<HTMLElement>(null);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    fit(element, most);
    // Whoever prints by a program waits for this.
    element.dataset.fitted = "yes";
    // The letters' own shapes may come in after the first drawing. Not every browser that runs tests has them.
    void (document.fonts as FontFaceSet | undefined)?.ready.then(() => fit(element, most));
  });
  return (
    <article
      ref={box}
      aria-label={label}
      className={`overflow-hidden ${className}`}
      style={{ fontSize: `calc(${letterMm}mm * var(--fit, 1))` }}
    >
      {children}
    </article>
  );
};
