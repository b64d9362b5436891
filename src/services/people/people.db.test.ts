import { select } from "@/data/db";
import { listActors } from "@/data/farm";
import { findSession, listSessions } from "@/data/people";
import { findFarm } from "@/data/farm/farm";
import { ACTS } from "../acts";
import { readAccess, roleTable } from "../access";
import { key, NOW, PASSPHRASE, refusalOf, TestFarm } from "@/testing/scratch";
import {
  claimFarm,
  endOneSession,
  invitePerson,
  joinFarm,
  lockDevice,
  type Opened,
  recoverSteward,
  sessionOf,
  setPassphrase,
  setPin,
  setRole,
  shareDevice,
  signIn,
  signOut,
  signOutEverywhere,
  turned,
  unlockDevice,
  type AtSession,
  type Visitor,
} from ".";
import { sha256 } from "./secret";

const MINUTE_MS = 60_000;
let farm: TestFarm;
let clock: Date;
let ana: number;
let ben: number;
beforeEach(async () => {
  farm = await TestFarm.make();
  clock = NOW;
  [ana, ben] = (await listActors(farm.scratch.db)).map(({ id }) => id) as [number, number];
});
afterEach(() => farm.scratch.drop());

const later = (minutes: number) => (clock = new Date(clock.getTime() + minutes * MINUTE_MS));
const visitor = (change: Partial<Visitor> = {}): Visitor => ({
  pool: farm.scratch.pool,
  now: () => clock,
  from: { address: "10.0.0.7", device: "a phone" },
  isHere: false,
  ...change,
});
const comeIn = async (name = "Ana", passphrase = PASSPHRASE, who = visitor()): Promise<string> =>
  ((await signIn(who, { requestKey: key(), name, passphrase })) as Opened).token!;
const found = async (token: string) => sessionOf(farm.scratch.pool, token, clock, await listActors(farm.scratch.db));
const at = async (token: string): Promise<AtSession> => ({ ...visitor(), ...(await found(token))! });
const ctxOf = async (token: string) => {
  const { session, actor } = (await found(token))!;
  return { pool: farm.scratch.pool, now: () => clock, actor: actor!, sessionId: session.id };
};
const invite = async (personId: number): Promise<string> =>
  (await invitePerson(farm.context(clock), { requestKey: key(), personId })).code;
const join = async (code: string, passphrase = "straw under the eaves"): Promise<string> =>
  ((await joinFarm(visitor(), { requestKey: key(), code, passphrase })) as Opened).token!;
const refusedAs = async (work: Promise<unknown>) => (await refusalOf(work)).code;

describe("coming in by name and passphrase", () => {
  it("opens a session of whoever it is, however the name is written", async () => {
    const token = await comeIn(" aNa ");
    expect((await found(token))?.actor).toMatchObject({ id: ana, name: "Ana", role: "steward" });
  });
  it("says the same of a wrong name as of a wrong passphrase, and of who has none", async () => {
    for (const [name, passphrase] of [
      ["Ana", "not this one at all"],
      ["Nobody", PASSPHRASE],
      ["Ben", PASSPHRASE],
    ] as const)
      expect(await refusalOf(comeIn(name, passphrase))).toMatchObject({
        code: "wrong-sign-in",
        fields: { "/passphrase": expect.any(String) },
      });
  });
  it("slows guessing: five tries a quarter of an hour from one place, the right one too, whatever process counts", async () => {
    for (let turn = 0; turn < 5; turn += 1)
      expect(await refusedAs(comeIn("Ana", "wrong again and again"))).toBe("wrong-sign-in");
    expect(await refusedAs(comeIn())).toBe("too-many-tries");
    // Somebody else's guessing keeps nobody out elsewhere.
    const elsewhere = visitor({ from: { address: "10.0.0.8", device: "" } });
    expect(await comeIn("Ana", PASSPHRASE, elsewhere)).toHaveLength(43);
    later(16);
    expect(await comeIn()).toHaveLength(43);
  });
  it("slows guessing from many places by one name", async () => {
    for (let turn = 0; turn < 20; turn += 1)
      await refusalOf(
        comeIn("Ana", "wrong again and again", visitor({ from: { address: `10.1.0.${turn}`, device: "" } })),
      );
    expect(await refusedAs(comeIn("Ana", PASSPHRASE, visitor({ from: { address: "10.2.0.1", device: "" } })))).toBe(
      "too-many-tries",
    );
  });
});

