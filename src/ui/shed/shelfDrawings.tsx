import type { ShedItem } from "@/services/shed";
import { Holder } from "../drawings/holders/Holder";
import { lookOf } from "../drawings/holders/looks";

const LIQUID: Record<string, string> = {
  "aerated-tea": "#5d3b22",
  "cultured-extract": "#77762f",
  "plant-juice": "#55511c",
};

/** What a full holder stands for: all that came in with what is left, and room for every mark on it. */
const fullOf = ({ cameIn, onHand, reserved, short, terms }: ShedItem) =>
  Math.max(cameIn, onHand, reserved + short, terms?.reorderAt ?? 0, terms?.target ?? 0, 1e-9);

/** An ingredient on its shelf, as full as its lots are of what came in. */
export const ShelfItemDrawing = ({ item }: { readonly item: ShedItem }) => {
  const full = fullOf(item);
  const { terms } = item;
  return (
    <Holder
      look={lookOf(item.ingredientId)}
      layers={item.layers.map(({ amount, expired, held }) => ({ share: amount / full, bad: expired || held }))}
      reserved={(item.reserved + item.short) / full}
      reorder={terms?.reorderAt ? { share: terms.reorderAt / full, below: item.reorder } : null}
      target={terms?.target ? terms.target / full : null}
    />
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
