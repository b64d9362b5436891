import type { VesselKind } from "@/services/types";
import type { Lid } from "@/core/book/types";
import { vesselShape } from "@/core/recipe/vesselShape";

/** What is in a vessel, as far as it shows. */
export interface Contents {
  readonly filledL: number;
  readonly methodId: string;
  readonly lid: Lid;
  readonly aerated: boolean;
  readonly airOn: boolean;
  readonly surface: string | null;
  readonly film: string | null;
  readonly floatingSolids: boolean;
}

interface VesselDrawingProps {
  readonly kind: VesselKind;
  readonly volumeL: number;
  readonly diameterM: number | null;
  readonly pxPerM: number;
  readonly contents: Contents | null;
  readonly dirty?: boolean;
  readonly label: string;
}

/** Liquids as they look in the drum; one colour a method, the same by day and at dusk. */
const LIQUID: Record<string, string> = {
  "aerated-tea": "#5d3b22",
  "cultured-extract": "#77762f",
  "plant-juice": "#55511c",
  "feeding-tea": "#6b4322",
  "leachate-bloom": "#7a5524",
  "leaf-mould-brew": "#8b7a4a",
  "lactic-serum": "#cfc79a",
  "legume-leaf-ferment": "#5c6b2c",
  "milk-spray": "#e9e5d6",
  "shell-calcium": "#c9bd97",
  "leaf-soak": "#4a4a22",
  "dung-flour-ferment": "#5a4a2a",
  "drum-manure-tea": "#43331d",
  "charged-char": "#2c2a28",
  "char-green-liquid": "#2f3320",
  "bran-starter": "#a98a52",
  "rice-wash": "#ddd8c4",
};
const SKIN: Record<VesselKind, string> = {
  drum: "var(--blue)",
  tote: "var(--soft)",
  pail: "var(--soft)",
  jar: "var(--soft)",
};
const PAD = 8;
const TOP = 16;
const BUBBLES = [0.18, 0.42, 0.63, 0.82, 0.3, 0.71];
const foamy = (surface: string | null) =>
  surface !== null &&
  ["full head", "thick fine head", "patches", "ring at the wall", "fine bubbles", "collapsing"].includes(surface);

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

const outline = (kind: VesselKind, { x, y, w, h }: Box): string => {
  if (kind === "pail") return `M${x} ${y}H${x + w}L${x + w * 0.9} ${y + h}H${x + w * 0.1}Z`;
  if (kind === "jar")
    return `M${x + w * 0.12} ${y}H${x + w * 0.88}V${y + h * 0.1}Q${x + w} ${y + h * 0.16} ${x + w} ${y + h * 0.3}V${y + h * 0.94}Q${x + w} ${y + h} ${x + w * 0.92} ${y + h}H${x + w * 0.08}Q${x} ${y + h} ${x} ${y + h * 0.94}V${y + h * 0.3}Q${x} ${y + h * 0.16} ${x + w * 0.12} ${y + h * 0.1}Z`;
  const r = kind === "tote" ? 2 : 4;
  return `M${x + r} ${y}H${x + w - r}Q${x + w} ${y} ${x + w} ${y + r}V${y + h - r}Q${x + w} ${y + h} ${x + w - r} ${y + h}H${x + r}Q${x} ${y + h} ${x} ${y + h - r}V${y + r}Q${x} ${y} ${x + r} ${y}Z`;
};

const Marks = ({ kind, box: { x, y, w, h } }: { readonly kind: VesselKind; readonly box: Box }) => {
  if (kind === "drum")
    return (
      <path
        d={`M${x} ${y + h / 3}h${w}M${x} ${y + (2 * h) / 3}h${w}`}
        stroke={SKIN.drum}
        strokeWidth={1.4}
        fill="none"
      />
    );
  if (kind === "tote") {
    const bars =
      [1, 2, 3, 4].map((n) => `M${x + (w * n) / 5} ${y}v${h}`).join("") +
      [1, 2].map((n) => `M${x} ${y + (h * n) / 3}h${w}`).join("");
    return <path d={bars} stroke="var(--galvanised)" strokeWidth={1.2} fill="none" />;
  }
  if (kind === "pail")
    return (
      <path
        d={`M${x + 2} ${y + 2}Q${x + w / 2} ${y - w * 0.34} ${x + w - 2} ${y + 2}`}
        stroke="var(--soft)"
        strokeWidth={1.2}
        fill="none"
      />
    );
  return null;
};

