import "server-only";
import { findRecipe } from "@/core/book";
import { USES } from "@/core/book/uses";
import { listPatchTests } from "@/data/field";
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
        why: `${USES[use].name}, by our programmes: ${own
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

/** What the field asks for: by the programmes, and where patches wait to be looked at. */
export async function fieldTasks(ctx: Context, farm: Farm): Promise<RoundDraft[]> {
  const now = ctx.now();
  const today = isoDay(now, farm);
  const [{ plots }, patches] = await Promise.all([readCalendar(ctx.pool, farm, now, today), patchTasks(ctx, now)]);
  return [...dueTasks(plots, today, now), ...patches];
}
