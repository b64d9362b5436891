"use client";
import { expectedYield } from "@/core/recipe/expectedYield";
import { usualRate } from "@/core/book/useRate";
import { findIngredient, type IngredientId, isWater } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { findUse } from "@/core/book/uses";
import { batchContent } from "@/core/recipe/composition";
import { airNeed, heaterNeed } from "@/core/recipe/conditions";
import type { ScaledLine, ScaledRecipe } from "@/core/recipe/scale";
import { liftablePortions, LIFTABLE_KG, wetSackKg, type Split } from "@/core/recipe/split";
import { sayAirFlow, sayMass, sayMoney, sayStock, sayTemperature, sayVolume } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import { HEAT_SAFELY } from "@/words/said";
import { sayDose } from "@/formats/bookText";
import { formatNumber } from "@/formats/numbers";
import type { BookView } from "@/services/book";
import { ContentTable } from "../content/ContentTable";
import { useMeasures } from "../measures/measuresContext";
import { ShellChemistry } from "../fill/ShellChemistry";
import { Notice } from "../kit/Notice";
import { plannedCost } from "./drumCost";
import { Bounds, OrSpreadIt, Starters } from "./ScaleFacts";
import { ChangeLines, type ChangeLinesProps } from "./ChangeLines";
import { inText } from "@/formats/grammar";

interface ScaleResultProps extends ChangeLinesProps {
  readonly view: BookView;
  readonly scaled: ScaledRecipe;
  readonly split: Split | null;
}

const FOLLOWS_WORDS = { batch: "", width: "by the vessel’s width", nothing: "whatever the size" } as const;

const LineRow = ({
  line,
  basisId,
  view,
}: {
  readonly line: ScaledLine;
  readonly basisId: IngredientId;
  readonly view: BookView;
}) => {
  const { name, densityKgPerL } = findIngredient(line.ingredient);
  const portions = isWater(line.ingredient)
    ? null
    : liftablePortions(line.amount, line.unit === "L" ? densityKgPerL : null);
  return (
    <tr className="border-b border-line align-top">
      <th scope="row" className="py-1.5 pr-3 text-left">
        <span className="font-semibold">{name}</span>
        {line.part === "cap" ? ", the cap on top" : ""}
        <span className="block text-[0.86rem] font-normal leading-tight text-soft">
          {line.role}
          {line.onDay > 0 ? `; on day ${line.onDay}` : ""}
          {FOLLOWS_WORDS[line.follows] ? `; ${FOLLOWS_WORDS[line.follows]}` : ""}
          {portions && portions.count > 1
            ? `; carry it in ${portions.count} lots of ${sayStock(portions.amountEach, line.unit, view.farm.units)}`
            : ""}
        </span>
      </th>
      <td className="reading whitespace-nowrap py-1.5 pr-3 text-right text-lg font-semibold">
        {sayStock(line.amount, line.unit, view.farm.units)}
      </td>
      <td className="reading py-1.5 pr-3 text-right text-soft">
        {line.high > line.low * 1.001
          ? `${sayStock(line.low, line.unit, view.farm.units)} to ${sayStock(line.high, line.unit, view.farm.units)}`
          : ""}
      </td>
      <td className="reading whitespace-nowrap py-1.5 text-right">
        {line.ingredient === basisId
          ? ""
          : sayDose(line.dosePerL, line.unit, findIngredient(basisId).stockUnit, view.farm.units)}
      </td>
    </tr>
  );
};

/** What it would cost, what it wants of heat and air, and what does not scale. */
const Conditions = ({ view, recipe, scaled }: Pick<ScaleResultProps, "view" | "recipe" | "scaled">) => {
  const days = Math.ceil((view.lead[recipe.id]?.likelyH ?? 0) / 24);
  const cost = plannedCost(recipe, scaled, view, days);
  const vesselL = scaled.occupiedL / scaled.fillShare;
  const airC = view.airC;
  const heater = airC < recipe.comfortC.low ? heaterNeed(vesselL, airC, recipe.comfortC.low) : null;
  const air = recipe.aerated ? airNeed(scaled.occupiedL) : null;
  const sackKg = wetSackKg({ recipe }, scaled.lines);
  const { units, currency } = view.farm;
  return (
    <ul className="grid gap-1 text-[0.95rem]">
      <li>
        Gives about {sayStock(expectedYield(recipe, scaled.basisAmount, scaled.lines).default, recipe.yieldUnit, units)}
        {cost.totalMinor > 0
          ? `, for ${sayMoney(cost.totalMinor, currency)} with hands${cost.perUnitMinor === null ? "" : `, ${sayPricePer(cost.perUnitMinor, recipe.yieldUnit, currency, units)}`}`
          : ""}
        {cost.unpriced.length > 0 ? `; no price for ${cost.unpriced.join(", ")}` : ""}.
      </li>
      {heater ? (
        <li>
          Air of {sayTemperature(airC, units)} is cold for it: a heater of {formatNumber(heater.holdW, 2)} W holds{" "}
          {sayTemperature(recipe.comfortC.low, units)} in a bare vessel, {formatNumber(heater.warmW, 2)} W gets it there
          in twelve hours. One for a pail won’t warm a drum. {HEAT_SAFELY}
        </li>
      ) : null}
      {air ? (
        <li>
          Air: {sayAirFlow(air.usualLPerMin, units)}, {sayAirFlow(air.leastLPerMin, units)} at the very least.
        </li>
      ) : null}
      {sackKg > LIFTABLE_KG ? (
        <li>
          The sack comes out at about {sayMass(sackKg, units, 2)} wet: two people or a pulley, or{" "}
          {liftablePortions(sackKg, null).count} sacks.
        </li>
      ) : null}
      {scaled.occupiedL > LIFTABLE_KG ? <li>Full, it is not moved: fill it where it will stand.</li> : null}
      <li className="text-soft">Days, warming and pressure don’t scale with the vessel; a larger one warms later.</li>
    </ul>
  );
};

