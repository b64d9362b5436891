import { INGREDIENT_FACTS, inSeason, seasonOf } from "../../book/ingredientFacts";
import { findIngredient, type IngredientId } from "../../book/ingredients";
import { addDays, daysBetween } from "../../calendar";
import type { ForageSpell, SeasonIngredient } from "../season";
import { KEEPS_LONG_D, type FactItem, type FarmFacts, type SeasonAssumed } from "./facts";

/** Where nobody said how something is bought: within these days, in packs that keep so long. */
const GUESSED = { leadD: 2, keepsD: 120, amount: 1 } as const;
/** What a place gives of a plant in a week, and how long a kilogram takes to gather: judged, and told as guessed. */
const GATHERED = { perWeek: 40, minPerUnit: 6, saved: { perWeek: 10, minPerUnit: 1 } } as const;

/** What the farm's places give of it in a week, by what they gave and how long each rests; null where none gave any yet. */
function givesAWeek(id: IngredientId, gathered: FarmFacts["gathered"]): number | null {
  const places = gathered.filter(({ ingredientId }) => ingredientId === id);
  return places.length === 0
    ? null
    : places.reduce((sum, { mostAtOnce, restD }) => sum + (mostAtOnce * 7) / Math.max(7, restD), 0);
}

/** The stretches of a season in which an ingredient is there to be picked or saved. */
function spellsOf(
  id: IngredientId,
  farm: Pick<FarmFacts, "days" | "latitudeDeg" | "gathered">,
  firstDay: string,
): ForageSpell[] {
  const { source, keepsD } = INGREDIENT_FACTS[id];
  const isThere = (day: number): boolean => inSeason(id, seasonOf(addDays(firstDay, day), farm.latitudeDeg));
  const { perWeek: guessed, minPerUnit } = source === "saved" ? GATHERED.saved : GATHERED;
  const perWeek = givesAWeek(id, farm.gathered) ?? guessed;
  const spells: ForageSpell[] = [];
  for (let day = 0, from = -1; day <= farm.days; day += 1) {
    const open = day < farm.days && isThere(day);
    if (open && from < 0) from = day;
    if (open || from < 0) continue;
    spells.push({
      fromDay: from,
      toDay: day - 1,
      perWeek,
      minPerUnit,
      costPerUnit: 0,
      keepsD: Math.max(0, (keepsD ?? 30) - 1),
    });
    from = -1;
  }
  return spells;
}

/** An ingredient with what is at hand, and how more of it is come by. */
export function ingredientOf(
  id: IngredientId,
  item: FactItem | undefined,
  farm: Pick<FarmFacts, "days" | "latitudeDeg" | "gathered">,
  firstDay: string,
  assumed: SeasonAssumed[],
): SeasonIngredient {
  const lots = (item?.lots ?? []).map((lot) => ({
    id: `lot-${lot.id}`,
    amount: lot.onHand,
    fromDay: 0,
    expiresDay: lot.expiresOn === null ? KEEPS_LONG_D : daysBetween(firstDay, lot.expiresOn),
  }));
  const { source } = INGREDIENT_FACTS[id];
  const unit = item?.unit ?? findIngredient(id).stockUnit;
  if (!item?.supply && source !== "bought") {
    // What is made comes of a batch, or of what is there already.
    const forage = source === "made" ? [] : spellsOf(id, farm, firstDay);
    if (forage.length > 0 && givesAWeek(id, farm.gathered) === null)
      assumed.push({ code: "gathering-guessed", ingredientId: id });
    return { id, unit, lots, forage, pack: null };
  }
  if (!item?.supply) assumed.push({ code: "supply-guessed", ingredientId: id });
  const supply = item?.supply ?? { amount: GUESSED.amount, cost: null, leadD: GUESSED.leadD };
  return {
    id,
    unit,
    lots,
    forage: [],
    pack: {
      amount: supply.amount,
      cost: supply.cost ?? (item?.unitCost ?? 0) * supply.amount,
      leadD: supply.leadD,
      keepsD: GUESSED.keepsD,
    },
  };
}
