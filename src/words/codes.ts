/** Languages that the farm speaks; English is the first. One more here, and every catalogue asks for its words. */
export type Language = "en";

interface Limit {
  readonly limit: number;
}
/** What explains each complaint. */
interface Details {
  "too-low": Limit;
  "not-above": Limit;
  "too-high": Limit;
  "too-long": Limit;
  "too-few": Limit;
  "too-many": Limit;
  "none-of": { readonly allowed: readonly unknown[] };
  "wrong-type": { readonly type: string };
  "needed": object;
  "not-known": object;
  "wrong-form": object;
  "no-date": object;
  "no-moment": object;
  "unfit": object;
}
export type ComplaintCode = keyof Details;
/** What is wrong with the form of a value. */
export type Complaint = { [C in ComplaintCode]: { readonly code: C } & Details[C] }[ComplaintCode];

/** What the door refuses before or after the farm was asked. */
export type DoorCode =
  | "bad-request"
  | "bad-json"
  | "too-long"
  | "stranger"
  | "no-farm"
  | "no-token"
  | "signed-out"
  | "locked"
  | "other-person"
  | "no-act"
  | "not-there"
  | "too-slow"
  | "too-often"
  | "database-away"
  | "disk-full"
  | "busy"
  | "out-of-reach"
  | "internal";
