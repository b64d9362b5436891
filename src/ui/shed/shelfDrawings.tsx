import { useId } from "react";
import type { ShedItem } from "@/services/shed";

const JAR_W = 58;
const JAR_H = 84;
const ROOM = JAR_H - 10;
/** Layers from the oldest lot, at the tap, upwards. */
const LAYERS = ["#8a6a35", "#b08d4f", "#cdb27c", "#dfcba3", "#ece0c6"];
const LIQUID: Record<string, string> = {
  "aerated-tea": "#5d3b22",
  "cultured-extract": "#77762f",
  "plant-juice": "#55511c",
};

/** What a full container stands for: all that came in with what is left, and room for every mark on it. */
const fullOf = ({ cameIn, onHand, reserved, short, terms }: ShedItem) =>
  Math.max(cameIn, onHand, reserved + short, terms?.reorderAt ?? 0, terms?.target ?? 0, 1e-9);

/**
 * A container as full as its lots are of what came in; each lot a layer, the oldest at the bottom where it is drawn from. A notch on the
 * left is as high as what plans have kept for themselves, a dashed line where it is ordered again, a flag what a batch needs of what is collected.
 */
export const LotJar = ({ item }: { readonly item: ShedItem }) => {
  const full = fullOf(item);
  const hatch = useId();
  const up = (amount: number) => JAR_H - (Math.min(amount, full) / full) * ROOM;
  const layers = item.layers.reduce<{ y: number; h: number; bad: boolean }[]>((done, { amount, expired, held }) => {
    const h = (amount / full) * ROOM;
    return [...done, { y: (done.at(-1)?.y ?? JAR_H) - h, h, bad: expired || held }];
  }, []);
  const kept = item.reserved + item.short;
  const { terms } = item;
  return (
    <svg aria-hidden width={JAR_W + 22} height={JAR_H + 10} className="block">
      <pattern id={hatch} width={9} height={9} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width={3.4} height={9} fill="var(--rust)" />
      </pattern>
      <g transform="translate(11 8)">
        <rect width={JAR_W} height={JAR_H} rx={4} fill="var(--chalk)" />
        {layers.map(({ y, h, bad }, index) => (
          <g key={index}>
            <rect
              x={2}
              y={y}
              width={JAR_W - 4}
              height={Math.max(1, h)}
              fill={LAYERS[index % LAYERS.length]}
              stroke="var(--chalk)"
              strokeWidth={1}
            />
            {bad ? <rect x={2} y={y} width={JAR_W - 4} height={Math.max(1, h)} fill={`url(#${hatch})`} /> : null}
          </g>
        ))}
        {terms?.reorderAt ? (
          <path d={`M0 ${up(terms.reorderAt)}h${JAR_W}`} stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="5 4" />
        ) : null}
        {kept > 0 ? (
          <path
            d={`M-2 ${up(kept)}l-8 -5v10z`}
            fill={item.short > 0 ? "var(--rust)" : "var(--blue)"}
            stroke="var(--ink)"
            strokeWidth={1}
          />
        ) : null}
        {terms?.target ? (
          <path d={`M${JAR_W} ${up(terms.target)}h9v-7z`} fill="var(--marigold)" stroke="var(--ink)" strokeWidth={1} />
        ) : null}
        <rect width={JAR_W} height={JAR_H} rx={4} fill="none" stroke="var(--ink)" strokeWidth={2} />
        <path d={`M${JAR_W * 0.2} -4h${JAR_W * 0.6}`} stroke="var(--ink)" strokeWidth={4} />
        <path d={`M${JAR_W} ${JAR_H - 10}h4v5`} stroke="var(--ink)" strokeWidth={2.4} fill="none" />
      </g>
    </svg>
  );
};

/** A store: the more litres the larger, from a bottle to a barrel. Its stopper tells whether it breathes, vents or is tight. */
export const Bottle = ({
  litres,
  methodId,
  label,
  container = "breathable",
}: {
  readonly litres: number;
  readonly methodId: string;
  readonly label: string;
  readonly container?: "breathable" | "sealed" | "vented";
}) => {
  const size = Math.min(1, 0.32 + 0.2 * Math.log10(1 + litres));
  const w = 74 * size;
  const h = 116 * size;
  return (
    <svg role="img" aria-label={label} width={w + 6} height={h + 12} className="block">
      <g transform="translate(0 8)">
        <path
          d={`M${w * 0.38 + 3} 2h${w * 0.24}v${h * 0.14}q${w * 0.38} ${h * 0.06} ${w * 0.38} ${h * 0.24}v${h * 0.62}h${-w}v${-h * 0.62}q0 ${-h * 0.18} ${w * 0.38} ${-h * 0.24}z`}
          fill={LIQUID[methodId] ?? "#5a5a40"}
          stroke="var(--ink)"
          strokeWidth={2}
        />
        <rect x={w * 0.16 + 3} y={h * 0.52} width={w * 0.68} height={h * 0.26} fill="#f8faf5" />
        {container === "breathable" ? (
          <path
            d={`M${w * 0.3 + 3} 3q${w * 0.2} -9 ${w * 0.4} 0`}
            fill="#f8faf5"
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        ) : container === "sealed" ? (
          <rect x={w * 0.34 + 3} y={-4} width={w * 0.32} height={7} fill="var(--ink)" />
        ) : (
          <path d={`M${w * 0.5 + 3} 2v-6q0 -4 5 -4h4v4`} fill="none" stroke="var(--ink)" strokeWidth={2} />
        )}
      </g>
    </svg>
  );
};
