/** The one door of a machine for other devices: ends TLS, knows each farm by the names that it answers to, and hands on to that farm's own server. */
import { createServer as createPlain, type IncomingMessage, type RequestListener, type Server } from "node:http";
import { createServer as createSecure } from "node:https";
import httpProxy from "http-proxy";

/** A farm behind the door: the names that it is called by, without a port, and the port of its own server on loopback. */
export interface FarmBehind {
  readonly names: readonly string[];
  readonly port: number;
}
export interface FrontSettings {
  readonly farms: readonly FarmBehind[];
  /** What it proves itself by; nothing for a door on loopback, which needs no proof. */
  readonly tls?: { readonly cert: string | Buffer; readonly key: string | Buffer };
}

/** A host's name as it stands in a Host header. @example nameOf("Farm.local:3443"); // "farm.local" */
export const nameOf = (host: string | undefined): string => (host ?? "").toLowerCase().replace(/:\d+$/, "");

/** A farm's server is on this machine: what takes it longer than this hangs. */
const PATIENCE_MS = 120_000;
/** What others claim of where a request comes from is worth nothing; this door knows. */
const CLAIMED = ["x-forwarded-for", "x-forwarded-proto", "x-forwarded-host", "forwarded", "x-real-ip"];

const plainWords = (status: number, words: string) => ({ status, words });
const UNKNOWN = plainWords(421, "No farm here answers to that name.");
const NOT_RUNNING = plainWords(502, "This farm does not run just now. Start it, then load the page again.");

/**
 * The door, not listening yet. A request by a name that no farm has reaches none: its caches, cookies and files are its own server's.
 */
export function frontOf({ farms, tls }: FrontSettings): Server {
  const byName = new Map(farms.flatMap(({ names, port }) => names.map((name) => [name.toLowerCase(), port] as const)));
  const proxy = httpProxy.createProxyServer({ proxyTimeout: PATIENCE_MS, timeout: PATIENCE_MS });
  const answer: RequestListener = (request, response) => {
    const refuse = ({ status, words }: typeof UNKNOWN) => {
      if (response.headersSent) response.destroy();
      else response.writeHead(status, { "content-type": "text/plain; charset=utf-8" }).end(words);
    };
    const port = byName.get(nameOf(request.headers.host));
    if (port === undefined) {
      refuse(UNKNOWN);
      return;
    }
    tellWhence(request, tls !== undefined);
    if (tls) response.setHeader("strict-transport-security", "max-age=31536000");
    // What was sent half is no answer of the farm: whoever asked is cut off, and sends again.
    request.once("aborted", () => response.destroy());
    proxy.web(request, response, { target: { host: "127.0.0.1", port } as never }, () => refuse(NOT_RUNNING));
  };
  const server: Server = tls
    ? (createSecure({ cert: tls.cert, key: tls.key, minVersion: "TLSv1.2" }, answer) as unknown as Server)
    : createPlain(answer);
  server.headersTimeout = 20_000;
  server.on("close", () => proxy.close());
  return server;
}

/** Writes down where a request comes from, in place of what it claims. */
function tellWhence(request: IncomingMessage, isSecure: boolean): void {
  request.headers = Object.fromEntries(Object.entries(request.headers).filter(([name]) => !CLAIMED.includes(name)));
  request.headers["x-forwarded-for"] = (request.socket.remoteAddress ?? "").replace(/^::ffff:/, "");
  request.headers["x-forwarded-proto"] = isSecure ? "https" : "http";
}
