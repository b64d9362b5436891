import type { FigureHint } from "@/core/errors";
import { sayQuantity } from "@/formats/amounts";
import { inText } from "@/formats/grammar";

type HintCode = FigureHint["code"];
type HintOf<C extends HintCode> = Extract<FigureHint, { readonly code: C }>;

const orOwn = (measures: readonly string[]) => (measures.length > 0 ? `, or ${measures.join(", ")}` : "");

/** Why a typed figure can't be worked out, and what would help. */
const HINTS: { readonly [C in HintCode]: (hint: HintOf<C>) => string } = {
  "nothing-typed": () => "Type a figure, such as 16 L at 1:500, or 12 fl oz in 3 gal, or 200 L cultured extract.",
  "no-number": () => "This starts with no number. Try 16 L at 1:500.",
  "not-above-nothing": () => "An amount must be above nothing.",
  "too-much": () => "That is more than any farm has. Was a digit typed twice?",
  "parts-without-volume": () => "Parts need a volume behind them.",
  "ratio-without-volume": () => "A ratio needs a volume before it.",
  "vessel-wanted": () => "A recipe is scaled to a vessel: give its volume.",
  "both-volumes": () => "Both must be volumes.",
  "volume-after-in": () => "After “in” comes a volume, such as 20 L.",
  "ratio-after-at": () => "After “at” comes a ratio (1:500, 2 mL/L, 0.2 %) or a rate (120 L/ha).",
  "no-unit": ({ measures }) => `Of what? Add a unit, such as L, gal, kg or ha${orOwn(measures)}.`,
  "not-a-unit": ({ word, measures }) =>
    `"${word}" is not a unit. Units are L, mL, gal, fl oz, cup, kg, g, lb, ha, acre, m2, °C, °F${orOwn(measures)}.`,
  "left-over": ({ rest, read }) =>
    `"${rest}" is left over: ${sayQuantity(read)} was read before it. Remove it, or say it otherwise.`,
  "differs-in-kind": ({ read, per }) => `${sayQuantity(read)} and "per ${per}" measure different things.`,
  "which-method": ({ name, methods }) =>
    `“${name}” may be ${methods.map((method) => `${inText(method.name)} (${method.sugar}; ${method.time})`).join(", or ")}. Say which: they are not the same.`,
  "unknown-name": ({ name, nearest, read }) =>
    `"${name}" is no method, unit or measure that Ruchka knows${nearest === null ? "" : `; did you mean ${inText(nearest)}?`}. ${sayQuantity(read)} was read before it.`,
};

/** Why a typed figure can't be worked out, in a person's words. */
export const sayFigureHint = (hint: FigureHint): string => (HINTS[hint.code] as (of: FigureHint) => string)(hint);
