import type { MixProgress } from "@/core/mixing/progress";

/** The steps as rungs: done ones filled, what goes in taller, the one to do now in marigold. */
export const MixLadder = ({ progress }: { readonly progress: MixProgress }) => {
  const { steps, next } = progress;
  const gap = 100 / steps.length;
  const done = steps.filter((state) => state.done).length;
  return (
    <svg
      role="img"
      aria-label={`${done} of ${steps.length} steps done`}
      viewBox="0 0 100 10"
      preserveAspectRatio="none"
      className="mt-2 h-8 w-full"
    >
      {steps.map((state, index) => {
        const tall = state.step.amount !== null;
        return (
          <rect
            key={state.step.key}
            x={index * gap + gap * 0.12}
            y={tall ? 1 : 4}
            width={gap * 0.76}
            height={tall ? 8 : 4}
            fill={state === next ? "var(--marigold)" : state.done ? "var(--ink)" : "var(--line)"}
          />
        );
      })}
    </svg>
  );
};
