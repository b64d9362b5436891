import "server-only";
import { readLedger } from "../ledger";
import { NOTHING, view } from "../view";

export const LEDGER_VIEWS = {
  ledger: view({ name: "ledger", schema: NOTHING, may: "grower" }, ({ ctx, farm }) => readLedger(ctx, farm)),
} as const;
