import type { ShelfItem } from "@/services/readShed";

const JAR_W = 58;
const JAR_H = 84;
/** Layers from the oldest lot, at the tap, upwards. */
const LAYERS = ["#8a6a35", "#b08d4f", "#cdb27c", "#dfcba3", "#ece0c6"];
const LIQUID: Record<string, string> = {
  "aerated-tea": "#5d3b22",
  "cultured-extract": "#77762f",
  "plant-juice": "#55511c",
};

/** A container as full as its lots are of what came in; each lot a layer, the oldest at the bottom where it is drawn from. */
export const LotJar = ({ item, today }: { readonly item: ShelfItem; readonly today: string }) => {
  const received = item.lots.reduce((sum, lot) => sum + lot.received, 0);
  const room = JAR_H - 10;
  const layers = item.lots.reduce<{ id: number; y: number; h: number; old: boolean }[]>((done, lot) => {
    const h = (lot.onHand / received) * room;
    const top = (done.at(-1)?.y ?? JAR_H) - h;
    return [...done, { id: lot.id, y: top, h, old: lot.expiresOn !== null && lot.expiresOn < today }];
  }, []);
  return (
    <svg aria-hidden width={JAR_W + 6} height={JAR_H + 10} className="block">
      <g transform="translate(3 8)">
        <rect width={JAR_W} height={JAR_H} rx={4} fill="var(--chalk)" />
        {layers.map((layer, index) => (
          <g key={layer.id}>
            <rect
              x={2}
              y={layer.y}
              width={JAR_W - 4}
              height={Math.max(1, layer.h)}
              fill={layer.old ? "var(--rust)" : LAYERS[index % LAYERS.length]}
              stroke="var(--chalk)"
              strokeWidth={1}
            />
          </g>
        ))}
        <rect width={JAR_W} height={JAR_H} rx={4} fill="none" stroke="var(--ink)" strokeWidth={2} />
        <path d={`M${JAR_W * 0.2} -4h${JAR_W * 0.6}`} stroke="var(--ink)" strokeWidth={4} />
        <path d={`M${JAR_W} ${JAR_H - 10}h4v5`} stroke="var(--ink)" strokeWidth={2.4} fill="none" />
      </g>
    </svg>
  );
};

/** A store: the more litres the larger, from a bottle to a barrel. */
export const Bottle = ({
  litres,
  methodId,
  label,
}: {
  readonly litres: number;
  readonly methodId: string;
  readonly label: string;
}) => {
  const size = Math.min(1, 0.32 + 0.2 * Math.log10(1 + litres));
  const w = 74 * size;
  const h = 116 * size;
  return (
    <svg role="img" aria-label={label} width={w + 6} height={h + 4} className="block">
      <path
        d={`M${w * 0.38 + 3} 2h${w * 0.24}v${h * 0.14}q${w * 0.38} ${h * 0.06} ${w * 0.38} ${h * 0.24}v${h * 0.62}h${-w}v${-h * 0.62}q0 ${-h * 0.18} ${w * 0.38} ${-h * 0.24}z`}
        fill={LIQUID[methodId] ?? "#5a5a40"}
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <rect x={w * 0.16 + 3} y={h * 0.52} width={w * 0.68} height={h * 0.26} fill="#f8faf5" />
    </svg>
  );
};