describe("a session", () => {
  it("ends where it is signed out, and nowhere else", async () => {
    const [here, there] = [await comeIn(), await comeIn()];
    await signOut(await at(here), { requestKey: key() });
    expect(await found(here)).toBeNull();
    expect(await found(there)).not.toBeNull();
  });
  it("changes its token each hour; the one before is good for as long as answers cross", async () => {
    const first = await comeIn();
    expect(await turned(farm.scratch.pool, first, (await found(first))!, clock)).toBeNull();
    later(61);
    const second = await turned(farm.scratch.pool, first, (await found(first))!, clock);
    expect(second).toHaveLength(43);
    // Two requests at once: the second keeps what the first was given.
    expect(await turned(farm.scratch.pool, first, (await found(first))!, clock)).toBeNull();
    later(1);
    expect(await found(first)).not.toBeNull();
    later(2);
    expect(await found(first)).toBeNull();
    expect((await found(second!))?.actor?.id).toBe(ana);
  });
  it("is over after a month, and at once for who works here no more", async () => {
    const token = await comeIn();
    later(30 * 24 * 60 + 1);
    expect(await found(token)).toBeNull();
    const ours = await join(await invite(ben));
    expect((await found(ours))?.actor?.id).toBe(ben);
    await farm.scratch.pool.query("update actor set state = 'retired' where id = ?", [ben]);
    expect(await found(ours)).toBeNull();
  });
  it("is not to be made from what the database holds", async () => {
    const token = await comeIn();
    const code = await invite(ben);
    await setPin(await ctxOf(token), { requestKey: key(), current: PASSPHRASE, pin: "4071" });
    const tables = await select<{ name: string }>(
      farm.scratch.db,
      "select table_name as name from information_schema.tables where table_schema = database() and table_type = 'BASE TABLE'",
    );
    for (const { name } of tables) {
      const rows = JSON.stringify(await select(farm.scratch.db, `select * from \`${name}\``));
      for (const secret of [token, code, code.replaceAll("-", ""), PASSPHRASE])
        expect([name, rows.includes(secret)]).toEqual([name, false]);
    }
    const [kept] = await select<{ hash: string }>(farm.scratch.db, "select hash from secret where kind = 'passphrase'");
    expect(kept!.hash).toMatch(/^\$argon2id\$/);
  });
});

describe("an invitation", () => {
  it("lets in once, sets a passphrase, and signs out what was signed in before", async () => {
    const code = await invite(ben);
    const token = await join(code.toUpperCase());
    expect((await found(token))?.actor).toMatchObject({ id: ben, role: "helper" });
    expect(await refusedAs(join(code))).toBe("no-invitation");
    const again = await join(await invite(ben), "another row of leeks");
    expect(await found(token)).toBeNull();
    expect((await found(again))?.actor?.id).toBe(ben);
    expect(await refusedAs(comeIn("Ben", "straw under the eaves"))).toBe("wrong-sign-in");
    expect(await comeIn("Ben", "another row of leeks")).toHaveLength(43);
  });
  it("is good no more once there is a newer one, or after a fortnight; a passphrase that is guessed does not use it up", async () => {
    const [old, newer] = [await invite(ben), await invite(ben)];
    expect(await refusedAs(join(old))).toBe("no-invitation");
    expect((await refusalOf(join(newer, "short"))).fields).toHaveProperty(["/passphrase"]);
    expect((await refusalOf(join(newer, "Test field!!"))).code).toBe("passphrase-weak");
    later(14 * 24 * 60 + 1);
    expect(await refusedAs(join(newer))).toBe("no-invitation");
    expect(await refusedAs(join("aaaa-aaaa-aaaa-aaaa"))).toBe("no-invitation");
  });
  it("is made at the machine for a steward who has no way in left", async () => {
    expect(await recoverSteward(farm.scratch.pool, clock, "Ben")).toBeNull();
    const made = (await recoverSteward(farm.scratch.pool, clock, "ana"))!;
    expect((await found(await join(made.code)))?.actor?.id).toBe(ana);
    expect(await refusedAs(comeIn())).toBe("wrong-sign-in");
  });
});

describe("a farm from before people signed in", () => {
  const claim = (isHere: boolean, personId = ben) =>
    claimFarm(visitor({ isHere }), { requestKey: key(), personId, passphrase: "straw under the eaves" });
  it("is claimed at its machine, once", async () => {
    await farm.scratch.pool.query("delete from secret");
    expect(await refusedAs(claim(false))).toBe("claimed-already");
    const { token } = (await claim(true)) as Opened;
    expect((await found(token!))?.actor).toMatchObject({ id: ben, role: "steward" });
    expect(await refusedAs(claim(true, ana))).toBe("claimed-already");
  });
});

