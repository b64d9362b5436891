/**
 * What the fill sheet proposes, the server takes: every method and school, vessels that nobody here had in mind, in litres and in gallons,
 * through the sheet's own plan and request.
 */
import fc from "fast-check";
import { fieldErrors } from "@/contracts/fieldErrors";
import fillValidators from "@/contracts/generated/acts/fill.cjs";
import mixingValidators from "@/contracts/generated/acts/mixing.cjs";
import { findRecipe, METHODS } from "@/core/book";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { readMeasured, typedAmount } from "@/formats/measured";
import { prepareFill } from "@/services/fill/prepareFill";
import { Refusal } from "@/services/refusal";
import { NO_WATER } from "../water/waterDraft";
import { workOutFill, type FillDraft } from "./workOutFill";
import { fillRequest, mixingRequest } from "./fillRequest";

const GALLON_L = 3.785411784;
const RECIPES: readonly Recipe[] = METHODS.flatMap(({ id, schools }) =>
  schools.map((school) => findRecipe(id, school.id)),
);
/** What stands in yards, and what does not: round and odd, small and great. */
const VESSELS_L = [
  3, 3.8, 5, 7.5, 10, 12, 17, 20, 25, 31, 50, 60, 77.7, 114, 120, 150, 200, 208, 210, 300, 333.3, 700, 1000, 1200,
];
const VESSELS_GAL = [1, 2.5, 3.5, 5, 6, 7.9, 13, 15, 30, 32, 55, 65, 100, 123.4, 250, 275, 300];
const key = "00000000-0000-4000-8000-000000000000";

const draftOf = (recipe: Recipe, volumeL: number, units: UnitSystem, change: Partial<FillDraft> = {}): FillDraft => ({
  recipe,
  vessel: { volumeL, diameterM: null },
  size: "vessel",
  wanted: "",
  depth: "",
  include: [],
  stated: [],
  substitutes: [],
  picked: new Set(),
  drafts: {},
  shelf: [],
  read: (typed, of) => readMeasured(typed, of, [], units),
  units,
  ...change,
});

