import { analyseTrial, CONFOUNDERS, READING_KINDS, type ArmAnswer, type Confounder, type Trial } from "@/core/trial";
import type { TrialTerms } from "@/core/trial/farm";
import {
  cardOf,
  CONFOUNDER_WORDS,
  READING_HOW,
  READING_NAMES,
  sayChance,
  saySeasons,
  sayTrialDifference,
  sayTrialReason,
  sayTrialVerdict,
  unitOfReading,
} from "./said";

const TERMS: TrialTerms = {
  ...{ question: "Does it help?", inputs: [{ arm: "with", name: "Nettle water", methodId: null }], useId: null },
  ...{ kind: "height", scale: "difference", unit: "cm", smallest: 3, card: [], isChange: false, looks: "one" },
  ...{ decidingOn: "2031-06-20", asked: 3 },
};
const pairsOf = (n: number, more: number) =>
  Array.from({ length: n }, (_, nth) => ({ with: 30 + nth + more + (nth % 3) * 0.3, without: 30 + nth }));
const say = (change: Partial<Trial>, terms: Partial<TrialTerms> = {}): string => {
  const all = { ...TERMS, ...terms };
  const { arms } = analyseTrial({
    measure: { kind: all.kind, scale: all.scale, smallest: all.smallest! },
    ...{ looks: "one", applications: 4, asked: 3, pairs: pairsOf(8, 4) },
    ...change,
  });
  return sayTrialVerdict(arms[0]!, all, "Nettle water");
};

describe("what may be said of a trial", () => {
  it.each<[string, Partial<Trial>, RegExp]>([
    ["likely helped", {}, /^Here and this season: 4(\.\d+)? to 4(\.\d+)? cm more with nettle water\.$/],
    [
      "likely harmed",
      { pairs: pairsOf(8, -5) },
      /^Here and this season: .* cm less with nettle water\. Stop, and look at/,
    ],
    [
      "no large difference",
      { pairs: pairsOf(8, 0.4) },
      /^0\.\d+ to 1 cm more, where 3 cm would matter\.$|^.* would matter\.$/,
    ],
    [
      "can't tell",
      { pairs: pairsOf(8, 0).map((pair, nth) => ({ ...pair, with: pair.without + (nth % 2 ? 6 : -5) })) },
      /Chance alone could do that\./,
    ],
    ["too few", { pairs: pairsOf(4, 9) }, /So few pairs can never tell; 6 could\./],
    [
      "something behind it",
      { confounders: ["placement-chosen"] },
      /differ: .* more\. But what stands below may be why\.$/,
    ],
    ["one application", { applications: 1 }, /^One application says nothing yet: this trial asks for 3/],
    ["too early", { reading: "early" }, /^It is judged on 20 Jun 2031\.$/],
  ])("%s", (_what, change, said) => expect(say(change)).toMatch(said));
  it("never claims more than it may, whatever the figures", () => {
    for (const more of [-6, -2, -0.4, 0, 0.4, 2, 6])
      for (const n of [3, 6, 9, 14])
        for (const confounders of [[], ...Object.keys(CONFOUNDERS).map((one) => [one as Confounder])]) {
          const said = say({ pairs: pairsOf(n, more), confounders });
          expect(said).not.toMatch(/\b(works|proven|proved|significant|certain)\b|undefined|NaN|null|\[object/i);
          expect(said).toMatch(/^[A-Z0-9].*\.$/);
        }
  });
  it("tells differences on their scale, and which way", () => {
    expect(sayTrialDifference(0.12, { ...TERMS, scale: "ratio" })).toBe("12 % more");
    expect(sayTrialDifference(-0.25, { ...TERMS, kind: "infiltration", scale: "ratio" })).toBe("25 % faster");
    expect(sayTrialDifference(0.78, { ...TERMS, kind: "colour", scale: "ordinal" })).toBe(
      "better in 78 of 100 comparisons",
    );
    expect(sayTrialDifference(-3, TERMS)).toBe("3 cm less");
  });
  it("has a name, a way of reading and a card for each kind, in both units", () => {
    for (const kind of READING_KINDS) {
      expect(READING_NAMES[kind]).toMatch(/^[A-Z]/);
      expect(READING_HOW[kind]).toMatch(/[.?]$/);
      expect(new Set(cardOf({ kind, card: [] })).size).toBe(5);
      for (const system of ["metric", "us"] as const) expect(typeof unitOfReading(kind, system)).toBe("string");
    }
    expect(cardOf({ kind: "colour", card: ["a", "b", "c", "d", "e"] })[0]).toBe("a");
  });
  it("has a sentence for all that may mislead", () => {
    for (const code of Object.keys(CONFOUNDERS) as Confounder[])
      expect(sayTrialReason(code)).toBe(CONFOUNDER_WORDS[code]);
    expect(sayChance(0.14, 6)).toBe("6 pairs: 86 in 100 such trials end with “can’t tell”.");
  });
  it("says of seasons together what they carry, and of too few that they carry nothing on", () => {
    const base = { k: 2, estimate: 4, low: 1, high: 7, tau: 0.5, parts: [] };
    expect(saySeasons({ ...base, predictLow: null, predictHigh: null }, TERMS)).toBe(
      "2 seasons together: 1 to 7 cm more. So few seasons say nothing of the next.",
    );
    expect(saySeasons({ ...base, k: 3, predictLow: -1, predictHigh: 9 }, TERMS)).toBe(
      "3 seasons together: 1 to 7 cm more. The next one likely between 1 cm less and 9 cm more.",
    );
    expect(saySeasons({ ...base, low: null, high: null, predictLow: null, predictHigh: null }, TERMS)).toBe("");
  });
  it("says how many more would tell, or that no farm could", () => {
    const open = {
      ...analyseTrial({
        measure: { kind: "height", smallest: 3 },
        pairs: pairsOf(8, 0.1).map((pair, nth) => ({ ...pair, with: pair.without + (nth % 2 ? 6 : -5) })),
      }).arms[0]!,
    } satisfies ArmAnswer;
    expect(
      sayTrialVerdict({ ...open, verdict: "cannot-tell", more: { pairs: 1, strips: 2, fresh: false } }, TERMS, "Tea"),
    ).toMatch(/One more pair would probably tell\.$/);
    expect(
      sayTrialVerdict(
        { ...open, verdict: "cannot-tell", more: { pairs: null, strips: null, fresh: false } },
        TERMS,
        "Tea",
      ),
    ).toMatch(/More pairs than a farm can lay out/);
    expect(
      sayTrialVerdict({ ...open, verdict: "cannot-tell", more: { pairs: 9, strips: 18, fresh: true } }, TERMS, "Tea"),
    ).toMatch(/A new trial of 9 pairs/);
  });
});
