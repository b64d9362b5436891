import fc from "fast-check";
import { isQuick, YARD_METHODS, type DrumName } from "../yard/drums";
import { mistakesOf, tryMistake } from "../mistakes";
import { courseOf, type Moment } from "./course";
import { CARES, type Deed } from "./deeds";
import { BEGUN, careFor, coursePlayed, end, endedOf, look, sightOf, wait, type Play } from "./play";
import { endedBy, PLAYERS, type PlayerName } from "./players";
import { retell } from "./retold";
import { caresOf, codeOf, faultsOf, looksOf, readDrumCode, setUpDrum, stepsOf, type PracticeDrum } from "./setup";

const NAMES = YARD_METHODS.map(({ name }) => name);
const aName = fc.constantFrom<DrumName>(...NAMES);
const aSeed = fc.integer({ min: 1, max: 9999 });

/** Anybody at all: looks, does, waits and ends as it comes. */
const aPlay = fc
  .tuple(aName, aSeed, fc.array(fc.tuple(fc.nat(3), fc.nat(9)), { maxLength: 40 }), fc.boolean())
  .map(([name, seed, moves, isUsed]) => {
    const drum = setUpDrum(name, seed);
    let play: Play = BEGUN;
    for (const [kind, which] of moves) {
      if (sightOf(drum, play).isOver) break;
      if (kind === 0) play = look(play, looksOf(name)[which % looksOf(name).length]!);
      else if (kind === 1) play = careFor(play, caresOf(name)[which % caresOf(name).length]!);
      else play = wait(drum, play, stepsOf(name)[which % 3]!);
    }
    if (!sightOf(drum, play).isOver) play = end(play, isUsed ? "use" : "throw-out");
    return { drum, play };
  });

describe("a drum’s code", () => {
  it("is read back, however it is typed", () => {
    fc.assert(
      fc.property(aName, aSeed, (name, seed) => {
        const code = codeOf(name, seed);
        for (const typed of [code, ` ${code.toUpperCase()} `, code.replaceAll("-", " "), code.replaceAll("-", "_")])
          expect(readDrumCode(typed)).toEqual({ name, seed });
      }),
    );
  });
  it.each(["", "tea", "tea-0", "tea-12345", "soup-3", "tea--", "-4"])("%j is none", (typed) =>
    expect(readDrumCode(typed)).toBeNull(),
  );
});

