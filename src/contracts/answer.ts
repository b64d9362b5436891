import type { FieldErrors } from "./fieldErrors";

/** What the door answers: a value, or what is wrong and where. */
export type ActResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ActError };

export interface ActError {
  readonly code: string;
  readonly message: string;
  /** Complaints by JSON pointer of the field. */
  readonly fields?: FieldErrors;
}
