import { useId, type ReactNode } from "react";
import type { Grain, HolderKind, Look } from "./looks";

/** A lot as a layer: its share of what a full holder stands for. */
export interface Layer {
  readonly share: number;
  /** Expired or on hold. */
  readonly bad?: boolean;
}

interface HolderProps {
  readonly look: Look;
  /** The oldest at the foot, where it is drawn from. */
  readonly layers: readonly Layer[];
  /** Reserved for plans, as a share of full. */
  readonly reserved?: number;
  /** Where it is ordered again, and whether it stands below that. */
  readonly reorder?: { readonly share: number; readonly below: boolean } | null;
  /** What a batch needs of what is collected. */
  readonly target?: number | null;
  readonly heightPx?: number;
}

const WIDE = 100;
const HIGH = 112;
const GROUND = 110;
const INK = "var(--ink)";
const CLOTH = "#efe5d0";
const CLAY = "#c9b394";
const WOOD = "#8a6a44";

/** The inside of a holder, where what it holds shows; and from where to where that reaches. */
interface Inside {
  readonly path: string;
  readonly topY: number;
}

const INSIDE: Readonly<Record<Exclude<HolderKind, "bundle">, Inside>> = {
  bottle: { path: "M42 24V38Q30 46 30 58V104Q30 110 36 110H64Q70 110 70 104V58Q70 46 58 38V24Z", topY: 36 },
  jug: { path: "M40 26Q24 36 24 54V104Q24 110 30 110H70Q76 110 76 104V54Q76 36 60 26Z", topY: 32 },
  jar: { path: "M28 32H72Q76 32 76 38V104Q76 110 70 110H30Q24 110 24 104V38Q24 32 28 32Z", topY: 36 },
  crock: { path: "M36 56H64V102H36Z", topY: 58 },
  sack: { path: "M26 36Q18 76 22 104Q24 110 30 110H70Q76 110 78 104Q82 76 74 36Q50 28 26 36Z", topY: 40 },
  bin: { path: "M22 38H78V110H22Z", topY: 42 },
  tub: { path: "M18 44H82L75 110H25Z", topY: 48 },
  heap: { path: "M8 110Q28 76 42 52Q50 42 58 52Q72 76 92 110Z", topY: 46 },
};

const stroke = { fill: "none", stroke: INK, strokeWidth: 2.2, strokeLinejoin: "round" as const };

/** What stands before the contents: necks, lids, handles, slats, ties. */
const FRONT: Readonly<Record<Exclude<HolderKind, "bundle">, ReactNode>> = {
  bottle: (
    <>
      <path d={INSIDE.bottle.path} {...stroke} />
      <rect x={41} y={12} width={18} height={12} fill={WOOD} stroke={INK} strokeWidth={1.8} />
    </>
  ),
  jug: (
    <>
      <path d={INSIDE.jug.path} {...stroke} />
      <rect x={40} y={15} width={20} height={10} fill={INK} />
      <path d="M66 33Q92 34 82 58Q80 62 76 62" {...stroke} />
    </>
  ),
  jar: (
    <>
      <path d={INSIDE.jar.path} {...stroke} />
      <rect x={26} y={21} width={48} height={10} rx={2} fill="var(--galvanised)" stroke={INK} strokeWidth={1.8} />
    </>
  ),
  crock: (
    <>
      <path
        d="M28 44Q12 78 26 110H74Q88 78 72 44ZM36 56V102H64V56Z"
        fill={CLAY}
        fillRule="evenodd"
        stroke={INK}
        strokeWidth={2.2}
      />
      <path d="M24 43H76M22 64H34M66 64H78" stroke={INK} strokeWidth={2.6} />
      <path d="M42 37Q50 30 58 37Z" fill={INK} stroke={INK} />
    </>
  ),
  sack: (
    <>
      <path d={INSIDE.sack.path} {...stroke} />
      <path
        d="M26 36L22 24L33 30L40 22L50 29L60 22L67 30L78 24L74 36"
        fill={CLOTH}
        stroke={INK}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <path d="M34 40Q31 52 34 58M66 40Q69 52 66 58" {...stroke} strokeWidth={1.2} />
    </>
  ),
  bin: (
    <>
      <path d="M22 56H78M22 74H78M22 92H78" stroke={WOOD} strokeWidth={3} />
      <path d={INSIDE.bin.path} fill="none" stroke={WOOD} strokeWidth={4} />
      <path d="M15 36H85" stroke={WOOD} strokeWidth={6} />
    </>
  ),
  tub: (
    <>
      <path d={INSIDE.tub.path} {...stroke} />
      <path d="M14 44H86" stroke={INK} strokeWidth={3.4} />
      <path d="M22 43Q50 16 78 43" {...stroke} strokeWidth={1.6} />
    </>
  ),
  heap: null,
};

