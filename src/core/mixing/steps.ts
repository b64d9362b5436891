import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import type { StockUnit } from "../book/range";
import { answer as fits, notYet as holds } from "../book/lines";
import type { Lid, Step } from "../book/types";
import { LIFTABLE_KG } from "../recipe/split";
import { POWER, BUBBLES, LUMPS, BAG, MOISTURE, COAT, SINKS } from "./checks";
import { handlingOf } from "./handling";
import { isLive } from "./live";
import { step, type MixStep } from "./mixStep";

export interface MixLine {
  readonly ingredient: IngredientId;
  /** The recipe's own ingredient whose place it takes. */
  readonly slot: IngredientId;
  readonly part: "mix" | "cap";
  readonly unit: StockUnit;
  readonly amount: number;
  readonly role: string;
}

/** What may be in lumps. */
const CLOTS: readonly IngredientId[] = ["molasses", "brown-sugar", "raw-sugar", "pulse-flour", "oat-flour"];

function siteStep(recipe: Recipe, litres: number): MixStep {
  const heavy = litres > LIFTABLE_KG;
  return step(
    "site",
    "Place",
    heavy ? "Full, it is not moved again." : "Pick the place before it is full.",
    "A litre weighs a kilogram, and a brew in the wrong place is late, foul or spilled.",
    {
      checks: [
        "Level, and the ground bears it",
        recipe.comfortC.low >= 18 ? "Warm, out of the full sun" : "Shade, no full sun",
        "Rain can't run in",
        recipe.aerated ? "Its noise reaches no neighbour at night" : "Its smell reaches no door or window",
        "Cans can get to it",
        "Children, dogs and hens can't",
      ],
    },
  );
}

const LIDS: Readonly<Record<Lid, string>> = {
  open: "open",
  breathable: "cloth or paper, tied",
  airlock: "airlock, or a lid left loose",
  sealed: "tight lid",
};
/** Steps of a recipe that are about its cover. */
const CLOSING: readonly string[] = ["cover", "close"];

function lidStep(recipe: Recipe): MixStep {
  const gas = recipe.lid !== "sealed";
  const others = (["open", "breathable", "airlock", "sealed"] as const).filter((lid) => lid !== recipe.lid);
  // The recipe's own words about its cover and label stand here, where they are done.
  const own = recipe.steps.find(({ id, adds }) => CLOSING.includes(id) && adds.length === 0);
  return step(
    "lid",
    "The cover",
    `${own ? `${own.text} ` : ""}This one wants: ${LIDS[recipe.lid]}.`,
    gas ? "It makes gas, and gas finds a way out." : "Air would spoil it.",
    {
      checks: ["Uniform to the floor, nothing floating that should be under", `${recipe.headspaceFor}: room is left`],
      answers: [
        fits(LIDS[recipe.lid], "As it should be."),
        ...others.map((lid) =>
          lid === "sealed"
            ? holds(LIDS[lid], "Never on what makes gas: it bursts.")
            : lid === "airlock" && gas
              ? fits(LIDS[lid], "It does as well, as long as gas can leave.")
              : lid === "breathable" && recipe.lid === "airlock"
                ? fits(LIDS[lid], "It does, with a little more smell.")
                : holds(LIDS[lid], lid === "open" ? "Flies, rain and mosquitoes get in." : "Not for this one."),
        ),
      ],
    },
  );
}

/** How a line counts when what really goes in is set against the recipe. */
function countedAs(recipe: Recipe, line: MixLine): "basis" | "by-basis" | "apart" {
  if (line.slot === recipe.basis) return "basis";
  const byBasis = recipe.ingredients.some(
    ({ ingredient, amount }) => ingredient === line.slot && amount.type === "per-basis",
  );
  return line.part === "mix" && byBasis ? "by-basis" : "apart";
}

function addStep(
  recipe: Recipe,
  line: MixLine,
  text: string,
  why: string,
  rest: Partial<MixStep>,
  own: Partial<Step> = {},
): MixStep {
  const handling = handlingOf(line.ingredient, recipe.family);
  return step(`add-${line.part}-${line.ingredient}`, findIngredient(line.ingredient).name, text, why, {
    amount: {
      ingredient: line.ingredient,
      part: line.part,
      unit: line.unit,
      planned: line.amount,
      live: isLive(line.ingredient),
      counted: countedAs(recipe, line),
    },
    ...rest,
    checks: [...handling.checks, ...(own.checks ?? [])],
    answers: own.answers ?? handling.answers,
  });
}

