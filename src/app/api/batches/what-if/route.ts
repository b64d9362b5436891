import { askWhatIf, type WhatIfAsked } from "@/services/ferment/askWhatIf";
import { numberIn } from "../../../query";
import { openFrame } from "../../../session";

/** A figure of the query within its bounds; undefined for none, or for what makes no sense. */
function figure(query: URLSearchParams, name: string, min: number, max: number): number | undefined {
  const text = query.get(name);
  const value = text === null || text.trim() === "" ? NaN : Number(text);
  return value >= min && value <= max ? value : undefined;
}

/** What would come of a batch done otherwise. Asks, and changes nothing. */
export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const batchId = numberIn(request, "batch");
  if (!frame || batchId === null) return new Response("There is no such batch.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const asked = Object.entries({
    placeC: figure(query, "place", -10, 45),
    heaterC: figure(query, "heater", 5, 45),
    inoculum: figure(query, "culture", 0.1, 10),
    sugar: figure(query, "sugar", 0.1, 3),
    laterH: figure(query, "later", 1, 240),
    byMs: figure(query, "by", 0, 8.64e15),
    forPeak: query.get("peak") === "1" ? true : undefined,
  }).filter(([, value]) => value !== undefined);
  const answer = await askWhatIf(frame.ctx, frame.farm, batchId, Object.fromEntries(asked) as WhatIfAsked);
  return answer ? Response.json(answer) : new Response("This batch has ended.", { status: 404 });
}
