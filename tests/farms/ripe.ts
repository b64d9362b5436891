/** The workshop farm with every vessel filled in time to be ready now, and read and smelt so; beds and tools for what comes of it. */
import { randomUUID } from "node:crypto";
import { findRecipe } from "@/core/book";
import { phTarget } from "@/core/book/recipe";
import { SIGN_KINDS } from "@/core/book/words";
import { leadTime } from "@/core/choose/leadTime";
import { scaleRecipe } from "@/core/recipe/scale";
import { listActors } from "@/data/farm";
import { listVesselStates } from "@/data/vessels";
import { addTool } from "@/services/farm";
import { addPlot } from "@/services/field";
import type { Context } from "@/services/context";
import { addToBatch, logEntry } from "@/services/batch";
import { fillVessel } from "@/services/fill";
import { now, pool } from "@/services/runtime";
import { fillLines } from "@/testing/fillLines";
import { WORKSHOP, WORKSHOP_SETS } from "../harness/workshop";

const HOUR_MS = 3_600_000;
const STANDS_C = 22;
/** Verdicts go by quarters of an hour: what has just become ready may still be told as nearly so. */
const A_WHILE_H = 0.5;
let made = now();
const at = (hoursAgo: number) => new Date(made.getTime() - hoursAgo * HOUR_MS);

export async function ripe(units: "metric" | "us"): Promise<void> {
  made = now();
  const [actor] = await listActors(pool());
  const context = (hoursAgo: number): Context => ({ pool: pool(), now: () => at(hoursAgo), actor: actor! });
  const vessels = await listVesselStates(pool());
  for (const { methodId, name } of WORKSHOP[units]) {
    const vessel = vessels.find((one) => one.name === name)!;
    const recipe = findRecipe(methodId);
    const scaled = scaleRecipe({
      recipe,
      vesselL: vessel.volumeL,
      stated: recipe.ingredients
        .filter(({ amount }) => amount.type === "unknown")
        .map(({ ingredient }) => ({ ingredient, amount: 0.01 })),
    });
    const { likelyH, bestH } = leadTime(recipe, STANDS_C);
    const ageH =
      recipe.readiness.type === "fresh"
        ? Math.max(1, recipe.readiness.readyH + A_WHILE_H)
        : Math.max(bestH ?? 0, (likelyH ?? 24) * 1.1);
    const { batchId } = await fillVessel(context(ageH), {
      requestKey: randomUUID(),
      vesselId: vessel.id,
      methodId,
      schoolId: recipe.school.id,
      basisAmount: scaled.basisAmount,
      stated: [],
      lines: fillLines(scaled),
      statedC: STANDS_C,
      startedAt: at(ageH).toISOString(),
      labourMin: 20,
      water: { sourceId: 1 },
    });
    for (const { ingredient, amount, onDay } of scaled.lines.filter((line) => line.onDay > 0))
      if (onDay * 24 < ageH)
        await addToBatch(context(ageH - onDay * 24), {
          requestKey: randomUUID(),
          batchId,
          ingredientId: ingredient,
          amount: Number(amount.toFixed(3)),
        });
    const log = (hoursAgo: number, entry: object) =>
      logEntry(context(hoursAgo), { requestKey: randomUUID(), batchId, at: at(hoursAgo).toISOString(), entry });
    // What belongs to a later day was done on it.
    for (const { act, once, fromH } of recipe.tending)
      if (once && fromH < ageH && act !== "look" && act !== "read-ph") await log(ageH - fromH, { kind: "act", act });
    for (const part of [0.8, 0.5, 0.2]) await log(ageH * part, { kind: "temperature", celsius: STANDS_C });
    const target = phTarget(recipe);
    // Seen at two looks, as a sign is believed: a bloom's hours apart, the others' a tenth of their age.
    const apartH = recipe.family === "bloom" ? 3 : Math.max(20, 0.12 * ageH);
    for (const hoursAgo of [apartH, 0.1].filter((hours) => hours < ageH)) {
      if (target !== null)
        await log(hoursAgo, {
          kind: "ph",
          value: Number((target - 0.2).toFixed(2)),
          instrument: "meter",
          spot: "mid-depth",
          settled: true,
        });
      for (const kind of SIGN_KINDS) {
        const ready = recipe.cues.find((cue) => cue.kind === kind && cue.says === "ready");
        if (ready) await log(hoursAgo, { kind, word: ready.word });
      }
      // Nothing is strained that nobody smelt.
      if (!recipe.cues.some(({ kind, says }) => kind === "smell" && says === "ready"))
        await log(hoursAgo, { kind: "smell", word: "earthy" });
    }
    if (recipe.family === "char") await log(0.1, { kind: "sunk", value: 95 });
  }
  const far = { harvestOn: "2031-12-01" };
  // A bed gets the same input once: its interval before the next stands.
  for (const set of WORKSHOP_SETS)
    for (const [size, widthM, lengthM] of [
      ["Large ", 1.2, 3],
      ["Small ", 0.5, 0.5],
    ] as const)
      for (const [stage, extra] of [
        ["bare", {}],
        ["growing", { crop: "pepper", ...far }],
        ["seedling", { crop: "cabbage", ...far }],
      ] as const)
        await addPlot(context(0), {
          requestKey: randomUUID(),
          name: `${size}${stage} bed ${set}`,
          stage,
          widthM,
          lengthM,
          ...extra,
        });
  for (const tool of [
    { name: "Can", kind: "can", volumeL: 10, stepMl: 10 },
    { name: "Knapsack", kind: "knapsack", volumeL: 16, stepMl: 5 },
    { name: "Injector", kind: "injector", volumeL: 60, partsWater: 200 },
  ])
    await addTool(context(0), { requestKey: randomUUID(), ...tool });
}
