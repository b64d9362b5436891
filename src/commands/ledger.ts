import type { FromSchema } from "json-schema-to-ts";
import { LEDGER_INPUT, LEDGER_OUTPUT } from "@/contracts/commands/ledger";
import { ledgerOf, type LedgerInput } from "@/core/money/ledger";
import type { Task } from "./task";

type Input = FromSchema<typeof LEDGER_INPUT>;

export const ledgerTask: Task<Input> = {
  name: "ledger",
  summary: "what every batch, litre, application, plot and crop cost, and what was lost: what goes in comes out",
  input: LEDGER_INPUT,
  output: LEDGER_OUTPUT,
  example: {
    currency: { code: "EUR", minor: 2 },
    rates: { labourPerHour: 15, powerPerKWh: 0.3, waterPerM3: 2 },
    lots: [{ id: "m1", item: "molasses", on: "2031-03-01", amount: { value: 3, unit: "L" }, cost: 10 }],
    batches: [
      {
        id: "serum",
        start: "2031-04-02",
        yield: { value: 7, unit: "L" },
        draws: [{ item: "molasses", amount: { value: 1, unit: "L" } }],
        labour: [{ act: "fill", min: 20 }],
      },
    ],
    plots: [{ id: "a", crop: "kale", area: { value: 10, unit: "m2" } }],
    uses: [
      {
        id: "u1",
        on: "2031-05-06",
        batch: "serum",
        amount: { value: 1, unit: "L" },
        labourMin: 25,
        plots: [{ id: "a" }],
      },
    ],
  },
  run: (input) => ledgerOf(input as unknown as LedgerInput),
};