/** Lid: an airlock on a bung, or a cloth tied down. */
const Lid = ({ lid, box: { x, y, w } }: { readonly lid: Contents["lid"]; readonly box: Box }) => {
  if (lid === "airlock") {
    return (
      <g fill="none" stroke="var(--ink)" strokeWidth={1.6}>
        <path d={`M${x - 1} ${y}h${w + 2}`} strokeWidth={3} />
        <path d={`M${x + w * 0.7} ${y}v-5q0 -5 4 -5t4 5t4 -5v-3`} />
      </g>
    );
  }
  if (lid === "breathable")
    return (
      <path
        d={`M${x - 2} ${y + 4}q2 -6 6 -6h${w - 8}q4 0 6 6`}
        fill="var(--chalk)"
        stroke="var(--ink)"
        strokeWidth={1.5}
        strokeDasharray="3 2"
      />
    );
  return null;
};

const Liquid = ({
  contents,
  box,
  id,
  level,
}: {
  readonly contents: Contents;
  readonly box: Box;
  readonly id: string;
  readonly level: number;
}) => {
  const { x, y, w, h } = box;
  const top = y + h * (1 - level);
  return (
    <g clipPath={`url(#${id})`}>
      <rect className="level" x={x} y={top} width={w} height={h} fill={LIQUID[contents.methodId] ?? "#5a5a40"} />
      {contents.methodId === "cultured-extract" ? (
        <rect
          x={x + w * 0.32}
          y={top + h * level * 0.22}
          width={w * 0.36}
          height={Math.max(6, h * level * 0.34)}
          rx={4}
          fill="#3f431d"
          stroke="#2a2d12"
        />
      ) : null}
      {contents.floatingSolids ? (
        <rect x={x} y={top} width={w} height={Math.max(4, h * level * 0.45)} fill="#2f5a2a" opacity={0.85} />
      ) : null}
      {contents.airOn
        ? BUBBLES.map((share, index) => (
            <circle
              key={share}
              cx={x + w * share}
              cy={top + (h * level * (index + 1)) / (BUBBLES.length + 1)}
              r={1.7}
              fill="#f3ede2"
            />
          ))
        : null}
      {contents.aerated ? (
        <rect x={x + w * 0.3} y={y + h - 5} width={w * 0.4} height={3} rx={1.5} fill="#cfd5d3" />
      ) : null}
      {foamy(contents.surface)
        ? Array.from({ length: Math.ceil(w / 6) }, (_, index) => (
            <circle
              key={index}
              cx={x + 3 + index * 6}
              cy={top}
              r={4}
              fill="#fbf8ee"
              stroke="#9a8f78"
              strokeWidth={0.8}
            />
          ))
        : null}
      {contents.film && contents.film !== "none" ? (
        <rect
          x={x}
          y={top - 2}
          width={w}
          height={4}
          fill={contents.film === "coloured mould" ? "#7a8f4a" : "#efe9da"}
          stroke="#8b8069"
          strokeWidth={0.6}
        />
      ) : null}
    </g>
  );
};

/** A vessel in elevation, to scale: its level, its air, what floats and what lies on it, its lid. */
export const VesselDrawing = ({
  kind,
  volumeL,
  diameterM,
  pxPerM,
  contents,
  dirty = false,
  label,
}: VesselDrawingProps) => {
  const { diameterM: wide, heightM } = vesselShape(volumeL, diameterM);
  const box: Box = { x: PAD, y: TOP, w: Math.max(12, wide * pxPerM), h: Math.max(14, heightM * pxPerM) };
  const id = `clip-${label.replace(/\W+/g, "-")}`;
  const level = contents ? Math.min(1, contents.filledL / volumeL) : 0;
  return (
    <svg role="img" aria-label={label} width={box.w + 2 * PAD} height={box.h + TOP} className="block overflow-visible">
      <clipPath id={id}>
        <path d={outline(kind, box)} />
      </clipPath>
      <path d={outline(kind, box)} fill="var(--chalk)" />
      {contents ? <Liquid contents={contents} box={box} id={id} level={level} /> : null}
      {dirty ? (
        <path
          d={`M${box.x + 3} ${box.y + box.h * 0.25}q${box.w / 4} 5 ${box.w / 2} 0t${box.w / 2 - 6} 0M${box.x + 4} ${box.y + box.h - 4}h${box.w - 8}`}
          stroke="#6b5a3c"
          strokeWidth={2}
          fill="none"
          strokeDasharray="5 3"
        />
      ) : null}
      <Marks kind={kind} box={box} />
      <path d={outline(kind, box)} fill="none" stroke={SKIN[kind]} strokeWidth={2.2} />
      {contents ? <Lid lid={contents.lid} box={box} /> : null}
    </svg>
  );
};
