import { isInline, TOOL_KINDS, type ToolKind } from "@/core/apply/tool";
import { SIZE_UNIT, type EquipmentKind } from "@/core/equipment/needs";
import { WATER_SOURCES } from "@/core/water/chlorine";
import type { UnitSystem } from "@/formats/amounts";
import { inWeighedUnit, kgPerLOf, typedInField, valueInField } from "@/formats/fieldUnits";
import { readOptional } from "@/formats/numbers";
import { sayWaterSource, TOOL_WORDS } from "@/words/said";
import type { ThingFacts, ThingKind } from "@/services/types";

/** What stands in each field, as typed. */
export type Typed = Readonly<Record<string, string>>;

interface Option {
  readonly value: string;
  readonly label: string;
}

/** One field of a thing: how it is asked, and what of it is sent. */
export interface ThingField {
  readonly fact: string;
  readonly label: string;
  readonly hint?: string;
  /** "dose" is an amount that is kept in millilitres. */
  readonly type: "text" | "volume" | "dose" | "width" | "density" | "number" | "select" | "long";
  readonly unit?: string;
  readonly options?: readonly Option[];
  readonly maxLength?: number;
  /** What an empty number means. */
  readonly empty?: number | null;
  /** Asked only where it says something. */
  readonly shown?: (typed: Typed, facts: ThingFacts | null) => boolean;
  /** What stands there in a new one. */
  readonly first?: string | Readonly<Record<UnitSystem, string>>;
}

const NAME = (maxLength: number): ThingField => ({ fact: "name", label: "Name", type: "text", maxLength });
const isInlineTool = (typed: Typed) => isInline((typed.kind ?? "can") as ToolKind);

export const VESSEL_KIND_WORDS = { drum: "drum", tote: "tote (IBC)", pail: "pail", jar: "jar or crock" } as const;
export const HELD_WORDS = { nothing: "nothing, it was new", food: "food or drink", manure: "manure or urine" } as const;
const options = (words: Readonly<Record<string, string>>): Option[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));

/** The fields of each kind, in the order in which they are asked. */
export const THING_FIELDS: Readonly<Record<ThingKind, readonly ThingField[]>> = {
  "person": [NAME(60)],
  "vessel": [
    NAME(40),
    { fact: "kind", label: "Kind", type: "select", options: options(VESSEL_KIND_WORDS), first: "drum" },
    { fact: "volumeL", label: "Full volume", type: "volume" },
    {
      fact: "heldBefore",
      label: "What was in it before?",
      type: "select",
      options: options(HELD_WORDS),
      first: "nothing",
      hint: "Never brew in what held fuel, paint or spray: it gets into your food.",
    },
    {
      fact: "diameterM",
      label: "Inner width",
      type: "width",
      hint: "For the drawing and sugar layers. If empty, it is estimated.",
    },
    {
      fact: "site",
      label: "Place",
      type: "text",
      maxLength: 60,
      hint: "Vessels at the same place share what you say of its warmth.",
    },
    {
      fact: "airW",
      label: "Pump and heater",
      type: "number",
      unit: "W",
      empty: 0,
      first: "0",
      hint: "0 for a vessel without air.",
    },
  ],
  "tool": [
    NAME(40),
    {
      fact: "kind",
      label: "Kind",
      type: "select",
      options: TOOL_KINDS.map((value) => ({ value, label: TOOL_WORDS[value] })),
      first: "can",
    },
    { fact: "volumeL", label: "Full volume", type: "volume" },
    {
      fact: "stepMl",
      label: "Smallest dose you can measure",
      type: "dose",
      first: { metric: "10 mL", us: "2 tsp" },
      shown: (typed) => !isInlineTool(typed),
    },
    {
      fact: "partsWater",
      label: "Parts of water to 1 part of concentrate",
      type: "number",
      empty: null,
      shown: isInlineTool,
    },
  ],
  "water": [
    NAME(60),
    {
      fact: "kind",
      label: "Where it comes from",
      type: "select",
      options: WATER_SOURCES.map((value) => ({ value, label: sayWaterSource(value) })),
      first: "rain",
      hint: "Tap water and other water: check chlorine with a strip before it goes into a brew.",
    },
  ],
  "equipment": [
    NAME(60),
    { fact: "count", label: "How many", type: "number", empty: 1, first: "1" },
    {
      fact: "size",
      label: "Size",
      type: "number",
      empty: null,
      shown: (_typed, facts) => facts !== null && SIZE_UNIT[facts.kind as EquipmentKind] !== null,
    },
    {
      fact: "outlets",
      label: "Outlets",
      type: "number",
      empty: null,
      shown: (_typed, facts) => facts?.kind === "pump",
    },
    { fact: "note", label: "Note", type: "text", maxLength: 200 },
  ],
  "own-ingredient": [
    NAME(60),
    { fact: "densityKgPerL", label: "Density", type: "density" },
    { fact: "keepsD", label: "Keeps", type: "number", unit: "days", empty: null },
    { fact: "keeping", label: "How it is kept", type: "long", maxLength: 200 },
    { fact: "caution", label: "Safety note", type: "long", maxLength: 300 },
  ],
  "gathering-place": [
    NAME(60),
    { fact: "ground", label: "What it is like", type: "text", maxLength: 200 },
    { fact: "permission", label: "Who allows it", type: "text", maxLength: 120 },
    { fact: "restD", label: "Rest after gathering", type: "number", unit: "days", empty: 0 },
  ],
  "worm-bin": [NAME(60)],
  "device": [NAME(60)],
};

