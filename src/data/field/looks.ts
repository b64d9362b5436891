import "server-only";
import { randomBytes } from "node:crypto";
import type { Looked } from "@/core/apply/looks";
import { insert, select, type Queryable } from "../db";

/** How a plot looked at a moment. */
export interface PlotLook {
  readonly id: number;
  readonly plotId: number;
  readonly at: Date;
  readonly signs: Looked;
  readonly note: string;
  readonly by: string;
  /** By which its picture is asked for; null where none was taken. */
  readonly photo: string | null;
}

interface LookRow {
  id: number;
  plotId: number;
  at: Date;
  signs: Looked | string;
  note: string;
  actorName: string;
  publicId: string;
  hasPhoto: number;
}

/** Looks at one plot, or at all of them, the latest first; pictures are asked for by themselves. */
export async function listLooks(
  db: Queryable,
  plotId: number | null = null,
  since: Date = new Date(0),
): Promise<PlotLook[]> {
  const rows = await select<LookRow>(
    db,
    `select look.id, look.plot_id as plotId, look.at, look.signs, look.note, actor.name as actorName, look.public_id as publicId,
       look.has_photo as hasPhoto
     from standing_look look join actor on actor.id = look.actor_id
     where look.at >= ?${plotId === null ? "" : " and look.plot_id = ?"} order by look.at desc, look.id desc`,
    plotId === null ? [since] : [since, plotId],
  );
  return rows.map(({ actorName, signs, publicId, hasPhoto, ...row }) => ({
    ...row,
    signs: typeof signs === "string" ? (JSON.parse(signs) as Looked) : signs,
    by: actorName,
    photo: hasPhoto ? publicId : null,
  }));
}

export const insertLook = (
  db: Queryable,
  look: {
    readonly plotId: number;
    readonly at: Date;
    readonly signs: Looked;
    readonly note: string;
    readonly jpeg: Buffer | null;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(
    db,
    "insert into plot_look (public_id, plot_id, at, signs, note, jpeg, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [
      randomBytes(16).toString("hex"),
      look.plotId,
      look.at,
      JSON.stringify(look.signs),
      look.note,
      look.jpeg,
      look.actorId,
      look.addedAt,
    ],
  );