/** The checks that a good hand makes of what was mixed: lumps, bag, moisture, sugar, what floats. */
function checkSteps(recipe: Recipe, lines: readonly MixLine[]): MixStep[] {
  const has = (test: (line: MixLine) => boolean) => lines.some(test);
  return [
    ...(has(({ ingredient }) => CLOTS.includes(ingredient)) && has(({ unit }) => unit === "L") ? [LUMPS] : []),
    ...(recipe.ingredients.some(({ bagged, ingredient }) => bagged && has(({ slot }) => slot === ingredient))
      ? [BAG]
      : []),
    ...(recipe.family === "solid" ? [MOISTURE] : []),
    ...(recipe.family === "sugar" ? [COAT] : []),
    ...(recipe.family === "char" ? [SINKS] : []),
  ];
}

/** One step of the recipe as it is done, with each amount that goes in at it. */
function recipeSteps(recipe: Recipe, own: Step, here: readonly MixLine[]): MixStep[] {
  const wait = own.waitMin ? { minutes: own.waitMin, what: own.waitFor ?? "standing" } : null;
  if (here.length === 0)
    return [
      step(`do-${own.id}`, own.text.split(/[.:;]/)[0]!, own.text, own.why, {
        wait,
        checks: own.checks ?? [],
        answers: own.answers ?? [],
        everyMin: own.everyMin ?? null,
      }),
    ];
  return here.map((line, index) =>
    addStep(recipe, line, own.text, own.why, { wait: index === here.length - 1 ? wait : null }, index === 0 ? own : {}),
  );
}

/**
 * The fill as one thing after another: the recipe's own steps with each amount a step of its own, and the checks that a good hand makes
 * without thinking: the place, the power, the bubbles, lumps, bag, moisture, sugar, cover, label.
 * @param lines what goes in now; lines of a later day are left out by the caller
 */
export function mixingSteps(recipe: Recipe, lines: readonly MixLine[], litres: number): MixStep[] {
  const left = [...lines];
  const steps: MixStep[] = [siteStep(recipe, litres)];
  const checks = checkSteps(recipe, lines);
  const today = recipe.steps.filter(({ onDay = 0 }) => onDay === 0);
  // The fistful is squeezed, the coat looked at, before anything is packed, capped or closed.
  const lastAdding = today.findLastIndex(({ id, adds }) => adds.length > 0 && !CLOSING.includes(id));
  for (const [at, own] of today.entries()) {
    if (at === lastAdding + 1) steps.push(...checks);
    if (own.id === "note" || (CLOSING.includes(own.id) && own.adds.length === 0)) continue;
    // The cap of sugar goes on at its own step, not with the sugar that coats.
    const here =
      own.id === "cap"
        ? left.filter(({ part }) => part === "cap")
        : own.adds.flatMap((id) => left.filter(({ slot, part }) => slot === id && part === "mix"));
    for (const line of here) left.splice(left.indexOf(line), 1);
    if (own.id === "air") steps.push(POWER);
    // A step whose ingredients are all left out, or due on another day, is not done now.
    if (own.adds.length > 0 && here.length === 0) continue;
    if (own.prepares && !lines.some(({ ingredient }) => ingredient === own.prepares)) continue;
    steps.push(...recipeSteps(recipe, own, here));
    if (own.id === "air") steps.push(BUBBLES);
  }
  // What the recipe has no step for goes in before the checks.
  const checksAt = steps.findIndex((one) => checks.includes(one));
  const added = left.map((line) => addStep(recipe, line, line.role, "It is part of this batch.", {}));
  steps.splice(checksAt < 0 ? steps.length : checksAt, 0, ...added);
  if (lastAdding === today.length - 1) steps.push(...checks);
  if (recipe.aerated && !steps.includes(POWER)) steps.push(POWER, BUBBLES);
  const label = step(
    "label",
    "Label it",
    "Name, number, day, and not to drink, on the vessel itself.",
    "A lid is swapped; a drum is not.",
    { checks: ["Label is on the vessel"] },
  );
  return [...steps, lidStep(recipe), label];
}
