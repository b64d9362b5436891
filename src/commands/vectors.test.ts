import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import Ajv from "ajv";
import addFormats from "ajv-formats";
import { convert } from "@/core/quantity/convert";
import type { Quantity } from "@/core/quantity/units";
import { TASKS } from "./index";

interface Expectation {
  at: string;
  value?: unknown;
  quantity?: Quantity;
  rel?: number;
  abs?: number;
  /** A pattern in what stands there, written as JSON. */
  contains?: string;
  oneOf?: readonly unknown[];
}
interface Vector {
  task: string;
  name: string;
  in: unknown;
  expect?: Expectation[];
  /** Refused, with a reason. */
  error?: true;
}

// The worked cases lie beside the checkout; the copies under tests/vectors are what a lone clone runs.
const SHARED = path.resolve(__dirname, "../../../shared/vectors");
const FOLDER = existsSync(SHARED) ? SHARED : path.resolve(__dirname, "../../tests/vectors");
const load = (name: string) => JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8")) as Vector[];

const ajv = new Ajv({ allErrors: true, strictTypes: false });
addFormats(ajv);

const pick = (value: unknown, pointer: string): unknown =>
  pointer
    .split("/")
    .slice(1)
    .reduce<unknown>((at, key) => {
      // `[arm=with]` is the item of a list that has such a field.
      const [, field, wanted] = /^\[(\w+)=(.*)\]$/.exec(key) ?? [];
      return field === undefined
        ? (at as Record<string, unknown>)[key]
        : (at as Record<string, unknown>[]).find((one) => String(one[field]) === wanted);
    }, value);

function check(answer: unknown, { at, value, quantity, rel, abs, contains, oneOf }: Expectation) {
  const found = pick(answer, at);
  if (contains !== undefined) return expect(JSON.stringify(found)).toMatch(new RegExp(contains));
  if (oneOf) return expect(oneOf).toContainEqual(found);
  const wanted = quantity ? quantity.value : value;
  if (typeof wanted !== "number") return expect(found).toEqual(wanted);
  const got = quantity ? convert(found as Quantity, quantity.unit).value : (found as number);
  const room = abs ?? Math.abs(wanted) * (rel ?? 1e-9);
  expect(Math.abs(got - wanted)).toBeLessThanOrEqual(room);
}

describe.each(["convert", "dilute", "loads", "scale", "water", "calcium", "trial", "ledger"])(
  "worked cases of %s",
  (name) => {
    const vectors = load(name);
    it("has cases", () => expect(vectors.length).toBeGreaterThan(0));
    it.each(vectors.map((vector) => [vector.name, vector] as const))("%s", (_name, vector) => {
      const task = TASKS.find((candidate) => candidate.name === vector.task)!;
      if (vector.error) {
        // Refused by its schema, or by the craft.
        expect(() => {
          if (!ajv.validate(task.input, vector.in)) throw new Error("bad-request");
          task.run(vector.in);
        }).toThrow();
        return;
      }
      expect(ajv.validate(task.input, vector.in)).toBe(true);
      const answer = JSON.parse(JSON.stringify(task.run(vector.in))) as unknown;
      ajv.validate(task.output, answer);
      expect(ajv.errors).toBeNull();
      for (const expectation of vector.expect ?? []) check(answer, expectation);
    });
  },
);

describe("every task's example", () => {
  it.each(TASKS.map((task) => [task.name, task] as const))("%s runs and fits its schema", (_name, task) => {
    expect(ajv.validate(task.input, task.example)).toBe(true);
    const answer = JSON.parse(JSON.stringify(task.run(task.example))) as unknown;
    ajv.validate(task.output, answer);
    expect(ajv.errors).toBeNull();
  });
});

describe("lines of a scaled recipe", () => {
  const scale = TASKS.find(({ name }) => name === "scale")!;
  const lines = (input: object) =>
    (scale.run(input) as { lines: { ingredient: string; part: string; quantity: Quantity }[] }).lines;
  it("takes 0.9 L of molasses and of culture to 90 L of water", () => {
    const found = lines({
      method: "cultured-extract",
      vessel: { volume: { value: 120, unit: "L" } },
      target: { value: 90, unit: "L" },
    });
    for (const id of ["molasses", "lactic-culture"])
      expect(found.find(({ ingredient }) => ingredient === id)?.quantity.value).toBeCloseTo(0.9, 9);
  });
  it("lists the sugar for the cap apart from what is mixed in", () => {
    const found = lines({
      method: "plant-juice",
      school: "half-weight",
      vessel: { volume: { value: 30, unit: "L" } },
      limits: [{ ingredient: "plant", amount: { value: 3.2, unit: "kg" } }],
    });
    const sugars = found.filter(({ ingredient }) => ingredient === "brown-sugar");
    expect(sugars.map(({ part }) => part)).toEqual(["mix", "cap"]);
    expect(sugars[0]!.quantity.value).toBeCloseTo(1.6, 9);
  });
});
