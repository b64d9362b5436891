import { strandsOf } from "@/core/land/strands";
import type { Point, Ring } from "@/core/land/ring";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { ColumnStrands } from "./ColumnStrands";
import type { PlanFrame } from "./planFrame";
import type { Poured } from "./poured";

/** The bundle is as wide as this, or as this for each strand: strands tell one another's share, the words tell litres. */
const BUNDLE_PX = 130;
const STRAND_PX = 13;
const LEAST_PX = 1.2;
const APART_PX = 1.6;
/** More than this and strands lie over each other: then one runs to each column of beds. */
const MOST_STRANDS = 40;
/** Corners are round, as water goes. */
const BEND_PX = 7;

interface ToWater {
  readonly id: number;
  readonly ring: Ring;
  readonly wantedL: number;
}

/** So wide is a litre, that the bundle of either side stays between the path's middle and the nearest mouth. */
function widthOfLitre(start: Point, drinkers: readonly ToWater[]): number {
  const mouths = strandsOf(
    start,
    drinkers.map(({ id, ring }) => ({ id, ring, width: 0 })),
    0,
  );
  const wanted = new Map(drinkers.map(({ id, wantedL }) => [id, wantedL]));
  const gapPx = Math.max(12, Math.min(...mouths.map(({ mouth: [x] }) => Math.abs(x - start[0]))) * 0.9);
  const sides = [true, false].map((isEast) => mouths.filter(({ mouth: [x] }) => x >= start[0] === isEast));
  return Math.min(
    ...sides.map((own) => {
      const litres = own.reduce((sum, { id }) => sum + wanted.get(id)!, 0);
      const roomPx = Math.min(BUNDLE_PX / 2, STRAND_PX * own.length, Math.max(4, gapPx - own.length * APART_PX));
      return litres > 0 ? roomPx / litres : Infinity;
    }),
  );
}

function bent([[x0, y0], [x1, y1], [x2, y2]]: readonly [Point, Point, Point]): string {
  const down = Math.sign(y1 - y0) * Math.min(BEND_PX, Math.abs(y1 - y0));
  const across = Math.sign(x2 - x1) * Math.min(BEND_PX, Math.abs(x2 - x1));
  return `M${x0} ${y0}V${y1 - down}Q${x1} ${y1} ${x1 + across} ${y1}H${x2}V${y2}`;
}

/**
 * The brew as it runs down over the land: a strand for each bed, as wide as its litres; full where it is poured, dashed and empty where it lacks.
 */
export const StrandsOnPlan = ({
  from,
  poured,
  frame,
  units,
}: {
  readonly from: Point;
  readonly poured: readonly Poured[];
  readonly frame: PlanFrame;
  readonly units: UnitSystem;
}) => {
  const start = frame.toPx(from);
  const isMany = poured.length > MOST_STRANDS;
  const drinkers = poured.map(({ plotId, ring, wantedL }) => ({ id: plotId, ring: ring.map(frame.toPx), wantedL }));
  const pxPerL = widthOfLitre(start, drinkers);
  const strands = strandsOf(
    start,
    drinkers.map((drinker) => ({ ...drinker, width: Math.max(LEAST_PX, drinker.wantedL * pxPerL) })),
    APART_PX,
  );
  const of = new Map(poured.map((one) => [one.plotId, one]));
  const givenL = poured.reduce((sum, { concentrateL }) => sum + concentrateL, 0);
  return (
    <g aria-hidden className="pointer-events-none">
      {isMany ? <ColumnStrands start={start} poured={poured} frame={frame} units={units} /> : null}
      <rect
        x={start[0] - 32}
        y={start[1] - 30}
        width={64}
        height={28}
        fill="var(--brew)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <text x={start[0]} y={start[1] - 11} fontSize={14} fontWeight={700} textAnchor="middle" fill="var(--chalk)">
        {sayVolume(givenL, units)}
      </text>
      {(isMany ? [] : strands).map(({ id, line, mouth, width }) => {
        const { concentrateL, wantedL, nth } = of.get(id)!;
        const path = bent(line as [Point, Point, Point]);
        const share = wantedL > 0 ? concentrateL / wantedL : 0;
        return (
          <g key={id}>
            {share < 0.999 ? (
              <path d={path} fill="none" stroke="var(--rust)" strokeWidth={Math.max(LEAST_PX, width)} opacity={0.18} />
            ) : null}
            {share < 0.999 ? (
              <path d={path} fill="none" stroke="var(--rust)" strokeWidth={1.2} strokeDasharray="5 4" />
            ) : null}
            {share > 0 ? (
              <path d={path} fill="none" stroke="var(--brew)" strokeWidth={Math.max(LEAST_PX, width * share)} />
            ) : null}
            {nth === null ? null : (
              <text
                x={mouth[0]}
                y={mouth[1]}
                dx={mouth[0] < line[0]![0] ? -4 : 4}
                dy={4.5}
                fontSize={12.5}
                fontWeight={700}
                textAnchor={mouth[0] < line[0]![0] ? "end" : "start"}
                fill="var(--ink)"
                stroke="var(--chalk)"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {nth}.
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
};
