import { createSerwistRoute } from "@serwist/turbopack";

/** The service worker, built with the pages. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: "src/app/sw.ts",
  additionalPrecacheEntries: [{ url: "/away", revision: crypto.randomUUID() }],
  useNativeEsbuild: true,
});
