import "server-only";
import { mayAs } from "@/core/people/roles";
import { listAccess } from "@/data/people";
import { listHistory, type HistoryLine } from "@/data/history";
import { listActors, type Farm } from "@/data/farm";
import { momentOn } from "@/formats/times";
import { writeCsv } from "@/formats/csv/decode";
import { ACCESS_WORDS } from "@/words/said";
import { sayHistory } from "@/words/en/history";
import type { Context } from "../context";
import { named, type HistoryQuery } from "./readHistory";

const DAY_MS = 86_400_000;
/** Read so many at once, so that a farm of many seasons fits in memory. */
const CHUNK = 5_000;

const HEADS = ["written", "happened", "person", "part", "code", "what", "undone", "address", "device"] as const;
type Row = readonly (string | number)[];

/** All lines of a filter, the newest first. */
async function* allLines(ctx: Context, farm: Farm, { part, person, day }: HistoryQuery): AsyncGenerator<HistoryLine> {
  const from = day === undefined ? null : momentOn(day, "00:00", farm);
  let before = from === null ? new Date(ctx.now().getTime() + DAY_MS) : new Date(from.getTime() + DAY_MS);
  let told = 0;
  for (;;) {
    const lines = await listHistory(ctx.pool, {
      part: part ?? null,
      actorId: person ?? null,
      from,
      before,
      most: told + CHUNK,
    });
    yield* lines.slice(told);
    if (lines.length < told + CHUNK) return;
    // Lines of one moment may stand on both sides of the cut: those that were told are passed over.
    const lastMs = lines.at(-1)!.addedAt.getTime();
    told = lines.filter(({ addedAt }) => addedAt.getTime() === lastMs).length;
    before = new Date(lastMs + 1);
  }
}

/** Who came in, from where: a steward's to have; of one person or one day where that is asked. */
async function accessRows(ctx: Context, farm: Farm, { part, person, day }: HistoryQuery): Promise<Row[]> {
  if (!mayAs(ctx.actor.role, "steward") || part !== undefined) return [];
  const from = day === undefined ? null : momentOn(day, "00:00", farm);
  const before = from === null ? new Date(ctx.now().getTime() + DAY_MS) : new Date(from.getTime() + DAY_MS);
  const name = (await listActors(ctx.pool)).find(({ id }) => id === person)?.name;
  const events = await listAccess(ctx.pool, { actorId: person ?? null, from, before, most: 1_000_000 });
  return events.map(({ at, person: whose, by, kind, note, address, device }) => [
    at.toISOString(),
    at.toISOString(),
    by ?? (whose || name || ""),
    "access",
    kind,
    [whose, ACCESS_WORDS[kind], note].filter(Boolean).join(": "),
    "",
    address,
    device,
  ]);
}

/** The history as CSV, with the filter of the screen; for a steward with who came in and from where. */
export async function exportHistory(ctx: Context, farm: Farm, query: HistoryQuery): Promise<string> {
  const rows: Row[] = await accessRows(ctx, farm, query);
  for await (const line of allLines(ctx, farm, query)) {
    const subject = named(line);
    rows.push([
      line.addedAt.toISOString(),
      line.at.toISOString(),
      line.actorName,
      line.part,
      line.code,
      sayHistory(line.code, { ...line, subject }, farm.units),
      line.isUndone ? "yes" : "",
      "",
      "",
    ]);
  }
  return writeCsv(
    HEADS,
    rows.toSorted((a, b) => String(b[0]).localeCompare(String(a[0]))),
  );
}
