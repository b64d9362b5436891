/** The workshop farm over a cold spring: a station outside, and vessels as yards have them: places unsaid, meters adrift, noses that err. */
import { randomUUID } from "node:crypto";
import { findRecipe } from "@/core/book";
import { scaleRecipe } from "@/core/recipe/scale";
import { listActors } from "@/data/farm";
import { addVessel } from "@/services/farm";
import type { Context } from "@/services/context";
import { addDevice, takeReadings } from "@/services/devices";
import { sayPlace } from "@/services/ferment";
import { fillVessel } from "@/services/fill";
import { logEntry } from "@/services/batch";
import { now, pool } from "@/services/runtime";
import { fillLines } from "@/testing/fillLines";

const HOUR_MS = 3_600_000;
const D = 24;
const OUTSIDE_C = 6;
const STATION_DAYS = 32;
const POSTED_AT_ONCE = 200;
const TOKEN = "yards-station-token-0123456789-abcdefghijklmn";

/** What was written down of one vessel, hours after it was filled. */
interface Told {
  readonly vessel: string;
  readonly method: string;
  readonly ageH: number;
  readonly place?: { readonly kind: string; readonly lowC?: number; readonly highC?: number };
  readonly log: readonly (readonly [hour: number, entry: object])[];
}

const ph = (day: number, value: number) =>
  [day * D, { kind: "ph", value, instrument: "meter", spot: "mid-depth", settled: true }] as const;
const smell = (day: number, word: string) => [day * D + 0.05, { kind: "smell", word }] as const;
const sign = (day: number, kind: string, word: string) => [day * D + 0.1, { kind, word }] as const;
const act = (hour: number, what: string, more: object = {}) => [hour, { kind: "act", act: what, ...more }] as const;
const warmRoom = { kind: "indoors", lowC: 20, highC: 23 };
const hours = (...of: number[]) => of.map((hour) => hour / D);

const YARDS: readonly Told[] = [
  {
    vessel: "Unsaid drum",
    method: "cultured-extract",
    ageH: 18 * D,
    log: [ph(4, 5.2), ph(8, 4.3), ph(12, 3.8), smell(12, "cidery"), ph(16, 3.7), smell(16, "cidery")],
  },
  {
    vessel: "Room tea",
    method: "aerated-tea",
    ageH: 39,
    log: hours(28, 33, 38).map((day) => smell(day, "earthy")),
  },
  {
    vessel: "Adrift drum",
    method: "cultured-extract",
    ageH: 20 * D,
    place: warmRoom,
    log: [ph(14, 3.7), smell(14, "cidery"), ph(16, 3.7), smell(16, "cidery"), ph(19, 5.1), smell(19, "cidery")],
  },
  {
    vessel: "Doubted drum",
    method: "cultured-extract",
    ageH: 18 * D,
    place: warmRoom,
    log: [smell(13, "sulphur"), ...[14, 15, 17].flatMap((day) => [smell(day, "yogurt-sour"), ph(day, 3.6)])],
  },
  {
    vessel: "Ammonia drum",
    method: "cultured-extract",
    ageH: 18 * D,
    place: warmRoom,
    log: [ph(14, 3.7), smell(14, "cidery"), ph(16, 3.7), smell(16, "cidery"), smell(17.8, "ammonia")],
  },
  {
    vessel: "Maggot drum",
    method: "cultured-extract",
    ageH: 16 * D,
    place: warmRoom,
    log: [smell(10, "yeasty"), sign(15, "film", "maggots")],
  },
  {
    vessel: "Rotten drum",
    method: "cultured-extract",
    ageH: 12 * D,
    place: warmRoom,
    log: [smell(8, "raw sweet"), smell(10, "putrid"), smell(11.5, "putrid")],
  },
  {
    vessel: "Floating char",
    method: "charged-char",
    ageH: 20 * D,
    place: warmRoom,
    log: [smell(19, "earthy"), [19 * D + 0.2, { kind: "sunk", value: 50 }]],
  },
  {
    vessel: "Cut tea",
    method: "aerated-tea",
    ageH: 34,
    place: warmRoom,
    log: [act(20, "power-cut"), act(28, "power-back")],
  },
  {
    vessel: "Heated drum",
    method: "cultured-extract",
    ageH: 3.5 * D,
    place: { kind: "shed" },
    log: [act(D, "heater-on", { celsius: 24 }), act(3 * D, "power-cut")],
  },
  {
    vessel: "Cold shell",
    method: "shell-calcium",
    ageH: 25 * D,
    place: { kind: "shed", lowC: 5, highC: 7 },
    log: [20, 22, 24].flatMap((day) => [sign(day, "surface", "still"), smell(day, "neutral"), ph(day, 4.2)]),
  },
  {
    vessel: "Over leachate",
    method: "leachate-bloom",
    ageH: 67,
    place: warmRoom,
    log: hours(50, 66).flatMap((day) => [smell(day, "fruity"), sign(day, "surface", "thick fine head")]),
  },
  { vessel: "Young drum", method: "cultured-extract", ageH: 5 * D, log: [smell(4, "raw sweet")] },
];

export async function yards(): Promise<void> {
  const made = now();
  const at = (hoursAgo: number) => new Date(made.getTime() - hoursAgo * HOUR_MS);
  const [actor] = await listActors(pool());
  const context = (hoursAgo: number): Context => ({ pool: pool(), now: () => at(hoursAgo), actor: actor! });
  await addDevice(context(STATION_DAYS * D), {
    requestKey: randomUUID(),
    name: "Mast",
    kind: "station",
    vesselId: null,
    token: TOKEN,
  });
  const air = Array.from({ length: STATION_DAYS * D }, (_, hour) => ({
    at: at(hour).toISOString(),
    quantity: "air",
    value: OUTSIDE_C + 4 * Math.cos((2 * Math.PI * (at(hour).getUTCHours() + 5 - 15)) / D),
  }));
  for (let from = 0; from < air.length; from += POSTED_AT_ONCE)
    await takeReadings(pool(), made, TOKEN, { readings: air.slice(from, from + POSTED_AT_ONCE) });
  for (const { vessel, method, ageH, place, log } of YARDS) {
    const recipe = findRecipe(method);
    const { vesselId } = await addVessel(context(STATION_DAYS * D), {
      requestKey: randomUUID(),
      name: vessel,
      kind: "drum",
      volumeL: 60,
      airW: recipe.aerated ? 40 : 0,
    });
    if (place) await sayPlace(context(ageH), { requestKey: randomUUID(), vesselId, ...place });
    const stated = recipe.ingredients
      .filter(({ amount }) => amount.type === "unknown")
      .map(({ ingredient }) => ({ ingredient, amount: 0.01 }));
    const scaled = scaleRecipe({ recipe, vesselL: 60, stated });
    const { batchId } = await fillVessel(context(ageH), {
      requestKey: randomUUID(),
      vesselId,
      methodId: method,
      schoolId: recipe.school.id,
      basisAmount: scaled.basisAmount,
      stated: [],
      lines: fillLines(scaled),
      statedC: 20,
      startedAt: at(ageH).toISOString(),
      labourMin: 20,
      water: { sourceId: 1 },
    });
    for (const [hour, entry] of log.toSorted(([a], [b]) => a - b))
      await logEntry(context(ageH - hour), {
        requestKey: randomUUID(),
        batchId,
        at: at(ageH - hour).toISOString(),
        entry,
      });
  }
}