/** One tile of a grain, drawn over the colour in ink or chalk. */
const GRAINS: Readonly<Record<Exclude<Grain, "liquid">, { readonly size: number; readonly marks: ReactNode }>> = {
  fine: { size: 7, marks: <circle cx={2} cy={2} r={0.7} /> },
  crumb: {
    size: 9,
    marks: (
      <>
        <circle cx={2.2} cy={2.4} r={1.5} />
        <circle cx={6.8} cy={6.6} r={1.1} />
      </>
    ),
  },
  lump: { size: 14, marks: <path d="M2 5l4 -3 4 2 -1 5 -5 1zM9 12l2 -1 1 2z" /> },
  flake: { size: 10, marks: <path d="M1 3l4 -1M6 8l3 -1.4M2 9l2 .6" strokeWidth={1.5} /> },
  straw: { size: 13, marks: <path d="M0 4L9 1M3 11L12 7" strokeWidth={1.4} /> },
  shell: { size: 12, marks: <path d="M1 6q3 -5 6 0M6 12q2.6 -4 5 0" fill="none" strokeWidth={1.4} /> },
  leaf: { size: 13, marks: <path d="M1 7q3 -5 7 -2q-2 4 -7 2M7 13q3 -3 5 -1q-2 3 -5 1" /> },
};

/** Whether ink is seen on a colour, by its lightness. */
const isLight = (colour: string): boolean => {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16));
  return r! * 0.3 + g! * 0.59 + b! * 0.11 > 120;
};

const STEMS = 7;

/** Plants tied in a bundle: the less there is, the fewer stems. */
const Bundle = ({ look: { colour }, share }: { readonly look: Look; readonly share: number }) => {
  const left = Math.max(share > 0 ? 1 : 0, Math.round(share * STEMS));
  return (
    <>
      {Array.from({ length: STEMS }, (_, index) => {
        const lean = (index - (STEMS - 1) / 2) * 9;
        const there = index % 2 === 0 ? index / 2 < left : STEMS - (index + 1) / 2 < left;
        const d = `M${50 - lean * 0.35} ${GROUND}Q50 84 ${50 + lean} 30`;
        if (!there)
          return <path key={index} d={d} fill="none" stroke="var(--line)" strokeWidth={1.4} strokeDasharray="3 4" />;
        return (
          <g key={index} stroke={INK} strokeWidth={0.9} fill={colour}>
            <path d={d} fill="none" stroke={colour} strokeWidth={2.4} />
            {[34, 46, 58].map((y, step) => {
              const x = 50 + lean * (1 - step * 0.22);
              return <path key={y} d={`M${x} ${y}q-9 -8 -11 -1q5 5 11 1q9 -8 11 -1q-5 5 -11 1`} />;
            })}
            <path d={`M${50 + lean} 32q-5 -10 0 -14q5 4 0 14`} />
          </g>
        );
      })}
      <rect x={43} y={80} width={14} height={6} rx={2} fill={WOOD} stroke={INK} strokeWidth={1.4} />
    </>
  );
};

interface Stretch {
  readonly y: number;
  readonly height: number;
  readonly bad: boolean;
}

