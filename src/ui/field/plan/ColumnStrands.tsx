import { columnsOf } from "@/core/land/columns";
import type { Point } from "@/core/land/ring";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import type { PlanFrame } from "./planFrame";
import type { Poured } from "./poured";

/** All strands together are as wide as this, px. */
const BUNDLE_PX = 26;
const LEAST_PX = 2;
/** The trunks run so far above the beds, px. */
const ABOVE_PX = 14;

interface Drawn {
  readonly x: number;
  readonly north: number;
  readonly south: number;
  readonly wanted: number;
  readonly given: number;
}
type WidthOf = (litres: number) => number;

/** What runs along above the beds on one side, thinner past each column that turns off. */
const Trunk = ({
  from: [fromX, top],
  columns,
  widthOf,
}: {
  readonly from: Point;
  readonly columns: readonly Drawn[];
  readonly widthOf: WidthOf;
}) => {
  const outward = columns.toSorted((a, b) => Math.abs(a.x - fromX) - Math.abs(b.x - fromX));
  return outward.map(({ x }, index) => {
    const litres = outward.slice(index).reduce((sum, { given }) => sum + given, 0);
    const before = index === 0 ? fromX : outward[index - 1]!.x;
    return litres > 0 ? (
      <path key={x} d={`M${before} ${top}H${x}`} stroke="var(--brew)" strokeWidth={widthOf(litres)} />
    ) : null;
  });
};

/** One column of beds: its strand thins to the last, its litres stand below; dashed in rust where it goes short. */
const ColumnStrand = ({
  x,
  north,
  south,
  wanted,
  given,
  top,
  widthOf,
  units,
}: Drawn & { readonly top: number; readonly widthOf: WidthOf; readonly units: UnitSystem }) => {
  const half = widthOf(given) / 2;
  const isShort = given < wanted * 0.999;
  return (
    <g>
      {given > 0 ? (
        <path
          d={`M${x - half} ${top}H${x + half}V${north}L${x + LEAST_PX / 2} ${south}H${x - LEAST_PX / 2}L${x - half} ${north}Z`}
          fill="var(--brew)"
        />
      ) : null}
      {isShort ? (
        <path d={`M${x + half + 3} ${north}V${south}`} stroke="var(--rust)" strokeWidth={1.6} strokeDasharray="5 4" />
      ) : null}
      <text
        x={x}
        y={south + 14}
        fontSize={12.5}
        fontWeight={700}
        textAnchor="middle"
        fill={isShort ? "var(--rust)" : "var(--ink)"}
        stroke="var(--limewash)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {sayVolume(given, units)}
      </text>
    </g>
  );
};

/**
 * The brew over hundreds of beds: one strand for each column of beds, that thins as they drink; dashed in rust where the column goes short. What one
 * bed gets stands in the list.
 */
export const ColumnStrands = ({
  start,
  poured,
  frame,
  units,
}: {
  readonly start: Point;
  readonly poured: readonly Poured[];
  readonly frame: PlanFrame;
  readonly units: UnitSystem;
}) => {
  const wantedL = poured.reduce((sum, one) => sum + one.wantedL, 0);
  const widthOf = (litres: number) => Math.max(LEAST_PX, (litres * BUNDLE_PX) / wantedL);
  const columns = columnsOf(poured).map(({ plots, minX, maxX, minY, maxY }) => {
    const [west, north] = frame.toPx([minX, minY]);
    const [east, south] = frame.toPx([maxX, maxY]);
    const sum = (of: "wantedL" | "concentrateL") => plots.reduce((all, plot) => all + plot[of], 0);
    return { x: (west + east) / 2, north, south, wanted: sum("wantedL"), given: sum("concentrateL") };
  });
  const top = Math.min(...columns.map(({ north }) => north)) - ABOVE_PX;
  return (
    <>
      {[true, false].map((isEast) => (
        <Trunk
          key={String(isEast)}
          from={[start[0], top]}
          columns={columns.filter(({ x }) => x >= start[0] === isEast)}
          widthOf={widthOf}
        />
      ))}
      {columns.map((column) => (
        <ColumnStrand key={column.x} {...column} top={top} widthOf={widthOf} units={units} />
      ))}
    </>
  );
};
