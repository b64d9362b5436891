/**
 * Who may import what: the whole table. Each layer names the layers and the packages that it may use besides itself.
 * Layers under `typesOnly` may be imported as types and nothing more.
 * Node's own modules count as the package "node".
 */
export const LAYERS = {
  // Geometry on the plane and the distributions of statistics are kept packages'.
  core: { layers: [], packages: ["@turf", "polyclip-ts", "jstat"] },
  formats: { layers: ["core"], packages: ["date-fns", "@date-fns/tz", "@date-fns/utc", "papaparse"] },
  // What the farm says, by language: codes with figures become sentences here and nowhere below.
  words: { layers: ["core", "formats"], packages: [] },
  contracts: { layers: ["core", "words"], packages: ["ajv", "ajv-formats", "json-schema-to-ts", "jsonc-parser"] },
  sim: { layers: ["core"], packages: ["suncalc"] },
  commands: { layers: ["core", "formats", "words", "contracts"], packages: ["json-schema-to-ts", "node"] },
  data: { layers: ["core"], packages: ["mysql2", "umzug", "p-timeout", "server-only", "node"] },
  services: {
    layers: ["core", "formats", "words", "contracts", "data", "sim"],
    packages: [
      "server-only",
      "node",
      "json-schema-to-ts",
      "papaparse",
      "qrcode",
      "date-fns",
      "ical-generator",
      "@date-fns/tz",
      "@date-fns/utc",
      "lru-cache",
      "sharp",
      "tsx",
      "fast-json-stable-stringify",
      "@node-rs/argon2",
      "@simplewebauthn",
      "p-timeout",
    ],
  },
  // The one door of a machine for other devices, a process of its own: it knows of no farm but where its server is.
  front: { layers: [], packages: ["http-proxy", "qrcode", "node"] },
  // Screens know what services answer as types only; what they can do reaches them as callbacks.
  ui: {
    layers: ["core", "formats", "words", "contracts"],
    typesOnly: ["services"],
    packages: [
      "react",
      "react-dom",
      "next",
      "radix-ui",
      "cmdk",
      "bowser",
      "qrcode",
      "@simplewebauthn",
      "country-to-currency",
      "d3-selection",
      "d3-zoom",
      "lucide-react",
      "recharts",
      "sonner",
      "d3-scale",
      "d3-shape",
      "react-hook-form",
      "clsx",
      "idb",
    ],
  },
  app: {
    layers: ["core", "formats", "words", "contracts", "services", "ui"],
    packages: [
      "react",
      "react-dom",
      "next",
      "sonner",
      "node",
      "p-timeout",
      "rate-limiter-flexible",
      "serwist",
      "@serwist/turbopack",
      "@fontsource-variable",
    ],
  },
  demo: { layers: ["core", "contracts", "data", "sim", "services"], packages: ["node"] },
  testing: {
    layers: ["core", "formats", "words", "contracts", "data", "sim", "services", "ui", "demo"],
    packages: ["mysql2", "node", "fast-check", "react", "sharp", "@testing-library"],
  },
};

/** Fewer modules than this and the checker read nothing, which must not pass for "no violation". */
export const LEAST_MODULES = 700;
