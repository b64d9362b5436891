import { findModel } from "@/core/ferment/models";
import type { Observation } from "@/core/ferment/evidence/observations";
import { forecast } from "@/core/ferment/outlook/forecast";
import { modelAdvice, sayRefused } from "./modelWords";

const smell = (hour: number, value: string) => ({ hour, type: "smell", value }) as Observation;
const tea = (ambientC: number, observations: readonly Observation[] = []) => ({
  model: findModel("A2_tea_sugar"),
  ambientC,
  startC: ambientC,
  observations,
});

describe("the word that worked cases ask for", () => {
  it("is to use what is ready and smelt, to smell first what was not, to wait for what is early", () => {
    const smelt = tea(24, [smell(36, "neutral_earthy"), smell(28, "yeasty")]);
    expect(modelAdvice(forecast(smelt, 38))).toBe("use_now");
    expect(modelAdvice(forecast(tea(24), 40))).toBe("smell_then_use");
    expect(modelAdvice(forecast(tea(24), 4))).toBe("wait");
    expect(modelAdvice(forecast(tea(24), 150))).toBe("past");
    const rotten = tea(24, [smell(20, "rotten"), smell(30, "rotten")]);
    expect(modelAdvice(forecast(rotten, 31))).toBe("discard");
  });
});

describe("a report that can't be", () => {
  it("is told with its hour", () => {
    expect(sayRefused([{ hour: 100.04, type: "ph", value: 1.5, method: "meter" }])).toEqual([
      "A pH of 1.5 at hour 100.0 can't be; it was not used.",
    ]);
    expect(sayRefused([{ hour: 50, type: "bubbles", value: NaN }])).toEqual([
      "A count of bubbles of NaN at hour 50.0 can't be; it was not used.",
    ]);
  });
});
