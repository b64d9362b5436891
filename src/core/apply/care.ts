import type { IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import type { UseId } from "../book/uses";
import type { ToolKind } from "./tool";
import { RAIN_MM, type WeatherHour } from "./weatherHour";

/** The finest hole that what goes through a tool must pass, µm: small holes clog, and leaf in a spray stays on the leaf. */
export function meshUm(tool: ToolKind, use: UseId): number {
  if (tool === "injector" || tool === "drip" || use === "injector") return 100;
  if (use === "foliar" || tool === "knapsack" || tool === "siphon") return 200;
  return tool === "tote" ? 500 : 1000;
}

/** What is done after something went on. */
export type AfterCare =
  | { readonly code: "rain-waters-in"; readonly inH: number }
  | { readonly code: "water-in" }
  | { readonly code: "mulch-over" }
  | { readonly code: "flush-line" }
  | { readonly code: "keep-dry" }
  | { readonly code: "rinse-tool" };

const HOUR_MS = 3_600_000;
/** Rain within this saves the watering. */
const SOON_H = 6;
/** As strong as this, or undiluted, it is watered in. */
const STRONG_BELOW = 10;

const SOIL: readonly UseId[] = ["drench-bare", "drench-growing", "seedling", "incorporate", "top-dress"];

/**
 * What is done after something went on: water in what is strong or lies on top, unless rain comes; cover a living drench; keep leaves dry; flush and
 * rinse what it went through.
 */
export function careAfter(
  use: UseId,
  partsWater: number,
  isLiving: boolean,
  hours: readonly WeatherHour[],
  nowMs: number,
): AfterCare[] {
  const rain = hours.find(
    ({ atMs, rainMm }) => atMs > nowMs && atMs <= nowMs + SOON_H * HOUR_MS && (rainMm ?? 0) > RAIN_MM,
  );
  const wantsWater = SOIL.includes(use) && (partsWater < STRONG_BELOW || use === "drench-bare" || use === "top-dress");
  return [
    ...(wantsWater
      ? [
          rain
            ? ({ code: "rain-waters-in", inH: Math.max(1, Math.round((rain.atMs - nowMs) / HOUR_MS)) } as const)
            : ({ code: "water-in" } as const),
        ]
      : []),
    ...(isLiving && (use === "drench-bare" || use === "drench-growing") ? [{ code: "mulch-over" } as const] : []),
    ...(use === "injector" ? [{ code: "flush-line" } as const] : []),
    ...(use === "foliar" ? [{ code: "keep-dry" } as const] : []),
    { code: "rinse-tool" },
  ];
}

/** What must not be in the same can. */
export type NotWith = "ash-or-lime" | "acid" | "copper-and-fungicide" | "chlorine";

const HOLDS_ACID: readonly IngredientId[] = ["vinegar", "lactic-culture", "whey"];
const HOLDS_ASH: readonly IngredientId[] = ["ash"];

/** What undoes a liquid in the can: ash and lime in what is sour, acid in what holds ash, fungicide and chlorine in what lives. */
export function notWith({
  ingredients,
  family,
  keeping,
}: Pick<Recipe, "ingredients" | "family" | "keeping">): NotWith[] {
  const has = (kinds: readonly IngredientId[]) => ingredients.some(({ ingredient }) => kinds.includes(ingredient));
  const isLiving = keeping.living || family === "acid";
  return [
    ...(family === "acid" || has(HOLDS_ACID) ? (["ash-or-lime"] as const) : []),
    ...(has(HOLDS_ASH) ? (["acid"] as const) : []),
    ...(isLiving ? (["copper-and-fungicide", "chlorine"] as const) : []),
  ];
}

const isSour = ({ family, ingredients }: Pick<Recipe, "family" | "ingredients">): boolean =>
  family === "acid" || ingredients.some(({ ingredient }) => HOLDS_ACID.includes(ingredient));
const holdsAsh = ({ ingredients }: Pick<Recipe, "ingredients">): boolean =>
  ingredients.some(({ ingredient }) => HOLDS_ASH.includes(ingredient));

/** Two liquids that undo each other in one can. */
export interface NotTogether {
  readonly code: "not-together";
  readonly weight: "blocked";
  readonly because: "acid-and-ash";
}

/** Whether two liquids undo each other in one can: acid and ash, whichever holds which; null where they may share it. */
export const notTogether = (
  one: Pick<Recipe, "ingredients" | "family">,
  other: Pick<Recipe, "ingredients" | "family">,
): NotTogether | null =>
  (isSour(one) && holdsAsh(other)) || (holdsAsh(one) && isSour(other))
    ? { code: "not-together", weight: "blocked", because: "acid-and-ash" }
    : null;
