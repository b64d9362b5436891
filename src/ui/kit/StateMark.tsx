import type { Verdict } from "@/core/judge/judged";
import type { VerdictState } from "@/core/judge/verdictState";

/** A verdict's own shape, so that no one needs the colour to tell it. */
const SHAPES: Record<VerdictState | "held", string> = {
  early: "M8 3.5a4.5 4.5 0 1 0 0 9a4.5 4.5 0 1 0 0-9z",
  near: "M8 2.5a5.5 5.5 0 1 0 0 11z",
  ready: "M8 1.5l6.5 6.5l-6.5 6.5l-6.5-6.5z",
  peak: "M8 0.5l2.2 5.3l5.3 2.2l-5.3 2.2l-2.2 5.3l-2.2-5.3l-5.3-2.2l5.3-2.2z",
  past: "M2 4h12l-6 9z",
  stuck: "M2.5 2.5h11v11h-11z",
  spoiled: "M3 1l5 5l5-5l2 2l-5 5l5 5l-2 2l-5-5l-5 5l-2-2l5-5l-5-5z",
  held: "M3 2.5h3.5v11h-3.5zM9.5 2.5h3.5v11h-3.5z",
};
const OUTLINED: ReadonlySet<keyof typeof SHAPES> = new Set(["early", "stuck"]);

export const STATE_TEXT: Record<VerdictState, string> = {
  early: "text-ink",
  near: "text-ink",
  ready: "text-leaf",
  peak: "text-leaf",
  past: "text-rust",
  stuck: "text-rust",
  spoiled: "text-rust",
};

interface StateMarkProps {
  readonly verdict: Pick<Verdict, "state" | "spoilt">;
  readonly size?: number;
}

/** A verdict's mark; what is held back has one of its own. */
export const StateMark = ({ verdict: { state, spoilt }, size = 14 }: StateMarkProps) => {
  const shape = spoilt === "hold" ? "held" : state;
  return (
    <svg
      aria-hidden
      width={size}
      height={size}
      viewBox="0 0 16 16"
      className={`inline-block shrink-0 ${STATE_TEXT[state]}`}
    >
      <path
        d={SHAPES[shape]}
        fill={OUTLINED.has(shape) ? "none" : "currentColor"}
        stroke="currentColor"
        strokeWidth={1.6}
      />
      {state === "near" ? <circle cx={8} cy={8} r={5.5} fill="none" stroke="currentColor" strokeWidth={1.6} /> : null}
    </svg>
  );
};
