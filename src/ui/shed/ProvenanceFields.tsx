"use client";
import type { UseFormRegister } from "react-hook-form";
import type { Asking } from "../acts/act";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import type { IngredientId } from "@/core/book/ingredients";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { ANIMALS, CHAR_SOURCES, DUNG_AGES, URINE_DONORS, URINE_HOLD_D } from "@/core/safety/provenance";
import { OF_LITRES, OF_KILOGRAMS, type Measurable } from "@/formats/measured";
import { SelectField, TextField, TickField } from "../kit/fields";
import { AmountField } from "../measures/AmountField";
import type { ProvenanceForm, ReceiveForm } from "./receiveForm";

export type OriginKind = "dung" | "urine" | "char" | "herbicide" | "living" | "rinse" | "plant";
const DUNG: readonly IngredientId[] = ["dung-fresh", "dung-aged", "manure-aged"];

/** What of a lot's origin matters later, by what it is. */
export function kindsOfOrigin(id: IngredientId): readonly OriginKind[] {
  const facts = INGREDIENT_FACTS[id];
  return [
    ...(DUNG.includes(id) ? (["dung"] as const) : []),
    ...(id === "urine" ? (["urine"] as const) : []),
    ...(id === "char" || id === "char-lump" ? (["char"] as const) : []),
    ...(facts.cautions.includes("herbicide") || id === "compost" || id === "garden-soil"
      ? (["herbicide"] as const)
      : []),
    ...(facts.living ? (["living"] as const) : []),
    ...(id === "rice-wash" ? (["rinse"] as const) : []),
    ...(isPickedPlant(id) ? (["plant"] as const) : []),
  ];
}

/** The origin as it is sent: only what belongs to such an ingredient. */
export function provenanceOf(
  form: ProvenanceForm,
  id: IngredientId,
  read: (text: string, of: Measurable) => number | null,
): NonNullable<Asking<"shed", "receiveLot">["provenance"]> {
  const kinds = kindsOfOrigin(id);
  const has = (kind: OriginKind) => kinds.includes(kind);
  // What is typed and can't be read is marked at its field, not dropped.
  const amount = (text: string, of: Measurable) => read(text, of) ?? NaN;
  const rinsed = form.rice.trim() !== "" || form.rinse.trim() !== "";
  return {
    ...(has("dung") ? { dung: { animal: form.animal, age: form.age, heapedOn: null } } : {}),
    ...(has("urine")
      ? {
          urine: {
            donor: form.donor,
            collectedFrom: form.collectedFrom,
            collectedUntil: form.collectedUntil,
            medicine: form.medicine,
          },
        }
      : {}),
    ...(has("char") ? { charSource: form.charSource } : {}),
    ...(has("herbicide") ? { herbicideSuspected: form.herbicideSuspected } : {}),
    ...(has("living") && form.storedHot ? { storedHot: true } : {}),
    ...(has("plant") && form.species.trim() !== ""
      ? {
          plant: { species: form.species.trim(), part: "picked", place: form.pickedAt.trim() },
          overrideReason: form.plantReason.trim() === "" ? null : form.plantReason.trim(),
        }
      : {}),
    ...(has("rinse") && rinsed
      ? { firstRinse: { riceKg: amount(form.rice, OF_KILOGRAMS), rinseL: amount(form.rinse, OF_LITRES) } }
      : {}),
  };
}

const options = (values: readonly string[]) =>
  values.map((value) => (
    <option key={value} value={value}>
      {value}
    </option>
  ));

/** Plants by name, and where they grew. */
const PlantOrigin = ({
  register,
  fields,
}: {
  readonly register: UseFormRegister<ReceiveForm>;
  readonly fields: FieldErrors;
}) => (
  <>
    <TextField
      label="Which plants"
      {...register("species")}
      error={fields["/provenance/plant"]}
      hint="For example nettle, comfrey. Ruchka checks for poisonous plants."
    />
    <TextField label="Where it grew" {...register("pickedAt")} />
    {fields["/provenance/overrideReason"] ? (
      <TextField
        label="Reason for using it anyway"
        {...register("plantReason")}
        error={fields["/provenance/overrideReason"]}
      />
    ) : null}
  </>
);

/** Whose, collected when. */
const UrineOrigin = ({
  register,
  fields,
}: {
  readonly register: UseFormRegister<ReceiveForm>;
  readonly fields: FieldErrors;
}) => (
  <>
    <SelectField label="Whose" {...register("donor")}>
      {options(URINE_DONORS)}
    </SelectField>
    <div className="grid grid-cols-2 gap-3">
      <TextField label="Collected from" type="date" {...register("collectedFrom")} />
      <TextField
        label="To"
        type="date"
        {...register("collectedUntil")}
        error={fields["/provenance/urine/collectedUntil"]}
        hint={`Held ${URINE_HOLD_D} days from then.`}
      />
    </div>
    <TickField label="The donor takes medicine" {...register("medicine")} />
  </>
);

/** What matters later of where a lot is from: asked by what it is. */
export const ProvenanceFields = ({
  kinds,
  typed,
  register,
  fields,
}: {
  readonly kinds: readonly OriginKind[];
  readonly typed: Pick<ReceiveForm, "rice" | "rinse">;
  readonly register: UseFormRegister<ReceiveForm>;
  readonly fields: FieldErrors;
}) => {
  const has = (kind: OriginKind) => kinds.includes(kind);
  if (kinds.length === 0) return null;
  return (
    <fieldset className="grid gap-3 border-l-4 border-marigold pl-3">
      <legend className="sr-only">Where it is from</legend>
      {has("dung") ? (
        <div className="grid grid-cols-2 gap-3">
          <SelectField label="Animal" {...register("animal")}>
            {options(ANIMALS)}
          </SelectField>
          <SelectField label="Age" {...register("age")} hint="Germs can pass into every batch.">
            {options(DUNG_AGES)}
          </SelectField>
        </div>
      ) : null}
      {has("plant") ? <PlantOrigin register={register} fields={fields} /> : null}
      {has("urine") ? <UrineOrigin register={register} fields={fields} /> : null}
      {has("char") ? (
        <SelectField label="Burnt from" {...register("charSource")} hint="Black char only; white ash stays out of it.">
          {options(CHAR_SOURCES)}
        </SelectField>
      ) : null}
      {has("herbicide") ? (
        <TickField label="May contain weedkiller (bean test first)" {...register("herbicideSuspected")} />
      ) : null}
      {has("living") ? <TickField label="It stood hot on its way here" {...register("storedHot")} /> : null}
      {has("rinse") ? (
        <div className="grid grid-cols-2 gap-3">
          <AmountField
            label="Rice rinsed"
            of={OF_KILOGRAMS}
            typed={typed.rice}
            {...register("rice")}
            error={fields["/provenance/firstRinse/riceKg"]}
          />
          <AmountField
            label="First rinse"
            of={OF_LITRES}
            typed={typed.rinse}
            {...register("rinse")}
            error={fields["/provenance/firstRinse/rinseL"]}
            hint="The first only; later doses count on it."
          />
        </div>
      ) : null}
      {fields["/provenance"] ? (
        <p role="alert" className="font-semibold text-rust">
          {fields["/provenance"]}
        </p>
      ) : null}
    </fieldset>
  );
};
