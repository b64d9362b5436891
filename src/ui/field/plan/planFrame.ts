import { boundsOf, type Point, type Ring } from "@/core/land/ring";

/** How land is laid onto the screen: metres to pixels of the plan as it is drawn at first. */
export interface PlanFrame {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerM: number;
  readonly toPx: (point: Point) => Point;
  readonly toM: (px: Point) => Point;
}

const WIDTH_PX = 880;
/** A metre is drawn no larger, so that three beds do not fill a wall. */
const MOST_PX_PER_M = 28;
const PAD_PX = 26;
/** A plan with nothing on it shows so much ground. */
const EMPTY = { minX: 0, minY: 0, maxX: 30, maxY: 15 };

/** The frame that holds all of the land. */
export function frameOf(rings: readonly Ring[], others: readonly Point[], headPx = 0): PlanFrame {
  const points = [...rings.flat(), ...others];
  const { minX, minY, maxX, maxY } = points.length > 0 ? boundsOf(points) : EMPTY;
  const pxPerM = Math.min(MOST_PX_PER_M, (WIDTH_PX - 2 * PAD_PX) / Math.max(maxX - minX, 1));
  return {
    widthPx: WIDTH_PX,
    heightPx: Math.ceil((maxY - minY) * pxPerM + 2 * PAD_PX + headPx),
    pxPerM,
    toPx: ([x, y]) => [PAD_PX + (x - minX) * pxPerM, headPx + PAD_PX + (y - minY) * pxPerM],
    toM: ([x, y]) => [(x - PAD_PX) / pxPerM + minX, (y - headPx - PAD_PX) / pxPerM + minY],
  };
}

export const pathOf = (ring: Ring, { toPx }: PlanFrame): string =>
  `M${ring
    .map((point) =>
      toPx(point)
        .map((px) => px.toFixed(1))
        .join(" "),
    )
    .join("L")}Z`;
