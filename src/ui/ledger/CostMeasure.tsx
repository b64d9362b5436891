import type { BatchCost, CostLine } from "@/core/money/batchCost";
import { sayMoney } from "@/formats/amounts";

const FILLS: Record<CostLine["kind"], readonly string[]> = {
  ingredient: ["#5d3b22", "#8a6a35", "#77762f", "#a98c4f", "#4d5b2a", "#c2ad7a"],
  labour: ["#2c5a86"],
  power: ["#d99a00"],
  consumable: ["#8b949a"],
};
const W = 62;
const H = 132;

interface Layer extends CostLine {
  readonly fill: string;
  readonly y: number;
  readonly h: number;
}

/** Cost lines of an ingredient's several lots are one layer; the largest lies at the bottom. */
function layersOf(cost: BatchCost): Layer[] {
  const merged = new Map<string, CostLine>();
  for (const line of cost.breakdown) {
    const label = line.label.split(", lot of")[0]!;
    const known = merged.get(label);
    merged.set(label, { kind: line.kind, label, costMinor: line.costMinor + (known?.costMinor ?? 0) });
  }
  const parts = [...merged.values()]
    .filter(({ costMinor }) => costMinor > 0)
    .toSorted((a, b) => b.costMinor - a.costMinor);
  let top = H;
  let ingredient = 0;
  return parts.map((part) => {
    const h = (part.costMinor / Math.max(1, cost.totalMinor)) * (H - 8);
    top -= h;
    const fills = FILLS[part.kind];
    const fill = part.kind === "ingredient" ? fills[ingredient++ % fills.length]! : fills[0]!;
    return { ...part, fill, y: top, h };
  });
}

/** A batch's cost as a measuring jug: what went in lies in layers, as thick as its share of the price. */
export const CostMeasure = ({
  cost,
  currency,
  label,
}: {
  readonly cost: BatchCost;
  readonly currency: string;
  readonly label: string;
}) => {
  const layers = layersOf(cost);
  return (
    <div className="flex gap-3">
      <svg
        role="img"
        aria-label={`${label}: ${layers.map((layer) => `${layer.label} ${sayMoney(layer.costMinor, currency)}`).join(", ")}`}
        width={W + 14}
        height={H + 4}
        className="shrink-0"
      >
        {layers.map((layer) => (
          <rect
            key={layer.label}
            x={4}
            y={layer.y}
            width={W - 8}
            height={Math.max(1, layer.h)}
            fill={layer.fill}
            stroke="var(--chalk)"
            strokeWidth={1}
          />
        ))}
        <path
          d={`M3 1V${H}H${W - 3}V1M${W - 3} 20q12 0 12 16v30q0 12 -12 12`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2.2}
        />
        {[0.25, 0.5, 0.75].map((share) => (
          <line
            key={share}
            x1={W - 14}
            x2={W - 4}
            y1={H - share * (H - 8)}
            y2={H - share * (H - 8)}
            stroke="var(--chalk)"
            strokeWidth={1.5}
          />
        ))}
      </svg>
      <ul className="min-w-0 flex-1 text-[0.9rem]">
        {layers.map((layer) => (
          <li key={layer.label} className="flex items-baseline gap-2">
            <span aria-hidden className="size-2.5 shrink-0 border border-ink" style={{ background: layer.fill }} />
            <span className="min-w-0 flex-1">{layer.label}</span>
            <span className="reading whitespace-nowrap">{sayMoney(layer.costMinor, currency)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
};
