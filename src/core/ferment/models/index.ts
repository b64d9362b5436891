import { DomainError } from "../../errors";
import { PLANT_FERMENT, RICE_WASH, SALTED_RICE_WASH, SOUR_MILK } from "./acids";
import { CHITIN_TEA, FUNGAL_TEA, LEACHATE_BLOOM, STARCH_BLOOM, SUGAR_TEA } from "./blooms";
import { BRAN_BED, CHAR_CHARGING, DUNG_WITH_SUGAR, PLANT_SOAK, SACK_IN_DRUM, SHELL_IN_ACID, SUGAR_DRAWN } from "./slow";
import type { FermentModel } from "./types";

/** Every model that the book draws on; a school may take one with figures of its own. */
export const FERMENT_MODELS: readonly FermentModel[] = [
  STARCH_BLOOM,
  SUGAR_TEA,
  FUNGAL_TEA,
  CHITIN_TEA,
  LEACHATE_BLOOM,
  PLANT_FERMENT,
  SALTED_RICE_WASH,
  RICE_WASH,
  SOUR_MILK,
  SUGAR_DRAWN,
  SHELL_IN_ACID,
  PLANT_SOAK,
  DUNG_WITH_SUGAR,
  SACK_IN_DRUM,
  CHAR_CHARGING,
  BRAN_BED,
];

/** @throws {DomainError} `unknown-method` */
export function findModel(id: string): FermentModel {
  const found = FERMENT_MODELS.find((model) => model.id === id);
  if (!found) throw new DomainError("unknown-method", { id }, "/method");
  return found;
}
