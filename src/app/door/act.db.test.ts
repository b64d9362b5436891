import { select } from "@/data/db";
import { findFarm } from "@/data/farm/farm";
import { listActs } from "@/services/acts";
import { pool } from "@/services/runtime";
import { hoursAgo, key, NOW, TestFarm } from "@/testing/scratch";
import { onMachine } from "@/services/people";
import { openStanding, visitorNow } from "../session";
import { actDoor } from "./act";

jest.mock("../session", () => ({
  openStanding: jest.fn(),
  visitorNow: jest.fn(),
  keepToken: jest.fn(),
  turnToken: jest.fn(),
}));
jest.mock("@/services/runtime", () => ({ pool: jest.fn(), now: () => new Date("2031-03-20T10:00:00Z") }));
const standing = openStanding as unknown as jest.Mock;
/** Somebody is in, as a program on the machine would be asked. */
const isIn = async (ctx = farm.context()) =>
  standing.mockResolvedValue({
    type: "open",
    frame: { ctx, farm: await findFarm(farm.scratch.db), people: [] },
    found: {},
    token: "",
  });

let farm: TestFarm;
beforeAll(async () => {
  farm = await TestFarm.make();
  await isIn();
  (visitorNow as unknown as jest.Mock).mockResolvedValue(onMachine(farm.scratch.pool, () => NOW));
  (pool as unknown as jest.Mock).mockReturnValue(farm.scratch.pool);
});
afterAll(() => farm.scratch.drop());

const HOST = "127.0.0.1:3200";
const post = async (name: string, body: BodyInit | object, headers: Record<string, string> = {}) => {
  const answer = await actDoor(
    new Request(`http://${HOST}/api/act/${name}`, {
      method: "POST",
      headers: { host: HOST, ...headers },
      body: typeof body === "string" || body instanceof ReadableStream ? body : JSON.stringify(body),
      ...(body instanceof ReadableStream ? { duplex: "half" } : {}),
    } as RequestInit),
    name,
  );
  return {
    status: answer.status,
    ...((await answer.json()) as { ok: boolean; value?: unknown; error?: { code: string; fields?: object } }),
  };
};
const vessel = (name: string) => ({ requestKey: key(), name, kind: "drum", volumeL: 200 });

describe("the one door", () => {
  it("does an act, and gives the same answer to the same key", async () => {
    const request = vessel("Door drum");
    const first = await post("addVessel", request);
    expect(first).toMatchObject({ status: 200, ok: true, value: { vesselId: expect.any(Number) } });
    expect(await post("addVessel", request)).toEqual(first);
  });
  it("takes half a letter for what it is, and keeps the rest", async () => {
    const answer = await post(
      "addVessel",
      `{"requestKey":"${key()}","name":"Half \\ud81a drum","kind":"drum","volumeL":90}`,
    );
    expect(answer.status).toBe(200);
    const [row] = await select<{ name: string }>(farm.scratch.db, "select name from vessel where volume_l = 90");
    expect(row!.name).toBe("Half \ufffd drum");
  });
  it("says at the field what does not fit, and with its code what the farm refuses", async () => {
    expect(await post("addVessel", { ...vessel("Huge"), volumeL: 1e9 })).toMatchObject({
      status: 400,
      error: { code: "bad-request", fields: { "/volumeL": "At most 20\u202f000 L." } },
    });
    expect(await post("addVessel", vessel("Door drum"))).toMatchObject({ status: 422, error: { code: "name-taken" } });
  });
  it.each<[string, string, BodyInit | object, Record<string, string>, number, string]>([
    ["another site", "addVessel", {}, { origin: "http://evil.example" }, 403, "stranger"],
    ["another name", "addVessel", {}, { host: "evil.example" }, 403, "stranger"],
    ["an act that there is none of", "dropTables", {}, {}, 404, "no-act"],
    ["a name of every object", "constructor", {}, {}, 404, "no-act"],
    ["no JSON", "addVessel", "{nonsense", {}, 400, "bad-json"],
    ["nothing", "addVessel", "", {}, 400, "bad-json"],
    ["a device without its token", "postReadings", { readings: [] }, {}, 401, "no-token"],
    [
      "a device with another's",
      "postReadings",
      { readings: [] },
      { authorization: `Bearer ${"x".repeat(40)}` },
      401,
      "no-token",
    ],
    ["what says that it is too long", "addVessel", "{}", { "content-length": "30000000" }, 413, "too-long"],
  ])("refuses %s", async (_what, name, body, headers, status, code) =>
    expect(await post(name, body, headers)).toMatchObject({ status, ok: false, error: { code } }),
  );
  it("stops reading what turns out to be too long", async () => {
    let given = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull(controller) {
        given += 1;
        controller.enqueue(new Uint8Array(100_000).fill(32));
      },
    });
    expect(await post("addVessel", endless)).toMatchObject({ status: 413 });
    expect(given).toBeLessThan(30);
  });
  it("is closed until there is a farm, but for who founds it", async () => {
    standing.mockResolvedValueOnce({ type: "not-set-up" });
    expect(await post("addVessel", vessel("Early"))).toMatchObject({ status: 404, error: { code: "no-farm" } });
    expect(await post("setUpFarm", {})).toMatchObject({ status: 400, error: { code: "bad-request" } });
  });
});

