/** The table of who may what, to its last cell: every act and view by every role, through the door that pages and programs use. */
import { mayAs, ROLES, type Role } from "@/core/people/roles";
import { findFarm } from "@/data/farm/farm";
import { insertPasskey } from "@/data/people";
import { roleTable } from "@/services/access";
import { ACTS, listActs } from "@/services/acts";
import { isRole } from "@/services/act";
import { seePlot } from "@/services/field";
import { startMixing } from "@/services/mixing";
import { onMachine, openSession } from "@/services/people";
import { pool } from "@/services/runtime";
import { listViews } from "@/services/views";
import { applyStore } from "@/services/field";
import { key, NOW, RAIN_ID, TestFarm } from "@/testing/scratch";
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

let farm: TestFarm;
const ANA = 0;
const BEN = 1;
beforeAll(async () => {
  farm = await TestFarm.make();
  (pool as unknown as jest.Mock).mockReturnValue(farm.scratch.pool);
  (visitorNow as unknown as jest.Mock).mockResolvedValue(onMachine(farm.scratch.pool, () => NOW));
});
afterAll(() => farm.scratch.drop());

const isIn = async (role: Role | null, person = BEN) => {
  const ctx = farm.context(NOW, person, role ?? "viewer");
  (openStanding as unknown as jest.Mock).mockResolvedValue(
    role === null
      ? { type: "signed-out", isClaimed: true, farmName: "Test field", units: "metric", people: [] }
      : { type: "open", frame: { ctx, farm: await findFarm(farm.scratch.db), people: [] }, found: {}, token: "" },
  );
};
const HOST = { host: "127.0.0.1:3200" };
const codeOf = async (answer: Response) => [
  answer.status,
  ((await answer.json()) as { error?: { code: string } }).error?.code ?? "done",
];
const act = async (name: string, body: object) =>
  codeOf(
    await actDoor(
      new Request(`http://127.0.0.1:3200/api/act/${name}`, {
        method: "POST",
        headers: HOST,
        body: JSON.stringify({ requestKey: key(), ...body }),
      }),
      name,
    ),
  );
const view = async (name: string) =>
  codeOf(await viewDoor(new Request(`http://127.0.0.1:3200/api/view/${name}`, { headers: HOST }), name));

const ROLE_ACTS = listActs().filter(({ may }) => isRole(may));

describe("every act", () => {
  it.each(ROLE_ACTS.map(({ actName, may }) => [actName, may as Role] as const))(
    "%s: from %s on",
    async (name, least) => {
      for (const role of ROLES) {
        await isIn(role);
        const [status, code] = await act(name, {});
        expect([role, code === "may-not", status === 403]).toEqual([role, !mayAs(role, least), !mayAs(role, least)]);
      }
      await isIn(null);
      expect(await act(name, {})).toEqual([401, "signed-out"]);
    },
  );
  it("is in the table that a steward is shown, as it is at the door", () => {
    const table = roleTable(ACTS);
    expect(new Map(table.map(({ name, least }) => [name, least]))).toEqual(
      new Map(ROLE_ACTS.map(({ actName, may }) => [actName, may])),
    );
  });
});

describe("every view", () => {
  it.each(listViews().map(({ viewName, may }) => [viewName, may] as const))("%s: from %s on", async (name, least) => {
    for (const role of ROLES) {
      await isIn(role);
      expect([role, (await view(name))[1] === "may-not"]).toEqual([role, !mayAs(role, least)]);
    }
    await isIn(null);
    expect(await view(name)).toEqual([401, "signed-out"]);
  });
});

