import type { PlotStage } from "@/services/types";

/** A stage's own hatch: bare soil is dotted, seedlings ticked, growth ruled, flower and fruit ringed, perennials hatched. */
export const Hatches = () => (
  <defs>
    <pattern id="stage-bare" width={9} height={9} patternUnits="userSpaceOnUse">
      <circle cx={3} cy={3} r={1.1} fill="#8a6a44" />
    </pattern>
    <pattern id="stage-seedling" width={9} height={10} patternUnits="userSpaceOnUse">
      <path d="M4 8V5M4 5l-2 -2M4 5l2 -2" stroke="var(--leaf)" fill="none" strokeWidth={1.2} />
    </pattern>
    <pattern id="stage-growing" width={8} height={8} patternUnits="userSpaceOnUse">
      <path d="M2 0V8M6 0V8" stroke="var(--leaf)" strokeWidth={1.3} opacity={0.75} />
    </pattern>
    <pattern id="stage-flowering" width={10} height={10} patternUnits="userSpaceOnUse">
      <circle cx={5} cy={5} r={2.4} fill="none" stroke="var(--marigold)" strokeWidth={1.4} />
    </pattern>
    <pattern id="stage-fruiting" width={10} height={10} patternUnits="userSpaceOnUse">
      <circle cx={5} cy={5} r={2.4} fill="var(--rust)" opacity={0.65} />
    </pattern>
    <pattern id="stage-perennial" width={9} height={9} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M2 0V9" stroke="var(--leaf)" strokeWidth={1.6} opacity={0.75} />
    </pattern>
    <pattern id="near-water" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M4 0V8" stroke="var(--blue)" strokeWidth={1.1} />
    </pattern>
  </defs>
);

export const stageFill = (stage: PlotStage): string => `url(#stage-${stage})`;

export const StageKey = () => (
  <ul className="flex flex-wrap gap-x-4 gap-y-1 text-[0.86rem] text-soft" aria-label="How stages are drawn">
    {(["bare", "seedling", "growing", "flowering", "fruiting", "perennial"] as const).map((stage) => (
      <li key={stage} className="flex items-center gap-1.5">
        <svg aria-hidden width={22} height={16} className="border border-ink">
          <rect width={22} height={16} fill="var(--chalk)" />
          <rect width={22} height={16} fill={stageFill(stage)} />
        </svg>
        {stage}
      </li>
    ))}
  </ul>
);
