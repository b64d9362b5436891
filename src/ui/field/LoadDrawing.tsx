import type { Load } from "@/core/apply/loads";
import { isInline } from "@/core/apply/tool";
import { inKitchen } from "@/core/apply/kitchen";
import { sayKitchen } from "@/words/said";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import type { Tool } from "@/services/types";

const DRAWN_MOST = 6;

interface OneProps {
  readonly kind: Tool["kind"];
  /** Share of the tool that is full, and of that fill which is concentrate. */
  readonly full: number;
  readonly dose: number;
}

/** One tool filled to its mark: the concentrate dark at the bottom, water above it. */
const One = ({ kind, full, dose }: OneProps) => {
  const h = 46;
  const level = h * Math.min(1, full);
  const doseH = Math.max(level * dose, 2);
  const body =
    kind === "knapsack" ? "M6 6q0 -4 4 -4h16q4 0 4 4v42h-24z" : kind === "can" ? "M4 4h26v44h-26z" : "M2 4h32v44h-32z";
  return (
    <svg aria-hidden width={48} height={54} viewBox="0 0 48 54">
      <clipPath id={`body-${kind}`}>
        <path d={body} />
      </clipPath>
      <path d={body} fill="var(--chalk)" />
      <g clipPath={`url(#body-${kind})`}>
        <rect x={0} y={48 - level} width={40} height={level} fill="var(--rain-wash)" />
        <rect x={0} y={48 - doseH} width={40} height={doseH} fill="var(--brew)" />
        <line x1={0} x2={40} y1={48 - level} y2={48 - level} stroke="var(--blue)" strokeWidth={1.5} />
      </g>
      <path d={body} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {kind === "tote" ? (
        <path d="M2 20h32M2 34h32M13 4v44M24 4v44" fill="none" stroke="var(--ink)" strokeWidth={1} />
      ) : null}
      {kind === "can" ? (
        <path d="M30 22l12 -12M40 7l5 5M6 4q11 -7 22 0" fill="none" stroke="var(--ink)" strokeWidth={2} />
      ) : null}
      {kind === "knapsack" ? (
        <path d="M30 40q12 2 12 -14l2 -12M14 2v-2h8v2" fill="none" stroke="var(--ink)" strokeWidth={2} />
      ) : null}
      {isInline(kind) || kind === "tote" ? (
        <path d="M34 44h12v-10" fill="none" stroke="var(--ink)" strokeWidth={2} />
      ) : null}
    </svg>
  );
};

/** So many are drawn in a line of a list; more are counted. */
const SMALL_MOST = 4;

/** What one bed takes, as the tools that carry it there, small: the last as full as it will be. */
export const SmallLoads = ({
  mixL,
  concentrateL,
  tool,
}: {
  readonly mixL: number;
  readonly concentrateL: number;
  readonly tool: Tool;
}) => {
  const loads = mixL / tool.volumeL;
  const whole = Math.floor(loads + 1e-6);
  const last = loads - whole;
  if (isInline(tool.kind) || loads > SMALL_MOST)
    return isInline(tool.kind) ? null : (
      <span className="reading shrink-0 text-[0.95rem]">{formatNumber(loads, 2)} ×</span>
    );
  return (
    <span aria-hidden className="flex shrink-0 [&_svg]:h-8 [&_svg]:w-7" title={`${formatNumber(loads, 2)} loads`}>
      {Array.from({ length: whole }, (_, index) => (
        <One key={index} kind={tool.kind} full={1} dose={concentrateL / mixL} />
      ))}
      {last > 0.02 ? <One kind={tool.kind} full={last} dose={concentrateL / mixL} /> : null}
    </span>
  );
};

interface LoadDrawingProps {
  readonly load: Load;
  readonly tool: Tool;
  readonly text: string;
  readonly units: UnitSystem;
}

/** Loads as the tools themselves, filled to their marks, with what to measure under them. */
export const LoadDrawing = ({ load, tool, text, units }: LoadDrawingProps) => {
  const kitchen = isInline(tool.kind) ? null : inKitchen(load.concentrateL, units);
  return (
    <div className="border-b border-line py-2">
      <div className="flex flex-wrap items-end gap-1">
        {Array.from({ length: Math.min(DRAWN_MOST, load.count) }, (_, index) => (
          <One key={index} kind={tool.kind} full={load.mixL / tool.volumeL} dose={load.concentrateL / load.mixL} />
        ))}
        {load.count > DRAWN_MOST ? <span className="reading pb-3 text-xl">… {load.count} in all</span> : null}
      </div>
      <p className="mt-1 text-[1.05rem] font-semibold">{text}</p>
      <p className="text-[0.88rem] text-soft">
        each: {sayVolume(load.concentrateL, units, 4)} concentrate and {sayVolume(load.waterL, units, 4)} water
        {kitchen ? `; in the kitchen’s measures ${sayKitchen(kitchen)}` : ""}
      </p>
    </div>
  );
};
