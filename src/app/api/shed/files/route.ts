import { FILE_KINDS, type FileKind } from "@/formats/csv/tables";
import { decodeText, parseCsv, exportFile, importFile, previewFile } from "@/services/files";
import { doorError, refuseInWords, toActError, tooLong } from "../../../door/answer";
import { readBody } from "../../../door/body";
import { strangeness } from "../../../door/stranger";
import { speechOf } from "@/words/speech";
import { openFrame } from "../../../session";
import { fileName } from "../../../door/fileName";

/** What a file may weigh. */
const MOST_BYTES = 8_000_000;

const kindOf = (query: URLSearchParams): FileKind | null =>
  FILE_KINDS.find((kind) => kind === query.get("kind")) ?? null;

export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const kind = kindOf(new URL(request.url).searchParams);
  if (!frame || !kind) return new Response("There is no such file.", { status: 404 });
  const name = fileName(frame.farm.name, `${kind}.csv`);
  return new Response(await exportFile(frame.ctx, frame.farm, kind), {
    headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${name}"` },
  });
}

/** Takes a file's bytes; answers line by line, so that long work shows how far it is: progress lines, then one with what came of it. */
export async function POST(request: Request): Promise<Response> {
  if (strangeness(request.headers)) return refuseInWords(doorError("stranger"));
  const frame = await openFrame();
  const query = new URL(request.url).searchParams;
  const kind = kindOf(query);
  if (!frame || !kind) return new Response("There is no such table.", { status: 404 });
  const bytes = await readBody(request, MOST_BYTES);
  if (!bytes) return refuseInWords(tooLong(MOST_BYTES));
  const { text, encoding } = decodeText(bytes);
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      try {
        if (query.get("write") === "1") {
          const input = { requestKey: query.get("key") ?? "", kind, text };
          const onProgress = (done: number, total: number) => say({ type: "progress", done, total });
          const value = await importFile({ ...frame.ctx, onProgress }, input);
          say({ type: "written", value });
        } else say({ type: "preview", value: await previewFile(frame.ctx, kind, parseCsv(text, encoding)) });
      } catch (error) {
        say({ type: "failed", error: toActError(error, speechOf(frame.farm.units)) });
      }
      controller.close();
    },
  });
  return new Response(stream, {
    headers: { "content-type": "application/x-ndjson; charset=utf-8", "cache-control": "no-store" },
  });
}
