import { PAD_X, type PlateScale } from "./scale";
import type { StripAxis } from "./axes";

/** Faint lines across a strip at its marks, with their figures at the left; on a phone those stand at the edge of the screen instead. */
export const StripTicks = ({ axis, scale }: { readonly axis: StripAxis; readonly scale: PlateScale }) => {
  const [left, right] = [scale.x(scale.fromMs), scale.x(scale.toMs)];
  return axis.ticks.map(({ y, text }) => (
    <g key={text}>
      <line x1={left} x2={right} y1={y} y2={y} stroke="var(--line)" strokeDasharray="1 4" />
      <text x={PAD_X - 6} y={y + 5} textAnchor="end" className="reading max-md:hidden" fontSize={14} fill="var(--soft)">
        {text}
      </text>
    </g>
  ));
};
