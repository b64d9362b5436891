import { listActors } from "@/data/farm";
import { findFarm } from "@/data/farm/farm";
import { Authenticator } from "@/testing/authenticator";
import { key, NOW, PASSPHRASE, refusalOf, TestFarm } from "@/testing/scratch";
import { readAccess } from "../access";
import { setThingState } from "../things";
import {
  addPasskey,
  beginPasskey,
  beginPasskeySignIn,
  invitePerson,
  joinFarm,
  type Opened,
  passkeySite,
  removePasskey,
  sessionOf,
  signInByPasskey,
  signOutEverywhere,
  type Visitor,
} from ".";

const ORIGIN = "https://farm.local:3443";
let farm: TestFarm;
let clock: Date;
let ben: number;
beforeEach(async () => {
  farm = await TestFarm.make();
  clock = NOW;
  ben = (await listActors(farm.scratch.db))[1]!.id;
});
afterEach(() => farm.scratch.drop());

const visitor = (origin = ORIGIN): Visitor => ({
  pool: farm.scratch.pool,
  now: () => clock,
  from: { address: "10.0.0.7", device: "a phone" },
  isHere: false,
  site: { origin },
});
/** Ben, who helps, at a device of his own. */
const benAt = (more: object = {}) => ({
  ...farm.context(clock, 1, "helper"),
  site: { origin: ORIGIN },
  isShared: false,
  ...more,
});
const later = (minutes: number) => (clock = new Date(clock.getTime() + minutes * 60_000));
const challengeFor = async (ctx = benAt()): Promise<string> =>
  ((await beginPasskey(ctx, { requestKey: key() })) as { challenge: string }).challenge;
const made = async (device = new Authenticator()): Promise<Authenticator> => {
  await addPasskey(benAt(), {
    requestKey: key(),
    name: "Ben’s phone",
    response: device.create(await challengeFor(), ORIGIN),
  });
  return device;
};
const challenge = async (): Promise<string> =>
  ((await beginPasskeySignIn(visitor(), { requestKey: key() })) as { challenge: string }).challenge;
const comeIn = async (response: object, who = visitor()) =>
  (await signInByPasskey(who, { requestKey: key(), response })) as Opened<{ name: string }>;
const refused = async (work: Promise<unknown>) => (await refusalOf(work)).code;
const passkeyIds = async () =>
  (await readAccess(benAt(), (await findFarm(farm.scratch.db))!, [])).passkeys.map(({ id }) => id);

describe("a passkey", () => {
  it("opens the farm for whoever made it, once a challenge, and tells when", async () => {
    const device = await made();
    const response = device.get(await challenge(), ORIGIN);
    const opened = await comeIn(response);
    expect(opened.value).toEqual({ name: "Ben" });
    const found = await sessionOf(farm.scratch.pool, opened.token!, clock, await listActors(farm.scratch.db));
    expect(found?.actor?.id).toBe(ben);
    // What was signed once is signed: a copy of it opens nothing.
    expect(await refused(comeIn(response))).toBe("wrong-passkey");
    expect((await readAccess(benAt(), (await findFarm(farm.scratch.db))!, [])).passkeys).toMatchObject([
      { name: "Ben’s phone", usedMs: clock.getTime() },
    ]);
  });
  it.each<[string, (device: Authenticator, asked: string) => object]>([
    ["another device’s", (_device, asked) => new Authenticator().get(asked, ORIGIN)],
    ["one signed for another page", (device, asked) => device.get(asked, "https://farm.local.evil:3443")],
    ["one signed for another challenge", (device) => device.get("made-up", ORIGIN)],
    ["one by whom the device did not know", (device, asked) => device.get(asked, ORIGIN, 0x01)],
    [
      "one whose signature is another’s",
      (device, asked) => ({ ...new Authenticator().get(asked, ORIGIN), id: device.id, rawId: device.id }),
    ],
    [
      "one that says nothing that can be read",
      (device, asked) => {
        const sent = device.get(asked, ORIGIN);
        return { ...sent, response: { ...sent.response, clientDataJSON: "bm8", authenticatorData: "AA" } };
      },
    ],
  ])("is not opened by %s", async (_what, forge) => {
    const device = await made();
    expect(await refused(comeIn(forge(device, await challenge())))).toBe("wrong-passkey");
    expect(await refused(comeIn({ ...device.get(await challenge(), ORIGIN), id: "AAAA" }))).toBe("wrong-passkey");
    expect((await comeIn(device.get(await challenge(), ORIGIN))).value.name).toBe("Ben");
  });
  it("is good at the name for which it was made, and for five minutes of looking for one’s finger", async () => {
    const device = await made();
    const asked = await challenge();
    later(6);
    expect(await refused(comeIn(device.get(asked, ORIGIN)))).toBe("wrong-passkey");
    const elsewhere = "https://other.local:3443";
    const there = (await beginPasskeySignIn(visitor(elsewhere), { requestKey: key() })) as { challenge: string };
    expect(await refused(comeIn(device.get(there.challenge, elsewhere), visitor(elsewhere)))).toBe("wrong-passkey");
  });
  it("whose count runs backwards was copied, and opens nothing", async () => {
    const device = await made();
    device.counter = 7;
    await comeIn(device.get(await challenge(), ORIGIN));
    device.counter = 3;
    expect(await refused(comeIn(device.get(await challenge(), ORIGIN)))).toBe("wrong-passkey");
  });
});

