/** Names by which the farm may be called: this machine's own, and what the settings add ("RUCHKA_HOSTS=farm.local,10.0.0.5"). */
const LOOPBACK = ["127.0.0.1", "localhost", "[::1]"];
const allowedHosts = (): readonly string[] => [
  ...LOOPBACK,
  ...(process.env.RUCHKA_HOSTS ?? "").split(",").flatMap((name) => name.trim().toLowerCase() || []),
];

/** A host's name without its port, as it stands in a Host header. */
const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, "");

/** Whether a request came to this machine by its own name. */
export const isLoopback = (host: string | null): boolean => host !== null && LOOPBACK.includes(nameOf(host));

/** Whether the farm answers to this name at all: a page elsewhere that points its own name at this machine must find nothing. */
export const isAllowedHost = (host: string | null): boolean => host !== null && allowedHosts().includes(nameOf(host));

/**
 * Why a request is not let in; null where it is: by another name, from another site's page. Who sends no Origin and no fetch metadata is no
 * browser, and no other site can make it.
 */
export function strangeness(headers: Headers): "host" | "origin" | null {
  const host = headers.get("host");
  if (!isAllowedHost(host)) return "host";
  const site = headers.get("sec-fetch-site");
  if (site !== null && site !== "" && site !== "same-origin" && site !== "none") return "origin";
  const origin = headers.get("origin");
  if (origin === null) return null;
  return URL.canParse(origin) && new URL(origin).host === host!.toLowerCase() ? null : "origin";
}
