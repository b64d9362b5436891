import { seasonFile, seasonNamed } from "@/testing/season/vectors";
import type { Season, SeasonPlan } from "../season";
import { verifyPlan } from ".";

interface Edit {
  readonly in: "season" | "plan";
  readonly at: string;
  readonly value: unknown;
}
const { cases } = seasonFile<{ cases: { code: string; why: string; edits: Edit[] }[] }>("broken");

/** Sets a value at a JSON pointer; "-" is behind the last of a list. */
function edited<T>(document: T, at: string, value: unknown): T {
  const copy = structuredClone(document);
  const keys = at.split("/").slice(1);
  const last = keys.pop()!;
  const place = keys.reduce<Record<string, unknown>>(
    (inside, key) => (inside[key] ??= []) as Record<string, unknown>,
    copy as Record<string, unknown>,
  );
  if (last === "-") (place as unknown as unknown[]).push(value);
  else place[last] = value;
  return copy;
}

describe("verifyPlan", () => {
  const season = seasonNamed("three-plots");
  const best = seasonFile<SeasonPlan>("three-plots.best");

  test("the best plan of three plots breaks nothing and is worth what it says", () => {
    const { broken, score } = verifyPlan(season, best);
    expect(broken).toEqual([]);
    expect(score).toMatchObject({ unmet: 3, cost: 173.4, fuss: 1.54, wasteL: 6, starts: 3 });
  });

  test.each(cases.map(({ code, why, edits }) => [code, why, edits] as const))("%s: %s", (code, _why, edits) => {
    let [ground, plan]: [Season, SeasonPlan] = [season, best];
    for (const edit of edits)
      if (edit.in === "season") ground = edited(ground, edit.at, edit.value);
      else plan = edited(plan, edit.at, edit.value);
    expect(verifyPlan(ground, plan).broken.map((one) => one.code)).toContain(code);
  });
});
