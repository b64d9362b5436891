"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { OF_LITRES } from "@/formats/measured";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import type { FarmMeasure } from "@/services/types";
import { useShedAct } from "../acts/shed";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "./AmountField";
import { useMeasures } from "./measuresContext";
import { undoOffer } from "../acts/undo";
import { inText } from "@/formats/grammar";

interface WeighForm {
  /** What it holds is weighed; or a line is drawn where so much stands in it. */
  way: "weigh" | "mark";
  measure: string;
  ingredientId: IngredientId;
  amount: string;
}

/** What was weighed so far; the last of each may be taken back. */
const Weighed = ({ measures }: { readonly measures: readonly FarmMeasure[] }) => {
  const { units } = useMeasures();
  const undo = useShedAct("takeBackWeighing", "toast");
  const takeBack = async (measure: string, ingredientId: string, name: string) => {
    if (!(await undo.run({ measure, ingredientId }))) return;
    told(`The last weighing of ${measure} of ${inText(name)} counts no more.`);
  };
  return (
    <ul className="divide-y divide-line border-y border-line">
      {measures.map(({ measure, ingredientId, mean, least, most, weighings }) => {
        const { name, stockUnit } = findIngredient(ingredientId);
        return (
          <li key={`${measure} ${ingredientId}`} className="flex flex-wrap items-center justify-between gap-x-3 py-1">
            <span>
              {measure} of {inText(name)}
            </span>
            <span className="flex items-center gap-1">
              <span className="reading">
                {sayStock(mean, stockUnit, units, 2)}
                {weighings > 1
                  ? `, ${sayStock(least, stockUnit, units, 2)} to ${sayStock(most, stockUnit, units, 2)} in ${weighings}`
                  : ", weighed once"}
              </span>
              <Button
                variant="quiet"
                disabled={undo.busy}
                aria-label={`Take the last weighing back: ${measure} of ${inText(name)}`}
                onClick={() => void takeBack(measure, ingredientId, name)}
              >
                Undo
              </Button>
            </span>
          </li>
        );
      })}
    </ul>
  );
};

/** What is filled in of a weighing, and its sending. */
function useWeighing(of: IngredientId) {
  const act = useShedAct("weighMeasure");
  const takeBack = useShedAct("takeBackWeighing", "toast");
  const { read } = useReadAmount();
  const { register, handleSubmit, control, setValue } = useForm<WeighForm>({
    defaultValues: { way: "weigh", measure: "handful", ingredientId: of, amount: "" },
  });
  const [way, ingredientId, typed, named] = useWatch({ control, name: ["way", "ingredientId", "amount", "measure"] });
  const item = findIngredient(ingredientId);
  const marked = way === "mark";
  const measurable = marked ? OF_LITRES : { itemId: item.id, unit: item.stockUnit, densityKgPerL: item.densityKgPerL };
  const litres = marked ? read(typed, OF_LITRES) : null;
  const submit = handleSubmit(async ({ measure, amount }) => {
    const sent = {
      measure,
      // A line is drawn with water; for all that is poured or scooped of known density it holds as well.
      ingredientId: marked ? "water" : item.id,
      amount: read(amount, measurable) as number,
    };
    if (!(await act.run(sent))) return;
    told(
      marked
        ? `The line on the ${measure} is kept: type "1 ${measure}" in any amount.`
        : `One ${measure} of ${inText(item.name)} is weighed. Weigh it again for its spread.`,
      undoOffer(() => takeBack.run({ measure: sent.measure, ingredientId: sent.ingredientId })),
    );
    setValue("amount", "");
  });
  return { act, register, setValue, way, typed, named, measurable, marked, litres, submit };
}

/** How a line is drawn with water and a scale. */
const DrawTheLine = ({ litres, units }: { readonly litres: number; readonly units: UnitSystem }) => (
  <ol className="list-decimal pl-5">
    <li>Stand it empty on the scale and set the scale to 0.</li>
    <li>
      Pour in water until the scale says{" "}
      <span className="reading font-semibold">{sayStock(litres, "kg", units, 4)}</span>: that is{" "}
      {sayStock(litres, "L", units, 4)}.
    </li>
    <li>Draw the line where the water stands, and write the name beside it. A syringe: to its own scale.</li>
  </ol>
);

/** A handful is a handful until the farm has weighed its own; three weighings make its spread. */
export const WeighSheet = ({
  measures,
  of = "leaf-mould",
  onClose,
}: {
  readonly measures: readonly FarmMeasure[];
  /** What is weighed first. */
  readonly of?: IngredientId;
  readonly onClose: () => void;
}) => {
  const { units } = useMeasures();
  const { act, register, setValue, way, typed, named, measurable, marked, litres, submit } = useWeighing(of);
  return (
    <FormSheet
      title="Weigh own measure"
      act="Save weight"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <Choices<WeighForm["way"]>
        label="How"
        stacked
        value={way}
        onChange={(next) => {
          setValue("way", next);
          if (named === (next === "mark" ? "handful" : "")) setValue("measure", next === "mark" ? "" : "handful");
        }}
        options={[
          { value: "weigh", label: "Weigh what it holds", note: "A handful, scoop, pail, as we fill it." },
          { value: "mark", label: "Draw a line on it", note: "A cup, jug or syringe, always filled to the same line." },
        ]}
      />
      <TextField
        label="Measure"
        hint={marked ? "red cup, big syringe" : "handful, scoop, cap, pail"}
        {...register("measure")}
        error={act.fields["/measure"]}
      />
      {marked ? null : (
        <SelectField label="Of" {...register("ingredientId")}>
          {INGREDIENT_IDS.toSorted((a, b) => INGREDIENTS[a].name.localeCompare(INGREDIENTS[b].name)).map((id) => (
            <option key={id} value={id}>
              {INGREDIENTS[id].name}
            </option>
          ))}
        </SelectField>
      )}
      <AmountField
        label={marked ? "The line stands for" : "It came to"}
        of={measurable}
        typed={typed}
        hint={
          marked
            ? "250 mL, 2 Tbsp"
            : "90 g, 3 oz. Tare the bowl first. Filled with water, a can or scoop does for anything whose density is known."
        }
        {...register("amount")}
        error={act.fields["/amount"]}
      />
      {marked && litres !== null && litres > 0 ? <DrawTheLine litres={litres} units={units} /> : null}
      {measures.length > 0 ? <Weighed measures={measures} /> : null}
    </FormSheet>
  );
};
