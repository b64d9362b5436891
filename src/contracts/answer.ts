import type { FieldErrors } from "./fieldErrors";

/** What the door answers: a value, or what is wrong and where. */
export type ActResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ActError };

export interface ActError {
  readonly code: string;
  /** The figures that explain it, SI. */
  readonly params?: object;
  /** The same in the words and units of the farm. */
  readonly message: string;
  /** Complaints by JSON pointer of the field. */
  readonly fields?: FieldErrors;
}
