import type { Evidence, JudgeInput } from "../evidence";
import type { VerdictReason } from "../reasons";
import type { RuleContext } from "./context";

/** Of char so much must lie under, %. */
const SUNK_ENOUGH = 90;
/** So far under its comfort shell makes no bubbles that could be missed, K. */
const COLD_K = 3;
/** Vinegar that has spent itself on shell stands above this; below the other it has acid left. */
const SHELL_PH = { spent: 5.2, sour: 4 } as const;

/** Char is charged when it lies under: what floats, by the newest word or measure, is stirred and not waited for. */
export function stillFloats({ recipe, log, forecast }: JudgeInput, looks: RuleContext["looks"]): VerdictReason | null {
  const { readiness } = recipe;
  if (readiness.type !== "ripens" || readiness.model.cls !== "char") return null;
  const word = looks.flatMap(({ words }) => words.filter(({ kind }) => kind === "solids")).at(-1);
  const measure = log.findLast((item) => item.kind === "sunk" && item.hour >= forecast.stageFromH);
  if (measure?.kind === "sunk" && measure.hour >= (word?.hour ?? -Infinity))
    return measure.value < SUNK_ENOUGH ? { code: "still-floats", sunkPercent: measure.value } : null;
  return word?.word === "floating" ? { code: "still-floats", sunkPercent: null } : null;
}

/** Bubbles rest in the cold with acid left: no bubbles then say nothing, unless the pH says that the acid is spent. */
export function restsInCold(
  { input }: Evidence,
  looks: RuleContext["looks"],
  shell: { readonly mark: number } | null,
): Extract<VerdictReason, { code: "still-in-cold" }> | null {
  const { recipe, forecast } = input;
  const { readiness } = recipe;
  if (readiness.type !== "ripens" || readiness.model.cls !== "shell" || (shell?.mark ?? 0) > 0) return null;
  if (!looks.some(({ signs }) => signs.some(({ sign }) => sign.kind === "surface"))) return null;
  const { low } = recipe.comfortC;
  return forecast.meanLiquidC24h < low - COLD_K
    ? { code: "still-in-cold", meanC: forecast.meanLiquidC24h, comfortLowC: low }
    : null;
}

/** What the pH of shell in vinegar says: spent, or sour still. */
export function shellReason(
  { input }: Evidence,
  looks: RuleContext["looks"],
): { readonly reason: VerdictReason; readonly mark: number } | null {
  const { readiness } = input.recipe;
  if (readiness.type !== "ripens" || readiness.model.cls !== "shell") return null;
  const last = looks.flatMap(({ ph }) => ph).at(-1);
  if (!last) return null;
  const isSpent = last.value >= SHELL_PH.spent;
  const isSour = last.value < SHELL_PH.sour;
  return {
    reason: { code: "shell-ph", ph: last.value, says: isSpent ? "acid-spent" : isSour ? "acid-left" : "between" },
    mark: isSpent ? 1 : isSour ? -1 : 0,
  };
}
