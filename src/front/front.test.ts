import {
  createServer,
  request as plainRequest,
  type IncomingHttpHeaders,
  type IncomingMessage,
  type Server,
} from "node:http";
import { request as secureRequest } from "node:https";
import type { AddressInfo } from "node:net";
import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { frontOf } from "./front";
import { fingerprintOf, trustServer } from "./trust";

const open: Server[] = [];
const listens = (server: Server): Promise<number> =>
  new Promise((resolve) => {
    open.push(server);
    server.listen(0, "127.0.0.1", () => resolve((server.address() as AddressInfo).port));
  });
afterEach(() => {
  for (const server of open.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});

/** A farm's server that says who it is and what it was asked with. */
const farmServer = (name: string): Promise<number> =>
  listens(
    createServer((asked, answer) => {
      answer.setHeader("set-cookie", `of-${name}=1`);
      answer.end(JSON.stringify({ name, url: asked.url, headers: asked.headers }));
    }),
  );
interface Answer {
  readonly status: number;
  readonly body: string;
  readonly headers: IncomingHttpHeaders;
}
const ask = (
  port: number,
  host: string,
  { path: at = "/", headers = {}, ca }: { path?: string; headers?: Record<string, string>; ca?: Buffer } = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const settings = { host: "127.0.0.1", port, path: at, headers: { ...headers, host } };
    const sending = (
      ca ? secureRequest({ ...settings, ca, servername: "farm.test" }, onAnswer) : plainRequest(settings, onAnswer)
    ).on("error", reject);
    function onAnswer(answer: IncomingMessage): void {
      let body = "";
      answer.on("data", (part) => (body += part));
      answer.on("end", () => resolve({ status: answer.statusCode!, body, headers: answer.headers }));
    }
    sending.end();
  });

describe("the door", () => {
  it("hands each name on to its own farm, and no other name to any", async () => {
    const [north, south] = [await farmServer("north"), await farmServer("south")];
    const front = await listens(
      frontOf({
        farms: [
          { names: ["north.test"], port: north },
          { names: ["South.Test"], port: south },
        ],
      }),
    );
    for (const [host, name] of [
      ["north.test:3200", "north"],
      ["NORTH.test", "north"],
      ["south.test", "south"],
    ] as const) {
      const { body, headers } = await ask(front, host, { path: "/shed?x=1" });
      expect(JSON.parse(body)).toMatchObject({ name, url: "/shed?x=1", headers: { host } });
      expect(headers["set-cookie"]).toEqual([`of-${name}=1`]);
    }
    for (const host of ["other.test", "", "north.test.evil", "127.0.0.1"])
      expect((await ask(front, host)).status).toBe(421);
  });
  it("says itself where a request comes from, whatever it claims", async () => {
    const farm = await farmServer("north");
    const front = await listens(frontOf({ farms: [{ names: ["farm.test"], port: farm }] }));
    const { body } = await ask(front, "farm.test", {
      headers: {
        "x-forwarded-for": "10.1.1.1",
        "x-forwarded-proto": "https",
        "forwarded": "for=1.2.3.4",
        "x-real-ip": "9",
      },
    });
    const { headers } = JSON.parse(body) as { headers: IncomingHttpHeaders };
    expect(headers).toMatchObject({ "x-forwarded-for": "127.0.0.1", "x-forwarded-proto": "http" });
    expect(headers.forwarded).toBeUndefined();
    expect(headers["x-real-ip"]).toBeUndefined();
  });
  it("says so where a farm does not run, and goes on", async () => {
    const gone = createServer();
    const port = await listens(gone);
    await new Promise((done) => gone.close(done));
    const farm = await farmServer("north");
    const front = await listens(
      frontOf({
        farms: [
          { names: ["gone.test"], port },
          { names: ["north.test"], port: farm },
        ],
      }),
    );
    expect(await ask(front, "gone.test")).toMatchObject({ status: 502, body: expect.stringContaining("does not run") });
    expect((await ask(front, "north.test")).status).toBe(200);
  });
});

describe("the farm's own certificate", () => {
  let folder: string;
  beforeAll(() => {
    folder = mkdtempSync(path.join(tmpdir(), "ruchka-tls-"));
    // The very lines of bin/start --lan.
    const certify = (names: string) =>
      execFileSync("bash", ["-c", `DATA="${folder}"; . bin/lib.sh; DATA="${folder}"; ensure_certificate`], {
        input: names,
      });
    certify("192.0.2.7\nfarm.test\n");
    const first = readFileSync(path.join(folder, "tls/farm.crt"), "utf8");
    certify("192.0.2.7\nfarm.test\n");
    expect(readFileSync(path.join(folder, "tls/farm.crt"), "utf8")).toBe(first);
    certify("192.0.2.8\nfarm.test\n");
    expect(readFileSync(path.join(folder, "tls/farm.crt"), "utf8")).not.toBe(first);
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const file = (name: string): Buffer => readFileSync(path.join(folder, "tls", name));

  it("is trusted by whoever trusts the farm's authority, and by nobody else", async () => {
    const farm = await farmServer("north");
    const tls = { cert: file("farm.crt"), key: file("farm.key") };
    const front = await listens(frontOf({ farms: [{ names: ["farm.test"], port: farm }], tls }));
    const { body, headers } = await ask(front, "farm.test", { ca: file("authority.crt") });
    expect(JSON.parse(body)).toMatchObject({ name: "north", headers: { "x-forwarded-proto": "https" } });
    expect(headers["strict-transport-security"]).toBeDefined();
    await expect(ask(front, "farm.test", { ca: file("farm.crt") })).rejects.toThrow();
  });
  it("is given out with its mark, and everything else goes on to the farm", async () => {
    const authority = file("authority.crt");
    const trust = await listens(trustServer({ address: "https://192.0.2.8:3443", authority }));
    const page = await ask(trust, "192.0.2.8");
    expect(page.body).toContain(fingerprintOf(authority));
    expect(page.body).toContain("https://192.0.2.8:3443");
    expect((await ask(trust, "192.0.2.8", { path: "/farm-certificate.crt" })).body).toBe(authority.toString());
    expect(await ask(trust, "192.0.2.8", { path: "/shed" })).toMatchObject({
      status: 302,
      headers: { location: "https://192.0.2.8:3443" },
    });
    expect(fingerprintOf(authority)).toMatch(/^([0-9A-F]{2}:){7}[0-9A-F]{2}$/);
  });
});
