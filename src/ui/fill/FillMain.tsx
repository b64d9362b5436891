"use client";
import { findIngredient } from "@/core/book/ingredients";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import { NumberField, TextArea, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { WhenChoice } from "../kit/WhenChoice";
import { WaterPicker } from "../water/WaterPicker";
import { FillExtras } from "./FillExtras";
import { FillLines } from "./FillLines";
import { FillCautions, FillNotices, isColdFor } from "./FillNotices";
import { FillEquipment } from "./FillEquipment";
import { ShellChemistry } from "./ShellChemistry";
import { leansOnHeld } from "./workOutFill";
import type { Recipe } from "@/core/book/recipe";
import type { FillSheetProps, Filling } from "./useFilling";

/** What goes in on a later day. */
const Later = ({ later, units }: { readonly later: Filling["fill"]["plan"]["later"]; readonly units: UnitSystem }) => (
  <section aria-label="Later">
    <h3 className="text-lg">Later</h3>
    <ul className="divide-y divide-line border-y border-line">
      {later.map((line) => (
        <li key={line.ingredient} className="flex justify-between gap-3 py-2">
          <span>
            <span className="font-semibold">{findIngredient(line.ingredient).name}</span> on day {line.onDay},{" "}
            {line.role}
          </span>
          <span className="reading text-xl font-semibold">{sayStock(line.amount, line.unit, units)}</span>
        </li>
      ))}
    </ul>
  </section>
);

/** What was started longer ago is not filled in anew. */
const EARLIEST_MS = 60 * 86_400_000;

/** When it was started, how warm the liquid is, and how long hands were at it. */
const WarmthAndTime = ({
  recipe,
  farm,
  nowMs,
  filling,
}: {
  readonly recipe: Recipe;
  readonly farm: FillSheetProps["farm"];
  readonly nowMs: number;
  readonly filling: Filling;
}) => {
  const { stated, setStated, statedC, startsCold, setStartsCold, labourMin, setLabourMin, fields } = filling;
  const degree = farm.units === "us" ? "°F" : "°C";
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Liquid stands at"
          unit={degree}
          hint="Read it. Empty: the air’s usual is taken, and said so."
          value={stated}
          onChange={(event) => setStated(event.target.value)}
          error={fields["/statedC"]}
        />
        <NumberField
          label="Work time"
          unit="min"
          value={labourMin}
          onChange={(event) => setLabourMin(event.target.value)}
          error={fields["/labourMin"]}
        />
      </div>
      <WhenChoice
        label="Started"
        when={filling.when}
        nowMs={nowMs}
        startedMs={nowMs - EARLIEST_MS}
        clock={farm}
        onChange={filling.setWhen}
        error={fields["/startedAt"]}
      />
      {isColdFor(recipe, statedC) ? (
        <TickField
          label="It may start cold: I know that it will be late, or never start"
          checked={startsCold}
          onChange={(event) => setStartsCold(event.target.checked)}
        />
      ) : null}
    </>
  );
};

/** Each line of the fill, to be put right. */
const Lines = ({ making, farm, filling }: Pick<FillSheetProps, "making" | "farm"> & { readonly filling: Filling }) => {
  const { fill, fields } = filling;
  const { state, recipe, set } = fill;
  const { scaled, lines } = fill.plan;
  return scaled ? (
    <FillLines
      recipe={recipe}
      lines={lines}
      shelf={making.shelf}
      units={farm.units}
      today={making.today}
      currency={farm.currency}
      fields={fields}
      species={state.species}
      onSpecies={(ingredient, typed) => set({ species: { ...state.species, [ingredient]: typed } })}
      onType={(key, typed) => set({ drafts: { ...state.drafts, [key]: typed } })}
      onPicked={(ingredient, on) =>
        set({
          picked: new Set(on ? [...state.picked, ingredient] : [...state.picked].filter((id) => id !== ingredient)),
        })
      }
    />
  ) : null;
};

/** What goes in, with what speaks against it, the water, the tools. */
export const FillMain = ({ vessel, making, farm, filling }: FillSheetProps & { readonly filling: Filling }) => {
  const { fill, taken, noAir, statedC, reason, setReason, fields, waterL } = filling;
  const { state, recipe, set } = fill;
  const { scaled, problem, lines, later, filledL } = fill.plan;
  const { units } = farm;
  return (
    <div className="grid content-start gap-5">
      {taken ? (
        <Notice
          tone="error"
          title={vessel.status === "running" ? `${vessel.name} is in use.` : `${vessel.name} needs washing first.`}
        >
          Your text is saved. Choose another vessel.
        </Notice>
      ) : null}
      {noAir ? (
        <Notice tone="error" title={`${vessel.name} has no air`}>
          {`${recipe.name} needs air all the time. Choose another vessel.`}
        </Notice>
      ) : null}
      <FillNotices recipe={recipe} making={making} vessel={vessel} lines={lines} filledL={filledL} statedC={statedC} />
      {fields["/overrideReason"] || reason !== "" || leansOnHeld(lines, making.shelf) ? (
        <TextArea
          label="Reason for using stock on hold"
          hint="Saved with the batch. Without a reason it stays on hold."
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={reason.trim() === "" ? fields["/overrideReason"] : undefined}
        />
      ) : null}
      {problem && state.size !== "amount" && state.size !== "depth" ? (
        <Notice tone="error" title={problem}>
          {null}
        </Notice>
      ) : null}
      <Lines making={making} farm={farm} filling={filling} />
      {later.length > 0 ? <Later later={later} units={units} /> : null}
      {scaled?.leftOut ? (
        <Notice tone="caution" title={`${findIngredient(scaled.leftOut.leaveOut).name} is left out`}>
          {scaled.leftOut.why}
        </Notice>
      ) : null}
      {recipe.family === "mineral" ? <ShellChemistry lines={lines} units={units} /> : null}
      {waterL > 0 ? (
        <WaterPicker
          label="Water for the brew"
          view={making.waters}
          neededL={waterL}
          value={state.water}
          units={units}
          fields={fields}
          onChange={(water) => set({ water })}
        />
      ) : null}
      <FillEquipment
        recipe={recipe}
        equipment={making.equipment}
        chosen={state.tools}
        onChange={(tools) => set({ tools })}
      />
      <FillExtras fill={fill} shelf={making.shelf} units={units} />
      <WarmthAndTime recipe={recipe} farm={farm} nowMs={making.nowMs} filling={filling} />
      <FillCautions recipe={recipe} lines={scaled?.lines ?? []} filledL={filledL} />
    </div>
  );
};
