/** A farm with plenty of everything and a vessel for each method, round and odd, small and great; in litres, or with "us" in gallons. */
import { randomUUID } from "node:crypto";
import { INGREDIENT_IDS, isWater } from "@/core/book/ingredients";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { listActors } from "@/data/farm";
import { addVessel, setUpFarm } from "@/services/farm";
import type { Context } from "@/services/context";
import { onMachine } from "@/services/people";
import { now, pool } from "@/services/runtime";
import { WALK_PASSPHRASE } from "../harness/signedIn";
import { receiveLot } from "@/services/shed";
import { addWaterSource } from "@/services/water";
import { isoDay } from "@/formats/times";
import { WORKSHOP } from "../harness/workshop";

export async function workshop(units: "metric" | "us"): Promise<void> {
  const timeZone = units === "us" ? "Etc/GMT+7" : "Etc/GMT-5";
  await setUpFarm(onMachine(pool(), now), {
    requestKey: randomUUID(),
    name: "Workshop",
    people: ["Ana"],
    passphrase: WALK_PASSPHRASE,
    timeZone,
    latitudeDeg: 40,
    longitudeDeg: units === "us" ? -105 : 75,
    units,
    currency: "crowns",
    labourPerH: 12,
    powerPerKWh: 0.3,
    climateMeanC: 22,
    climateSwingC: 0,
  });
  const [actor] = await listActors(pool());
  const ctx: Context = { pool: pool(), now, actor: actor! };
  await addWaterSource(ctx, { requestKey: randomUUID(), name: "Butt", kind: "rain" });
  const today = isoDay(now(), { timeZone });
  for (const ingredientId of INGREDIENT_IDS.filter((id) => !isWater(id)))
    await receiveLot(ctx, {
      requestKey: randomUUID(),
      ingredientId,
      amount: 5000,
      origin: "bought",
      receivedOn: today,
      expiresOn: "2032-01-01",
      cost: 10,
      ...(isPickedPlant(ingredientId)
        ? { provenance: { plant: { species: "comfrey", part: "leaf", place: "" } } }
        : {}),
    });
  for (const { name, litres } of WORKSHOP[units])
    await addVessel(ctx, {
      requestKey: randomUUID(),
      name,
      kind: litres > 40 ? "drum" : "pail",
      volumeL: litres,
      airW: 60,
    });
}
