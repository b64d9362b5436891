import "server-only";
import { findRecipe } from "@/core/book";
import { USES } from "@/core/book/uses";
import { looksDue } from "@/core/apply/looks";
import { listDosesSince, listLooks, listPatchTests } from "@/data/field";
import { listStoresOnHand } from "@/data/stores";
import type { Farm } from "@/data/farm";
import { sayDilution } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { readCalendar, type PlotCalendar } from "../field";
import type { RoundDraft } from "./roundTask";

const HOUR_MS = 3_600_000;
const FIELD_ORDER = 2000;
/** A patch is looked at from so long after it was treated. */
const PATCH_LOOK_H = 24;
const NAMED = 4;
/** After this nothing is asked of what went on. */
const SEASON_D = 120;

type Head = Pick<RoundDraft, "key" | "does" | "on" | "title" | "why" | "urgency"> & { readonly href: string };

const fieldTask = ({ href, ...head }: Head, now: Date): RoundDraft => ({
  ...head,
  dueMs: now.getTime(),
  touch: { type: "go", href },
  vesselOrder: FIELD_ORDER,
});

/** What the farm's programmes ask for today, an input and a use as one. */
function dueTasks(plots: readonly PlotCalendar[], today: string, now: Date): RoundDraft[] {
  const dues = plots.flatMap(({ name, dues: ofPlot }) => ofPlot.map((due) => ({ ...due, name })));
  const kinds = [...new Set(dues.map(({ methodId, use }) => `${methodId} ${use}`))];
  return kinds.map((kind) => {
    const own = dues.filter(({ methodId, use }) => `${methodId} ${use}` === kind);
    const { methodId, use } = own[0]!;
    const { name } = findRecipe(methodId);
    const more = own.length > NAMED ? ` and ${own.length - NAMED} more` : "";
    return fieldTask(
      {
        key: `put-on-${methodId}-${use}`,
        does: "put-on",
        on: name,
        title: `${name}: on ${plural(own.length, "bed")}`,
        why: `${USES[use].name}, by your schedules: ${own
          .slice(0, NAMED)
          .map((due) => due.name)
          .join(", ")}${more}`,
        urgency: own.some(({ day }) => day < today) ? "late" : "now",
        href: "/field/programmes",
      },
      now,
    );
  });
}

/** Patches that were treated a day ago or more, and nobody has looked at. */
async function patchTasks({ pool }: Context, now: Date): Promise<RoundDraft[]> {
  const stores = await listStoresOnHand(pool);
  const tests = await listPatchTests(pool, [...new Set(stores.map(({ batchId }) => batchId))]);
  return tests
    .filter(({ result, at }) => result === null && at.getTime() <= now.getTime() - PATCH_LOOK_H * HOUR_MS)
    .map(({ id, batchId, plotName, partsWater }) =>
      fieldTask(
        {
          key: `patch-${id}`,
          does: "look",
          on: plotName,
          title: `${plotName}: look at the patch`,
          why: `Treated at ${sayDilution(partsWater)}: are the leaves marked?`,
          urgency: "now",
          href: `/field?store=${stores.find((store) => store.batchId === batchId)!.id}`,
        },
        now,
      ),
    );
}

/** A look that was missed stands in the round for so long; the plot itself asks on. */
const LOOK_STANDS_D = 4;
const DAY_MS = 24 * HOUR_MS;

/** Plots whose look after what went on has come, as one walk. */
async function lookTasks({ pool }: Context, now: Date): Promise<RoundDraft[]> {
  const since = new Date(now.getTime() - SEASON_D * DAY_MS);
  const [doses, looks] = await Promise.all([listDosesSince(pool, since), listLooks(pool, null, since)]);
  const looksOf = new Map<number, number[]>();
  for (const { plotId, at } of looks) looksOf.set(plotId, [...(looksOf.get(plotId) ?? []), at.getTime()]);
  const dosesOf = new Map<number, (typeof doses)[number][]>();
  for (const dose of doses) {
    const own = dosesOf.get(dose.plotId);
    if (own) own.push(dose);
    else dosesOf.set(dose.plotId, [dose]);
  }
  const names = [...dosesOf.values()].flatMap((own) => {
    const [due] = looksDue(own, looksOf.get(own[0]!.plotId) ?? [], now.getTime());
    return due && due.dueMs >= now.getTime() - LOOK_STANDS_D * DAY_MS ? [own[0]!] : [];
  });
  if (names.length === 0) return [];
  const more = names.length > NAMED ? ` and ${names.length - NAMED} more` : "";
  return [
    fieldTask(
      {
        key: "look-at-beds",
        does: "look",
        on: names[0]!.plotName,
        title: `Look at ${plural(names.length, "bed")}`,
        why: `What went on shows by now: ${names
          .slice(0, NAMED)
          .map(({ plotName }) => plotName)
          .join(", ")}${more}`,
        urgency: "now",
        href: `/field/plots/${names[0]!.plotId}`,
      },
      now,
    ),
  ];
}

/** What the field asks for: by the programmes, and where patches and beds wait to be looked at. */
export async function fieldTasks(ctx: Context, farm: Farm): Promise<RoundDraft[]> {
  const now = ctx.now();
  const today = isoDay(now, farm);
  const [{ plots }, patches, looks] = await Promise.all([
    readCalendar(ctx.pool, farm, now, today),
    patchTasks(ctx, now),
    lookTasks(ctx, now),
  ]);
  return [...dueTasks(plots, today, now), ...patches, ...looks];
}
