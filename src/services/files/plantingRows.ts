import "server-only";
import type { EdiblePart } from "@/core/book/crops";
import type { Queryable } from "@/data/db";
import {
  insertPlanting,
  insertPlantingState,
  listLand,
  listPlantings,
  lockPlanting,
  type NewPlanting,
  type PlantingRow,
} from "@/data/field";
import type { FileFault } from "@/formats/csv/fileFault";
import { readDay, readNumberCell } from "@/formats/csv/tables";
import type { LotRows } from "./lotRows";
import { wrongRow, type Faults, type RowOutcome } from "./rows";

type Told = Omit<NewPlanting, "actorId" | "addedAt">;
type Cells = Readonly<Record<string, string>>;

const PARTS: readonly EdiblePart[] = ["leaf", "stem", "root", "fruit", "seed", "flower", "none"];
const YES = /^(yes|y|true|1|x)$/i;
const NO = /^(no|n|false|0|)$/i;
const CROP_LETTERS = 60;

/** A planting as a row tells it, or what is wrong with the row. */
function readPlanting(cells: Cells): Told | Faults {
  const faults: Record<string, FileFault> = {};
  const crop = cells.crop ?? "";
  if (crop === "") faults.crop = { code: "no-name" };
  else if (crop.length > CROP_LETTERS) faults.crop = { code: "too-long", letters: CROP_LETTERS };
  const part = (cells.part ?? "").toLowerCase();
  if (part !== "" && !PARTS.includes(part as EdiblePart)) faults.part = { code: "none-of", allowed: PARTS };
  const flag = (name: string): boolean => {
    const typed = cells[name] ?? "";
    if (!YES.test(typed) && !NO.test(typed)) faults[name] = { code: "none-of", allowed: ["yes", "no"] };
    return YES.test(typed);
  };
  const day = (name: string): string | null => {
    const typed = cells[name] ?? "";
    if (typed === "") return null;
    const read = readDay(typed);
    if ("fault" in read) faults[name] = read.fault;
    return "fault" in read ? null : read.value;
  };
  const number = (name: string, least: number, most: number, unit: string): number | null => {
    const typed = cells[name] ?? "";
    if (typed === "") return null;
    const read = readNumberCell(typed);
    if ("fault" in read) faults[name] = read.fault;
    else if (read.value < least || read.value > most) faults[name] = { code: "not-between", least, most, unit };
    return "fault" in read ? null : read.value;
  };
  const told: Told = {
    crop,
    part: part === "" ? null : (part as EdiblePart),
    perennial: flag("perennial"),
    plantedOn: day("planted_on"),
    sown: flag("sown"),
    plants: number("plants", 1, 1_000_000, "plants"),
    spacingCm: number("spacing_cm", 0.5, 2000, "cm"),
    harvestFrom: day("harvest_from"),
    harvestTo: day("harvest_to"),
    endedOn: day("cleared_on"),
  };
  if (told.plants !== null && !Number.isInteger(told.plants))
    faults.plants = { code: "not-between", least: 1, most: 1_000_000, unit: "whole plants" };
  const { plantedOn, harvestFrom, harvestTo, endedOn } = told;
  if (plantedOn !== null && harvestFrom !== null && harvestFrom < plantedOn)
    faults.harvest_from = { code: "before", column: "planted_on" };
  if (harvestTo !== null && harvestFrom !== null && harvestTo < harvestFrom)
    faults.harvest_to = { code: "before", column: "harvest_from" };
  if (endedOn !== null && plantedOn !== null && endedOn < plantedOn)
    faults.cleared_on = { code: "before", column: "planted_on" };
  return Object.keys(faults).length > 0 ? faults : told;
}

const isTold = (read: Told | Faults): read is Told => typeof (read as Told).perennial === "boolean";

const factsOf = (told: Omit<Told, "seen">): string =>
  JSON.stringify([
    told.crop,
    told.part,
    told.perennial,
    told.plantedOn,
    told.sown,
    told.plants,
    told.spacingCm,
    told.harvestFrom,
    told.harvestTo,
    told.endedOn,
  ]);

type Write =
  | { readonly type: "new"; readonly plotId: number; readonly told: Told }
  | { readonly type: "anew"; readonly plantingId: number; readonly told: Told };

/** What a file of plantings would add or tell anew: a row with a planting's number tells that one, one without adds another. */
export async function plantingRows(db: Queryable, cellRows: readonly Cells[]): Promise<LotRows> {
  const plots = new Map((await listLand(db)).map(({ id, name }) => [name.toLowerCase(), { id, name }]));
  const known = new Map((await listPlantings(db)).map((planting) => [String(planting.id), planting]));
  const same = new Set([...known.values()].map((planting) => `${planting.plotId} ${factsOf(planting)}`));
  const writes: Write[] = [];
  const seen = new Map<string, number>();
  const outcomes = cellRows.map((cells, index): RowOutcome => {
    const line = index + 2;
    const plot = plots.get((cells.plot ?? "").toLowerCase());
    const read = readPlanting(cells);
    const number = cells.planting ?? "";
    const before: PlantingRow | undefined = known.get(number);
    const faults: Record<string, FileFault> = isTold(read) ? {} : { ...read };
    if (!plot) faults.plot = { code: "no-plot", name: cells.plot ?? "" };
    if (number !== "" && (!before || before.plotId !== plot?.id))
      faults.planting = { code: "no-planting", typed: number };
    const twin = number === "" ? undefined : seen.get(number);
    if (twin !== undefined) faults.planting = { code: "again", line: twin, of: "name" };
    if (!isTold(read) || !plot || Object.keys(faults).length > 0) return wrongRow(line, faults);
    if (number !== "") seen.set(number, line);
    const would = { plot: plot.name, crop: read.crop };
    if (before ? factsOf(before) === factsOf(read) : same.has(`${plot.id} ${factsOf(read)}`))
      return { line, what: "same", would: { code: "planting-there", ...would }, faults: {} };
    if (!before) same.add(`${plot.id} ${factsOf(read)}`);
    writes.push(
      before ? { type: "anew", plantingId: before.id, told: read } : { type: "new", plotId: plot.id, told: read },
    );
    return { line, what: before ? "changed" : "new", would: { code: "planting", ...would }, faults: {} };
  });
  return {
    outcomes,
    write: async (write, ctx, onProgress) => {
      const by = { actorId: ctx.actor.id, addedAt: ctx.now() };
      for (const [index, one] of writes.entries()) {
        if (one.type === "new") await insertPlanting(write, one.plotId, { ...one.told, ...by });
        else {
          await lockPlanting(write, one.plantingId);
          await insertPlantingState(write, one.plantingId, { ...one.told, ...by });
        }
        if (index % 100 === 99 || index === writes.length - 1) onProgress(index + 1);
      }
    },
  };
}