describe("a training drum", () => {
  it("is the same for everybody who does the same", () => {
    fc.assert(
      fc.property(aPlay, ({ drum, play }) => {
        const other = setUpDrum(drum.name, drum.seed);
        expect(sightOf(other, play)).toEqual(sightOf(drum, play));
        expect(endedOf(other, play)).toEqual(endedOf(drum, play));
      }),
      { numRuns: 30 },
    );
  });

  it("shows only what was looked at, and a look changes nothing", () => {
    fc.assert(
      fc.property(aPlay, ({ drum, play }) => {
        const looks = play.deeds.filter(({ kind }) => kind === "look");
        expect(sightOf(drum, play).seen).toHaveLength(looks.length);
        const unseen = play.deeds.filter(({ kind }) => kind !== "look");
        const plain = setUpDrum(drum.name, drum.seed);
        expect(courseOf(plain, unseen, play.hour).moments).toEqual(courseOf(drum, play.deeds, play.hour).moments);
      }),
      { numRuns: 30 },
    );
  });

  it("however it is played, ends in one thing, whose coins add up, and is told once more", () => {
    fc.assert(
      fc.property(aPlay, ({ drum, play }) => {
        const ended = endedOf(drum, play)!;
        expect(Object.values(ended.gain).reduce((sum, coins) => sum + coins, 0)).toBeCloseTo(ended.net, 9);
        expect(Number.isFinite(ended.net)).toBe(true);
        const told = retell(drum, play)!;
        if (told.openedH !== null && told.closedH !== null) expect(told.openedH).toBeLessThanOrEqual(told.closedH);
        for (const { wasSo, says } of told.signs) expect(wasSo === null).toBe(says === null);
        expect(told.calm.hour).toBeGreaterThan(0);
        if (ended.outcome === "used-in-time") expect(["nothing", "fewer-looks"]).toContain(told.better);
        else if (ended.outcome !== "thrown-out-rightly") expect(told.better).not.toBe("nothing");
      }),
      { numRuns: 40 },
    );
  });

  it("bursts under a tight lid, unless somebody opens it", () => {
    for (const name of NAMES.filter((one) => faultsOf(one).includes("tight-lid"))) {
      const drums = Array.from({ length: 12 }, (_, nth) => setUpDrum(name, nth + 1, { fault: "tight-lid" }));
      const bursts = (deeds: readonly Deed[]) =>
        drums.filter((drum) => courseOf(drum, deeds, drum.untilH).events.some(({ event }) => event === "burst")).length;
      expect(bursts([])).toBeGreaterThan(name === "leaf soak" ? 4 : 9);
      expect(bursts([{ hour: 1, kind: "care", care: "vent" }])).toBe(0);
    }
  });

  it("stands still until it is fed, where it is stuck", () => {
    const isSound = ({ traits, badAt }: PracticeDrum) => traits.sticksAt < 1 && badAt === null;
    let seed = 1;
    while (!isSound(setUpDrum("extract", seed, { fault: null }))) seed += 1;
    const drum = setUpDrum("extract", seed, { fault: null });
    const left = courseOf(drum, [], drum.untilH);
    expect(left.events.map(({ event }) => event)).toContain("stuck");
    expect(left.moments.every(({ way }) => way < 1)).toBe(true);
    const stuckH = left.events.find(({ event }) => event === "stuck")!.hour;
    const fed = courseOf(
      drum,
      [
        { hour: stuckH + 2, kind: "care", care: "feed" },
        { hour: stuckH + 2, kind: "care", care: "warm" },
      ],
      drum.untilH,
    );
    expect(fed.moments.at(-1)!.way).toBeGreaterThan(left.moments.at(-1)!.way);
  });

  it("can be cared for in no way that breaks it", () => {
    for (const name of NAMES)
      for (const care of CARES) {
        const drum = setUpDrum(name, 7);
        const course = coursePlayed(drum, { hour: drum.untilH, deeds: [{ hour: 10, kind: "care", care }] });
        const isSound = ({ way, liquidC, ph }: Moment) =>
          way >= 0 && Number.isFinite(liquidC) && (ph === null || ph > 2);
        expect(course.moments.findIndex((moment) => !isSound(moment))).toBe(-1);
      }
  });
});

describe("good judgement", () => {
  /** A quick brew is soon played; of the slow ones fewer tell as much. */
  const drumsOf = (name: DrumName) => (isQuick(name) ? 40 : 12);
  const meanOf = (name: DrumName, player: PlayerName) =>
    Array.from({ length: drumsOf(name) }, (_, nth) => endedBy(setUpDrum(name, nth + 1), PLAYERS[player]).net).reduce(
      (sum, net) => sum + net,
      0,
    ) / drumsOf(name);

  it.each(NAMES)("pays with %s: no plausible rule wins over a calm grower, who ends far from the careless", (name) => {
    const calm = meanOf(name, "calm");
    for (const other of ["careless", "daysOnly", "alwaysThrowsOut", "atFirstSign"] as const)
      expect(calm).toBeGreaterThan(meanOf(name, other) + 3);
    expect(calm - meanOf(name, "careless")).toBeGreaterThan(8);
    expect(calm).toBeGreaterThan(0);
  });

  it.each(NAMES)("no mistake with %s is worth making, and the worst of them costs", (name) => {
    const of = (mistake: Parameters<typeof tryMistake>[1]) =>
      Array.from({ length: drumsOf(name) }, (_, nth) => tryMistake(name, mistake, nth + 1).net).reduce(
        (a, b) => a + b,
        0,
      ) / drumsOf(name);
    const plain = of(null);
    const costs = mistakesOf(name).map((mistake) => plain - of(mistake));
    expect(Math.min(...costs)).toBeGreaterThan(-3);
    expect(Math.max(...costs)).toBeGreaterThan(10);
  });
});
