import { listActs, type AnyAct } from "../src/services/acts/index";
import { listViews, type AnyView } from "../src/services/views/index";

const REF = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const json = (schema: object) => ({ content: { "application/json": { schema } } });

const WHO = {
  viewer: "A viewer, helper, grower or steward who is signed in.",
  helper: "A helper, grower or steward who is signed in.",
  grower: "A grower or steward who is signed in.",
  steward: "A steward who is signed in.",
  anybody: "Anybody who reaches the farm: to sign in.",
  session: "A device on which somebody is signed in, though it be locked.",
  device: "A device, by its token.",
  founder: "Whoever opens the farm for the first time.",
} as const;

const operation = ({ actName, schema, may }: AnyAct) => ({
  post: {
    operationId: actName,
    summary: WHO[may],
    requestBody: { required: true, ...json(schema) },
    ...(may === "device" ? { security: [{ token: [] }] } : {}),
    responses: {
      200: { description: "It is done; the same key again is answered alike and done once.", ...json(REF("Done")) },
      default: { description: "It is refused, and nothing was written.", ...json(REF("Refused")) },
    },
  },
});

const parametersOf = (schema: object) => {
  const { properties = {}, required = [] } = schema as { properties?: Record<string, object>; required?: string[] };
  return Object.entries(properties).map(([name, of]) => ({
    name,
    in: "query",
    required: required.includes(name),
    schema: of,
  }));
};

const reading = ({ viewName, schema, may }: AnyView) => ({
  get: {
    operationId: `see-${viewName}`,
    summary: WHO[may],
    parameters: parametersOf(schema),
    responses: {
      200: { description: "What the page of that name shows.", ...json(REF("Done")) },
      default: { description: "There is none of it, or it is asked for wrongly.", ...json(REF("Refused")) },
    },
  },
});

/** The door's description, OpenAPI 3.1, from the list of what can be done. */
export const openApi = () => ({
  openapi: "3.1.0",
  info: {
    title: "Ruchka",
    version: "1",
    description:
      "One door for every write, and one for reading. Each request carries a key of its own; sent again with the same key it is not done twice. Quantities are SI: L, kg, m, °C; moments are ISO 8601 with an offset.",
  },
  paths: Object.fromEntries([
    ...listActs().map((act) => [`/api/act/${act.actName}`, operation(act)] as const),
    ...listViews().map((view) => [`/api/view/${view.viewName}`, reading(view)] as const),
  ]),
  components: {
    securitySchemes: { token: { type: "http", scheme: "bearer" } },
    schemas: {
      Done: { type: "object", required: ["ok", "value"], properties: { ok: { const: true }, value: {} } },
      Refused: {
        type: "object",
        required: ["ok", "error"],
        properties: {
          ok: { const: false },
          error: {
            type: "object",
            required: ["code", "message"],
            properties: {
              code: { type: "string" },
              message: { type: "string" },
              fields: {
                type: "object",
                description: "Complaints by JSON pointer of the field.",
                additionalProperties: { type: "string" },
              },
            },
          },
        },
      },
    },
  },
});
