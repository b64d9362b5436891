import "server-only";
import { boundsOf } from "@/core/land/ring";
import type { Queryable } from "@/data/db";
import { listLand, listPlantings } from "@/data/field";
import { listThings } from "@/data/things";

const ML_PER_L = 1000;
type Row = readonly (string | number)[];
const metres = (value: number): string => `${Number(value.toFixed(2))} m`;

/** Rows of a table of things as they are read in again: amounts say their unit, so that any farm takes them. */
export async function thingCells(db: Queryable, kind: "people" | "vessels" | "tools" | "beds"): Promise<Row[]> {
  if (kind === "beds") {
    const crops = new Map(
      (await listPlantings(db)).filter(({ endedOn }) => endedOn === null).map(({ plotId, crop }) => [plotId, crop]),
    );
    return (await listLand(db))
      .filter(({ kind: plot }) => plot === "bed" || plot === "row")
      .map(({ id, name, ring, block }) => {
        const { minX, maxX, minY, maxY } = boundsOf(ring);
        return [name, metres(maxY - minY), metres(maxX - minX), block, crops.get(id) ?? ""];
      });
  }
  const things = await listThings(db, kind === "people" ? "person" : kind === "vessels" ? "vessel" : "tool");
  const standing = things.filter(({ facts }) => facts.state !== "retired").map(({ facts }) => facts);
  if (kind === "people") return standing.map(({ name }) => [name as string]);
  if (kind === "vessels")
    return standing.map(({ name, kind: is, volumeL, heldBefore, site, airW }) => [
      name as string,
      is as string,
      `${volumeL} L`,
      heldBefore as string,
      site as string,
      airW as number,
    ]);
  return standing.map(({ name, kind: is, volumeL, stepMl, partsWater }) => [
    name as string,
    is as string,
    `${volumeL} L`,
    stepMl === null ? "" : `${Number(stepMl) / ML_PER_L} L`,
    partsWater ?? "",
  ]);
}
