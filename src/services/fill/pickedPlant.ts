import "server-only";
import { checkPlant } from "@/core/safety/checkPlant";
import type { Provenance } from "@/core/safety/provenance";
import { refuse } from "../refusal";

/**
 * What was picked for the batch, by name: a poisonous plant stops the fill, one the book doesn't know wants a reason.
 * @throws {Refusal}
 */
export function requirePickable(species: string, path: string, overrideReason: string | null): void {
  if (species.trim() === "") return;
  const check = checkPlant(species, "", []);
  if (check.type === "refused") throw refuse("poisonous", { why: check.why }, path);
  if (check.type === "unknown" && !overrideReason?.trim())
    throw refuse("reason-needed", { because: { code: "unknown-plant", why: check.why } }, path, "/overrideReason");
}

/** Where what was picked for a batch comes from, once its plants are let in by name. @throws {Refusal} */
export function pickedPlant(species: string, path: string, overrideReason: string | null): Provenance {
  if (species === "") return {};
  requirePickable(species, path, overrideReason);
  return { plant: { species, part: "picked", place: "" }, overrideReason: overrideReason?.trim() || null };
}
