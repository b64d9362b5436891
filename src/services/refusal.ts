import "server-only";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { DomainError } from "@/core/errors";

export type RefusalCode =
  | "not-found"
  | "bad-request"
  | "vessel-busy"
  | "vessel-dirty"
  | "batch-closed"
  | "short-of-stock"
  | "short-of-store"
  | "over-brim"
  | "time"
  | "reason-needed"
  | "unfit"
  | "name-taken"
  | "entry-corrected"
  | "version-moved"
  | "ring"
  | "domain";

/** A write that was refused, with the words for the person and the field they belong to. Nothing was stored. */
export class Refusal extends Error {
  constructor(
    readonly code: RefusalCode,
    message: string,
    readonly fields: FieldErrors = {},
  ) {
    super(message);
    this.name = "Refusal";
  }
}

/** A refusal that stands at one field. */
export const refuseAt = (code: RefusalCode, path: string, message: string): Refusal =>
  new Refusal(code, message, { [path]: message });

/** Runs a piece of core and places its refusal at a field of the request. */
export function atField<T>(path: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof DomainError) throw new Refusal("domain", error.message, { [path]: error.message });
    throw error;
  }
}
