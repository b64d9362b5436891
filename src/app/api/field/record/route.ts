import { exportRecord, RECORD_KINDS } from "@/services/files";
import { openFrame } from "../../../session";
import { fileName } from "../../../door/fileName";

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const [FIRST, LAST] = ["0000-00-00", "9999-99-99"] as const;

/** What went on where, or what was made, between two days: for an inspector. */
export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const query = new URL(request.url).searchParams;
  const kind = RECORD_KINDS.find((one) => one === query.get("kind"));
  const [from, to] = [query.get("from") || FIRST, query.get("to") || LAST];
  if (!frame || !kind) return new Response("There is no such file.", { status: 404 });
  if ([from, to].some((day) => day !== FIRST && day !== LAST && !DAY.test(day)))
    return new Response("Days are written 2031-03-20.", { status: 400 });
  const name = fileName(frame.farm.name, `${kind}.csv`);
  return new Response(await exportRecord(frame.ctx, frame.farm, kind, { from, to }), {
    headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${name}"` },
  });
}
