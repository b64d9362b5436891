import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import type { Farm } from "@/data/farm";
import { listLand, listPlantings, listPlotNames } from "@/data/field";
import { listOwnIngredients, listAllLots } from "@/data/shed";
import { FILE_COLUMNS, type FileKind } from "@/formats/csv/tables";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { stateLots } from "../shed";
import { writeCsv } from "@/formats/csv/decode";
import { thingCells } from "./thingCells";

const heads = (kind: FileKind) => FILE_COLUMNS[kind].map(({ name }) => name);

/** A table as a file that can be read in again and then changes nothing. */
export async function exportFile(ctx: Context, farm: Farm, kind: FileKind): Promise<string> {
  const db = ctx.pool;
  const own = await listOwnIngredients(db);
  if (kind === "ingredients")
    return writeCsv(
      heads(kind),
      own.map((one) => [
        one.name,
        findIngredient(one.countsAs).name,
        one.densityKgPerL ?? "",
        one.keepsD ?? "",
        one.season.join(" "),
        one.keeping,
        one.caution,
      ]),
    );
  if (kind === "plantings") {
    const names = await listPlotNames(db);
    const standing = new Set((await listLand(db)).map(({ id }) => id));
    const yes = (is: boolean) => (is ? "yes" : "");
    return writeCsv(
      heads(kind),
      (await listPlantings(db))
        .filter(({ plotId }) => standing.has(plotId))
        .map((planting) => [
          planting.id,
          names.get(planting.plotId) ?? "",
          planting.crop,
          planting.part ?? "",
          yes(planting.perennial),
          planting.plantedOn ?? "",
          yes(planting.sown),
          planting.plants ?? "",
          planting.spacingCm ?? "",
          planting.harvestFrom ?? "",
          planting.harvestTo ?? "",
          planting.endedOn ?? "",
        ]),
    );
  }
  if (kind === "people" || kind === "vessels" || kind === "tools" || kind === "beds")
    return writeCsv(heads(kind), await thingCells(db, kind));
  const lots = await stateLots(db, await listAllLots(db), isoDay(ctx.now(), farm));
  const nameOf = (lot: (typeof lots)[number]) =>
    own.find(({ id }) => id === lot.ownId)?.name ?? findIngredient(lot.ingredientId).name;
  return kind === "lots"
    ? writeCsv(
        heads(kind),
        lots.map((lot) => [
          lot.id,
          nameOf(lot),
          lot.received,
          lot.unit,
          lot.origin,
          lot.receivedOn,
          lot.costMinor / 100,
          lot.expiresOn ?? "",
          lot.state.place,
          lot.note,
        ]),
      )
    : writeCsv(
        heads(kind),
        lots.map((lot) => [lot.id, nameOf(lot), lot.receivedOn, lot.onHand, lot.unit, lot.state.place]),
      );
}
