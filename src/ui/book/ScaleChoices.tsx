"use client";
import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { sayStock, sayVolume } from "@/formats/amounts";
import { measurableOf, OF_LITRES } from "@/formats/measured";
import { formatNumber } from "@/formats/numbers";
import type { BookView } from "@/services/book";
import { Choices } from "../kit/Choices";
import { SelectField, TickField } from "../kit/fields";
import { AmountField } from "../measures/AmountField";
import { SizeField } from "../measures/SizeField";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { recipeContents } from "../drawings/recipeContents";
import { LandChoice } from "./LandChoice";
import type { ScaleBy } from "./scaleDraft";
import { type Scaling } from "./useScale";
import { inText } from "@/formats/grammar";

/** The vessel, or those that it is split over. */
const WhichVessel = ({ view, scaling }: { readonly view: BookView; readonly scaling: Scaling }) => {
  const { units } = view.farm;
  const { draft, fits, vesselId, setPicked, splitIds, setSplitIds, at } = scaling;
  return draft.by === "split" ? (
    <fieldset>
      <legend className="text-[0.92rem] font-semibold">In these</legend>
      {fits.map(({ id, name, volumeL, status }) => (
        <TickField
          key={id}
          label={`${name}, ${sayVolume(volumeL, units)}${status === "free" ? "" : ", not free now"}`}
          checked={splitIds.includes(id)}
          onChange={(event) =>
            setSplitIds(event.target.checked ? [...splitIds, id] : splitIds.filter((other) => other !== id))
          }
        />
      ))}
      {at("split") ? <p className="font-semibold text-rust">{at("split")}</p> : null}
    </fieldset>
  ) : (
    <SelectField
      label="Vessel"
      value={vesselId ?? ""}
      onChange={(event) => setPicked(event.target.value === "" ? null : Number(event.target.value))}
    >
      {fits.map(({ id, name, volumeL, status }) => (
        <option key={id} value={id}>
          {name}, {sayVolume(volumeL, units)}
          {status === "free" ? "" : " (not free now)"}
        </option>
      ))}
      <option value="">another one</option>
    </SelectField>
  );
};

/** How much, in the measure that was chosen. */
const HowMuch = ({
  view,
  recipe,
  scaling,
}: {
  readonly view: BookView;
  readonly recipe: Recipe;
  readonly scaling: Scaling;
}) => {
  const basis = findIngredient(recipe.basis);
  const { draft, set, vessel, typedVessel, setTypedVessel, bedIds, setBedIds, distance, setDistance, result, at } =
    scaling;
  return (
    <>
      {vessel === undefined && draft.by !== "split" ? (
        <AmountField
          label="It holds"
          of={OF_LITRES}
          typed={typedVessel}
          value={typedVessel}
          onChange={(event) => setTypedVessel(event.target.value)}
          error={at("vessel")}
        />
      ) : null}
      {draft.by === "amount" || draft.by === "split" ? (
        <AmountField
          label={basis.name}
          of={measurableOf(recipe.basis)}
          typed={draft.wanted}
          value={draft.wanted}
          onChange={(event) => set({ wanted: event.target.value })}
          error={draft.wanted === "" ? undefined : at("wanted")}
        />
      ) : null}
      {draft.by === "depth" ? (
        <SizeField
          label="Depth"
          measure="cm"
          typed={draft.depth}
          hint="A stick to the floor, before solids go in."
          value={draft.depth}
          onChange={(event) => set({ depth: event.target.value })}
          error={draft.depth === "" ? undefined : at("depth")}
        />
      ) : null}
      {draft.by === "land" ? (
        <LandChoice
          view={view}
          recipe={recipe}
          draft={draft}
          bedIds={bedIds}
          distance={distance}
          land={result.land}
          error={at("land")}
          onChange={set}
          onBeds={setBedIds}
          onDistance={setDistance}
        />
      ) : null}
    </>
  );
};

/** The vessel with its level. */
const Drawn = ({
  view,
  recipe,
  scaling,
}: {
  readonly view: BookView;
  readonly recipe: Recipe;
  readonly scaling: Scaling;
}) => {
  const { units } = view.farm;
  const {
    vessel,
    drawnL,
    result: { scaled },
  } = scaling;
  return (
    <div className="flex items-end gap-4">
      <VesselDrawing
        kind={vessel?.kind ?? "drum"}
        volumeL={Math.max(0.1, drawnL)}
        diameterM={vessel?.diameterM ?? null}
        pxPerM={170 / Math.max(0.35, Math.cbrt(Math.max(0.1, drawnL) / 100))}
        contents={scaled ? recipeContents(recipe, scaled.occupiedL) : null}
        label={scaled ? `filled to ${formatNumber(scaled.fillShare * 100, 2)} %` : "empty"}
      />
      {scaled ? (
        <p className="text-[0.9rem] text-soft">
          {formatNumber(scaled.fillShare * 100, 2)} % full
          {scaled.solidsL > 0.5 ? `; solids push ${sayVolume(scaled.solidsL, units)} up` : ""}.
        </p>
      ) : null}
    </div>
  );
};

/** What is scarce, and so governs. */
const AtHand = ({ view, scaling }: { readonly view: BookView; readonly scaling: Scaling }) => {
  const { units } = view.farm;
  const { draft, set, limited, at } = scaling;
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 text-[0.92rem] font-semibold">At hand, where it is scarce</legend>
      {limited.map(({ ingredient }) => {
        const { name, stockUnit } = findIngredient(ingredient);
        const limit = draft.limits[ingredient] ?? "";
        const held = view.shelf.find((item) => item.ingredientId === ingredient)?.onHand;
        return (
          <AmountField
            key={ingredient}
            label={name}
            of={measurableOf(ingredient)}
            typed={limit}
            placeholder={held === undefined ? "no limit" : `no limit; shed ${sayStock(held, stockUnit, units)}`}
            value={limit}
            onChange={(event) => set({ limits: { ...draft.limits, [ingredient]: event.target.value } })}
            error={at(`limits/${ingredient}`)}
          />
        );
      })}
    </fieldset>
  );
};

/** By what it is scaled, in which vessel, with what at hand. */
export const ScaleChoices = ({
  view,
  recipe,
  scaling,
}: {
  readonly view: BookView;
  readonly recipe: Recipe;
  readonly scaling: Scaling;
}) => {
  const basis = findIngredient(recipe.basis);
  const { draft, set } = scaling;
  return (
    <div className="grid content-start gap-4">
      <Choices<ScaleBy>
        label="By what"
        stacked
        value={draft.by}
        onChange={(by) => set({ by })}
        options={[
          { value: "vessel", label: "A full vessel" },
          { value: "amount", label: `So much ${inText(basis.name)}` },
          ...(basis.stockUnit === "L" ? [{ value: "depth" as const, label: "What stands in it, by depth" }] : []),
          ...(recipe.uses.length > 0 ? [{ value: "land" as const, label: "Area to treat" }] : []),
          { value: "split", label: "Over several vessels" },
        ]}
      />
      <WhichVessel view={view} scaling={scaling} />
      <HowMuch view={view} recipe={recipe} scaling={scaling} />
      <Drawn view={view} recipe={recipe} scaling={scaling} />
      <AtHand view={view} scaling={scaling} />
    </div>
  );
};
