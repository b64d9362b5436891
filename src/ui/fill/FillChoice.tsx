"use client";
import { findMethod, METHODS } from "@/core/book";
import { chosenKey, versionsOffered } from "@/core/recipe/pick";
import { findIngredient } from "@/core/book/ingredients";
import { measurableOf } from "@/formats/measured";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import type { MakingView } from "@/services/fill";
import type { Vessel } from "@/services/types";
import { Choices } from "../kit/Choices";
import { SelectField } from "../kit/fields";
import { AmountField } from "../measures/AmountField";
import { SizeField } from "../measures/SizeField";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { recipeContents } from "../drawings/recipeContents";
import { basisOf, type FillSize } from "./workOutFill";
import type { Fill } from "./useFill";

interface FillChoiceProps {
  readonly vessel: Vessel;
  readonly making: MakingView;
  readonly fill: Fill;
  readonly units: UnitSystem;
  readonly fields: Readonly<Record<string, string>>;
}

const schoolKey = (schoolId: string, versionNo: number | null) => `${schoolId}/${versionNo ?? ""}`;

function schoolOptions(methodId: string, making: MakingView) {
  const method = findMethod(methodId);
  return method.schools.flatMap((school) => [
    {
      value: schoolKey(school.id, null),
      label: `${school.name}${school.id === method.cautiousSchool ? " (cautious)" : ""}`,
      note: school.stance,
    },
    ...versionsOffered(making, methodId, school.id).map(({ versionNo, document, unconfirmed }) => ({
      value: schoolKey(school.id, versionNo),
      label: `${document.name}, own version ${versionNo}`,
      note: unconfirmed.length > 0 ? `Not confirmed: ${unconfirmed[0]!.text}` : document.note,
      disabled: unconfirmed.length > 0,
    })),
  ]);
}

/** The vessel with the level that comes of it. */
const Level = ({ vessel, fill, units }: Pick<FillChoiceProps, "vessel" | "fill" | "units">) => {
  const { recipe, plan } = fill;
  const share = formatNumber((plan.filledL / vessel.volumeL) * 100, 2);
  return (
    <div className="flex items-end gap-4">
      <VesselDrawing
        kind={vessel.kind}
        volumeL={vessel.volumeL}
        diameterM={vessel.diameterM}
        pxPerM={150 / Math.max(1, Math.cbrt(vessel.volumeL / 100))}
        contents={plan.scaled ? recipeContents(recipe, plan.filledL, false) : null}
        label={`${vessel.name} filled to ${share} %`}
      />
      {plan.scaled ? (
        <p className="text-[0.9rem] text-soft">
          {share} % full.
          {plan.scaled.solidsL > 0.5 ? ` Solids push ${sayVolume(plan.scaled.solidsL, units)} up.` : ""}
          {plan.scaled.limitedBy === "vessel" ? "" : ` ${findIngredient(plan.scaled.limitedBy).name} runs out first.`}
        </p>
      ) : null}
    </div>
  );
};

/** What is made, by which recipe, and how much of it; the vessel beside it shows the level as it is typed. */
export const FillChoice = ({ vessel, making, fill, units, fields }: FillChoiceProps) => {
  const { state, recipe, plan, set } = fill;
  const { unit, word } = basisOf(recipe);
  const option = ({ id, name, aerated }: (typeof METHODS)[number]) => (
    <option key={id} value={id} disabled={aerated && vessel.airW === 0}>
      {name}
      {aerated && vessel.airW === 0 ? " (needs air; this vessel has none)" : ""}
    </option>
  );
  return (
    <div className="grid content-start gap-5">
      <SelectField
        label="Method"
        value={state.key.methodId}
        hint={recipe.purpose}
        onChange={(event) => set({ key: chosenKey(event.target.value, making.choices) })}
        error={fields["/methodId"]}
      >
        <optgroup label="For soil and crops">
          {METHODS.filter(({ family }) => family !== "preparation").map(option)}
        </optgroup>
        <optgroup label="For other recipes">
          {METHODS.filter(({ family }) => family === "preparation").map(option)}
        </optgroup>
      </SelectField>
      <Choices
        label="Recipe"
        stacked
        value={schoolKey(state.key.schoolId, state.key.versionNo)}
        onChange={(value) => {
          const [schoolId, versionNo] = value.split("/");
          set({ key: { ...state.key, schoolId: schoolId!, versionNo: versionNo ? Number(versionNo) : null } });
        }}
        options={schoolOptions(state.key.methodId, making)}
      />
      <Choices<FillSize>
        label="How much"
        stacked
        value={state.size}
        onChange={(size) => set({ size })}
        options={[
          { value: "vessel", label: "Full, with headspace" },
          { value: "shed", label: "As much as stock allows" },
          { value: "amount", label: `So much ${word}` },
          ...(unit === "L" ? [{ value: "depth" as const, label: `Liquid already in it` }] : []),
        ]}
      />
      {state.size === "amount" ? (
        <AmountField
          label={`${word.charAt(0).toUpperCase()}${word.slice(1)}`}
          of={measurableOf(recipe.basis)}
          typed={state.wanted}
          value={state.wanted}
          inputMode="decimal"
          onChange={(event) => set({ wanted: event.target.value })}
          error={state.wanted !== "" ? (plan.problem ?? fields["/basisAmount"]) : undefined}
        />
      ) : null}
      {state.size === "depth" ? (
        <SizeField
          label="Depth"
          measure="cm"
          typed={state.depth}
          hint="A stick to the floor of the vessel, before solids go in."
          value={state.depth}
          onChange={(event) => set({ depth: event.target.value })}
          error={state.depth !== "" ? (plan.problem ?? undefined) : undefined}
        />
      ) : null}
      <Level vessel={vessel} fill={fill} units={units} />
    </div>
  );
};
