import { chanceFrom } from "@/core/chance";
import type { DrumName } from "@/core/practice/yard/drums";
import { sayPicture, type DrumPicture } from "./drumLook";

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
const FOAM = "#f4efdf";
const [LEFT, RIGHT, TOP, BOTTOM, MID_X] = [42, 198, 84, 214, 120];
const [RX, RY] = [78, 20];

/** Places on the surface's ellipse, the same each time. */
function spots(count: number, seed: number, reach = 0.86): readonly (readonly [number, number, number])[] {
  const chance = chanceFrom(seed);
  return Array.from({ length: count }, () => {
    const [angle, far, size] = [chance.uniform() * 2 * Math.PI, Math.sqrt(chance.uniform()) * reach, chance.uniform()];
    return [MID_X + RX * far * Math.cos(angle), TOP + RY * far * Math.sin(angle), size] as const;
  });
}
const ring = (count: number) =>
  Array.from({ length: count }, (_, nth) => {
    const angle = (nth / count) * 2 * Math.PI;
    return [MID_X + 0.95 * RX * Math.cos(angle), TOP + 0.9 * RY * Math.sin(angle)] as const;
  });

const Dots = ({
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

const Surface = ({ word }: { readonly word: string }) => {
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

const Tufts = ({ colours, count }: { readonly colours: readonly string[]; readonly count: number }) =>
  spots(count, 21, 0.75).map(([x, y, size], nth) => (
    <g key={nth} stroke={colours[nth % colours.length]} strokeWidth={1.6} fill={colours[nth % colours.length]}>
      <ellipse cx={x} cy={y} rx={8 + 5 * size} ry={4 + 2 * size} stroke="none" opacity={0.85} />
      {[-8, -4, 0, 4, 8].map((dx) => (
        <path key={dx} d={`M${x + dx} ${y} q${dx / 4} -5 ${dx / 3} ${-7 - 4 * size}`} fill="none" />
      ))}
    </g>
  ));

const Film = ({ word }: { readonly word: string }) => {
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

const Solids = ({ word, isShell }: { readonly word: string; readonly isShell: boolean }) => {
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

const Liquid = ({ name, word }: { readonly name: DrumName; readonly word: string | null }) => {
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

const Closed = ({ isBulging, isBurst }: { readonly isBulging: boolean; readonly isBurst: boolean }) => (
  <g stroke="var(--ink)" strokeWidth={2.5}>
    <path
      d={`M${LEFT - 4} 62 ${isBulging ? "q-10 80 0 152" : "v152"} a${RX + 4} ${RY} 0 0 0 ${RIGHT - LEFT + 8} 0 ${isBulging ? "q10 -72 0 -152" : "v-152"} z`}
      fill="var(--galvanised)"
    />
    <path
      d={`M${LEFT - 4} 108 a${RX + 4} ${RY} 0 0 0 ${RIGHT - LEFT + 8} 0 M${LEFT - 4} 164 a${RX + 4} ${RY} 0 0 0 ${RIGHT - LEFT + 8} 0`}
      fill="none"
      strokeWidth={1.5}
    />
    {isBurst ? (
      <g>
        <path
          d={`M${MID_X} 20 l14 -14 M${MID_X - 46} 30 l-16 -16 M${MID_X + 50} 30 l16 -16`}
          fill="none"
          stroke="var(--rust)"
          strokeWidth={4}
        />
        <path d={`M${LEFT + 30} 34 l40 -18 l46 26`} fill="none" strokeWidth={7} />
        <path d={`M${MID_X} 100 l12 24 l-14 18 l10 30`} fill="none" stroke="var(--rust)" strokeWidth={3} />
      </g>
    ) : (
      <path
        d={
          isBulging
            ? `M${LEFT - 8} 62 q${MID_X - LEFT + 8} -54 ${RIGHT - LEFT + 16} 0 z`
            : `M${LEFT - 8} 62 v-10 q${MID_X - LEFT + 8} -16 ${RIGHT - LEFT + 16} 0 v10 z`
        }
        fill="var(--chalk)"
      />
    )}
  </g>
);

/** A drum as it is seen: closed from outside, or cut open with what lies on and in the liquid. */
export const DrumDrawing = ({ picture, className }: { readonly picture: DrumPicture; readonly className?: string }) => {
  const { name, isOpen, surface, film, liquid, solids, outside } = picture;
  return (
    <svg viewBox="0 0 240 244" role="img" aria-label={sayPicture(picture)} className={className}>
      {isOpen && !outside.isBurst ? (
        <g>
          <path
            d={`M${LEFT} 56 v${BOTTOM - 56} a${RX} ${RY} 0 0 0 ${RIGHT - LEFT} 0 v${56 - BOTTOM}`}
            fill="var(--chalk)"
            stroke="none"
          />
          <Liquid name={name} word={liquid} />
          {solids ? <Solids word={solids} isShell={name === "shell"} /> : null}
          {surface ? <Surface word={surface} /> : null}
          {film ? <Film word={film} /> : null}
          <path
            d={`M${LEFT} 56 v${BOTTOM - 56} a${RX} ${RY} 0 0 0 ${RIGHT - LEFT} 0 v${56 - BOTTOM}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={2.5}
          />
          <path
            d={`M${LEFT} 56 a${RX} ${RY} 0 0 1 ${RIGHT - LEFT} 0`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={2.5}
          />
        </g>
      ) : (
        <Closed isBulging={outside.isBulging} isBurst={outside.isBurst} />
      )}
      {name === "tea" ? (
        <g stroke="var(--ink)" strokeWidth={2} fill="none">
          <path d={`M${RIGHT + 4} 70 q26 20 22 140`} />
          {outside.isPumpSilent ? (
            <path d="M214 214 l14 14 m0 -14 l-14 14" stroke="var(--rust)" strokeWidth={3} />
          ) : (
            <path d="M214 222 q5 -8 10 0 t10 0" />
          )}
        </g>
      ) : null}
    </svg>
  );
};
