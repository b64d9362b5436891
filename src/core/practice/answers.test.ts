import { readAsked } from "@/words/said";
import { METHODS } from "../book";
import { SMELLS } from "../book/words";
import { DEFAULT_RULES } from "../safety/carried";
import { answerOf, type AnswerFacts, type Question } from "./answers";

const FACTS: AnswerFacts = {
  versions: [],
  choices: [],
  rules: Object.values(DEFAULT_RULES).map((rule) => ({ ...rule, isOwn: false })),
};
const INPUTS = METHODS.filter(({ family }) => family !== "preparation").map(({ id }) => id);
const asked = (question: Question, facts = FACTS) => answerOf(question, facts);

describe("answers for a helper", () => {
  it("never let dung onto leaves, and make it wait before a harvest on soil", () => {
    const tea = { kind: "may-use", methodId: "drum-manure-tea", crop: "lettuce" } as const;
    expect(asked({ ...tea, on: "leaves" })).toMatchObject({ code: "never-on-leaves", hazard: "dung" });
    expect(asked({ ...tea, on: "soil" })).toMatchObject({
      code: "wait-before-harvest",
      days: 120,
      sources: ["recipe", "default-rule"],
    });
  });
  it("go by the farm’s own days, and say so", () => {
    const rules = FACTS.rules.map((rule) => (rule.hazard === "dung" ? { ...rule, touchingD: 200, isOwn: true } : rule));
    expect(
      asked({ kind: "may-use", methodId: "drum-manure-tea", crop: "lettuce", on: "soil" }, { ...FACTS, rules }),
    ).toMatchObject({ days: 200, sources: ["recipe", "own-rule"] });
  });
  it("tell what a smell means of this method, and that it is not known where nobody said", () => {
    expect(asked({ kind: "smells", methodId: "cultured-extract", word: "sulphur" })).toMatchObject({
      code: "smell",
      says: "failed",
      cautions: ["mould"],
    });
    expect(asked({ kind: "smells", methodId: "cultured-extract", word: "neutral" }).code).toBe("unknown");
  });
  it("do not know for a crop that is not said", () => {
    expect(asked({ kind: "may-use", methodId: "aerated-tea", crop: " ", on: "soil" }).code).toBe("unknown");
  });
  it("put part and water together to the can", () => {
    for (const methodId of INPUTS) {
      const answer = asked({ kind: "how-much", methodId, canL: 10 });
      if (answer.code === "dose") expect(answer.litres * (1 + answer.partsWater)).toBeCloseTo(10, 9);
    }
    expect(asked({ kind: "how-much", methodId: "aerated-tea", canL: 0 }).code).toBe("unknown");
  });
  it("say where they are from, of every method and question", () => {
    for (const methodId of INPUTS) {
      const questions: Question[] = [
        { kind: "how-long", methodId },
        { kind: "what-goes-in", methodId },
        { kind: "how-much", methodId, canL: 10 },
        ...(["leaves", "soil"] as const).map((on) => ({ kind: "may-use", methodId, crop: "tomato", on }) as const),
        ...SMELLS.map((word) => ({ kind: "smells", methodId, word }) as const),
      ];
      for (const question of questions) {
        const answer = asked(question);
        expect(answer.sources.length > 0).toBe(answer.code !== "unknown");
      }
    }
  });
  it.each([
    ["May I put this on lettuce today?", "may-use", null],
    ["it smells of eggs, what now?", "smells", "sulphur"],
    ["stinks like something rotten", "smells", "putrid"],
    ["how much in my can", "how-much", null],
    ["how long does it keep", "how-long", null],
    ["what goes in?", "what-goes-in", null],
    ["hello", null, null],
  ])("%s", (text, kind, smell) => expect(readAsked(text)).toEqual({ kind, smell }));
});
