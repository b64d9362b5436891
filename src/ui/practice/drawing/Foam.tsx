import { MID_X, LEFT, RIGHT, RX, RY, spots, TOP } from "./shape";

const FOAM = "#f4efdf";

const ring = (count: number) =>
  Array.from({ length: count }, (_, nth) => {
    const angle = (nth / count) * 2 * Math.PI;
    return [MID_X + 0.95 * RX * Math.cos(angle), TOP + 0.9 * RY * Math.sin(angle)] as const;
  });

export const Dots = ({
  at,
  r,
  fill = FOAM,
}: {
  readonly at: readonly (readonly number[])[];
  readonly r: number;
  readonly fill?: string;
}) =>
  at.map(([x, y, size = 0.5], nth) => (
    <circle key={nth} cx={x} cy={y} r={r * (0.7 + 0.6 * size)} fill={fill} stroke="#8d846b" strokeWidth={0.6} />
  ));

/** A head of foam: bumps over the whole surface, as high as it is told. */
const Head = ({ high, holes = 0 }: { readonly high: number; readonly holes?: number }) => (
  <g>
    <path
      d={`M${LEFT} ${TOP} q4 ${-high} 26 ${-high} q16 ${-high * 0.4} 30 0 q14 ${-high * 0.5} 32 0 q16 ${-high * 0.4} 30 0 q34 0 38 ${high} a${RX} ${RY} 0 0 1 ${LEFT - RIGHT} 0`}
      fill={FOAM}
      stroke="#8d846b"
      strokeWidth={1.2}
    />
    {spots(26, 5, 0.8).map(([x, y, size], nth) => (
      <circle
        key={nth}
        cx={x}
        cy={y - high * 0.5 * size}
        r={2 + 3 * size}
        fill="none"
        stroke="#b8ad8c"
        strokeWidth={0.8}
      />
    ))}
    {spots(holes, 9, 0.7).map(([x, y, size], nth) => (
      <ellipse key={nth} cx={x} cy={y} rx={7 + 9 * size} ry={3 + 3 * size} fill="#6b5a3c" opacity={0.75} />
    ))}
  </g>
);

/** What lies on the liquid. */
export const Foam = ({ word }: { readonly word: string }) => {
  switch (word) {
    case "fine bubbles":
      return <Dots at={spots(34, 3)} r={1.9} />;
    case "ring at the wall":
      return <Dots at={ring(30)} r={3} />;
    case "patches":
      return spots(5, 12, 0.7).map(([x, y, size], nth) => (
        <g key={nth}>
          <ellipse
            cx={x}
            cy={y}
            rx={11 + 8 * size}
            ry={4.5 + 2.5 * size}
            fill={FOAM}
            stroke="#8d846b"
            strokeWidth={1}
          />
          <circle cx={x - 3} cy={y - 1} r={2} fill="none" stroke="#b8ad8c" strokeWidth={0.8} />
        </g>
      ));
    case "full head":
      return <Head high={20} />;
    case "thick fine head":
      return <Head high={38} />;
    case "collapsing":
      return <Head high={9} holes={6} />;
    case "flat":
      return (
        <path
          d={`M62 ${TOP + 4} q14 -5 28 0 M104 ${TOP - 6} q14 -5 28 0 M136 ${TOP + 7} q12 -4 24 0`}
          fill="none"
          stroke={FOAM}
          strokeWidth={1.2}
          opacity={0.7}
        />
      );
    default:
      return null;
  }
};
