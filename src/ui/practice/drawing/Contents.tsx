import { chanceFrom } from "@/core/chance";
import type { DrumName } from "@/core/practice/yard/drums";
import { BOTTOM, LEFT, MID_X, RIGHT, RX, RY, spots, TOP } from "./shape";

/** Colours of liquids are the drum's own, by day as at dusk. */
const LIQUID: Readonly<Record<DrumName, string>> = {
  "extract": "#a0803c",
  "serum": "#d9cf9f",
  "tea": "#74502f",
  "leaf-mould brew": "#8a7650",
  "juice": "#5d7a3c",
  "shell": "#cdd3c4",
  "leaf soak": "#6f7f41",
};
const DARK = "#33291c";

const SOLID_AT: Readonly<Record<string, number>> = {
  floating: TOP + 22,
  sunk: BOTTOM - 14,
  bleached: 158,
  slimy: 168,
  spongy: BOTTOM - 18,
};
const SOLID_FILL: Readonly<Record<string, string>> = {
  floating: "#55702f",
  sunk: "#4a4a25",
  bleached: "#d8d3ab",
  slimy: "#5a4a2c",
  spongy: "#e8e4d6",
};

/** What is in the liquid. */
export const Solids = ({ word, isShell }: { readonly word: string; readonly isShell: boolean }) => {
  const chance = chanceFrom(77);
  const fill = isShell ? "#efe9d8" : (SOLID_FILL[word] ?? "#55702f");
  return (
    <g fill={fill} stroke="#2d2a1c" strokeWidth={1}>
      {Array.from({ length: 13 }, (_, nth) => {
        const x = 58 + nth * 10 + 4 * chance.uniform();
        const y = (SOLID_AT[word] ?? 150) + (chance.uniform() - 0.5) * (word === "bleached" ? 60 : 16);
        if (isShell || word === "spongy")
          return (
            <g key={nth}>
              <path d={`M${x - 8} ${y} a8 6 0 0 1 16 0 z`} />
              {word === "spongy" ? (
                <path
                  d={`M${x - 4} ${y - 2} h1 M${x} ${y - 4} h1 M${x + 3} ${y - 2} h1`}
                  stroke="#6c644c"
                  strokeWidth={2}
                />
              ) : null}
            </g>
          );
        return (
          <path key={nth} d={`M${x - 10} ${y} q8 -9 20 -2 q-8 9 -20 2 z`} opacity={word === "bleached" ? 0.9 : 1} />
        );
      })}
    </g>
  );
};

/** The liquid itself, cut open. */
export const Liquid = ({ name, word }: { readonly name: DrumName; readonly word: string | null }) => {
  const fill = word === "dark" ? DARK : LIQUID[name];
  const opacity = word === "clear" ? 0.5 : 1;
  return (
    <g>
      <path
        d={`M${LEFT} ${TOP} v${BOTTOM - TOP} a${RX} ${RY} 0 0 0 ${RIGHT - LEFT} 0 v${TOP - BOTTOM} z`}
        fill={fill}
        opacity={opacity}
      />
      <ellipse cx={MID_X} cy={TOP} rx={RX} ry={RY} fill={fill} stroke="#2d2a1c" strokeWidth={1} />
      <ellipse cx={MID_X} cy={TOP} rx={RX} ry={RY} fill="#ffffff" opacity={0.14} />
      {word === "cloudy"
        ? spots(16, 51).map(([x, , size], nth) => (
            <ellipse key={nth} cx={x} cy={110 + 90 * size} rx={13} ry={6} fill="#ffffff" opacity={0.16} />
          ))
        : null}
      {word === "separated" ? (
        <path
          d={`M${LEFT} 150 h${RIGHT - LEFT} v64 a${RX} ${RY} 0 0 1 ${LEFT - RIGHT} 0 z`}
          fill="#fbf6e0"
          opacity={0.8}
        />
      ) : null}
    </g>
  );
};
