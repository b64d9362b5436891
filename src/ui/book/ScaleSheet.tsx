"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { findIngredient, type IngredientId, isWater } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { RecipeKey } from "@/core/recipe/pick";
import { sayStock, sayVolume } from "@/formats/amounts";
import { measurableOf, OF_LITRES } from "@/formats/measured";
import { formatNumber } from "@/formats/numbers";
import type { BookView } from "@/services/book";
import { queryOf, sizeQuery } from "../fill/recipeKey";
import { buttonLook } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { SelectField, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { SizeField } from "../measures/SizeField";
import { VesselDrawing } from "../yard/VesselDrawing";
import { recipeContents } from "../yard/recipeContents";
import { LandChoice } from "./LandChoice";
import { ScaleResult } from "./ScaleResult";
import { WaterNeed } from "./WaterNeed";
import { amounts, workScale, type ScaleBy, type ScaleDraft } from "./scaleDraft";

/** What the chooser knows already: so much of one ingredient is at hand. */
export interface ScaleStart {
  readonly limit: { readonly ingredient: IngredientId; readonly amount: number } | null;
}

interface ScaleSheetProps {
  readonly view: BookView;
  readonly recipeKey: RecipeKey;
  readonly recipe: Recipe;
  readonly start: ScaleStart | null;
  readonly onClose: () => void;
}

const USUAL_L = 200;

/** A recipe scaled by a vessel, an amount, a level, the land, or whatever runs out; the vessel's level moves as it is typed. */
export const ScaleSheet = ({ view, recipeKey, recipe, start, onClose }: ScaleSheetProps) => {
  const { read, show, measured } = useReadAmount();
  const fits = view.vessels.filter(({ airW }) => !recipe.aerated || airW > 0);
  const free = fits.filter(({ status }) => status === "free");
  /** Undefined until somebody picks one; null for another one. */
  const [picked, setPicked] = useState<number | null>();
  const [draft, setDraft] = useState<
    Omit<ScaleDraft, "recipe" | "diameterM" | "vessel" | "splitVessels" | "bedsM2" | "units" | "read">
  >({
    by: "vessel",
    wanted: "",
    depth: "",
    land: "",
    often: "once",
    useId: recipe.uses[0]?.use ?? null,
    limits: start?.limit
      ? { [start.limit.ingredient]: show(start.limit.amount, measurableOf(start.limit.ingredient)) }
      : {},
    stated: {},
    include: [],
    swaps: {},
  });
  const [typedVessel, setTypedVessel] = useState(show(USUAL_L, OF_LITRES));
  const [splitIds, setSplitIds] = useState<readonly number[]>(free.map(({ id }) => id));
  const [bedIds, setBedIds] = useState<readonly number[]>([]);
  const [distance, setDistance] = useState("");
  const set = (change: Partial<typeof draft>) => setDraft({ ...draft, ...change });
  const asked = {
    ...draft,
    recipe,
    units: view.farm.units,
    read: measured,
    bedsM2: view.beds.reduce((sum, { id, areaM2 }) => sum + (bedIds.includes(id) ? areaM2 : 0), 0),
    splitVessels: fits
      .filter(({ id }) => splitIds.includes(id))
      .map(({ id, volumeL, diameterM }) => ({ id: String(id), vesselL: volumeL, diameterM })),
  };
  // What the land wants decides the vessel, not the other way round: the smallest that takes it.
  const smallest = () =>
    free
      .toSorted((a, b) => a.volumeL - b.volumeL)
      .find(({ volumeL, diameterM }) => workScale({ ...asked, vessel: `${volumeL} L`, diameterM }).scaled !== null);
  const vesselId =
    picked === undefined ? (((draft.by === "land" ? smallest() : undefined) ?? free[0])?.id ?? null) : picked;
  const vessel = view.vessels.find(({ id }) => id === vesselId);
  const vesselText = vessel ? `${vessel.volumeL} L` : typedVessel;
  const result = workScale({ ...asked, vessel: vesselText, diameterM: vessel?.diameterM ?? null });
  const { scaled, problem } = result;
  // Filled to its line by itself, a vessel needs no size told; anything else is handed on as it stands.
  const sized =
    scaled && draft.by !== "vessel"
      ? `&${sizeQuery({
          basisAmount: scaled.basisAmount,
          choice: {
            include: draft.include,
            stated: amounts("stated", draft.stated, measured),
            substitutes: Object.entries(draft.swaps).map(([instead, use]) => ({ instead, use })),
          },
        })}`
      : "";
  const at = (field: string) => (problem?.field === field ? problem.text : undefined);
  const basis = findIngredient(recipe.basis);
  const drawnL = read(vesselText, OF_LITRES) ?? 0;
  const limited = recipe.ingredients.filter(
    ({ amount, optional }, index, all) =>
      amount.type === "per-basis" &&
      (!optional || draft.include.includes(all[index]!.ingredient)) &&
      all.findIndex((line) => line.ingredient === all[index]!.ingredient) === index &&
      !isWater(all[index]!.ingredient),
  );
  const { units } = view.farm;
  return (
    <Sheet
      wide
      open
      onClose={onClose}
      title={`Scale: ${recipe.shortName.toLowerCase()}`}
      lead={`${recipe.school.name}. ${recipe.school.stance}`}
      foot={
        <div className="flex flex-wrap items-center justify-between gap-3">
          <p className={problem ? "font-semibold text-rust" : "text-soft"} aria-live="polite">
            {problem
              ? problem.text
              : scaled
                ? `Fills to ${sayVolume(scaled.occupiedL, units)}; ${sayVolume(scaled.headspaceL, units)} of headspace.`
                : ""}
          </p>
          {vessel && draft.by !== "split" ? (
            vessel.status === "free" ? (
              <Link href={`/?fill=${vessel.id}&${queryOf(recipeKey)}${sized}`} className={buttonLook("strong")}>
                Fill {vessel.name}
              </Link>
            ) : (
              <span className="text-soft">{vessel.name} is not free just now.</span>
            )
          ) : null}
        </div>
      }
    >
      <div className="grid gap-5 md:grid-cols-[290px_1fr]">
        <div className="grid content-start gap-4">
          <Choices<ScaleBy>
            label="By what"
            stacked
            value={draft.by}
            onChange={(by) => set({ by })}
            options={[
              { value: "vessel", label: "A vessel, to its line" },
              { value: "amount", label: `So much ${basis.name.toLowerCase()}` },
              ...(basis.stockUnit === "L" ? [{ value: "depth" as const, label: "What stands in it, by depth" }] : []),
              ...(recipe.uses.length > 0 ? [{ value: "land" as const, label: "The land it is for" }] : []),
              { value: "split", label: "Over several vessels" },
            ]}
          />
          {draft.by === "split" ? (
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
          )}
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
        </div>
        <div className="grid content-start gap-5">
          {problem && ["", "split"].includes(problem.field) ? <Notice tone="error">{problem.text}</Notice> : null}
          {scaled ? (
            <ScaleResult
              view={view}
              recipe={recipe}
              scaled={scaled}
              split={result.split}
              draft={draft}
              onChange={set}
              problemAt={at}
            />
          ) : null}
          {scaled && !result.split ? <WaterNeed view={view} recipe={recipe} scaled={scaled} /> : null}
        </div>
      </div>
    </Sheet>
  );
};
