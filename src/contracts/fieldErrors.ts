import type { ErrorObject, ValidateFunction } from "ajv";

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

const TYPE_WORDS: Readonly<Record<string, string>> = {
  number: "a number",
  integer: "a whole number",
  string: "words",
  array: "a list",
  object: "an object",
  boolean: "yes or no",
};

function sayError(error: ErrorObject): string {
  const { limit, allowedValues, format } = error.params as {
    limit?: number;
    allowedValues?: readonly unknown[];
    format?: string;
  };
  switch (error.keyword) {
    case "required":
      return "This is needed.";
    case "additionalProperties":
      return "This is not known here.";
    case "minimum":
      return `At least ${limit}.`;
    case "exclusiveMinimum":
      return `More than ${limit}.`;
    case "maximum":
      return `At most ${limit}.`;
    case "minLength":
    case "pattern":
      return "This is empty or not of the right form.";
    case "maxLength":
      return `At most ${limit} characters.`;
    case "minItems":
      return limit === 1 ? "Choose at least one." : `At least ${limit}.`;
    case "maxItems":
      return `At most ${limit}.`;
    case "enum":
      return `One of ${allowedValues?.join(", ")}.`;
    case "format":
      return format === "date" ? "A date such as 2031-03-02." : "A date and time.";
    case "type":
      return `This must be ${TYPE_WORDS[String((error.params as { type: string | string[] }).type).split(",")[0] ?? ""] ?? "something else"}.`;
    default:
      return error.message ?? "This does not fit.";
  }
}

/**
 * Runs a compiled validator and gathers its complaints by field; the first one of a field stands.
 * @returns null where all is well
 */
export function fieldErrors(validate: ValidateFunction, value: unknown): FieldErrors | null {
  if (validate(value)) return null;
  const found: Record<string, string> = {};
  for (const error of validate.errors ?? []) {
    if (error.keyword === "oneOf" || error.keyword === "anyOf") continue;
    const field = pointerOf(error);
    // What is no date at all says more than that it is none of this century.
    if (error.keyword === "format") found[field] = sayError(error);
    else found[field] ??= sayError(error);
  }
  return Object.keys(found).length > 0 ? found : { "": "This does not fit what is expected here." };
}
