import type { Squares } from "@/services/papers";

/** Squares of quiet round the code, as ISO/IEC 18004 asks for. */
const QUIET = 4;

/** A code to photograph, one path for all its dark squares. */
export const Code = ({ code, label }: { readonly code: Squares; readonly label: string }) => {
  const whole = code.size + 2 * QUIET;
  const path = code.dark
    .flatMap((dark, index) =>
      dark ? [`M${(index % code.size) + QUIET} ${Math.floor(index / code.size) + QUIET}h1v1h-1z`] : [],
    )
    .join("");
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${whole} ${whole}`}
      shapeRendering="crispEdges"
      className="block h-full w-full"
    >
      <rect width={whole} height={whole} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
};