describe("a phone of the yard", () => {
  const pinOf = async (token: string, current: string, pin: string) =>
    setPin(await ctxOf(token), { requestKey: key(), current, pin });
  const share = async (token: string) => shareDevice(await ctxOf(token), { requestKey: key() });
  const unlock = async (token: string, personId: number, pin: string) =>
    unlockDevice(await at(token), { requestKey: key(), personId, pin });

  it("is shared by who has a PIN, locks itself, and is taken over by PIN", async () => {
    const token = await comeIn();
    expect(await refusedAs(share(token))).toBe("pin-first");
    await pinOf(token, PASSPHRASE, "4071");
    await pinOf(await join(await invite(ben)), "straw under the eaves", "5182");
    await share(token);
    expect((await found(token))?.actor?.id).toBe(ana);
    later(6);
    expect(await found(token)).toMatchObject({ actor: null });
    await unlock(token, ben, "5182");
    expect((await found(token))?.actor?.id).toBe(ben);
    await lockDevice(await at(token), { requestKey: key() });
    expect(await found(token)).toMatchObject({ actor: null });
  });
  it("stays open while somebody works at it", async () => {
    const token = await comeIn();
    await pinOf(token, PASSPHRASE, "4071");
    await share(token);
    for (let turn = 0; turn < 5; turn += 1) {
      later(4);
      expect((await found(token))?.actor?.id).toBe(ana);
    }
  });
  it("wants a passphrase again after five wrong PINs", async () => {
    const token = await comeIn();
    await pinOf(token, PASSPHRASE, "4071");
    await share(token);
    later(6);
    for (const left of [4, 3, 2, 1])
      expect(await refusalOf(unlock(token, ana, "9999"))).toMatchObject({
        code: "wrong-pin",
        message: expect.stringContaining(left === 1 ? "One more try" : `${left} more tries`),
      });
    expect(await refusedAs(unlock(token, ana, "9999"))).toBe("phone-signed-out");
    expect(await found(token)).toBeNull();
  });
  it("is not unlocked where it is nobody's to share", async () => {
    const token = await comeIn();
    expect(await refusedAs(unlock(token, ana, "4071"))).toBe("not-shared");
  });
});

describe("what a steward does for others, and each for oneself", () => {
  it("signs out everywhere but here, also from phones that others share", async () => {
    const mine = await comeIn();
    const lost = await join(await invite(ben));
    const own = await ctxOf(lost);
    expect(await refusedAs(signOutEverywhere(own, { requestKey: key(), personId: ana }))).toBe("not-yours");
    expect(await refusedAs(signOutEverywhere(await ctxOf(mine), { requestKey: key(), personId: 9999 }))).toBe(
      "not-found",
    );
    await signOutEverywhere(await ctxOf(mine), { requestKey: key(), personId: ben });
    expect(await found(lost)).toBeNull();
    expect(await found(mine)).not.toBeNull();
  });
  it("signs out one device, one's own or, as a steward, another's", async () => {
    const [mine, theirs] = [await comeIn(), await join(await invite(ben))];
    const [here] = (await listSessions(farm.scratch.db, clock)).filter(({ openedBy }) => openedBy === ana);
    expect(await refusedAs(endOneSession(await ctxOf(theirs), { requestKey: key(), sessionId: here!.id }))).toBe(
      "not-yours",
    );
    const [other] = (await listSessions(farm.scratch.db, clock)).filter(({ openedBy }) => openedBy === ben);
    await endOneSession(await ctxOf(mine), { requestKey: key(), sessionId: other!.id });
    expect(await findSession(farm.scratch.db, sha256(theirs), clock, clock)).toBeNull();
  });
  it("changes a passphrase by the one that holds, and signs the others out", async () => {
    const [here, there] = [await comeIn(), await comeIn()];
    const change = async (current: string, passphrase: string) =>
      setPassphrase(await ctxOf(here), { requestKey: key(), current, passphrase });
    expect(await refusedAs(change("not this one at all", "another row of leeks"))).toBe("wrong-passphrase");
    await change(PASSPHRASE, "another row of leeks");
    expect(await found(there)).toBeNull();
    expect(await found(here)).not.toBeNull();
  });
  it("keeps one steward at least", async () => {
    const role = (personId: number, to: string) =>
      setRole(farm.context(clock), { requestKey: key(), personId, role: to });
    expect(await refusedAs(role(ana, "helper"))).toBe("last-steward");
    await role(ben, "steward");
    await role(ana, "viewer");
    expect((await listActors(farm.scratch.db)).map((one) => one.role)).toEqual(["viewer", "steward"]);
  });
  it("shows a steward all, and everybody else themselves alone", async () => {
    const mine = await comeIn();
    const theirs = await join(await invite(ben));
    const row = (await findFarm(farm.scratch.db))!;
    const all = await readAccess(await ctxOf(mine), row, roleTable(ACTS));
    expect([all.people.length, all.sessions.length, all.roles.length > 90]).toEqual([2, 2, true]);
    expect(all.events.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["signed-in", "invited", "joined"]));
    const own = await readAccess(await ctxOf(theirs), row, roleTable(ACTS));
    expect([own.people.map(({ name }) => name), own.sessions.length, own.roles.length]).toEqual([["Ben"], 1, 0]);
    expect(own.events.every(({ person, by }) => person === "Ben" || by === "Ben")).toBe(true);
  });
});
