import "server-only";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import { readEquipment } from "../equipment";

/** The farm's pH meter and when it was last calibrated; null where it has none, and strips must do. */
export async function readMeter(
  db: Queryable,
  farm: Farm,
  at: Date,
): Promise<{ readonly name: string; readonly calibratedOn: string | null; readonly isDue: boolean } | null> {
  const meters = (await readEquipment(db, farm)).filter(({ kind, broken }) => kind === "ph-meter" && !broken);
  const [best] = meters.toSorted((a, b) => (b.calibratedOn ?? "").localeCompare(a.calibratedOn ?? ""));
  if (!best) return null;
  return {
    name: best.name,
    calibratedOn: best.calibratedOn,
    isDue: best.calibrationDueOn !== null && best.calibrationDueOn <= isoDay(at, farm),
  };
}
