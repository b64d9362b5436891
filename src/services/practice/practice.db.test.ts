import { findFarm } from "@/data/farm/farm";
import type { Role } from "@/core/people/roles";
import { endedBy, calm } from "@/core/practice/drum/players";
import { codeOf, setUpDrum } from "@/core/practice/drum/setup";
import { key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import {
  logPracticeCaution,
  logPracticeDrum,
  logPracticeSum,
  readAnswerFacts,
  readPractice,
  setPracticeLeave,
} from ".";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const [ANA, BEN] = [0, 1];
const read = async (person: number, role: Role) => {
  const ctx = farm.context(NOW, person, role);
  const people = farm.actorIds.map((id, nth) => ({ id, name: ["Ana", "Ben"][nth]! }));
  return readPractice({ ctx, farm: (await findFarm(farm.scratch.db))!, people });
};
/** A tea as a calm grower plays it. */
function played(seed: number) {
  const drum = setUpDrum("tea", seed);
  const { hour, deeds } = calm(drum);
  return { asked: { requestKey: key(), code: codeOf("tea", seed), hour, deeds }, ended: endedBy(drum, calm) };
}

describe("what is practised", () => {
  it("is played once more by the farm, kept for its learner, and shown to a steward", async () => {
    const helper = farm.context(NOW, BEN, "helper");
    let right = 0;
    for (const seed of [1, 2, 3, 4, 5]) {
      const { asked, ended } = played(seed);
      await logPracticeDrum(helper, asked as never);
      if (ended.outcome === "used-in-time" || ended.outcome === "thrown-out-rightly") right += 1;
    }
    const { me, others } = await read(BEN, "helper");
    expect(others).toEqual([]);
    const tea = me.methods.find(({ methodId }) => methodId === "aerated-tea")!;
    expect(tea).toMatchObject({ drums: 5, right, hasLeave: false });
    expect(me.lastOn).toBe("2031-03-20");
    const steward = await read(ANA, "steward");
    expect(steward.me.methods.every(({ drums }) => drums === 0)).toBe(true);
    expect(steward.others[0]!.methods.find(({ methodId }) => methodId === "aerated-tea")).toEqual(tea);
  });

  it("counts a sum and a caution as right only where it was", async () => {
    const helper = farm.context(NOW, BEN, "helper");
    const sum = { kind: "one-one-one-hundred", level: 1, system: "metric", seed: 3 } as const;
    await logPracticeSum(helper, { requestKey: key(), ...sum, said: 7777 });
    await logPracticeCaution(helper, { requestKey: key(), seed: 3, said: "no-such-caution" });
    const { me } = await read(BEN, "helper");
    const wrong = me.standings.filter(({ wrong: no }) => no > 0).map(({ judgement }) => judgement);
    expect(wrong.toSorted()).toEqual(["caution", "dose"]);
  });

  it("is refused for a drum that goes on, and for one that there is not", async () => {
    const helper = farm.context(NOW, BEN, "helper");
    const open = { requestKey: key(), code: "tea-4", hour: 3, deeds: [] };
    expect((await refusalOf(logPracticeDrum(helper, open))).code).toBe("practice-unfinished");
    expect((await refusalOf(logPracticeDrum(helper, { ...open, code: "soup-4" }))).code).toBe("practice-code");
    const viewer = farm.context(NOW, BEN, "viewer");
    expect((await refusalOf(logPracticeDrum(viewer, played(1).asked as never))).code).toBe("may-not");
    expect((await read(BEN, "viewer")).isKept).toBe(false);
  });
});

describe("leave to judge alone", () => {
  it("is a steward’s to give and to take back", async () => {
    const leave = (isGiven: boolean) => ({
      ...{ requestKey: key(), personId: farm.actorIds[BEN]!, methodId: "aerated-tea", isGiven },
    });
    const has = async () =>
      (await read(BEN, "helper")).me.methods.find(({ methodId }) => methodId === "aerated-tea")!.hasLeave;
    await setPracticeLeave(farm.context(), leave(true));
    expect(await has()).toBe(true);
    await setPracticeLeave(farm.context(), leave(false));
    expect(await has()).toBe(false);
    expect((await refusalOf(setPracticeLeave(farm.context(NOW, BEN, "grower"), leave(true)))).code).toBe("may-not");
    expect((await refusalOf(setPracticeLeave(farm.context(), { ...leave(true), personId: 999 }))).code).toBe(
      "not-found",
    );
  });
});

describe("facts for answers", () => {
  it("are the farm’s crops and rules, careful ones where it set none", async () => {
    await farm.plot("Bed 1", { crop: "leeks" });
    const facts = await readAnswerFacts({ ctx: farm.context(), farm: (await findFarm(farm.scratch.db))!, people: [] });
    expect(facts.crops).toEqual(["leeks"]);
    expect(facts.rules.every(({ isOwn }) => !isOwn)).toBe(true);
  });
});