describe("what another wrote", () => {
  let batchId: number;
  let drum = 0;
  const started = async (person: number): Promise<number> => {
    drum += 1;
    const vesselId = await farm.vessel(`Drum ${drum}`);
    await farm.lot("molasses", 5, 20);
    await farm.lot("lactic-culture", 5, 10);
    const { fillVessel } = await import("@/services/fill");
    return (
      await fillVessel(
        farm.context(NOW, person),
        farm.fillRequest(vesselId, "cultured-extract", 40, { startedAt: NOW.toISOString() }),
      )
    ).batchId;
  };
  const applied = async (person: number): Promise<number> => {
    drum += 1;
    const plotId = await farm.plot(`Bed ${drum}`);
    const storeId = await farm.strained({ label: `Extract ${drum}` }).catch(() => null);
    const { applicationId } = await applyStore(farm.context(NOW, person), {
      requestKey: key(),
      storeId: storeId ?? 1,
      useId: "drench-growing",
      ratio: "1:250",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: await farm.can(`Can ${drum}`),
      plotIds: [plotId],
      labourMin: 10,
      water: { sourceId: RAIN_ID },
    });
    return applicationId;
  };
  const personId = (person: number) => farm.context(NOW, person).actor.id;
  /** A request that touches what a person wrote. */
  const OF: Readonly<Record<string, (person: number) => Promise<object>>> = {
    logEntry: async (person) => {
      const { logEntry } = await import("@/services/batch");
      const { entryId } = await logEntry(farm.context(NOW, person), {
        requestKey: key(),
        batchId,
        entry: { kind: "smell", word: "cidery" },
      });
      return { batchId, correctsId: entryId, entry: { kind: "withdrawn" } };
    },
    takeBackStart: async (person) => ({ batchId: await started(person) }),
    takeBackApplication: async (person) => ({ applicationId: await applied(person), reason: "a slip" }),
    redateApplication: async (person) => ({
      applicationId: await applied(person),
      at: NOW.toISOString(),
      reason: "a slip",
    }),
    dropMixing: async (person) => {
      drum += 1;
      const {
        lines,
        labourMin: _labour,
        ...asked
      } = farm.fillRequest(await farm.vessel(`Drum ${drum}`), "cultured-extract", 30);
      await farm.lot("molasses", 5, 20);
      await farm.lot("lactic-culture", 5, 10);
      return startMixing(farm.context(NOW, person), {
        ...asked,
        lines: lines.map(({ used, ...line }) => ({ ...line, amount: used })),
      });
    },
    takeBack: async (person) => {
      drum += 1;
      const plotId = await farm.plot(`Bed ${drum}`);
      const { lookId } = await seePlot(farm.context(NOW, person), {
        requestKey: key(),
        plotId,
        signs: {},
        note: "wilted",
      });
      return { rows: [{ kind: "look", id: lookId }] };
    },
    signOutEverywhere: async (person) => ({ personId: personId(person) }),
    removePasskey: async (person) => ({
      passkeyId: await insertPasskey(farm.scratch.db, {
        actorId: personId(person),
        credentialId: key(),
        publicKey: "AA",
        counter: 0,
        transports: [],
        site: "farm.local",
        name: "A phone",
        addedAt: NOW,
      }),
    }),
    endOneSession: async (person) => {
      await openSession(farm.scratch.db, personId(person), { address: "", device: "" }, NOW);
      const [rows] = await farm.scratch.pool.query("select max(id) as id from session");
      return { sessionId: (rows as { id: number }[])[0]!.id };
    },
  };
  beforeAll(async () => {
    batchId = await started(ANA);
  });
  const told = roleTable(ACTS).flatMap(({ name, least, ofOthers }) =>
    ofOthers === null ? [] : [[name, least, ofOthers] as const],
  );
  it.each(told)("%s: one's own from %s on, others' from %s on", async (name, least, ofOthers) => {
    for (const role of ROLES.filter((one) => mayAs(one, least)))
      for (const writer of [BEN, ANA]) {
        const request = await OF[name]!(writer);
        await isIn(role);
        const [status, code] = await act(name, request);
        const isRefused = writer === ANA && !mayAs(role, ofOthers);
        expect([role, writer, code === "not-yours"]).toEqual([role, writer, isRefused]);
        if (!isRefused) expect([role, writer, status, code]).toEqual([role, writer, 200, "done"]);
      }
  });
});
