import fc from "fast-check";
import { addDays, daysBetween } from "../calendar";
import { JUDGEMENTS } from "./judgement";
import { BOX_DAYS, mayJudgeAlone, nextToPractise, standingsOf, type Attempt } from "./spacing";

const DAY = "2031-03-01";
const right = (onDay: string): Attempt => ({ judgement: "dose", isRight: true, onDay });
const wrong = (onDay: string): Attempt => ({ judgement: "dose", isRight: false, onDay });
const dose = (attempts: readonly Attempt[]) => standingsOf(attempts).find(({ judgement }) => judgement === "dose")!;

describe("spacing over days, by boxes (Leitner 1972)", () => {
  it("asks again after 1, 2, 4, 8 and 16 days while it goes right on its day", () => {
    const attempts: Attempt[] = [];
    let day = DAY;
    for (const [nth, days] of [...BOX_DAYS, 16, 16].entries()) {
      attempts.push(right(day));
      const { box, dueOn } = dose(attempts);
      expect(box).toBe(Math.min(5, nth + 1));
      expect(daysBetween(day, dueOn!)).toBe(days);
      day = dueOn!;
    }
  });
  it("sends back to the first box what goes wrong, from any box", () => {
    const steps = [0, 1, 3, 7].map((days) => right(addDays(DAY, days)));
    expect(dose(steps).box).toBe(4);
    expect(dose([...steps, wrong(addDays(DAY, 9))])).toMatchObject({
      box: 1,
      dueOn: addDays(DAY, 10),
      right: 4,
      wrong: 1,
    });
  });
  it("leaves what goes right before its day where it is", () => {
    expect(dose([right(DAY), right(DAY), right(DAY)])).toMatchObject({ box: 1, dueOn: addDays(DAY, 1), right: 3 });
  });
  it("keeps to its five boxes, whatever comes", () => {
    const anAttempt = fc.record({
      judgement: fc.constantFrom(...JUDGEMENTS),
      isRight: fc.boolean(),
      onDay: fc.integer({ min: 0, max: 400 }).map((days) => addDays(DAY, days)),
    });
    fc.assert(
      fc.property(fc.array(anAttempt, { maxLength: 60 }), (given) => {
        const attempts = given.toSorted((a, b) => a.onDay.localeCompare(b.onDay));
        for (const { judgement, box, dueOn, right: yes, wrong: no } of standingsOf(attempts)) {
          expect(box).toBeLessThanOrEqual(5);
          expect((box === 0) === (dueOn === null)).toBe(true);
          expect(yes + no).toBe(attempts.filter((one) => one.judgement === judgement).length);
        }
      }),
    );
  });
  it("chooses the weakest of what is due, then what was never tried, else nothing", () => {
    expect(nextToPractise(standingsOf([]), DAY)?.box).toBe(0);
    const weak = standingsOf([right(DAY), { ...wrong(DAY), judgement: "caution" }]);
    expect(nextToPractise(weak, addDays(DAY, 1))?.judgement).toBe("caution");
    const all = standingsOf(JUDGEMENTS.map((judgement) => ({ ...right(DAY), judgement })));
    expect(nextToPractise(all, DAY)).toBeNull();
  });
});

describe("who may judge alone", () => {
  const drums = (outcomes: string, methodId = "aerated-tea") =>
    [...outcomes].map((one) => ({ methodId, isRight: one === "r", isHarmful: one === "h" }));
  it.each<[string, boolean]>([
    ["rrrr", false],
    ["rrrrr", true],
    ["rwrrr", true],
    ["rrwrw", false],
    ["hrrrr", false],
    ["hrrrrr", true],
    ["rrrrh", false],
  ])("%s: %s", (outcomes, may) => expect(mayJudgeAlone(drums(outcomes), "aerated-tea")).toBe(may));
  it("by the method’s own drums", () => expect(mayJudgeAlone(drums("rrrrr", "leaf-soak"), "aerated-tea")).toBe(false));
});
