import "server-only";
import { object } from "@/contracts/parts";
import { readMixing, readPlannedMixing } from "../mixing";
import { ID, view } from "../view";

export const MIXING_VIEWS = {
  mixing: view({ name: "mixing", schema: object(["id"], { id: ID }), may: "viewer" }, ({ ctx, farm }, { id }) =>
    readMixing(ctx, farm, id),
  ),
  /** As a plan would be mixed. */
  plannedMixing: view(
    { name: "plannedMixing", schema: object(["planId"], { planId: ID }), may: "viewer" },
    ({ ctx, farm }, { planId }) => readPlannedMixing(ctx, farm, planId),
  ),
} as const;
