import "server-only";
import type { Complaints } from "@/contracts/fieldErrors";
import { DomainError } from "@/core/errors";
import type { RefusalCode, RefusalParams } from "@/words/refusals";

/** A write that was refused: its code, the figures that explain it (SI), and the fields it belongs to. Nothing was stored. */
export class Refusal<C extends RefusalCode = RefusalCode> extends Error {
  constructor(
    readonly code: C,
    readonly params: RefusalParams<C>,
    /** JSON pointers of the fields at fault; none where it is about the whole. */
    readonly paths: readonly string[] = [],
  ) {
    super(code);
    this.name = "Refusal";
  }
}

/** What does not fit the schema of what is asked: complaints by field. */
export class Misfit extends Error {
  readonly code = "bad-request";
  constructor(readonly complaints: Complaints) {
    super("bad-request");
    this.name = "Misfit";
  }
}

/** @example throw refuse("not-found", { thing: "vessel" }, "/vesselId"); */
export const refuse = <C extends RefusalCode>(code: C, params: RefusalParams<C>, ...paths: string[]): Refusal<C> =>
  new Refusal(code, params, paths);

/** Runs a piece of core and places its refusal at a field of the request. */
export function atField<T>(path: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof DomainError) throw refuse("domain", { error }, path);
    throw error;
  }
}
