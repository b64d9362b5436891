import type { Family, Lid } from "../book/types";
import { phTarget, type Recipe } from "../book/recipe";
import { airNeed, heaterNeed } from "../recipe/conditions";

export const EQUIPMENT_KINDS = [
  "pump",
  "stone",
  "tubing",
  "heater",
  "ph-meter",
  "thermometer",
  "scales",
  "bag",
  "sieve",
  "airlock",
  "cloth",
  "stirrer",
] as const;
export type EquipmentKind = (typeof EQUIPMENT_KINDS)[number];

/** What a kind's size is counted in; null where size says nothing. */
export const SIZE_UNIT: Readonly<Record<EquipmentKind, string | null>> = {
  "pump": "L/min",
  "stone": null,
  "tubing": "m",
  "heater": "W",
  "ph-meter": null,
  "thermometer": null,
  "scales": "kg",
  "bag": "L",
  "sieve": "µm",
  "airlock": null,
  "cloth": null,
  "stirrer": null,
};
/** Kinds that are washed between families of brews. */
export const WASHED_BETWEEN: readonly EquipmentKind[] = ["stone", "tubing", "bag", "sieve", "cloth", "stirrer"];
/** Kinds that drift, and for how many days a calibration is trusted. */
export const CALIBRATED_D: Readonly<Partial<Record<EquipmentKind, number>>> = { "ph-meter": 30, "scales": 365 };

export interface OwnedEquipment {
  readonly kind: EquipmentKind;
  readonly name: string;
  readonly count: number;
  /** In the kind's own unit; null where it was not measured. */
  readonly size: number | null;
  /** Air outlets of a pump. */
  readonly outlets: number | null;
  readonly broken: boolean;
  /** The family of brew it touched last, if it was not washed since. */
  readonly dirtyFrom: Family | null;
  /** ISO date. */
  readonly calibratedOn: string | null;
  /** In use in a running batch. */
  readonly busy: boolean;
}

export interface EquipmentGap {
  readonly kind: EquipmentKind;
  readonly weight: "missing" | "wash" | "calibrate" | "small";
  readonly say: string;
}

const KIND_WORDS: Readonly<Record<EquipmentKind, string>> = {
  "pump": "air pump",
  "stone": "air stones",
  "tubing": "air hose",
  "heater": "heater",
  "ph-meter": "pH meter",
  "thermometer": "thermometer",
  "scales": "scales",
  "bag": "mesh bag",
  "sieve": "sieve",
  "airlock": "airlock",
  "cloth": "cover cloth",
  "stirrer": "stirring paddle",
};
export const kindWord = (kind: EquipmentKind): string => KIND_WORDS[kind];

/** One stone stirs about so many litres. Judged. */
const L_PER_STONE = 60;
const DAY_MS = 86_400_000;

const FOR_LID: Readonly<Partial<Record<Lid, EquipmentKind>>> = { breathable: "cloth", airlock: "airlock" };

/**
 * What a batch lacks of tools: missing, too small, unwashed since another family of brew, or out of calibration.
 * @param airC air expected where it stands; null where nobody knows
 * @param hasOwnAir the vessel has its pump built in
 */
export function equipmentGaps(
  recipe: Recipe,
  litres: number,
  owned: readonly OwnedEquipment[],
  today: string,
  { airC, hasOwnAir }: { readonly airC: number | null; readonly hasOwnAir: boolean },
): EquipmentGap[] {
  const gaps: EquipmentGap[] = [];
  const usable = (kind: EquipmentKind) => owned.filter((one) => one.kind === kind && !one.broken && !one.busy);
  const need = (kind: EquipmentKind, why: string): readonly OwnedEquipment[] => {
    const found = usable(kind);
    if (found.length === 0) gaps.push({ kind, weight: "missing", say: `No ${kindWord(kind)}: ${why}.` });
    const dirty = found.filter(({ dirtyFrom }) => dirtyFrom !== null && dirtyFrom !== recipe.family);
    if (found.length > 0 && dirty.length === found.length && WASHED_BETWEEN.includes(kind))
      gaps.push({ kind, weight: "wash", say: `${dirty[0]!.name}: wash it first, it was in another family of brew.` });
    const days = CALIBRATED_D[kind];
    const stale = (day: string | null) => day === null || (Date.parse(today) - Date.parse(day)) / DAY_MS > days!;
    if (days !== undefined && found.length > 0 && found.every(({ calibratedOn }) => stale(calibratedOn)))
      gaps.push({ kind, weight: "calibrate", say: `${found[0]!.name}: calibrate it, a reading decides here.` });
    return found;
  };
  if (recipe.aerated) {
    const { leastLPerMin } = airNeed(litres);
    if (!hasOwnAir) {
      const pumps = need("pump", "this brew lives on air all the way");
      const most = Math.max(0, ...pumps.map(({ size }) => size ?? Infinity));
      if (pumps.length > 0 && most < leastLPerMin)
        gaps.push({
          kind: "pump",
          weight: "small",
          say: `The largest pump gives ${most} L/min; it wants ${Math.ceil(leastLPerMin)}.`,
        });
    }
    const stones = need("stone", "air must come up from the very bottom");
    const count = stones.reduce((sum, one) => sum + one.count, 0);
    const wanted = Math.max(1, Math.ceil(litres / L_PER_STONE));
    if (count > 0 && count < wanted)
      gaps.push({
        kind: "stone",
        weight: "small",
        say: `${count} of ${wanted} stones that ${Math.round(litres)} L want.`,
      });
    need("tubing", "from pump to stones");
  }
  if (recipe.ingredients.some(({ bagged, optional }) => bagged && !optional)) need("bag", "the solids go in one");
  const lid = FOR_LID[recipe.lid];
  if (lid) need(lid, `the vessel is closed with it`);
  if (phTarget(recipe) !== null) need("ph-meter", "pH decides; strips do, read twice");
  if (airC !== null && airC < recipe.comfortC.low - 2) {
    const { holdW } = heaterNeed(Math.max(litres, 1), airC, recipe.comfortC.low);
    const heaters = need("heater", `the air is colder than it likes; ${Math.ceil(holdW / 10) * 10} W would hold it`);
    const most = Math.max(0, ...heaters.map(({ size }) => size ?? Infinity));
    if (heaters.length > 0 && most < holdW)
      gaps.push({
        kind: "heater",
        weight: "small",
        say: `The largest heater gives ${most} W; ${Math.ceil(holdW / 10) * 10} W would hold it.`,
      });
  }
  if (recipe.residues.length > 0 && recipe.yieldUnit === "L") need("sieve", "it is strained before it goes in a can");
  return gaps;
}
