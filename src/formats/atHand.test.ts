import { readAtHand } from "./atHand";
import { workOutFigure } from "./figure/workOut";
import { sayLead } from "@/words/said";
import { noonOf } from "./times";

const read = (text: string, units: "metric" | "us" = "metric") =>
  readAtHand(text, units).map(({ plant, ingredient, amount, spoiled, mouldy }) => ({
    thing: plant?.name ?? ingredient,
    amount: amount === null ? null : Number(amount.toPrecision(6)),
    ...(spoiled ? { spoiled } : {}),
    ...(mouldy ? { mouldy } : {}),
  }));

describe("what is at hand, as people say it", () => {
  it.each([
    [
      "30 kg of nettles and a crate of spoiled plums",
      [
        { thing: "nettle", amount: 30 },
        { thing: "plum", amount: null, spoiled: true },
      ],
    ],
    [
      "4 L milk, 2 kg eggshells",
      [
        { thing: "milk", amount: 4 },
        { thing: "shell-raw", amount: 2 },
      ],
    ],
    [
      "500 g clover; some comfrey",
      [
        { thing: "clover", amount: 0.5 },
        { thing: "comfrey", amount: null },
      ],
    ],
    [
      "a barrow of weeds + dandelions",
      [
        { thing: "weeds", amount: null },
        { thing: "dandelion", amount: null },
      ],
    ],
    ["2 sacks of mouldy apples", [{ thing: "apple", amount: null, mouldy: true }]],
    ["rice water", [{ thing: "rice-wash", amount: null }]],
    ["3 kg glowweed", [{ thing: null, amount: 3 }]],
    ["5 m of nettles", [{ thing: "nettle", amount: null }]],
    ["-3 kg nettles", [{ thing: null, amount: null }]],
    ["", []],
  ])("%s", (text, wanted) => expect(read(text)).toEqual(wanted));
  it("reads pounds and quarts", () => {
    expect(read("20 lb nettles", "us")).toEqual([{ thing: "nettle", amount: 9.07185 }]);
    expect(read("2 qt milk", "us")[0]!.amount).toBeCloseTo(1.8927, 3);
  });
});

describe("measures of hand and yard", () => {
  const figure = (text: string, own?: Parameters<typeof workOutFigure>[1]["own"]) =>
    workOutFigure(text, { units: "metric", measures: [], ...(own ? { own } : {}) });
  it("are spans until they are weighed", () => {
    expect(figure("7 pails").answers.map(({ text }) => text)).toEqual(["105 L", "70 L", "140 L"]);
    expect(figure("7 pails").assumed[0]).toMatch(/until you weigh your own/);
    expect(figure("a handful of salt").answers[0]).toMatchObject({ label: "likely", text: "72 g" });
    expect(figure("2 handfuls of leaf mould").answers[0]).toMatchObject({ text: "200 g" });
  });
  it("are the farm's own once it has weighed them", () => {
    const own = [{ measure: "handful", ingredientId: "leaf-mould", mean: 0.085, least: 0.07, most: 0.1, weighings: 3 }];
    expect(figure("3 handfuls of leaf mould", own)).toMatchObject({
      answers: [{ text: "255 g" }],
      working: "3 × 85 g = 255 g, 210 g to 300 g",
      assumed: ["our own handful, weighed 3 times"],
    });
    expect(figure("3 handfuls of salt", own).answers[0]!.label).toBe("likely");
  });
  it("hint where the thing measured is unknown", () =>
    expect(() => figure("3 handfuls of moonshine")).toThrow("not-a-unit"));
});

describe("spans of time", () => {
  const lead = (earliestH: number | null, likelyH: number | null, latestH: number | null) => ({
    earliestH,
    likelyH,
    latestH,
    bestH: null,
    overH: null,
  });
  it.each([
    [lead(240, 300, 380), "10 to 16 days"],
    [lead(20, 30, 40), "20 to 40 h"],
    [lead(1, 1, 1), "under 3 h"],
    [lead(null, null, null), "too cold or too hot"],
    [lead(96, 96, 96), "4 days"],
  ])("%j is %s", (span, said) => expect(sayLead(span)).toBe(said));
  it("knows noon of a farm's day, wherever it lies", () => {
    expect(noonOf("2031-03-20", { timeZone: "UTC" }).toISOString()).toBe("2031-03-20T12:00:00.000Z");
    expect(noonOf("2031-03-20", { timeZone: "Etc/GMT-10" }).toISOString()).toBe("2031-03-20T02:00:00.000Z");
    expect(Number.isNaN(noonOf("never", { timeZone: "UTC" }).getTime())).toBe(true);
  });
});
