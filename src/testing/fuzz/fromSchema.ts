import fc, { type Arbitrary } from "fast-check";

/** What a JSON schema of ours may say; the fuzz refuses one that says more, so that no keyword is passed over in silence. */
interface Schema {
  readonly type?: string | readonly string[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: boolean | Schema;
  readonly items?: Schema;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly pattern?: string;
  readonly format?: string;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly uniqueItems?: boolean;
  readonly maxProperties?: number;
}

/** Rows of a made-up farm have small numbers: so are most that are asked for. */
const rowNumber = (least: number, most: number): Arbitrary<number> =>
  fc.oneof(
    { weight: 6, arbitrary: fc.integer({ min: least, max: Math.min(most, Math.max(40, least + 40)) }) },
    { weight: 1, arbitrary: fc.integer({ min: least, max: Math.min(most, Number.MAX_SAFE_INTEGER) }) },
  );

const DAYS = fc
  .integer({ min: -900, max: 900 })
  .map((days) => new Date(Date.UTC(2031, 2, 20) + days * 86_400_000).toISOString().slice(0, 10));
const MOMENTS = fc
  .integer({ min: -40_000_000, max: 4_000_000 })
  .map((seconds) => new Date(Date.UTC(2031, 2, 20, 10) + seconds * 1000).toISOString());

function textOf({ minLength = 0, maxLength = 60, pattern, format }: Schema): Arbitrary<string> {
  if (format === "date-time") return MOMENTS;
  if (format === "date") return DAYS;
  if (pattern === "^[0-9a-f-]{36}$") return fc.uuid();
  const most = Math.max(minLength, Math.min(maxLength, 80));
  const text = pattern
    ? fc.stringMatching(new RegExp(pattern)).map((one) => one.slice(0, maxLength))
    : fc.string({ unit: "grapheme", minLength, maxLength: most }).map((one) => one.slice(0, maxLength));
  return fc.oneof(
    { weight: 3, arbitrary: text },
    { weight: 1, arbitrary: fc.constantFrom("1:500", "20 L", "Ana", "x") },
  );
}

function objectOf({ properties = {}, required = [], additionalProperties }: Schema): Arbitrary<unknown> {
  const known = Object.fromEntries(Object.entries(properties).map(([name, one]) => [name, fromSchema(one)]));
  const own = fc.record(known, { requiredKeys: required.filter((name) => name in known) });
  return Object.keys(properties).length === 0 && additionalProperties !== false
    ? fc.dictionary(fc.string({ maxLength: 10 }), fc.jsonValue(), { maxKeys: 4 })
    : own;
}

const KNOWN = new Set(
  "type properties required additionalProperties items enum const anyOf oneOf minimum maximum exclusiveMinimum minLength maxLength pattern format minItems maxItems uniqueItems maxProperties discriminator default $id description title".split(
    " ",
  ),
);

/** Values that fit a schema, nearly always. @throws Error for a schema with a keyword that is not known here */
export function fromSchema(schema: Schema): Arbitrary<unknown> {
  const strange = Object.keys(schema).find((keyword) => !KNOWN.has(keyword));
  if (strange) throw new Error(`The fuzz does not know the keyword ${strange}.`);
  if ("const" in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const choices = schema.anyOf ?? schema.oneOf;
  if (choices) return fc.oneof(...choices.map(fromSchema));
  if (Array.isArray(schema.type))
    return fc.oneof(...(schema.type as string[]).map((type) => fromSchema({ ...schema, type })));
  switch (schema.type) {
    case "object":
      return objectOf(schema);
    case "array":
      return fc.array(fromSchema(schema.items ?? {}), {
        minLength: schema.minItems ?? 0,
        maxLength: Math.max(schema.minItems ?? 0, Math.min(schema.maxItems ?? 4, 4)),
      });
    case "integer":
      return rowNumber(Math.ceil(schema.minimum ?? -1000), Math.floor(schema.maximum ?? 1_000_000));
    case "number": {
      const [least, most] = [schema.minimum ?? schema.exclusiveMinimum ?? -1e6, schema.maximum ?? 1e6];
      return fc.oneof(
        fc.double({ min: least, max: most, noNaN: true }),
        fc.double({ min: least, max: Math.max(least, Math.min(most, 50)), noNaN: true }),
        fc.constantFrom(least, most),
      );
    }
    case "string":
      return textOf(schema);
    case "boolean":
      return fc.boolean();
    case "null":
      return fc.constant(null);
    default:
      return fc.jsonValue();
  }
}

/** What hands and enemies send in place of a value. */
const HOSTILE: readonly unknown[] = [
  "' or 1=1 -- ",
  '"; drop table farm; --',
  "${7*7}{{7*7}}<script>alert(1)</script>",
  "../../../../etc/passwd",
  "\u0000",
  "\ud800",
  "\u202e\u200b",
  "𓂀".repeat(200),
  "a".repeat(70_000),
  "2031-02-30",
  "2031-03-20T25:61:61Z",
  "-0",
  "1e999",
  "NaN",
  "",
  " ",
  0,
  -0,
  -1,
  0.1 + 0.2,
  1e-320,
  Number.MAX_SAFE_INTEGER,
  Number.MAX_VALUE,
  2 ** 53,
  -(2 ** 63),
  4_294_967_296,
  null,
  true,
  false,
  [],
  {},
  [[[[[[[[[[]]]]]]]]]],
  { toString: "x", valueOf: 1, length: -1 },
  { constructor: { prototype: { admin: true } } },
];
const EXTRA_KEYS = [
  "__proto__",
  "constructor",
  "prototype",
  "requestKey",
  "actorId",
  "role",
  "id",
  "$where",
  "",
  "a b",
];

/** Somewhere in it something is other than it should be: gone, added, of another type, beyond its limits, or meant ill. */
export const bent = (value: Arbitrary<unknown>): Arbitrary<unknown> =>
  fc
    .tuple(value, fc.infiniteStream(fc.nat({ max: 9999 })), fc.constantFrom(...HOSTILE))
    .map(([fit, stream, hostile]) => bend(fit, () => stream.next().value, hostile, 0));

function bend(value: unknown, chance: () => number, hostile: unknown, depth: number): unknown {
  const turn = chance() % 10;
  if (value === null || typeof value !== "object" || depth > 5 || turn === 0) return hostile;
  if (Array.isArray(value)) {
    if (value.length === 0 || turn < 3) return turn < 2 ? [...(value as unknown[]), hostile] : Array(600).fill(hostile);
    const at = chance() % value.length;
    return (value as unknown[]).map((one, index) => (index === at ? bend(one, chance, hostile, depth + 1) : one));
  }
  const names = Object.keys(value);
  if (names.length === 0 || turn === 1)
    return Object.fromEntries([...Object.entries(value), [EXTRA_KEYS[chance() % EXTRA_KEYS.length]!, hostile]]);
  const at = names[chance() % names.length]!;
  if (turn === 2) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== at));
  return { ...value, [at]: bend((value as Record<string, unknown>)[at], chance, hostile, depth + 1) };
}

/** Inputs for one schema: some that fit, most that nearly do, some that are nothing of the kind. */
export const inputsFor = (schema: object): Arbitrary<unknown> => {
  const fit = fromSchema(schema as Schema);
  return fc.oneof(
    { weight: 4, arbitrary: fit },
    { weight: 5, arbitrary: bent(fit) },
    { weight: 1, arbitrary: fc.oneof(fc.jsonValue({ maxDepth: 4 }), fc.constantFrom(...HOSTILE)) },
  );
};

/** An input as a query of an address says it. */
export const queryOf = (input: unknown): string =>
  new URLSearchParams(
    typeof input === "object" && input !== null
      ? Object.entries(input).map(([field, value]) => [
          field,
          typeof value === "string" ? value : (JSON.stringify(value) ?? ""),
        ])
      : [],
  ).toString();
