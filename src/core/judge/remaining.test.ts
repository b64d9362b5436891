import { findRecipe } from "../book";
import type { LogItem } from "./log";
import { remainingUse, type RemainingUse } from "./remaining";
import type { Verdict } from "./judged";
import type { VerdictState } from "./verdictState";

const tea = findRecipe("aerated-tea");
const bloom = findRecipe("leaf-mould-brew");
const extract = findRecipe("cultured-extract");
const verdict = (state: VerdictState, spoilt: Verdict["spoilt"] = null): Verdict => ({
  state,
  spoilt,
  reasons: [],
  next: { act: "wait", hour: 0 },
});
const offAt = (hour: number): LogItem => ({ hour, kind: "act", act: "air-off" });
const film = (word: string): LogItem => ({ hour: 1, kind: "film", word });
const smell = (word: string): LogItem => ({ hour: 2, kind: "smell", word });
const ph = (value: number): LogItem => ({ hour: 3, kind: "ph", value, instrument: "meter", spot: "mid-depth" });
const { leaves, soil } = tea.keeping.afterH!;

describe("what may still be done", () => {
  it("of a tea that stood without air for hours is soil, not leaves", () => {
    const cut = (hours: number): LogItem[] => [
      { hour: 20, kind: "act", act: "power-cut" },
      { hour: 20 + hours, kind: "act", act: "power-back" },
    ];
    expect(remainingUse(tea, verdict("ready"), cut(leaves + 1), 30)).toEqual({
      may: "soil-only",
      because: "air-was-off",
    });
    expect(remainingUse(tea, verdict("ready"), cut(leaves - 0.5), 30).may).toBe("use-now");
  });
  const cases: readonly (readonly [string, RemainingUse, typeof tea, Verdict, LogItem[], number])[] = [
    [
      "of a held batch is nothing yet",
      { may: "nothing-yet", because: "held" },
      extract,
      verdict("spoiled", "hold"),
      [],
      9,
    ],
    [
      "of one that went off is hot compost",
      { may: "hot-compost", because: "spoilt" },
      extract,
      verdict("spoiled", "discard"),
      [smell("putrid"), film("white fuzzy")],
      9,
    ],
    [
      "of a mouldy one too, for its mould",
      { may: "hot-compost", because: "mould" },
      extract,
      verdict("spoiled", "discard"),
      [smell("putrid"), film("coloured mould")],
      9,
    ],
    ["of one that is not ready is to wait", { may: "wait", because: "not-ready" }, extract, verdict("near"), [], 9],
    ["of a stuck one too", { may: "wait", because: "not-ready" }, extract, verdict("stuck"), [], 9],
    ["of a ready one is its recipe", { may: "use-now", because: "ready" }, extract, verdict("ready"), [ph(3.6)], 9],
    ["of one at its best too, without any pH", { may: "use-now", because: "ready" }, bloom, verdict("peak"), [], 9],
    [
      "of a very sour one is half of it",
      { may: "use-weaker", because: "very-sour" },
      extract,
      verdict("ready"),
      [ph(2.9)],
      9,
    ],
    ["of one at pH 3 is all of it", { may: "use-now", because: "ready" }, extract, verdict("ready"), [ph(3)], 9],
    [
      "of a bloom past its head is bare ground",
      { may: "bare-or-compost", because: "past-living" },
      bloom,
      verdict("past"),
      [],
      9,
    ],
    ["of an old extract is weaker", { may: "use-weaker", because: "past-kept" }, extract, verdict("past"), [], 9],
    [
      "of a tea within its hour is its recipe",
      { may: "use-now", because: "ready" },
      tea,
      verdict("ready"),
      [offAt(30)],
      30 + leaves,
    ],
    [
      "of a tea past its hour is soil",
      { may: "soil-only", because: "air-off" },
      tea,
      verdict("ready"),
      [offAt(30)],
      30 + leaves + 0.1,
    ],
    [
      "of a tea at its last hour on soil too",
      { may: "soil-only", because: "air-off" },
      tea,
      verdict("ready"),
      [offAt(30)],
      30 + soil,
    ],
    [
      "of a tea past that is bare ground",
      { may: "bare-or-compost", because: "air-off-long" },
      tea,
      verdict("past"),
      [offAt(30)],
      30 + soil + 0.1,
    ],
    [
      "of a young tea without air is to wait",
      { may: "wait", because: "not-ready" },
      tea,
      verdict("early"),
      [offAt(5)],
      30,
    ],
    [
      "of a brew that was never blown goes by no air",
      { may: "use-now", because: "ready" },
      bloom,
      verdict("ready"),
      [offAt(5)],
      30,
    ],
  ];
  it.each(cases)("%s", (_what, wanted, recipe, judged, log, nowH) =>
    expect(remainingUse(recipe, judged, log, nowH)).toEqual(wanted),
  );
});
