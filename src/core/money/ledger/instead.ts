import { convert } from "../../quantity/convert";
import { rounded, toMinor } from "./minor";
import type { InsteadAnswer, LedgerAssumed, LedgerInput } from "./terms";

/** Grams of a nutrient that went out onto plots; null where any batch that was used has no measured figure. */
function gramsUsed({ uses = [], batches }: LedgerInput, of: "nGPerL" | "kGPerL"): number | null {
  let grams = 0;
  for (const { batch, amount } of uses) {
    const perL = batches.find(({ id }) => id === batch)?.[of];
    if (perL === undefined) return null;
    grams += perL * convert(amount, "L").value;
  }
  return grams;
}

/**
 * What would have been bought for the same work: every comparison that the data allow, never the kindest alone. By area each application counts; by nitrogen or potassium
 * only where it was measured.
 * @param spent on plots and lost, minor units
 */
export function insteadOf(
  input: LedgerInput,
  spent: number,
): { readonly instead: readonly InsteadAnswer[]; readonly assumed: readonly LedgerAssumed[] } {
  const { instead, uses = [], plots = [], currency } = input;
  if (!instead || uses.length === 0) return { instead: [], assumed: [] };
  const price = toMinor(instead.price, currency.minor, "/instead/price");
  const answer = (basis: InsteadAnswer["basis"], packs: number): InsteadAnswer => {
    const cost = rounded((packs * price) / 10 ** currency.minor, currency.minor);
    const wholePacks = Math.ceil(packs - 1e-9);
    const wholeCost = wholePacks * price;
    return {
      ...{ name: instead.name, basis, packs, wholePacks, cost, wholeCost },
      saving: cost - spent,
      wholeSaving: wholeCost - spent,
    };
  };
  const found: InsteadAnswer[] = [];
  const assumed: LedgerAssumed[] = [];
  if (instead.covers) {
    const areas = new Map(plots.map(({ id, area }) => [id, area ? convert(area, "m2").value : null]));
    const treated = uses.flatMap(({ plots: on }) => on.map(({ id }) => areas.get(id) ?? null));
    const covers = convert(instead.covers, "m2").value;
    if (!treated.includes(null) && covers > 0)
      found.push(answer("same-area", treated.reduce<number>((sum, one) => sum + one!, 0) / covers));
  }
  const nutrients = [
    ["same-N", "nGPerL", instead.nGPerPack, "no-nitrogen-measured"],
    ["same-K", "kGPerL", instead.kGPerPack, "no-potassium-measured"],
  ] as const;
  for (const [basis, of, perPack, unmeasured] of nutrients) {
    if (perPack === undefined || perPack <= 0) continue;
    const grams = gramsUsed(input, of);
    if (grams === null) assumed.push(unmeasured);
    else found.push(answer(basis, grams / perPack));
  }
  return { instead: found, assumed };
}
