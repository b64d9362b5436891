import type { Complaint, ComplaintCode } from "../codes";
import { counted } from "@/formats/grammar";

/** A limit in the units of its field: "5280 US gal", "40 °C", or a bare number. */
type SayLimit = (value: number) => string;
type Of<C extends ComplaintCode> = Extract<Complaint, { readonly code: C }>;

const TYPES: Readonly<Record<string, string>> = {
  number: "a number",
  integer: "a whole number",
  string: "words",
  array: "a list",
  object: "an object",
  boolean: "yes or no",
};

/** What does not fit at a field. */
export const COMPLAINTS: { readonly [C in ComplaintCode]: (complaint: Of<C>, limit: SayLimit) => string } = {
  "needed": () => "Fill this in.",
  "not-known": () => "This is not known here.",
  "too-low": ({ limit }, say) => `At least ${say(limit)}.`,
  "not-above": ({ limit }, say) => `More than ${say(limit)}.`,
  "too-high": ({ limit }, say) => `At most ${say(limit)}.`,
  "wrong-form": () => "Check this field.",
  "too-long": ({ limit }) => `At most ${limit} characters.`,
  "too-few": ({ limit }) => counted(limit, { one: "Choose at least one.", other: "At least #." }),
  "too-many": ({ limit }) => `At most ${limit}.`,
  "none-of": ({ allowed }) => `One of ${allowed.join(", ")}.`,
  "no-date": () => "A date such as 2031-03-02.",
  "no-moment": () => "A date and time.",
  "wrong-type": ({ type }) => `This must be ${TYPES[type] ?? "something else"}.`,
  "unfit": () => "Check this field.",
};
