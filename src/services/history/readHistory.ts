import "server-only";
import { findIngredient, INGREDIENTS } from "@/core/book/ingredients";
import { findMethod, METHODS } from "@/core/book";
import type { Farm } from "@/data/farm";
import { HISTORY_PARTS, listHistory, type HistoryLine, type HistoryPart } from "@/data/history";
import { listThings } from "@/data/things";
import { momentOn } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";

/** Lines of one page. */
const SHOWN = 100;
const DAY_MS = 86_400_000;

export type HistoryLineView = Omit<HistoryLine, "addedAt" | "at"> & { readonly addedMs: number; readonly atMs: number };

export interface HistoryView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly lines: readonly HistoryLineView[];
  /** Where the next, older page begins, and how many of its first lines are shown already; null where there is none. */
  readonly older: { readonly before: number; readonly skip: number } | null;
}

export interface HistoryQuery {
  readonly part?: HistoryPart | undefined;
  readonly person?: number | undefined;
  readonly day?: string | undefined;
  readonly before?: number | undefined;
  readonly skip?: number | undefined;
}

/** A filter as an address tells it; what is no number and no day is passed over. */
export function readHistoryQuery(asked: Readonly<Record<string, string>>): HistoryQuery {
  const part = HISTORY_PARTS.find((one) => one === asked.part);
  const person = /^\d{1,15}$/.test(asked.person ?? "") ? Number(asked.person) : undefined;
  const day = /^\d{4}-\d{2}-\d{2}$/.test(asked.day ?? "") ? asked.day : undefined;
  return { part, person, day };
}

/** Names of the book stand in tables by their id. */
export function named(line: HistoryLine): string {
  if (line.code === "recipe")
    return METHODS.some(({ id }) => id === line.subject) ? findMethod(line.subject).name : line.subject;
  return Object.hasOwn(INGREDIENTS, line.subject) ? findIngredient(line.subject).name : line.subject;
}

/** What was written, newest first: all of it, of one person, one part of the farm, or one day. */
export async function readHistory(
  ctx: Context,
  farm: Farm,
  { part, person, day, before, skip = 0 }: HistoryQuery,
): Promise<HistoryView> {
  const dayStart = day === undefined ? null : momentOn(day, "00:00", farm);
  const end = dayStart === null ? new Date(ctx.now().getTime() + DAY_MS) : new Date(dayStart.getTime() + DAY_MS);
  const lines = await listHistory(ctx.pool, {
    part: part ?? null,
    actorId: person ?? null,
    from: dayStart,
    before: before === undefined ? end : new Date(Math.min(before, end.getTime())),
    most: skip + SHOWN + 1,
  });
  const people = await listThings(ctx.pool, "person");
  const shown = lines.slice(skip, skip + SHOWN);
  const lastMs = shown.at(-1)?.addedAt.getTime() ?? 0;
  const atLast = lines.slice(0, skip + SHOWN).filter(({ addedAt }) => addedAt.getTime() === lastMs).length;
  return {
    farm: farmView(farm),
    nowMs: ctx.now().getTime(),
    people: people.map(({ id, facts }) => ({ id, name: String(facts.name) })),
    lines: shown.map(({ addedAt, at, ...line }) => ({
      ...line,
      subject: named({ addedAt, at, ...line }),
      addedMs: addedAt.getTime(),
      atMs: at.getTime(),
    })),
    older: lines.length > skip + SHOWN ? { before: lastMs + 1, skip: atLast } : null,
  };
}
