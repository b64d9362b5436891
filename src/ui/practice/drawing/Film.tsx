import { Dots } from "./Foam";
import { MID_X, RX, RY, spots, TOP } from "./shape";

const Tufts = ({ colours, count }: { readonly colours: readonly string[]; readonly count: number }) =>
  spots(count, 21, 0.75).map(([x, y, size], nth) => (
    <g key={nth} stroke={colours[nth % colours.length]} strokeWidth={1.6} fill={colours[nth % colours.length]}>
      <ellipse cx={x} cy={y} rx={8 + 5 * size} ry={4 + 2 * size} stroke="none" opacity={0.85} />
      {[-8, -4, 0, 4, 8].map((dx) => (
        <path key={dx} d={`M${x + dx} ${y} q${dx / 4} -5 ${dx / 3} ${-7 - 4 * size}`} fill="none" />
      ))}
    </g>
  ));

/** What grows on the liquid. */
export const Film = ({ word }: { readonly word: string }) => {
  switch (word) {
    case "thin pale":
      return (
        <g>
          <ellipse cx={MID_X} cy={TOP} rx={RX - 4} ry={RY - 2} fill="#fbfaf2" opacity={0.55} />
          <path
            d={`M56 ${TOP} q20 -7 40 0 t40 0 t46 0 M66 ${TOP + 8} q20 -6 40 0 t44 0`}
            fill="none"
            stroke="#c9c3ad"
            strokeWidth={1.2}
          />
        </g>
      );
    case "white bubbly":
      return (
        <g>
          <ellipse cx={MID_X} cy={TOP} rx={RX - 2} ry={RY - 1} fill="#fbfaf2" opacity={0.9} />
          <Dots at={spots(18, 31)} r={4} fill="#ffffff" />
        </g>
      );
    case "white fuzzy":
      return <Tufts colours={["#ffffff", "#eef0ea"]} count={7} />;
    case "coloured mould":
      return <Tufts colours={["#3f7f5f", "#c4632c", "#2a2a2a"]} count={8} />;
    case "maggots":
      return spots(9, 41).map(([x, y], nth) => (
        <path
          key={nth}
          d={`M${x} ${y} q4 -6 9 -2`}
          stroke="#fffdf2"
          strokeWidth={3.4}
          strokeLinecap="round"
          fill="none"
        />
      ));
    default:
      return null;
  }
};
