import type { GoalId } from "@/core/book/goals";
import { isWater, type IngredientId } from "@/core/book/ingredients";
import {
  findFirstThings,
  firstOptions,
  type FirstOption,
  type FirstThing,
  type HeldBefore,
} from "@/core/choose/firstDrum";
import type { PlaceKind } from "@/core/ferment/temperature/places";
import type { LeadTime } from "@/core/choose/leadTime";
import { commonVessels, type CommonVessel } from "@/core/recipe/commonVessels";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { treatWater, type WaterSource } from "@/core/water/chlorine";
import type { UnitSystem } from "@/formats/amounts";
import { measurableOf, OF_LITRES, readMeasured, typedAmount } from "@/formats/measured";
import { parseNumber } from "@/formats/numbers";
import type { OwnMeasure } from "@/formats/figure/parts";
import { sayCommonVessel } from "@/words/said";
import { basisOf, workOutFill, type LineDraft, type WorkedFill } from "../fill/workOutFill";
import { stepOf } from "./step";

/** How tap water was treated, as far as somebody can do it on the first day. */
export type TapTreatment = "carbon" | "vitamin-c" | "stood";

/** A first drum as it is put together; kept on this device until it is started. */
export interface FirstDraft {
  readonly vessel: CommonVessel["id"] | "own" | null;
  /** Full volume of a vessel of one's own, as typed. */
  readonly ownVolume: string;
  readonly heldBefore: HeldBefore | "unfit" | null;
  readonly things: readonly string[];
  readonly hasAir: boolean;
  readonly goal: GoalId | null;
  /** Picked by hand; else the first that makes sense. */
  readonly methodId: string | null;
  /** How much of what the amounts are counted on, as typed; as much as fits where nobody said. */
  readonly wanted: string;
  /** Amounts changed by hand, by line. */
  readonly drafts: Readonly<Record<string, string>>;
  /** What there is in all, and what all of it cost, by ingredient, as typed. */
  readonly inAll: Readonly<Record<string, string>>;
  readonly cost: Readonly<Record<string, string>>;
  /** Where it will stand. */
  readonly place: PlaceKind;
  readonly water: WaterSource | null;
  readonly treatment: TapTreatment | null;
  readonly reason: string;
}

export const EMPTY_DRAFT: FirstDraft = {
  vessel: null,
  ownVolume: "",
  heldBefore: null,
  things: [],
  hasAir: false,
  goal: null,
  methodId: null,
  wanted: "",
  drafts: {},
  inAll: {},
  cost: {},
  place: "unsaid",
  water: null,
  treatment: null,
  reason: "",
};

export interface FirstVessel {
  readonly id: FirstDraft["vessel"];
  readonly name: string;
  readonly kind: CommonVessel["kind"];
  readonly volumeL: number;
}

/** What is still to be said, in the order of the page; null where it can be started. */
export type FirstGap =
  | "vessel"
  | "volume"
  | "before"
  | "unfit"
  | "method"
  | "barred"
  | "lacking"
  | "amount"
  | "overflow"
  | "water"
  | "treatment";

export interface FirstDrum {
  readonly vessel: FirstVessel | null;
  readonly things: readonly FirstThing[];
  readonly options: readonly FirstOption[];
  readonly option: FirstOption | null;
  readonly worked: WorkedFill | null;
  readonly waterL: number;
  readonly gap: FirstGap | null;
}

/** What a pump for a drum takes, W; corrected with the vessel. */
export const USUAL_PUMP_W = 20;
const OWN_DRUM_L = 40;
const OWN_PAIL_L = 8;

function vesselOf(draft: FirstDraft, units: UnitSystem, own: readonly OwnMeasure[]): FirstVessel | null {
  if (draft.vessel === null) return null;
  if (draft.vessel === "own") {
    const read = readMeasured(draft.ownVolume, OF_LITRES, own, units);
    const volumeL = read.type === "read" ? Number(read.amount.toFixed(3)) : NaN;
    const kind = volumeL >= OWN_DRUM_L ? "drum" : volumeL >= OWN_PAIL_L ? "pail" : "jar";
    return { id: "own", name: sayCommonVessel(kind), kind, volumeL };
  }
  const known = commonVessels(units).find(({ id }) => id === draft.vessel)!;
  return { ...known, name: known.id === "tote" ? "Tote" : sayCommonVessel(known.id) };
}