describe("a clock that was set back", () => {
  it("keeps what is true from being written before its time, in words at the field, and takes it when the clock is right", async () => {
    await farm.lot("molasses", 9, 9);
    await farm.lot("lactic-culture", 9, 9);
    const batchId = await farm.fill(await farm.vessel("Clock drum"), "cultured-extract", 70, hoursAgo(60));
    const reading = { kind: "ph", value: 4.1, instrument: "meter", spot: "mid-depth" };
    const log = () => post("logEntry", { requestKey: key(), batchId, at: NOW.toISOString(), entry: reading });
    const at = async (now: Date) => isIn(farm.context(now));
    await at(hoursAgo(24 * 40));
    expect(await log()).toMatchObject({
      status: 422,
      error: { code: "in-future", fields: { "/at": expect.any(String) } },
    });
    expect(await post("logEntry", { requestKey: key(), batchId, entry: reading })).toMatchObject({
      status: 422,
      error: { code: "before-start" },
    });
    await at(NOW);
    expect(await log()).toMatchObject({ status: 200 });
  });
});

/** What a clumsy or a hostile client puts in a field. */
const JUNK = [
  null,
  1e308,
  -1,
  1e-7,
  0,
  "",
  "NaN",
  "'; drop table farm; --",
  "<img src=x>",
  "\u0000",
  "9".repeat(400),
  [],
  {},
  "2016-12-31T23:59:60Z",
  "0001-01-01",
  "9999-12-31T23:59:59Z",
  true,
];

/** A value that a schema lets through, or nearly. */
function shapeOf(schema: unknown): unknown {
  const {
    enum: words,
    const: one,
    anyOf,
    oneOf,
    type,
    properties,
    items,
    minLength,
    minimum,
    pattern,
  } = schema as {
    enum?: unknown[];
    const?: unknown;
    anyOf?: unknown[];
    oneOf?: unknown[];
    type?: string | string[];
    properties?: Record<string, unknown>;
    items?: unknown;
    minLength?: number;
    minimum?: number;
    pattern?: string;
  };
  if (words) return words[0];
  if (one !== undefined) return one;
  if (anyOf ?? oneOf) return shapeOf((anyOf ?? oneOf)![0]);
  if (properties) return Object.fromEntries(Object.entries(properties).map(([name, inner]) => [name, shapeOf(inner)]));
  const kind = Array.isArray(type) ? type[0] : type;
  if (kind === "array") return items ? [shapeOf(items)] : [];
  if (kind === "number" || kind === "integer") return minimum ?? 1;
  if (kind === "boolean") return true;
  if (pattern?.startsWith("^[a-z]")) return "water";
  return "x".repeat(Math.max(1, minLength ?? 1));
}

describe("junk in any field of any act", () => {
  it.each(
    listActs()
      .filter(({ may }) => may !== "device")
      .map((act) => [act.actName, act] as const),
  )("%s answers in words, and never trips", async (name, { schema }) => {
    const shape = shapeOf(schema) as Record<string, unknown>;
    const asked = Object.keys(shape).filter((field) => field !== "requestKey");
    for (const field of asked)
      for (const junk of JUNK) {
        const { status, ok, error } = await post(name, { ...shape, requestKey: key(), [field]: junk });
        if (!ok) expect([field, junk, status < 500, typeof error?.code]).toEqual([field, junk, true, "string"]);
      }
  });
});
