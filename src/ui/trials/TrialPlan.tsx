"use client";
import { centreOf, type Point, type Ring } from "@/core/land/ring";
import { groupBy } from "@/core/groupBy";
import { frameOf, pathOf, type PlanFrame } from "../field/plan/planFrame";
import { ArmPatterns, armFill } from "./armLook";

export interface PlanUnit {
  readonly unit: string;
  readonly ring: Ring | null;
  readonly arm: string | null;
  readonly block: string;
  /** Written on it. */
  readonly label: string;
  /** Said of it. */
  readonly said: string;
  readonly isRead?: boolean;
}

/** A line through the middles of a block's strips, a little bowed, so that it is seen which belong together. */
function bandOf(points: readonly Point[]): string {
  const [first, ...rest] = points;
  return `M${first!.join(" ")}${rest
    .map(([x, y], nth) => {
      const [fromX, fromY] = points[nth]!;
      const [midX, midY] = [(fromX + x) / 2, (fromY + y) / 2];
      const [dx, dy] = [x - fromX, y - fromY];
      return `Q${midX - dy * 0.18} ${midY + dx * 0.18} ${x} ${y}`;
    })
    .join("")}`;
}

const Label = ({ unit, frame }: { readonly unit: PlanUnit & { readonly ring: Ring }; readonly frame: PlanFrame }) => {
  const [x, y] = frame.toPx(centreOf(unit.ring));
  return (
    <g>
      <rect
        x={x - 17}
        y={y - 9}
        width={34}
        height={18}
        rx={3}
        fill="var(--chalk)"
        stroke="var(--ink)"
        strokeWidth="0.8"
      />
      <text x={x} y={y + 4.5} textAnchor="middle" fontSize="12.5" fontFamily="var(--font-reading)" fill="var(--ink)">
        {unit.label}
      </text>
      {unit.isRead ? (
        <path d={`M${x + 20} ${y - 1}l4 5 8 -10`} fill="none" stroke="var(--leaf)" strokeWidth="3" />
      ) : null}
    </g>
  );
};

/**
 * Strips of a trial as they lie: what each gets by its hatch, a bow between those that are compared with each other, the code of its stake on each.
 */
export const TrialPlan = ({ units, label }: { readonly units: readonly PlanUnit[]; readonly label: string }) => {
  const drawn = units.filter((unit): unit is PlanUnit & { readonly ring: Ring } => unit.ring !== null);
  if (drawn.length === 0) return null;
  const frame = frameOf(
    drawn.map(({ ring }) => ring),
    [],
  );
  const blocks = [...groupBy(drawn, ({ block }) => block).values()].filter((block) => block.length > 1);
  return (
    <svg
      viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
      className="block max-h-[60vh] w-full border border-line bg-limewash"
      role="img"
      aria-label={`${label}: ${drawn.map(({ said }) => said).join("; ")}`}
    >
      <ArmPatterns />
      {drawn.map((unit) => (
        <path
          key={unit.unit}
          d={pathOf(unit.ring, frame)}
          fill={armFill(unit.arm)}
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray={unit.block === "" ? "4 4" : undefined}
        />
      ))}
      {blocks.map((block) => (
        <path
          key={block[0]!.block}
          d={bandOf(block.map(({ ring }) => frame.toPx(centreOf(ring))))}
          fill="none"
          stroke="var(--rust)"
          strokeWidth="3"
          strokeLinecap="round"
        />
      ))}
      {drawn.map((unit) => (unit.label ? <Label key={unit.unit} unit={unit} frame={frame} /> : null))}
    </svg>
  );
};