/** What is in a holder, layer on layer. */
const Contents = ({
  look,
  inside,
  stretches,
  id,
}: {
  readonly look: Look;
  readonly inside: Inside;
  readonly stretches: readonly Stretch[];
  readonly id: string;
}) => {
  const top = stretches.at(-1)?.y ?? GROUND;
  // A heap keeps its slope as it shrinks; in all else the level sinks.
  const isHeap = look.holder === "heap";
  const scale = isHeap ? (GROUND - top) / (GROUND - inside.topY) : 1;
  return (
    <>
      <clipPath id={`${id}-in`}>
        <path
          d={inside.path}
          transform={isHeap ? `translate(${50 - 50 * scale} ${GROUND - GROUND * scale}) scale(${scale})` : undefined}
        />
      </clipPath>
      <g clipPath={`url(#${id}-in)`}>
        {stretches.map(({ y, height, bad }, index) => (
          <g key={index}>
            <rect
              x={0}
              y={y}
              width={WIDE}
              height={height}
              fill={index % 2 === 0 ? look.colour : `color-mix(in srgb, ${look.colour} 76%, #ead9bd)`}
            />
            {look.grain === "liquid" ? null : (
              <rect x={0} y={y} width={WIDE} height={height} fill={`url(#${id}-grain)`} />
            )}
            {index > 0 ? <path d={`M0 ${y + height}H${WIDE}`} stroke="var(--chalk)" strokeWidth={1.8} /> : null}
            {bad ? <rect x={0} y={y} width={WIDE} height={height} fill={`url(#${id}-bad)`} /> : null}
          </g>
        ))}
      </g>
    </>
  );
};

/**
 * A thing as it stands on the shelf: known by what it stands in, its colour and its grain. Layers are lots; a bracket on the left is as high as what
 * plans have reserved, a flag on the right stands where it is ordered again, or where a batch's worth is collected.
 */
export const Holder = ({ look, layers, reserved = 0, reorder = null, target = null, heightPx = HIGH }: HolderProps) => {
  const id = useId().replace(/\W/g, "");
  const { holder } = look;
  const inside = holder === "bundle" ? { path: "", topY: 24 } : INSIDE[holder];
  const up = (share: number) => GROUND - Math.min(1, Math.max(0, share)) * (GROUND - inside.topY);
  const stretches = layers.reduce<Stretch[]>((done, { share, bad = false }) => {
    const foot = done.at(-1)?.y ?? GROUND;
    const height = Math.max(share > 0 ? 1.5 : 0, GROUND - up(share));
    return [...done, { y: foot - height, height, bad }];
  }, []);
  const grain = look.grain === "liquid" ? null : GRAINS[look.grain];
  const onIt = isLight(look.colour) ? "#3b3328" : "#e9e0cf";
  const flag = reorder ?? (target === null ? null : { share: target, below: false });
  return (
    <svg
      aria-hidden
      viewBox={`-8 0 ${WIDE + 16} ${HIGH}`}
      height={heightPx * look.size}
      className="block overflow-visible"
    >
      <defs>
        {grain ? (
          <pattern id={`${id}-grain`} width={grain.size} height={grain.size} patternUnits="userSpaceOnUse">
            <g fill={onIt} stroke={onIt} strokeWidth={0} opacity={0.5}>
              {grain.marks}
            </g>
          </pattern>
        ) : null}
        <pattern id={`${id}-bad`} width={9} height={9} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={3.4} height={9} fill="var(--rust)" />
        </pattern>
      </defs>
      {holder === "bundle" ? (
        <Bundle look={look} share={layers.reduce((sum, { share }) => sum + share, 0)} />
      ) : (
        <>
          <path
            d={inside.path}
            fill={holder === "sack" ? CLOTH : holder === "heap" ? "none" : "#f8faf5"}
            stroke={holder === "heap" ? "var(--soft)" : "none"}
            strokeWidth={1.4}
            strokeDasharray="4 3"
          />
          <Contents look={look} inside={inside} stretches={stretches} id={id} />
          {FRONT[holder]}
        </>
      )}
      {reserved > 0 ? (
        <path d={`M2 ${up(reserved)}H-5V${GROUND}H2`} fill="none" stroke={INK} strokeWidth={2.2} />
      ) : null}
      {flag ? (
        <path
          d={`M94 ${up(flag.share)}l11 -6v12z`}
          fill={flag.below ? "var(--rust)" : "var(--marigold)"}
          stroke={INK}
          strokeWidth={1}
        />
      ) : null}
    </svg>
  );
};