/** How amounts are read and shown, as `useReadAmount` has it. */
export interface Amounts {
  readonly readL: (text: string) => number | null;
  readonly showL: (litres: number) => string;
  readonly units: UnitSystem;
}

const ML_PER_L = 1000;

function typedFact(field: ThingField, value: string | number | null | undefined, { showL, units }: Amounts): string {
  if (value === null || value === undefined) return "";
  if (typeof value === "string") return value;
  if (field.type === "volume") return showL(value);
  if (field.type === "dose") return showL(value / ML_PER_L);
  if (field.type === "width") return typedInField(value, "cm", units);
  if (field.type === "density") return String(Number(inWeighedUnit(value, units).toPrecision(3)));
  return String(Number(value.toFixed(3)));
}

const firstOf = ({ first = "" }: ThingField, units: UnitSystem): string =>
  typeof first === "string" ? first : first[units];

/** What stands in the fields to begin with: the thing as it is, or what is usual of a new one. */
export const typedOf = (kind: ThingKind, facts: ThingFacts | null, amounts: Amounts): Typed =>
  Object.fromEntries(
    THING_FIELDS[kind].map((field) => [
      field.fact,
      facts ? typedFact(field, facts[field.fact], amounts) : firstOf(field, amounts.units),
    ]),
  );

function factOf(field: ThingField, text: string, { readL, units }: Amounts): string | number | null {
  if (field.type === "volume") return readL(text) ?? NaN;
  if (field.type === "dose") return text.trim() === "" ? null : (readL(text) ?? NaN) * ML_PER_L;
  if (field.type === "width") return valueInField(text, "cm", units);
  if (field.type === "density") {
    const typed = readOptional(text);
    return typed === null ? null : kgPerLOf(typed, units);
  }
  if (field.type === "number") return readOptional(text) ?? field.empty ?? null;
  return text.trim();
}

/** What is sent of a new one: all of its fields that are asked. What can't be read is NaN, so that its field is marked. */
export const factsOf = (kind: ThingKind, typed: Typed, before: ThingFacts | null, amounts: Amounts): ThingFacts =>
  Object.fromEntries(
    THING_FIELDS[kind]
      .filter(({ shown }) => shown?.(typed, before) ?? true)
      .map((field) => [field.fact, factOf(field, typed[field.fact] ?? "", amounts)]),
  );

/** What is sent of one that is changed: only what was typed anew, so that nothing is rounded that nobody touched. */
export function changedFacts(kind: ThingKind, typed: Typed, before: ThingFacts, amounts: Amounts): ThingFacts {
  const was = typedOf(kind, before, amounts);
  return Object.fromEntries(
    Object.entries(factsOf(kind, typed, before, amounts)).filter(([fact]) => (typed[fact] ?? "") !== was[fact]),
  );
}
