import "server-only";
import { METHODS } from "@/core/book";
import { namesOf } from "@/core/book/growersNames";
import { INGREDIENT_IDS, INGREDIENTS, isWater } from "@/core/book/ingredients";
import { listNamedBatches } from "@/data/batch";
import { listPlotNames, listLand } from "@/data/field";
import { listOwnIngredients } from "@/data/shed";
import { listStoresOnHand } from "@/data/stores";
import { listThings } from "@/data/things";
import { listVesselStates } from "@/data/vessels";
import type { Context } from "../context";

/** What can be found by name. */
export const FIND_TYPES = ["vessel", "batch", "container", "bed", "method", "ingredient", "person", "water"] as const;
export type FindType = (typeof FIND_TYPES)[number];

export interface FoundThing {
  readonly type: FindType;
  readonly id: string;
  readonly name: string;
  /** What tells it from others of its name. */
  readonly note: string;
  readonly href: string;
}

/** Batches that are offered; older ones are in the records. */
const BATCHES = 400;

/** All that has a name on the farm and in the collection of methods, each with the page that it is on. */
export async function readFind({ pool }: Context): Promise<{ readonly things: readonly FoundThing[] }> {
  const [vessels, batches, stores, land, names, own, people, waters] = await Promise.all([
    listVesselStates(pool),
    listNamedBatches(pool, BATCHES),
    listStoresOnHand(pool),
    listLand(pool),
    listPlotNames(pool),
    listOwnIngredients(pool),
    listThings(pool, "person"),
    listThings(pool, "water"),
  ]);
  const thing = (type: FindType, id: string | number, name: string, note: string, href: string): FoundThing => ({
    type,
    id: String(id),
    name,
    note,
    href,
  });
  return {
    things: [
      ...vessels.map(({ id, name, batchId, ended, site }) =>
        thing("vessel", id, name, site, batchId !== null && !ended ? `/batches/${batchId}` : "/farm/vessel"),
      ),
      ...batches.map(({ id, name, vesselName }) => thing("batch", id, `${name} ${id}`, vesselName, `/batches/${id}`)),
      ...stores.map(({ id, label, place, batchId }) => thing("container", id, label, place, `/batches/${batchId}`)),
      ...land.map(({ id, block }) => thing("bed", id, names.get(id) ?? "", block, `/field/plots/${id}`)),
      ...METHODS.map(({ id, name, shortName }) =>
        thing(
          "method",
          id,
          name,
          [...(shortName === name ? [] : [shortName]), ...namesOf(id)].join(", "),
          `/book/${id}`,
        ),
      ),
      ...INGREDIENT_IDS.filter((id) => !isWater(id)).map((id) =>
        thing("ingredient", id, INGREDIENTS[id].name, "", `/shed?item=${id}`),
      ),
      ...own.map(({ id, name }) => thing("ingredient", `own-${id}`, name, "", `/shed?item=own-${id}`)),
      ...people.map(({ id, facts }) => thing("person", id, String(facts.name), "", `/farm/history?person=${id}`)),
      ...waters.map(({ id, facts }) => thing("water", id, String(facts.name), "", "/shed#water")),
    ],
  };
}
