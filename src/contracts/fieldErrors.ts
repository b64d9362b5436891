import type { ErrorObject, ValidateFunction } from "ajv";
import type { UnitSystem } from "@/core/quantity/typed/unitWords";
import type { Complaint } from "@/words/codes";
import { sayComplaint } from "@/words/complaints";
import { speechOf, type Speech } from "@/words/speech";

/** A compiled schema. */
export type Validator = ValidateFunction;

/** What is wrong, by JSON pointer of the value at fault; "" for the whole. */
export type FieldErrors = Readonly<Record<string, string>>;

/** For a missing property Ajv names only its parent; the pointer here goes to the field itself, so that the form marks it. */
function pointerOf(error: ErrorObject): string {
  if (error.keyword === "required")
    return `${error.instancePath}/${(error.params as { missingProperty: string }).missingProperty}`;
  if (error.keyword === "additionalProperties")
    return `${error.instancePath}/${(error.params as { additionalProperty: string }).additionalProperty}`;
  return error.instancePath;
}

function complaintOf(error: ErrorObject): Complaint {
  const { limit, allowedValues, format, type } = error.params as {
    limit: number;
    allowedValues: readonly unknown[];
    format: string;
    type: string | readonly string[];
  };
  switch (error.keyword) {
    case "required":
      return { code: "needed" };
    case "additionalProperties":
      return { code: "not-known" };
    case "minimum":
      return { code: "too-low", limit };
    case "exclusiveMinimum":
      return { code: "not-above", limit };
    case "maximum":
      return { code: "too-high", limit };
    case "minLength":
    case "pattern":
      return { code: "wrong-form" };
    case "maxLength":
      return { code: "too-long", limit };
    case "minItems":
      return { code: "too-few", limit };
    case "maxItems":
      return { code: "too-many", limit };
    case "enum":
      return { code: "none-of", allowed: allowedValues };
    case "format":
      return { code: format === "date" ? "no-date" : "no-moment" };
    case "type":
      return { code: "wrong-type", type: String(type).split(",")[0] ?? "" };
    default:
      return { code: "unfit" };
  }
}

/** What is wrong, by JSON pointer of the value at fault. */
export type Complaints = Readonly<Record<string, Complaint>>;

/**
 * Runs a compiled validator and gathers its complaints by field; the first one of a field stands.
 * @returns null where all is well
 */
export function complaintsOf(validate: ValidateFunction, value: unknown): Complaints | null {
  if (validate(value)) return null;
  const found: Record<string, Complaint> = {};
  for (const error of validate.errors ?? []) {
    if (error.keyword === "oneOf" || error.keyword === "anyOf") continue;
    const field = pointerOf(error);
    // What is no date at all says more than that it is none of this century.
    if (error.keyword === "format") found[field] = complaintOf(error);
    else found[field] ??= complaintOf(error);
  }
  return Object.keys(found).length > 0 ? found : { "": { code: "unfit" } };
}

/** Complaints in words, in the farm's units. */
export const sayComplaints = (complaints: Complaints, say: Speech): FieldErrors =>
  Object.fromEntries(Object.entries(complaints).map(([path, complaint]) => [path, sayComplaint(complaint, path, say)]));

/** Both at once: what does not fit, in words and in the farm's units; null where all is well. */
export function fieldErrors(
  validate: ValidateFunction,
  value: unknown,
  units: UnitSystem = "metric",
): FieldErrors | null {
  const complaints = complaintsOf(validate, value);
  return complaints && sayComplaints(complaints, speechOf(units));
}