describe("making one", () => {
  it("is for a device of one’s own, where the farm has a name and a safe connection", async () => {
    expect(await refused(challengeFor(benAt({ isShared: true })))).toBe("phone-is-shared");
    for (const origin of ["https://192.0.2.7:3443", "http://farm.local", "https://[::1]:3443"]) {
      expect(passkeySite({ origin })).toBeNull();
      expect(await refused(challengeFor(benAt({ site: { origin } })))).toBe("no-passkeys-here");
    }
    expect(passkeySite(undefined)).toBeNull();
    expect(passkeySite({ origin: "http://localhost:3200" })).toBe("localhost");
  });
  it("is done once, by whom it was asked, and by the device that was asked", async () => {
    const device = new Authenticator();
    const asked = await challengeFor();
    const add = (response: object, ctx = benAt()) => addPasskey(ctx, { requestKey: key(), name: "A phone", response });
    const response = device.create(asked, ORIGIN);
    // Somebody else with Ben’s answer.
    expect(await refused(add(response, { ...benAt(), ...farm.context(clock, 0) }))).toBe("passkey-too-late");
    expect(await refused(add(device.create(asked, "https://farm.local.evil")))).toBe("passkey-unfit");
    await add(response).catch(() => undefined);
    await add(device.create(await challengeFor(), ORIGIN)).catch(() => undefined);
    // Known already: no second of the same.
    expect(await refused(add(device.create(await challengeFor(), ORIGIN)))).toBe("passkey-unfit");
    expect(await passkeyIds()).toHaveLength(1);
    expect(await refused(add(new Authenticator().create(await challengeFor(), ORIGIN, 0x01)))).toBe("passkey-unfit");
  });
});

describe("the end of one", () => {
  it("is one’s own, or a steward’s, and it opens nothing any more", async () => {
    const device = await made();
    const [id] = await passkeyIds();
    const helper = farm.context(clock, 0, "helper");
    expect(await refused(removePasskey(helper, { requestKey: key(), passkeyId: id! }))).toBe("not-yours");
    await removePasskey(benAt(), { requestKey: key(), passkeyId: id! });
    expect(await passkeyIds()).toEqual([]);
    expect(await refused(comeIn(device.get(await challenge(), ORIGIN)))).toBe("wrong-passkey");
    expect(await refused(removePasskey(benAt(), { requestKey: key(), passkeyId: id! }))).toBe("not-found");
  });
  it("comes with a lost phone, with a new way in, and with leaving the farm", async () => {
    const lost = await made();
    await signOutEverywhere(farm.context(clock), { requestKey: key(), personId: ben });
    expect(await refused(comeIn(lost.get(await challenge(), ORIGIN)))).toBe("wrong-passkey");

    const old = await made();
    const { code } = await invitePerson(farm.context(clock), { requestKey: key(), personId: ben });
    await joinFarm(visitor(), { requestKey: key(), code, passphrase: PASSPHRASE });
    expect(await refused(comeIn(old.get(await challenge(), ORIGIN)))).toBe("wrong-passkey");

    const last = await made();
    await setThingState(farm.context(clock), { requestKey: key(), kind: "person", id: ben, state: "retired" });
    expect(await refused(comeIn(last.get(await challenge(), ORIGIN)))).toBe("wrong-passkey");
  });
});
