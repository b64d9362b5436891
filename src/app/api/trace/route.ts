import { exportTrace } from "@/services/trace";
import { openFrame } from "../../session";

const idOf = (text: string | null): number | undefined =>
  text !== null && /^\d{1,12}$/.test(text) ? Number(text) : undefined;

/** A trace as a table: a line for each lot of each batch on each plot. */
export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const query = new URL(request.url).searchParams;
  const asked = { plotId: idOf(query.get("plot")), batchId: idOf(query.get("batch")), lotId: idOf(query.get("lot")) };
  const csv = frame ? await exportTrace(frame.ctx, frame.farm, asked) : null;
  if (csv === null) return new Response("There is no such trace.", { status: 404 });
  return new Response(csv, {
    headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": 'attachment; filename="trace.csv"' },
  });
}
