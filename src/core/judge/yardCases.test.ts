import { findRecipe } from "../book";
import type { Place } from "../ferment/temperature/places";
import { assess } from "./assess";
import type { LogItem } from "./log";

/** A station that tells a cool spring outside, and what was logged of one drum: as yards are. */
interface Yard {
  readonly method: string;
  readonly days: number;
  readonly outsideC?: number;
  readonly place?: Place;
  readonly dips?: readonly (readonly [day: number, celsius: number])[];
  readonly log?: readonly LogItem[];
}

const D = 24;
const smell = (day: number, word: string, by = "Ana"): LogItem => ({ hour: day * D, kind: "smell", word, by });
const ph = (day: number, value: number, instrument: "meter" | "strip" = "meter"): LogItem => ({
  hour: day * D,
  kind: "ph",
  value,
  instrument,
  spot: "mid-depth",
  by: "Ana",
});
const sign = (day: number, kind: "surface" | "solids" | "film", word: string): LogItem => ({
  hour: day * D,
  kind,
  word,
  by: "Ana",
});
const act = (day: number, what: "power-cut" | "power-back" | "heater-on" | "flies-in", amount?: number): LogItem => ({
  hour: day * D,
  kind: "act",
  act: what,
  ...(amount === undefined ? {} : { amount }),
});

function told({ method, days, outsideC = 6, place, dips = [], log = [] }: Yard) {
  const nowH = days * D;
  const air = Array.from({ length: Math.ceil(nowH) + 120 }, (_, hour) => ({
    hour,
    celsius: outsideC + 4 * Math.cos((2 * Math.PI * (9 + hour - 15)) / 24),
  }));
  const { verdict, forecast } = assess({
    recipe: findRecipe(method),
    vesselL: 60,
    nowH,
    startHour: 9,
    ...(place ? { place } : {}),
    temperature: {
      liquid: dips.map(([day, celsius]) => ({ hour: day * D, celsius })),
      air,
      statedC: null,
      usual: { meanC: outsideC, swingC: 4 },
    },
    log,
  });
  return { ...verdict, forecast, codes: verdict.reasons.map(({ code }) => code as string) };
}
const words = ({ reasons }: ReturnType<typeof told>) =>
  reasons.flatMap((reason) => ("word" in reason ? [reason.word] : []));

describe("a sound drum in a warm room, with the station out in the cold and nobody saying so", () => {
  const souring = [ph(4, 5.2), ph(8, 4.3), ph(12, 3.8), ph(16, 3.7), smell(12, "cidery"), smell(16, "cidery")];
  it("is ready by what it shows, never failed and never stuck", () => {
    const verdict = told({ method: "cultured-extract", days: 16.1, log: souring });
    expect(verdict).toMatchObject({ state: "ready", spoilt: null });
    expect(verdict.codes.length).toBeGreaterThan(0);
  });
  it("is not told to be cold at any look on its way", () => {
    for (const days of [5, 9, 13]) {
      const log = souring.filter(({ hour }) => hour <= days * D);
      expect(told({ method: "cultured-extract", days, log }).state).toMatch(/early|near/);
    }
  });
  it("stays as warm between dips as the dips say", () => {
    const dips = [2, 4, 6, 8, 10, 12].map((day) => [day, 20.5] as const);
    const verdict = told({ method: "lactic-serum", days: 13, dips, log: [] });
    expect(verdict.state).not.toBe("stuck");
    expect(verdict.forecast.meanLiquidC24h).toBeGreaterThan(18.5);
  });
  it("of tea, earthy look after look, is ready through its window", () => {
    const looks = [28, 33, 38].map((hour) => smell(hour / D, "earthy"));
    for (const count of [2, 3]) {
      const log = looks.slice(0, count);
      expect(told({ method: "aerated-tea", days: log.at(-1)!.hour / D + 0.01, outsideC: 8, log }).state).not.toBe(
        "stuck",
      );
    }
    expect(told({ method: "aerated-tea", days: 38.1 / D, outsideC: 8, log: looks }).state).toMatch(/ready|peak/);
  });
  it("is asked where it stands while that is open", () => {
    expect(told({ method: "cultured-extract", days: 5 }).codes).toContain("place-unsaid");
    expect(told({ method: "cultured-extract", days: 5, place: { kind: "indoors" } }).codes).not.toContain(
      "place-unsaid",
    );
  });
});

