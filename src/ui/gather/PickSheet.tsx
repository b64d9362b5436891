"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { findPlant, PLANT_SLOTS } from "@/core/book/plants";
import type { IngredientId } from "@/core/book/ingredients";
import { checkPlant } from "@/core/safety/checkPlant";
import type { GatherView } from "@/services/gather";
import { useGatherAct } from "../acts/gather";
import { useUndo } from "../acts/undo";
import { SelectField, TextArea, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Notice } from "../kit/Notice";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { bookOption } from "../shed/ingredientOptions";

const PARTS = ["growing tips", "leaves", "flowers", "fruit", "roots", "whole plant", "stems"] as const;
const SLOTS: readonly IngredientId[] = [
  "plant",
  "greens",
  "legume-leaf",
  "seaweed-fresh",
  "dry-leaves",
  "repellent-plant",
  "fruit-waste",
];

const slotOf = (species: string): IngredientId => {
  const plant = findPlant(species);
  return plant ? PLANT_SLOTS[plant.kind].slots[0]! : "plant";
};

/** What is filled in of a picking, what its plant is known for, and its sending. */
function usePick(species: string, view: GatherView, onClose: () => void) {
  const act = useGatherAct("recordPick");
  const undo = useUndo();
  const { read } = useReadAmount();
  const { register, handleSubmit, control, setValue } = useForm({
    defaultValues: {
      species,
      part: "growing tips" as (typeof PARTS)[number],
      ingredientId: slotOf(species),
      amount: "",
      place: "",
      crop: "",
      pickedOn: view.today,
      herbicideSuspected: false,
      overrideReason: "",
      note: "",
    },
  });
  const typed = useWatch({ control });
  const of = bookOption(typed.ingredientId ?? "plant");
  const crops = typed.crop ? [typed.crop] : [];
  const check = (typed.species ?? "").trim() === "" ? null : checkPlant(typed.species!, typed.place ?? "", crops);
  const submit = handleSubmit(async (form) => {
    const answer = await act.run({
      species: form.species,
      part: form.part,
      ingredientId: form.ingredientId,
      amount: read(form.amount, of) as number,
      place: form.place,
      crops: form.crop === "" ? [] : [form.crop],
      pickedOn: form.pickedOn,
      herbicideSuspected: form.herbicideSuspected,
      overrideReason: form.overrideReason,
    });
    if (!answer) return;
    told(`${form.species} added to stock, for today.`, undo({ kind: "lot", id: answer.lotId }));
    onClose();
  });
  const { fields } = act;
  return { act, fields, register, setValue, typed, of, check, submit };
}

type Pick = ReturnType<typeof usePick>;

/** The plant by its name, and what is known against it. */
const WhichPlant = ({ view, pick }: { readonly view: GatherView; readonly pick: Pick }) => {
  const { fields, register, setValue, check } = pick;
  return (
    <>
      <TextField
        label="Which plant"
        list="plants-known"
        {...register("species", {
          onChange: (event: { target: { value: string } }) => setValue("ingredientId", slotOf(event.target.value)),
        })}
        error={check?.type === "refused" ? undefined : fields["/species"]}
      />
      <datalist id="plants-known">
        {view.groups.flatMap(({ plants }) => plants.map(({ name }) => <option key={name} value={name} />))}
      </datalist>
      {check?.type === "refused" ? (
        <Notice tone="error" title="Do not pick this">
          {check.why} It can poison people. Leave it and wash your hands.
        </Notice>
      ) : null}
      {check?.type === "caution" || check?.type === "unknown" ? <Notice tone="caution">{check.why}</Notice> : null}
    </>
  );
};

/** A picking, checked by name as it is typed: poisonous stops, a caution wants a reason that is kept. */
export const PickSheet = ({
  species,
  view,
  onClose,
}: {
  readonly species: string;
  readonly view: GatherView;
  readonly onClose: () => void;
}) => {
  const pick = usePick(species, view, onClose);
  const { act, fields, register, typed, of, check, submit } = pick;
  return (
    <FormSheet
      title="What was picked"
      act="Add to stock"
      busy={act.busy || check?.type === "refused"}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <WhichPlant view={view} pick={pick} />
      <div className="grid grid-cols-2 gap-3">
        <SelectField label="Which part" {...register("part")}>
          {PARTS.map((part) => (
            <option key={part} value={part}>
              {part}
            </option>
          ))}
        </SelectField>
        <SelectField label="Goes in as" {...register("ingredientId")} error={fields["/ingredientId"]}>
          {SLOTS.map((id) => (
            <option key={id} value={id}>
              {bookOption(id).name}
            </option>
          ))}
        </SelectField>
      </div>
      <AmountField
        label="How much"
        of={of}
        typed={typed.amount ?? ""}
        {...register("amount")}
        error={fields["/amount"]}
      />
      <TextField
        label="Where it grew"
        {...register("place")}
        error={fields["/place"]}
        hint="hedge by the stream; never a roadside"
      />
      <SelectField label="Meant for which crop" {...register("crop")} hint="So that none gets its own kin.">
        <option value="">any</option>
        {view.crops.map((crop) => (
          <option key={crop} value={crop}>
            {crop}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Picked on"
        type="date"
        max={view.today}
        {...register("pickedOn")}
        error={fields["/receivedOn"] ?? fields["/pickedOn"]}
      />
      <TickField label="May contain weedkiller (bean test first)" {...register("herbicideSuspected")} />
      {check?.type === "caution" || check?.type === "unknown" ? (
        <TextArea
          label="Reason for using it anyway"
          {...register("overrideReason")}
          error={fields["/overrideReason"]}
          hint="Saved with the lot."
        />
      ) : null}
    </FormSheet>
  );
};