/** What goes into each of several vessels. */
const OverSeveral = ({
  split,
  view,
  recipe,
}: {
  readonly split: NonNullable<ScaleResultProps["split"]>;
  readonly view: BookView;
  readonly recipe: Recipe;
}) => {
  const { units } = view.farm;
  return (
    <section aria-label="Over several vessels">
      <ul className="divide-y divide-line border-y border-line">
        {split.parts.map(({ id, scaled: part }) => (
          <li key={id} className="py-1.5">
            <span className="font-semibold">{view.vessels.find((vessel) => String(vessel.id) === id)?.name}</span>{" "}
            <span className="reading">
              {part.lines
                .map(
                  (line) =>
                    `${sayStock(line.amount, line.unit, units)} ${inText(findIngredient(line.ingredient).name)}`,
                )
                .join(", ")}
              ; {formatNumber(part.fillShare * 100, 2)} % full
            </span>
          </li>
        ))}
      </ul>
      {split.left > 0.01 ? (
        <Notice tone="error">
          {`${formatNumber(split.left, 3)} ${findIngredient(recipe.basis).stockUnit} find no vessel: tick another.`}
        </Notice>
      ) : null}
    </section>
  );
};

/** Each line with its span and its dose. */
const WhatGoesIn = ({
  scaled,
  view,
  recipe,
}: {
  readonly scaled: ScaledRecipe;
  readonly view: BookView;
  readonly recipe: Recipe;
}) => (
  <table aria-label="What goes in" className="w-full">
    <thead>
      <tr className="border-b-2 border-ink text-[0.86rem] text-soft">
        <th className="text-left font-normal">Goes in</th>
        <th className="pr-3 text-right font-normal">usual</th>
        <th className="pr-3 text-right font-normal">Usual</th>
        <th className="text-right font-normal">dose</th>
      </tr>
    </thead>
    <tbody>
      {scaled.lines.map((line) => (
        <LineRow key={`${line.ingredient}/${line.part}`} line={line} basisId={recipe.basis} view={view} />
      ))}
    </tbody>
  </table>
);

/** What is in a litre of it. */
const WhatIsInIt = ({ scaled, recipe }: { readonly scaled: ScaledRecipe; readonly recipe: Recipe }) => {
  const { units } = useMeasures();
  const rate = usualRate(recipe);
  return recipe.yieldUnit === "L" && rate ? (
    <section aria-label="Nutrients">
      <h3 className="text-lg">Nutrients</h3>
      <ContentTable
        content={batchContent(recipe, scaled.lines, expectedYield(recipe, scaled.basisAmount, scaled.lines).default)}
        partsWater={rate.partsWater.default}
        useName={findUse(rate.use).name}
        mixLPerM2={findUse(rate.use).mixLPerM2?.default ?? null}
        units={units}
      />
    </section>
  ) : null;
};

/** A scaled recipe: each line with its span and its dose, what governs, and what follows from the size. */
export const ScaleResult = ({ view, recipe, scaled, split, draft, onChange, problemAt }: ScaleResultProps) => {
  const { units } = view.farm;
  return (
    <>
      <Bounds scaled={scaled} recipe={recipe} units={units} />
      <Starters view={view} recipe={recipe} scaled={scaled} />
      {split ? (
        <OverSeveral split={split} view={view} recipe={recipe} />
      ) : (
        <WhatGoesIn scaled={scaled} view={view} recipe={recipe} />
      )}
      {scaled.swaps.map(({ instead, use, changes }) => (
        <Notice
          key={instead}
          tone="plain"
          title={`${findIngredient(use).name} in place of ${inText(findIngredient(instead).name)}`}
        >
          {changes}
        </Notice>
      ))}
      <Conditions view={view} recipe={recipe} scaled={scaled} />
      <OrSpreadIt view={view} recipe={recipe} scaled={scaled} />
      {recipe.family === "mineral" ? (
        <ShellChemistry
          units={units}
          lines={scaled.lines.map(({ ingredient, amount }) => ({ ingredient, used: amount }))}
        />
      ) : null}
      <ChangeLines recipe={recipe} draft={draft} onChange={onChange} problemAt={problemAt} />
      <WhatIsInIt scaled={scaled} recipe={recipe} />
      {scaled.liquidL > 0 ? (
        <p className="text-[0.9rem] text-soft">
          {recipe.family === "solid"
            ? `It takes up ${sayVolume(scaled.occupiedL, units)} in all, with ${sayVolume(scaled.liquidL, units)} of liquid soaked into it.`
            : `It stands at ${sayVolume(scaled.occupiedL, units)}: ${sayVolume(scaled.liquidL, units)} poured in, the solids take up ${sayVolume(scaled.solidsL, units)}.`}
        </p>
      ) : null}
    </>
  );
};