/** Whether tap water would go in as it runs, with nothing known of its chlorine. */
export const needsTreatment = (water: WaterSource | null): boolean =>
  water !== null &&
  !treatWater({ source: water, freeMgPerL: null, totalMgPerL: null, volumeL: 1, treatment: "none", temperatureC: 20 })
    .safe;

/** Mains carries seldom more; vitamin C for so much is enough for all. */
const MOST_CHLORINE_MG_PER_L = 5;
/** Vitamin C for tap water that nobody has read a strip of, g: enough for as much chlorine as mains ever carries. */
export const vitaminCg = (volumeL: number): number =>
  treatWater({
    source: "mains",
    freeMgPerL: MOST_CHLORINE_MG_PER_L,
    totalMgPerL: MOST_CHLORINE_MG_PER_L,
    volumeL: Math.max(1, volumeL),
    treatment: "ascorbic",
    temperatureC: 20,
  }).ascorbicG!;

export interface FirstWorld {
  readonly units: UnitSystem;
  readonly own: readonly OwnMeasure[];
  readonly lead: Readonly<Record<string, LeadTime>>;
}

function gapOf(draft: FirstDraft, drum: Omit<FirstDrum, "gap">): FirstGap | null {
  const { vessel, option, worked, waterL } = drum;
  if (!vessel) return "vessel";
  if (!(vessel.volumeL > 0)) return "volume";
  if (draft.heldBefore === null) return "before";
  if (draft.heldBefore === "unfit") return "unfit";
  if (!option) return "method";
  if (option.barred) return "barred";
  if (option.lacking.length > 0 || option.lacksAir) return "lacking";
  if (!worked?.scaled || worked.lines.some(({ used }) => used === null)) return "amount";
  if (worked.overBrim || worked.filledL <= 0) return "overflow";
  if (waterL > 0 && draft.water === null) return "water";
  if (waterL > 0 && needsTreatment(draft.water) && draft.treatment === null) return "treatment";
  return null;
}

/** An amount as a hand would measure it out, and no more than was worked out. @example asMeasured("136.19"); // "135" */
export function asMeasured(typed: string): string {
  const [, figure = "", rest = ""] = /^([\d.]+)(.*)$/.exec(typed) ?? [];
  const step = stepOf(Number(figure));
  const floored = Number((Math.floor(Number(figure) / step + 1e-9) * step).toPrecision(6));
  return floored > 0 ? `${floored}${rest}` : typed;
}

/** The vessel filled by an option: to its usual line, in amounts that can be measured out, or by what was typed. */
function filled(
  draft: FirstDraft,
  { recipe, standIns }: FirstOption,
  vessel: FirstVessel,
  { units, own }: Pick<FirstWorld, "units" | "own">,
): WorkedFill {
  const fill = (wanted: string) =>
    workOutFill({
      recipe,
      vessel: { volumeL: vessel.volumeL, diameterM: null },
      size: wanted === "" ? "vessel" : "amount",
      wanted,
      depth: "",
      include: [],
      stated: [],
      substitutes: standIns,
      picked: new Set(),
      drafts: draft.drafts,
      shelf: [],
      read: (typed, of) => readMeasured(typed, of, own, units),
      units,
    });
  if (draft.wanted.trim() !== "") return fill(draft.wanted.trim());
  const toLine = fill("");
  const { scaled } = toLine;
  if (!scaled) return toLine;
  const rounded = fill(asMeasured(typedAmount(scaled.basisAmount, basisOf(recipe).unit, units)));
  return rounded.scaled ? rounded : toLine;
}

