import "server-only";
import { checkPlant } from "@/core/safety/checkPlant";
import type { Provenance } from "@/core/safety/provenance";
import { Refusal, refuseAt } from "./refusal";

/**
 * What was picked for the batch, by name: a poisonous plant stops the fill, one the book doesn't know wants a reason.
 * @throws {Refusal}
 */
export function requirePickable(species: string, path: string, overrideReason: string | null): void {
  if (species.trim() === "") return;
  const check = checkPlant(species, "", []);
  if (check.type === "refused")
    throw refuseAt(
      "unfit",
      path,
      `${check.why} It goes into no brew, for whatever reason. Leave it, and wash your hands.`,
    );
  if (check.type === "unknown" && !overrideReason?.trim())
    throw new Refusal("reason-needed", check.why, { [path]: check.why, "/overrideReason": "Say why it may go in." });
}

/** Where what was picked for a batch comes from, once its plants are let in by name. @throws {Refusal} */
export function pickedPlant(species: string, path: string, overrideReason: string | null): Provenance {
  if (species === "") return {};
  requirePickable(species, path, overrideReason);
  return { plant: { species, part: "picked", place: "" }, overrideReason: overrideReason?.trim() || null };
}
