import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import { batchCost, type BatchCost } from "@/core/money/batchCost";
import type { Batch } from "@/data/batch";
import type { Farm } from "@/data/farm";
import type { LotDraw } from "@/data/shed";
import { hourOf } from "../ferment";

/** What a batch has cost up to a moment: its lots, the hands of filling and straining, and its pump for as long as it ran. */
export function costOfBatch(batch: Batch, draws: readonly LotDraw[], farm: Farm, now: Date): BatchCost {
  const ranH = Math.max(0, hourOf(batch, batch.close?.at ?? now));
  return batchCost({
    lots: draws.map((draw) => ({
      label: `${findIngredient(draw.ingredientId).name}, lot of ${draw.receivedOn}`,
      amount: draw.amount,
      unitCostMinor: draw.unitCostMinor,
    })),
    labourMin: batch.labourMin + (batch.close?.labourMin ?? 0),
    labourMinorPerH: farm.labourMinorPerH,
    powerKWh: (batch.powerW * ranH) / 1000,
    powerMinorPerKWh: farm.powerMinorPerKWh,
    consumables: [],
    yieldL: batch.close && batch.close.yieldL > 0 ? batch.close.yieldL : null,
  });
}
