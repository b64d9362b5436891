/** The demo farm a step on: the blue drum read and smelt, so that it is ready; with "strained" also strained, washed, and in store. */
import { randomUUID } from "node:crypto";
import { listActors } from "@/data/farm";
import { listVesselStates } from "@/data/vessels";
import { cleanVessel, closeBatch, logEntry } from "@/services/batch";
import type { Context } from "@/services/context";
import { now, pool } from "@/services/runtime";

export async function blueDrum(strained: boolean): Promise<void> {
  const [actor] = await listActors(pool());
  const drum = (await listVesselStates(pool())).find(({ name }) => name === "Blue drum");
  if (!actor || !drum?.batchId) throw new Error("The demo's blue drum holds no batch.");
  const { batchId } = drum;
  const ctx: Context = { pool: pool(), now, actor };
  const log = (entry: object) => logEntry(ctx, { requestKey: randomUUID(), batchId, entry });
  if (strained) {
    await closeBatch(ctx, {
      requestKey: randomUUID(),
      batchId,
      kind: "strained",
      yieldL: 171,
      label: "Bean extract",
      residue: "compost",
      labourMin: 20,
    });
    await cleanVessel(ctx, { requestKey: randomUUID(), vesselId: drum.id });
  } else {
    // Read twice, as it is far from the last reading.
    for (let reading = 0; reading < 2; reading += 1)
      await log({ kind: "ph", value: 3.8, instrument: "meter", spot: "mid-depth", settled: true });
    await log({ kind: "smell", word: "cidery" });
  }
}
