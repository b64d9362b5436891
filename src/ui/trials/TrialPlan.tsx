"use client";
import { centreOf, sidesOf, type Point, type Ring } from "@/core/land/ring";
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

/** Room above the strips for the bows, px. */
const HEAD_PX = 26;

/** A bow from strip to strip of a block, so high that it stands out over them: it is seen which are compared. */
function bowOf(points: readonly Point[], heightPx: number): string {
  const [first, ...rest] = points;
  return `M${first!.join(" ")}${rest
    .map(([x, y], nth) => {
      const [fromX, fromY] = points[nth]!;
      const lengthPx = Math.hypot(x - fromX, y - fromY) || 1;
      // Upward for strips side by side, to the left for strips one above the other.
      const turn = x >= fromX ? 1 : -1;
      const [outX, outY] = [(turn * (y - fromY)) / lengthPx, (-turn * (x - fromX)) / lengthPx];
      const [midX, midY] = [(fromX + x) / 2 + outX * heightPx, (fromY + y) / 2 + outY * heightPx];
      return `Q${midX} ${midY} ${x} ${y}`;
    })
    .join("")}`;
}
/** Half of how far a strip reaches across the way to its neighbour, px: a bow higher than twice that is seen above it. */
const halfPx = ({ ring }: { readonly ring: Ring }, { pxPerM }: PlanFrame): number =>
  (Math.max(sidesOf(ring).widthM, sidesOf(ring).lengthM) * pxPerM) / 2;

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
        <path d={`M${x - 5} ${y + 14}l3 4 7 -8`} fill="none" stroke="var(--leaf)" strokeWidth="2.6" />
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
    HEAD_PX,
  );
  const blocks = [...groupBy(drawn, ({ block }) => block).values()].filter((block) => block.length > 1);
  return (
    // On a phone it is wider than the screen, so that the codes can be read.
    <div className="relative overflow-x-auto" role="region" aria-label={label} tabIndex={0}>
      <svg
        viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
        className="block max-h-[60vh] w-full min-w-[640px] max-w-6xl border border-line bg-limewash"
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
            d={bowOf(
              block.map(({ ring }) => frame.toPx(centreOf(ring))),
              Math.min(90, 2 * halfPx(block[0]!, frame) + 18),
            )}
            fill="none"
            stroke="var(--rust)"
            strokeWidth="2.6"
            strokeLinecap="round"
          />
        ))}
        {drawn.map((unit) => (unit.label ? <Label key={unit.unit} unit={unit} frame={frame} /> : null))}
      </svg>
    </div>
  );
};