describe("instruments and fingers that err", () => {
  const room: Place = { kind: "indoors", celsius: [20, 23] };
  const sour = [ph(14, 3.7), smell(14, "cidery"), ph(16, 3.7), smell(16, "cidery")];
  it.each([
    ["one high pH after it had soured", [...sour, ph(18, 5.1), smell(18, "cidery")]],
    ["a meter that drifts up", [...sour, ph(18, 4.3), ph(20, 4.7), smell(20, "cidery")]],
  ])("%s feeds nothing", (_name, log) => {
    const verdict = told({ method: "cultured-extract", days: 20.1, place: room, log });
    expect(verdict.state).toBe("ready");
    expect(verdict.next.act).not.toBe("feed");
  });
  it("a strip and a meter that differ at one hour are read a third time", () => {
    const verdict = told({
      method: "cultured-extract",
      days: 16.1,
      place: room,
      log: [ph(16, 3.8), { ...ph(16, 5.5, "strip"), hour: 16 * D + 0.1 } as LogItem, smell(16, "cidery")],
    });
    expect(verdict).toMatchObject({ state: "near", next: { act: "repeat-ph" } });
  });
  it("a pH of 2 makes nothing ready", () =>
    expect(
      told({ method: "cultured-extract", days: 16.1, place: room, log: [ph(16, 2), smell(16, "cidery")] }).state,
    ).toBe("near"));
  it("one sulphur, then clean look after look, is let go on", () => {
    const log = [smell(13, "sulphur"), ...[14, 15, 16].flatMap((day) => [smell(day, "yogurt-sour"), ph(day, 3.6)])];
    const verdict = told({ method: "cultured-extract", days: 16.1, place: room, log });
    expect(verdict.state).toBe("ready");
    expect(verdict.codes).toContain("doubt-lifted");
  });
  it("one sulphur and a high strip on the fourth day is held, not thrown away; tapped twice it is still one", () => {
    const log = [smell(4, "sulphur"), { ...smell(4, "sulphur"), hour: 4 * D + 0.1 }, ph(4, 5, "strip")];
    expect(told({ method: "cultured-extract", days: 4.1, place: room, log })).toMatchObject({
      spoilt: "hold",
      next: { act: "smell" },
    });
  });
  it.each(["ammonia", "fishy"])("%s at the last look is named and makes no ready one", (word) => {
    const verdict = told({ method: "cultured-extract", days: 18.1, place: room, log: [...sour, smell(18, word)] });
    expect(verdict.state).toBe("near");
    expect(words(verdict)).toContain(word);
  });
  it("maggots hold a drum, and flies are kept in mind until somebody looks", () => {
    expect(told({ method: "cultured-extract", days: 16, place: room, log: [sign(15, "film", "maggots")] }).spoilt).toBe(
      "hold",
    );
    const flies = (log: LogItem[]) =>
      told({ method: "cultured-extract", days: 9, place: room, log: [act(5, "flies-in"), ...log] }).codes;
    expect(flies([])).toContain("flies-in");
    expect(flies([sign(6, "film", "none")])).toContain("flies-in");
    expect(flies([sign(8, "film", "none")])).not.toContain("flies-in");
  });
});

describe("what befell it", () => {
  it("a cut heater is named until it is back", () => {
    const log = [act(1, "heater-on", 24), act(3, "power-cut")];
    expect(told({ method: "cultured-extract", days: 3.5, place: { kind: "shed" }, log }).codes).toContain("heater-cut");
    expect(
      told({ method: "cultured-extract", days: 4, place: { kind: "shed" }, log: [...log, act(3.8, "power-back")] })
        .codes,
    ).not.toContain("heater-cut");
  });
  it("a power cut of eight hours is not forgotten once it is back", () => {
    const log = [act(0.8, "power-cut"), act(0.8 + 8 / D, "power-back")];
    const verdict = told({ method: "aerated-tea", days: 1.4, place: { kind: "indoors", celsius: [22, 24] }, log });
    expect(verdict.codes).toContain("air-was-off");
  });
  it("42 °C is cooled, not warmed", () => {
    const hot: Place = { kind: "greenhouse", celsius: [42, 44] };
    const verdict = told({
      method: "leaf-mould-brew",
      days: 2,
      outsideC: 33,
      place: hot,
      dips: [
        [1, 43],
        [1.9, 43.5],
      ],
    });
    expect(verdict.next.act).not.toBe("warm");
  });
  it("a warm drum over a cold spring boasts of no months", () => {
    const verdict = told({ method: "cultured-extract", days: 15, place: { kind: "indoors" }, log: [ph(14, 4.2)] });
    const pace = verdict.reasons.find(({ code }) => code === "pace");
    expect(pace?.code === "pace" && pace.isAhead ? pace.mostH : 0).toBeLessThanOrEqual(15 * D);
  });
  it("tea of 55 h that is still earthy is used at once, no compost", () => {
    const log = [smell(44 / D, "earthy"), smell(54 / D, "earthy")];
    const verdict = told({ method: "aerated-tea", days: 55 / D, place: { kind: "indoors", celsius: [21, 23] }, log });
    expect(verdict.next.act).toBe("use-now");
  });
});