/** All that follows from what was touched so far. */
export function workOutFirst(draft: FirstDraft, { units, own, lead }: FirstWorld): FirstDrum {
  const vessel = vesselOf(draft, units, own);
  const things = findFirstThings(draft.things);
  const options = firstOptions(
    {
      have: new Set(things.flatMap(({ as }) => as)),
      hasAir: draft.hasAir,
      heldBefore: draft.heldBefore === "manure" ? "manure" : "nothing",
      goal: draft.goal,
    },
    (methodId) => lead[methodId]?.likelyH ?? null,
  );
  const [first] = options;
  const ready = first && things.length > 0 && first.lacking.length === 0 && !first.lacksAir && !first.barred;
  // What is touched later re-sorts the methods; it never hides the one that was chosen.
  const option = options.find(({ recipe }) => recipe.id === draft.methodId) ?? (ready ? first : null);
  const worked = option && vessel && vessel.volumeL > 0 ? filled(draft, option, vessel, { units, own }) : null;
  const waterL = (worked?.lines ?? []).reduce(
    (sum, { ingredient, used }) => sum + (isWater(ingredient) ? (used ?? 0) : 0),
    0,
  );
  const drum = { vessel, things, options, option, worked, waterL };
  return { ...drum, gap: gapOf(draft, drum) };
}

/** Which plants a line is, by the things that were touched. */
const speciesOf = (ingredient: IngredientId, things: readonly FirstThing[]): string =>
  things.flatMap(({ as, species }) => (species !== undefined && as.includes(ingredient) ? [species] : [])).join(", ");

/** What somebody has of a line: what they said there is in all, and at least what goes in. */
export function inAllOf(line: LineDraft, draft: FirstDraft, { units, own }: Pick<FirstWorld, "units" | "own">): number {
  const read = readMeasured(draft.inAll[line.ingredient] ?? "", measurableOf(line.ingredient), own, units);
  return Math.max(line.used ?? 0, read.type === "read" ? read.amount : 0);
}

const TREATED: Readonly<Record<Exclude<TapTreatment, "carbon">, (volumeL: number) => string>> = {
  "vitamin-c": (volumeL) => `${vitaminCg(volumeL).toFixed(1)} g of vitamin C stirred in; chlorine not measured`,
  "stood": () => "Stood open for a day; chlorine not measured",
};

const waterOf = (draft: FirstDraft, waterL: number) => {
  if (waterL <= 0 || draft.water === null) return null;
  const treated = needsTreatment(draft.water) ? draft.treatment : null;
  return {
    kind: draft.water,
    carbon: treated === "carbon",
    overrideReason: treated === null || treated === "carbon" ? null : TREATED[treated](waterL),
  };
};

/** The first drum as the server takes it; wanted only where nothing is still to be said. */
export function firstRequest(draft: FirstDraft, drum: FirstDrum, world: FirstWorld, forDay: string | null) {
  const { vessel, option, worked, things, waterL } = drum;
  const { recipe, standIns } = option!;
  const lines = worked!.lines;
  // A cap of the same sugar is one lot with the rest of it.
  const byIngredient = new Map<IngredientId, LineDraft[]>();
  for (const line of lines)
    if (!isWater(line.ingredient))
      byIngredient.set(line.ingredient, [...(byIngredient.get(line.ingredient) ?? []), line]);
  return {
    vessel: {
      name: vessel!.name,
      kind: vessel!.kind,
      volumeL: vessel!.volumeL,
      heldBefore: draft.heldBefore === "unfit" || draft.heldBefore === null ? ("nothing" as const) : draft.heldBefore,
      airW: draft.hasAir ? USUAL_PUMP_W : 0,
      place: draft.place,
    },
    lots: [...byIngredient].flatMap(([ingredientId, own]) => {
      const used = own.reduce((sum, line) => sum + (line.used ?? 0), 0);
      const amount = Math.max(Number(used.toFixed(3)), Number(inAllOf(own[0]!, draft, world).toFixed(3)));
      if (amount <= 0) return [];
      return [
        {
          ingredientId,
          amount,
          cost:
            parseNumber(draft.cost[ingredientId] ?? "") ?? ((draft.cost[ingredientId] ?? "").trim() === "" ? 0 : NaN),
          ...(isPickedPlant(ingredientId) ? { species: speciesOf(ingredientId, things) } : {}),
        },
      ];
    }),
    water: waterOf(draft, waterL),
    fill: {
      methodId: recipe.id,
      schoolId: recipe.school.id,
      basisAmount: Number(worked!.scaled!.basisAmount.toFixed(6)),
      substitutes: [...standIns],
      overrideReason: draft.reason.trim() === "" ? null : draft.reason.trim(),
      lines: lines.map(({ ingredient, part, used }) => ({ ingredientId: ingredient, part, used: used! })),
      labourMin: recipe.work.fillMin,
    },
    forDay,
  };
}
