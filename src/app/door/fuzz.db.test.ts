/** Every act and every view, by every role, with what fits, nearly fits and is meant ill; a small part of what bench/fuzz sends to a server that runs. */
import fc from "fast-check";
import { ROLES, type Role } from "@/core/people/roles";
import { listActors } from "@/data/farm";
import { findFarm } from "@/data/farm/farm";
import { seedDemo } from "@/demo/seed";
import { listActs } from "@/services/acts";
import { onMachine } from "@/services/people";
import { pool } from "@/services/runtime";
import { listViews } from "@/services/views";
import { bent, fromSchema, inputsFor, queryOf } from "@/testing/fuzz/fromSchema";
import { wrongWith } from "@/testing/fuzz/judge";
import { NOW, scratchDatabase, type Scratch } from "@/testing/scratch";
import { openStanding, visitorNow } from "../session";
import { actDoor } from "./act";
import { viewDoor } from "./view";

jest.mock("../session", () => ({
  openStanding: jest.fn(),
  visitorNow: jest.fn(),
  keepToken: jest.fn(),
  turnToken: jest.fn(),
}));
jest.mock("@/services/runtime", () => ({ pool: jest.fn(), now: () => new Date("2031-03-20T10:00:00Z") }));

/** Another each day, told where something is found, so that it can be had again. */
const SEED = Number(process.env.FUZZ_SEED ?? Math.floor(Date.now() / 86_400_000));
const EACH = Number(process.env.FUZZ_EACH ?? 8);

let scratch: Scratch;
beforeAll(async () => {
  scratch = await scratchDatabase();
  await seedDemo(scratch.pool, NOW);
  (pool as unknown as jest.Mock).mockReturnValue(scratch.pool);
});
afterAll(() => scratch.drop());

const standAs = async (role: Role) => {
  const [actor] = await listActors(scratch.db);
  const visitor = { ...onMachine(scratch.pool, () => NOW), site: { origin: "http://localhost:3200" } };
  (visitorNow as unknown as jest.Mock).mockResolvedValue(visitor);
  const ctx = { ...visitor, actor: { ...actor!, role }, sessionId: 1, isShared: false };
  const session = { id: 1, openedBy: actor!.id, actorId: actor!.id, isShared: false, turnedAt: NOW, seenAt: NOW };
  (openStanding as unknown as jest.Mock).mockResolvedValue({
    type: "open",
    frame: { ctx, farm: await findFarm(scratch.db), people: [] },
    found: { session, actor: ctx.actor },
    token: "",
  });
};
const HEADERS = { host: "127.0.0.1:3200" };
async function verdict(sent: string, ask: () => Promise<Response>): Promise<string | null> {
  const begin = Date.now();
  const answer = await ask();
  return wrongWith({ status: answer.status, body: await answer.text(), sent, tookMs: Date.now() - begin });
}

/** Errors that the door writes to its log as a fault of its own. */
let faults: jest.SpyInstance;
beforeEach(() => (faults = jest.spyOn(console, "error").mockImplementation(() => undefined)));
afterEach(() => faults.mockRestore());

describe("whatever is sent", () => {
  it.each(listActs().map((act) => [act.actName, act] as const))("%s answers it", async (name, { schema }) => {
    for (const [index, input] of fc.sample(inputsFor(schema), { seed: SEED, numRuns: EACH * ROLES.length }).entries()) {
      const role = ROLES[index % ROLES.length]!;
      await standAs(role);
      const body = JSON.stringify(input) ?? "";
      const request = new Request(`http://127.0.0.1:3200/api/act/${name}`, { method: "POST", headers: HEADERS, body });
      const wrong = await verdict(body, () => actDoor(request, name));
      if (wrong) throw new Error(`${wrong}\nseed ${SEED}, ${role}, sent: ${body.slice(0, 2000)}`);
    }
    expect(faults).not.toHaveBeenCalled();
  });
  it.each(listViews().map((view) => [view.viewName, view] as const))("%s answers it", async (name, { schema }) => {
    const asked = fc.sample(fc.oneof(fromSchema(schema), bent(fromSchema(schema))), { seed: SEED, numRuns: EACH });
    for (const [index, input] of asked.entries()) {
      const role = ROLES[index % ROLES.length]!;
      await standAs(role);
      const query = queryOf(input);
      const request = new Request(`http://127.0.0.1:3200/api/view/${name}?${query}`, { headers: HEADERS });
      const wrong = await verdict(query, () => viewDoor(request, name));
      if (wrong) throw new Error(`${wrong}\nseed ${SEED}, ${role}, asked: ${query.slice(0, 2000)}`);
    }
    expect(faults).not.toHaveBeenCalled();
  });
});