describe("probes and places that tell otherwise", () => {
  const hourly = (fromD: number, toD: number, celsius: number) =>
    Array.from({ length: Math.round((toD - fromD) * D) }, (_, hour) => [fromD + hour / D, celsius] as const);
  it("a probe silent for days is named, and its warmth no longer said to be read", () => {
    const verdict = told({ method: "cultured-extract", days: 9, dips: hourly(1, 5, 21) });
    expect(verdict.codes).toContain("readings-stopped");
    expect(verdict.forecast.temperatureBasis).not.toBe("read");
    const going = told({ method: "cultured-extract", days: 5.1, dips: hourly(1, 5, 21) });
    expect(going.codes).not.toContain("readings-stopped");
    expect(going.forecast.temperatureBasis).toBe("read");
  });
  it("no cold is told to come while the probe holds 22 °C over a cold week, whatever place was tapped", () => {
    for (const place of [undefined, { kind: "shade" }, { kind: "indoors" }] as const) {
      const verdict = told({
        method: "cultured-extract",
        days: 6,
        outsideC: 4,
        ...(place ? { place } : {}),
        dips: hourly(0.2, 6, 22),
      });
      expect(verdict.codes).not.toContain("cold-ahead");
      expect(verdict.forecast.liquidNowC).toBeGreaterThan(20);
      expect(verdict.codes.includes("place-doubted")).toBe(place?.kind === "shade");
    }
  });
  it("one wild dip doubts no place", () => {
    const verdict = told({
      method: "cultured-extract",
      days: 6,
      outsideC: 14,
      place: { kind: "shade" },
      dips: [
        [2, 14],
        [3, 14.5],
        [4, 26],
        [5, 14],
      ],
    });
    expect(verdict.codes).not.toContain("place-doubted");
  });
  it("the season goes on while it stands: begun in the cold, it is not kept there", () => {
    const opens = (season: readonly { hour: number; celsius: number }[]) =>
      assess({
        recipe: findRecipe("leaf-soak"),
        vesselL: 200,
        nowH: 24,
        startHour: 9,
        place: { kind: "shade" },
        temperature: { liquid: [], air: [], statedC: null, usual: { meanC: 8, swingC: 4, season } },
        log: [],
      }).forecast.window.start.p50 ?? Infinity;
    const spring = [8, 13, 18, 22].map((celsius, month) => ({ hour: month * 720, celsius }));
    expect(opens(spring)).toBeLessThan(opens([{ hour: 0, celsius: 8 }]) - 5 * D);
  });
});

describe("what is done next, by the kind of brew", () => {
  const mild: Place = { kind: "indoors", celsius: [21, 23] };
  it("leachate that was ready half a day ago is over, however fruity it smells", () => {
    const at = (hours: readonly number[]) =>
      told({
        method: "leachate-bloom",
        days: hours.at(-1)! / D + 0.01,
        place: mild,
        log: hours.flatMap((hour) => [smell(hour / D, "fruity"), sign(hour / D, "surface", "thick fine head")]),
      });
    const opensH = Math.ceil(at([6]).forecast.window.start.p50!);
    expect(at([opensH + 1, opensH + 4]).next.act).toBe("use-now");
    expect(at([opensH + 1, opensH + 14])).toMatchObject({ state: "past", next: { act: "compost" } });
  });
  it("char of which half floats is stirred, by word and by measure", () => {
    const char = (log: LogItem[]) => told({ method: "charged-char", days: 20, place: mild, log }).next.act;
    expect(char([smell(19, "earthy"), sign(19, "solids", "floating")])).toBe("stir");
    expect(char([smell(19, "earthy"), { hour: 19 * D, kind: "sunk", value: 50, by: "Ana" }])).toBe("stir");
    const sunk = [15, 17, 19].flatMap((day) => [smell(day, "earthy"), sign(day, "solids", "sunk")]);
    expect(char(sunk)).toBe("strain");
  });
  it("shell that stands still in the cold at pH 4.2 is no ready one; in the warm it may be, and spent it is", () => {
    const shell = (celsius: number, value: number) =>
      told({
        method: "shell-calcium",
        days: 25,
        outsideC: celsius,
        place: { kind: "shed", celsius: [celsius - 1, celsius + 1] },
        log: [20, 22, 24].flatMap((day) => [
          sign(day, "surface", "still"),
          smell(day, "neutral"),
          ph(day, value, "strip"),
        ]),
      });
    expect(shell(6, 4.2).codes).toContain("still-in-cold");
    expect(shell(6, 4.2).state).not.toBe("ready");
    expect(shell(22, 5.6).state).toMatch(/ready|peak/);
  });
  it("a made liquid that smells of fish is smelt once more before it is used", () => {
    const fresh = (log: LogItem[]) => told({ method: "milk-spray", days: 0.3 / D, place: mild, log });
    expect(fresh([smell(0.25 / D, "fishy")])).toMatchObject({ state: "near", next: { act: "smell" } });
  });
});
