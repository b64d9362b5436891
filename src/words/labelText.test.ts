import { INGREDIENT_IDS } from "@/core/book/ingredients";
import { HAZARD_WORDS } from "@/core/paper/label";
import { LABEL_LANGUAGES, LABEL_WORDS, type LabelLanguage } from "./labelLanguage";
import { markerLines, sayLabel } from "./labelText";

const UTC = { timeZone: "UTC" };
const ms = (day: string) => Date.parse(`${day}T12:00:00Z`);
const LABEL = {
  name: "Cultured extract",
  number: "12/2",
  madeMs: ms("2032-02-20"),
  expected: { fromMs: ms("2032-02-28"), toMs: ms("2032-03-02") },
  useByMs: null,
  contents: ["water", "molasses"],
  maker: "Ana",
  byTheHour: false,
  dilution: { partsWater: 250, use: "drench-growing" },
  cautions: ["gas-pressure"],
} as const;

describe("a label in words", () => {
  it("tells from when to when, over a leap day", () => {
    expect(sayLabel(LABEL, UTC).ready).toBe("likely 28 Feb 2032 to 2 Mar 2032");
    expect(sayLabel({ ...LABEL, expected: { fromMs: ms("2032-02-29"), toMs: ms("2032-02-29") } }, UTC).ready).toBe(
      "likely 29 Feb 2032",
    );
    expect(sayLabel({ ...LABEL, expected: { fromMs: ms("2032-02-29"), toMs: null } }, UTC).ready).toBe(
      "likely from 29 Feb 2032",
    );
  });
  it("tells by when once it is strained, and that nothing can be told", () => {
    expect(sayLabel({ ...LABEL, expected: null, useByMs: ms("2032-08-20") }, UTC).ready).toBe("use by 20 Aug 2032");
    expect(sayLabel({ ...LABEL, expected: { fromMs: null, toMs: null } }, UTC).ready).toMatch(/check and smell/);
  });
  it("tells the hour too of what lives for hours", () =>
    expect(
      sayLabel({ ...LABEL, expected: null, useByMs: Date.parse("2032-08-20T16:40:00Z"), byTheHour: true }, UTC).ready,
    ).toBe("use by 20 Aug 2032, 16:40"));
  it.each(LABEL_LANGUAGES)("has every hazard, caution and use in %s, and none longer than a lid holds", (language) => {
    const words = LABEL_WORDS[language];
    for (const caution of Object.keys(HAZARD_WORDS) as (keyof typeof HAZARD_WORDS)[]) {
      expect(words.hazards[caution]!.length).toBeLessThan(32);
      expect(words.cautions[caution]!.length).toBeGreaterThan(10);
    }
    const text = sayLabel({ ...LABEL, cautions: ["manure", "gas-pressure"] }, UTC, language);
    expect(text.hazards.map(({ caution }) => caution)).toEqual(["manure", "gas-pressure"]);
    expect(markerLines(text).slice(0, 2)).toEqual([text.notToDrink, text.hazards[0]!.words]);
    if (language !== "en") expect(JSON.stringify(text)).not.toMatch(/DRINK|SOIL|growing/);
  });
  it("says what is in it in that language, whatever it is", () => {
    const said = (language: LabelLanguage) => sayLabel({ ...LABEL, contents: INGREDIENT_IDS }, UTC, language).contents;
    expect(sayLabel(LABEL, UTC, "es").contents).toBe("agua, melaza");
    expect(sayLabel(LABEL, UTC).contents).toBe("water, molasses");
    for (const language of LABEL_LANGUAGES)
      expect(said(language).split(", ").length).toBeGreaterThanOrEqual(INGREDIENT_IDS.length);
    expect(new Set(LABEL_LANGUAGES.map(said)).size).toBe(LABEL_LANGUAGES.length);
  });
  it("never leaves out that it is not to drink", () => {
    const text = sayLabel(LABEL, UTC);
    expect(text.never).toContain("DO NOT DRINK");
    expect(markerLines(text)).toContain("DO NOT DRINK");
    expect(markerLines(text).every((line) => line.length < 60)).toBe(true);
  });
  it("says the thinning, or that it is not put on", () => {
    expect(sayLabel(LABEL, UTC).dilution).toBe("1:250 drench, growing plants");
    expect(sayLabel({ ...LABEL, dilution: null }, UTC).dilution).toBe("never undiluted");
  });
});
