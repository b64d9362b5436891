import type { RibbonPoint } from "@/services/ferment";

/** A thread while it is too early, in px to either side. */
export const THREAD_PX = 2.4;
/** Past at a moment where it is likelier over than not. */
const LIKELY_PAST = 0.5;

/** Where a ribbon is torn: the moment after which its batch is likelier over than not; null where it is so from the first, or never. */
export function tornAt(points: readonly RibbonPoint[]): number | null {
  const index = points.findIndex(({ past }) => past > LIKELY_PAST);
  return index > 0 ? points[index]!.atMs : null;
}

/** Half of a ribbon's width, px: as wide as the chance that the batch is ready. */
export const halfWidth = ({ ready }: RibbonPoint, fullPx: number): number => THREAD_PX + (fullPx - THREAD_PX) * ready;

/** The hatching of what nothing will come of. */
export const LostHatch = ({ id }: { readonly id: string }) => (
  <pattern id={id} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <line x1={0} y1={0} x2={0} y2={7} stroke="var(--rust)" strokeWidth={3} />
  </pattern>
);

const TEETH = 4;
const TOOTH_PX = 5;
const DEEP_PX = 8;

/** A torn edge across a ribbon that runs up (`along` "y") or to the right ("x"). */
export const Torn = ({ x, y, along }: { readonly x: number; readonly y: number; readonly along: "x" | "y" }) => {
  const tooth =
    along === "y"
      ? `l${TOOTH_PX} -${DEEP_PX} l${TOOTH_PX} ${DEEP_PX}`
      : `l${DEEP_PX} ${TOOTH_PX} l-${DEEP_PX} ${TOOTH_PX}`;
  const from = along === "y" ? [x - TEETH * TOOTH_PX, y + DEEP_PX / 2] : [x - DEEP_PX / 2, y - TEETH * TOOTH_PX];
  return (
    <path
      d={`M${from[0]} ${from[1]} ${Array.from({ length: TEETH }, () => tooth).join(" ")}`}
      fill="none"
      stroke="var(--rust)"
      strokeWidth={2}
    />
  );
};

/** The diamond at the likely best moment. */
export const BestMark = ({ x, y, halfPx }: { readonly x: number; readonly y: number; readonly halfPx: number }) => (
  <path
    d={`M${x} ${y - halfPx} l${halfPx} ${halfPx} l-${halfPx} ${halfPx} l-${halfPx} -${halfPx}z`}
    fill="var(--marigold)"
    stroke="var(--chalk)"
    strokeWidth={2}
  />
);
