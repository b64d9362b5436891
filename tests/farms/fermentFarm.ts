/** A farm in a cool place with a batch for each kind of trouble; made through services, each act at its own time. */
import { randomUUID } from "node:crypto";
import { findRecipe } from "@/core/book";
import { scaleRecipe } from "@/core/recipe/scale";
import { listActors } from "@/data/farm";
import { addVessel, setUpFarm } from "@/services/farm";
import type { Context } from "@/services/context";
import { addDevice, takeReadings } from "@/services/devices";
import { fillVessel } from "@/services/fill";
import { logEntry } from "@/services/batch";
import { onMachine } from "@/services/people";
import { now, pool } from "@/services/runtime";
import { WALK_PASSPHRASE } from "../harness/signedIn";
import { receiveLot } from "@/services/shed";
import { addWaterSource } from "@/services/water";

const HOUR_MS = 3_600_000;
/** As tests/ferment.spec.ts posts with it. */
const TOKEN = "fermenting-farm-probe-token-0123456789abcdef";
let made = now();
const at = (hoursAgo: number) => new Date(made.getTime() - hoursAgo * HOUR_MS);
let actor: Context["actor"] = { id: 0, name: "", role: "steward" };
let sourceId = 0;
const context = (hoursAgo: number): Context => ({ pool: pool(), now: () => at(hoursAgo), actor });

async function fill(
  vesselId: number,
  methodId: string,
  litres: number,
  hoursAgo: number,
  statedC: number,
): Promise<number> {
  const recipe = scaleRecipe({ recipe: findRecipe(methodId), vesselL: 20_000, targetBasis: litres });
  const { batchId } = await fillVessel(context(hoursAgo), {
    requestKey: randomUUID(),
    vesselId,
    methodId,
    schoolId: findRecipe(methodId).school.id,
    basisAmount: litres,
    lines: recipe.lines
      .filter(({ onDay }) => onDay === 0)
      .map(({ ingredient, part, amount }) => ({
        ingredientId: ingredient,
        part,
        used: Number(amount.toFixed(3)),
        pickedNow: ingredient === "plant",
        ...(ingredient === "plant" ? { species: "comfrey" } : {}),
      })),
    statedC,
    startedAt: at(hoursAgo).toISOString(),
    labourMin: 20,
    water: { sourceId },
  });
  return batchId;
}

const log = (batchId: number, hoursAgo: number, entry: object) =>
  logEntry(context(hoursAgo), { requestKey: randomUUID(), batchId, at: at(hoursAgo).toISOString(), entry });

export async function fermentFarm(): Promise<void> {
  made = now();
  await setUpFarm(onMachine(pool(), now), {
    requestKey: randomUUID(),
    name: "Cool hollow",
    people: ["Ana", "Ben"],
    passphrase: WALK_PASSPHRASE,
    timeZone: "Etc/GMT-10",
    latitudeDeg: -37.5,
    longitudeDeg: 150,
    units: "metric",
    currency: "crowns",
    labourPerH: 12,
    powerPerKWh: 0.3,
    climateMeanC: 12,
    climateSwingC: 0,
  });
  [actor = actor] = await listActors(pool());
  sourceId = (await addWaterSource(context(9000), { requestKey: randomUUID(), name: "Butt", kind: "rain" })).sourceId;
  const vessel = async (name: string, volumeL: number, airW = 0) =>
    (
      await addVessel(context(9000), {
        requestKey: randomUUID(),
        name,
        kind: volumeL > 40 ? "drum" : "pail",
        volumeL,
        airW,
      })
    ).vesselId;
  for (const [ingredientId, amount] of [
    ["potato", 20],
    ["sea-salt", 5],
    ["leaf-mould", 20],
    ["molasses", 20],
    ["lactic-culture", 20],
    ["castings", 60],
    ["kelp-meal", 5],
    ["rock-dust", 5],
    ["fish-hydrolysate", 5],
  ] as const)
    await receiveLot(context(600), {
      requestKey: randomUUID(),
      ingredientId,
      amount,
      origin: "bought",
      receivedOn: at(600).toISOString().slice(0, 10),
      cost: 10,
    });

  const cold = await fill(await vessel("Cold pail", 20), "leaf-mould-brew", 15, 34, 12);
  for (const hours of [30, 20, 10, 1]) await log(cold, hours, { kind: "temperature", celsius: 12 });
  await log(cold, 1, { kind: "surface", word: "still" });

  const tonight = await fill(await vessel("Warm pail", 20), "leaf-mould-brew", 15, 40, 24);
  await log(tonight, 40, { kind: "act", act: "moved", celsius: 24 });
  for (const hours of [36, 24, 12, 2]) await log(tonight, hours, { kind: "temperature", celsius: 24 });
  await log(tonight, 2, { kind: "surface", word: "patches" });

  const sour = await fill(await vessel("Sour drum", 120), "cultured-extract", 80, 20 * 24, 22);
  await log(sour, 20 * 24, { kind: "act", act: "moved", celsius: 22 });
  for (const days of [16, 10, 3]) await log(sour, days * 24, { kind: "temperature", celsius: 22 });
  await log(sour, 3 * 24, { kind: "ph", value: 3.8, instrument: "meter", spot: "mid-depth", settled: true });

  const probed = await vessel("Probe drum", 120);
  await fill(probed, "cultured-extract", 80, 8 * 24, 20);
  await addDevice(context(8 * 24), {
    requestKey: randomUUID(),
    name: "Long probe",
    kind: "probe",
    vesselId: probed,
    token: TOKEN,
  });
  await takeReadings(pool(), made, TOKEN, {
    readings: Array.from({ length: 100 }, (_, hour) => ({
      at: at(160 - hour).toISOString(),
      quantity: "liquid",
      value: 18,
    })),
  });

  const tea = await fill(await vessel("Tea drum", 120, 40), "aerated-tea", 80, 30, 24);
  await log(tea, 30, { kind: "act", act: "moved", celsius: 24 });
  for (const hours of [28, 16, 4]) await log(tea, hours, { kind: "temperature", celsius: 24 });
}
