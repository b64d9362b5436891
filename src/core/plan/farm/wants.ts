import type { Recipe } from "../../book/recipe";
import { findUseRate } from "../../book/useRate";
import { USES } from "../../book/uses";
import type { Need, Programme, Season } from "../season";
import type { FactDue, FarmFacts, SeasonAssumed } from "./facts";

/** Of one application: going there and back, and each can of ten litres. */
const APPLY_MIN = { fixed: 4, perMixL: 0.25 } as const;

const programmeId = ({ programmeId: id, step }: FactDue): string => `${id}.${step}`;

/** The steps of schedules as programmes of the season. */
export function programmesOf(
  facts: FarmFacts,
  made: ReadonlyMap<string, Recipe>,
  assumed: SeasonAssumed[],
): Map<string, Programme> {
  const found = new Map<string, Programme>();
  for (const { dues } of facts.plots)
    for (const due of dues) {
      const recipe = made.get(due.methodId);
      if (!recipe || found.has(programmeId(due))) continue;
      const rate = findUseRate(recipe, due.use);
      const mixL = due.mixLPerM2 ?? USES[due.use].mixLPerM2?.default ?? null;
      if (!rate || mixL === null) {
        assumed.push({ code: "no-rate", methodId: due.methodId });
        continue;
      }
      const usual = due.partsWater ?? rate.partsWater.default;
      found.set(programmeId(due), {
        id: programmeId(due),
        input: due.methodId,
        use: due.use,
        crops: [],
        mixRate: { amountL: mixL, per: "m2" },
        partsWater: { default: usual, weakest: Math.max(usual, rate.partsWater.weakest) },
        timing: { kind: "every", from: 0, until: "harvest-end", everyD: due.everyD, tolD: toleranceD(due) },
        minGapD: Math.max(1, Math.round(due.everyD * 0.6)),
        beforeHarvestD: 0,
        priority: due.use === "drench-bare" ? 3 : 2,
        work: { fixedMin: APPLY_MIN.fixed, per100Min: 100 * APPLY_MIN.perMixL * mixL },
      });
    }
  return found;
}
/** An application may shift by about a quarter of its interval. */
const toleranceD = ({ everyD }: Pick<FactDue, "everyD">): number => Math.min(4, Math.max(1, Math.floor(everyD / 4)));

/** A need by what it is of and the day it is due on: the same in every reading while the schedule stands. */
const needId = (of: string, due: FactDue, part: number, parts: number): string =>
  `${of}.${due.day}${parts > 1 ? `#${part + 1}` : ""}`;
/** What a need is of, whatever the day: the plot, and the step of its schedule. */
export const needOf = (id: string): string => id.slice(0, id.lastIndexOf("."));

/** What is due on each plot, with the days that it may shift by. @param largestL what the largest vessel gives of an input */
export function needsOf(
  facts: FarmFacts,
  programmes: ReadonlyMap<string, Programme>,
  largestL: (input: string) => number,
  day: (iso: string) => number,
): Need[] {
  const today = day(facts.today);
  return facts.plots.flatMap(({ id, areaM2, dues }) => {
    const counts = new Map<string, number>();
    return dues.flatMap((due): Need[] => {
      const programme = programmes.get(programmeId(due));
      if (!programme) return [];
      const seq = counts.get(programme.id) ?? 0;
      counts.set(programme.id, seq + 1);
      const preferredDay = Math.max(today, day(due.day));
      const [earliestDay, latestDay] = [
        Math.max(today, preferredDay - toleranceD(due)),
        Math.min(day(due.latestOn), preferredDay + toleranceD(due)),
      ];
      if (latestDay < earliestDay || latestDay >= facts.days) return [];
      const mixL = areaM2 * programme.mixRate.amountL;
      const preferredL = mixL / (1 + programme.partsWater.default);
      const parts = Math.max(1, Math.ceil(preferredL / Math.max(0.001, largestL(programme.input)) - 1e-9));
      const work = programme.work.fixedMin + mixL * APPLY_MIN.perMixL;
      return Array.from({ length: Math.min(parts, 12) }, (_, part) => ({
        id: needId(`${id}.${programme.id}`, due, part, parts),
        planting: String(id),
        programme: programme.id,
        seq,
        part,
        earliestDay,
        latestDay,
        preferredDay: Math.min(preferredDay, latestDay),
        preferredL: preferredL / parts,
        leastL: mixL / (1 + programme.partsWater.weakest) / parts,
        priority: programme.priority,
        workMin: work / parts,
      }));
    });
  });
}

/** What must not share a day on one plot: two things on the same leaves. */
export function separationsOf(programmes: ReadonlyMap<string, Programme>): Season["separations"] {
  const onLeaves = [
    ...new Set([...programmes.values()].filter(({ use }) => use === "foliar").map(({ input }) => input)),
  ];
  return onLeaves.flatMap((one, index) =>
    onLeaves
      .slice(index + 1)
      .map((other) => ({ a: { input: one, use: "foliar" }, b: { input: other, use: "foliar" }, apartD: 1 })),
  );
}
