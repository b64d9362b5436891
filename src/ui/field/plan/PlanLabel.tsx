import { boundsOf, centreOf, type Ring } from "@/core/land/ring";
import type { PlanFrame } from "./planFrame";

/** A plot's name lies above it, or along it where it stands upright. */
export function PlanLabel({
  ring,
  frame,
  name,
  rest = "",
  ground,
}: {
  readonly ring: Ring;
  readonly frame: PlanFrame;
  readonly name: string;
  readonly rest?: string;
  /** The colour that it stands out from. */
  readonly ground: string;
}) {
  const { minX, minY, maxX, maxY } = boundsOf(ring);
  const isUpright = maxY - minY > 1.5 * (maxX - minX);
  const [x, y] = isUpright ? frame.toPx(centreOf(ring)) : frame.toPx([minX, minY]);
  return (
    <text
      className="plan-name pointer-events-none"
      x={x}
      y={isUpright ? y : y - 4}
      fontSize={13}
      textAnchor={isUpright ? "middle" : "start"}
      dominantBaseline={isUpright ? "central" : "auto"}
      transform={isUpright ? `rotate(-90 ${x.toFixed(1)} ${y.toFixed(1)})` : undefined}
      fill="var(--ink)"
      stroke={ground}
      strokeWidth={4}
      paintOrder="stroke"
    >
      <tspan fontWeight={700}>{name}</tspan> {rest}
    </text>
  );
}
