import { object } from "../parts";

export { object };
export const nullable = <const S extends Record<string, unknown>>(schema: S) =>
  ({ anyOf: [schema, { type: "null" }] }) as const;
export const list = <const S extends Record<string, unknown>>(items: S, maxItems = 5000) =>
  ({ type: "array", maxItems, items }) as const;
export const NUMBER = { type: "number" } as const;
export const TEXT = { type: "string" } as const;