/** What the server says of the sheet as it stands; null where it takes it. */
function refusedBy(recipe: Recipe, draft: FillDraft): string | null {
  const plan = workOutFill(draft);
  if (plan.scaled === null) return `no plan: ${plan.problem}`;
  if (plan.overBrim) return "the sheet itself says it will overflow";
  const unread = plan.lines.find(({ used }) => used === null);
  if (unread) return `${unread.ingredient} "${unread.typed}": ${unread.unreadable}`;
  const state = {
    key: { methodId: recipe.id, schoolId: recipe.school.id, versionNo: null },
    size: draft.size,
    wanted: draft.wanted,
    depth: draft.depth,
    include: draft.include,
    stated: Object.fromEntries(draft.stated.map(({ ingredient, amount }) => [ingredient, String(amount)])),
    swaps: Object.fromEntries(draft.substitutes.map(({ instead, use }) => [instead, use])),
    picked: draft.picked,
    drafts: draft.drafts,
    species: {},
    tools: [],
    water: { ...NO_WATER, sourceId: 1 },
  };
  const said = { vesselId: 1, planId: null, statedC: 20, reason: "" };
  const mixing = { requestKey: key, ...mixingRequest({ state, plan, stated: draft.stated }, said) };
  const request = { requestKey: key, ...fillRequest({ state, plan, stated: draft.stated }, said, 30) };
  const complaint =
    fieldErrors(fillValidators.fillVessel!, request) ?? fieldErrors(mixingValidators.startMixing!, mixing);
  if (complaint) return JSON.stringify(complaint);
  try {
    prepareFill(request, { name: "Drum", ...draft.vessel }, recipe);
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
}

const named = ({ id, school }: Recipe, volumeL: number) => `${id}/${school.id} in ${volumeL.toFixed(3)} L`;
const EVERY = RECIPES.flatMap((recipe) => [
  ...VESSELS_L.map((litres) => ({ recipe, litres, units: "metric" as const })),
  ...VESSELS_GAL.map((gallons) => ({ recipe, litres: gallons * GALLON_L, units: "us" as const })),
]);
/** Each way of putting a proposal back, over every recipe and vessel; what is refused is named. */
function refusals(back: (recipe: Recipe, litres: number, units: UnitSystem) => FillDraft | null): string[] {
  return EVERY.flatMap(({ recipe, litres, units }) => {
    const draft = back(recipe, litres, units);
    const why = draft && refusedBy(recipe, draft);
    return why ? [`${named(recipe, litres)}: ${why}`] : [];
  });
}
/** The basis as the recipe is scaled to the vessel. */
const proposed = (recipe: Recipe, litres: number, units: UnitSystem) => workOutFill(draftOf(recipe, litres, units));

describe("what the fill sheet proposes", () => {
  it("is taken as it stands", () => expect(refusals(draftOf)).toEqual([]));

  it("is taken when every amount is typed back as the sheet shows it", () =>
    expect(
      refusals((recipe, litres, units) => {
        const { lines } = proposed(recipe, litres, units);
        return draftOf(recipe, litres, units, {
          drafts: Object.fromEntries(lines.map((line) => [line.key, line.typed])),
        });
      }),
    ).toEqual([]));

  it("is taken when every amount is typed back in the farm's words, as printed", () =>
    expect(
      refusals((recipe, litres, units) => {
        const { lines } = proposed(recipe, litres, units);
        return draftOf(recipe, litres, units, {
          drafts: Object.fromEntries(lines.map((line) => [line.key, sayStock(line.amount, line.unit, units)])),
        });
      }),
    ).toEqual([]));

  it("is taken when its size is typed back, as printed and as a plan keeps it", () => {
    for (const say of [
      (amount: number, unit: "kg" | "L", units: UnitSystem) => sayStock(amount, unit, units),
      (amount: number, unit: "kg" | "L", units: UnitSystem) => typedAmount(amount, unit, units),
      (amount: number, unit: "kg" | "L", units: UnitSystem) => typedAmount(amount, unit, units, true),
    ])
      expect(
        refusals((recipe, litres, units) => {
          const { basisAmount } = proposed(recipe, litres, units).scaled!;
          return draftOf(recipe, litres, units, {
            size: "amount",
            wanted: say(basisAmount, findIngredient(recipe.basis).stockUnit, units),
          });
        }),
      ).toEqual([]);
  });

  it("is taken when it goes as far as the shed does, to the last gram", () =>
    expect(
      refusals((recipe, litres, units) => {
        const { lines } = proposed(recipe, litres, units);
        const scarce = lines.find(({ ingredient, follows }) => ingredient !== "water" && follows === "batch");
        if (!scarce) return null;
        const onHand = Number((scarce.amount * 0.613).toFixed(3));
        if (onHand <= 0) return null;
        const shelf = lines
          .filter(({ ingredient }) => ingredient !== "water")
          .map((line) => ({
            ingredientId: line.ingredient,
            name: line.ingredient,
            unit: line.unit,
            onHand: line === scarce ? onHand : 9999,
            lots: [],
            softHeld: 0,
            heldBecause: null,
            expiresOn: null,
            unitCostMinor: 0,
          }));
        const draft = draftOf(recipe, litres, units, { size: "shed", shelf });
        const used = workOutFill(draft).lines.find(({ key: of }) => of === scarce.key)?.used ?? 0;
        expect(used).toBeLessThanOrEqual(onHand + 5e-4);
        return draft;
      }),
    ).toEqual([]));

  it("is taken with all that may go in besides", () =>
    expect(
      refusals((recipe, litres, units) => {
        const may = recipe.ingredients.filter(({ optional }) => optional);
        return draftOf(recipe, litres, units, {
          include: may.filter(({ amount }) => amount.type !== "unknown").map(({ ingredient }) => ingredient),
          stated: may
            .filter(({ amount }) => amount.type === "unknown")
            .map(({ ingredient }) => ({ ingredient: ingredient as IngredientId, amount: 0.01 * litres })),
        });
      }),
    ).toEqual([]));

  it("is taken in any vessel at all", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RECIPES),
        fc.double({ min: 3, max: 1200, noNaN: true }),
        fc.constantFrom<UnitSystem>("metric", "us"),
        (recipe, litres, units) => {
          expect([named(recipe, litres), refusedBy(recipe, draftOf(recipe, litres, units))]).toEqual([
            named(recipe, litres),
            null,
          ]);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

it("tried what it says it tries", () => {
  expect(EVERY.length).toBe(RECIPES.length * (VESSELS_L.length + VESSELS_GAL.length));
  expect(sayVolume(1.5, "metric")).toBe("1.5 L");
});
