"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import type { IngredientId } from "@/core/book/ingredients";
import type { DungAge } from "@/core/safety/provenance";
import { parseNumber } from "@/formats/numbers";
import type { FarmView } from "@/services/farm";
import type { OwnIngredient } from "@/services/types";
import { useShedAct } from "../acts/shed";
import { useUndo } from "../acts/undo";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { Cautions } from "../kit/Cautions";
import { FormSheet } from "../kit/FormSheet";
import { Notice } from "../kit/Notice";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { itemOptions } from "./ingredientOptions";
import { kindsOfOrigin, provenanceOf, ProvenanceFields } from "./ProvenanceFields";
import type { ReceiveForm } from "./receiveForm";
import { counted } from "@/formats/grammar";

const ORIGIN_OF = { bought: "bought", foraged: "foraged", saved: "home-made", made: "home-made" } as const;

/** Fresh dung is fresh until somebody says otherwise. */
const ageOf = (id: IngredientId): DungAge => (id === "dung-fresh" ? "fresh" : "aged");

interface ReceiveSheetProps {
  readonly farm: FarmView;
  readonly today: string;
  readonly own: readonly OwnIngredient[];
  readonly startWith: string | null;
  readonly onClose: () => void;
}

/** What is filled in of a lot, and its sending. */
function useReceiving({ today, own, startWith, onClose }: ReceiveSheetProps) {
  const receive = useShedAct("receiveLot");
  const undo = useUndo();
  const { read } = useReadAmount();
  const options = itemOptions(own);
  const { register, handleSubmit, control, setValue } = useForm<ReceiveForm>({
    defaultValues: {
      itemId: startWith ?? "molasses",
      amount: "",
      origin: "bought",
      receivedOn: today,
      cost: "0",
      expiresOn: "",
      opened: false,
      place: "",
      note: "",
      animal: "cow",
      age: ageOf(options.find(({ itemId }) => itemId === startWith)?.ingredientId ?? "molasses"),
      donor: "person",
      collectedFrom: today,
      collectedUntil: today,
      medicine: false,
      charSource: "plain wood",
      herbicideSuspected: false,
      storedHot: false,
      rice: "",
      rinse: "",
      species: "",
      pickedAt: "",
      plantReason: "",
    },
  });
  const [itemId, amount, origin, rice, rinse] = useWatch({
    control,
    name: ["itemId", "amount", "origin", "rice", "rinse"],
  });
  const item = options.find((option) => option.itemId === itemId) ?? options[0]!;
  const facts = INGREDIENT_FACTS[item.ingredientId];
  const ownCaution = own.find(({ id }) => id === item.ownId)?.caution;
  const submit = handleSubmit(async (form) => {
    const answer = await receive.run({
      ingredientId: item.ingredientId,
      ownId: item.ownId,
      amount: read(form.amount, item) as number,
      origin: form.origin,
      receivedOn: form.receivedOn,
      cost: parseNumber(form.cost) as number,
      expiresOn: form.expiresOn === "" ? null : form.expiresOn,
      openedOn: form.opened ? form.receivedOn : null,
      place: form.place,
      note: form.note,
      provenance: provenanceOf(form, item.ingredientId, read),
    });
    if (!answer) return;
    told(`${item.name} added to stock.`, undo({ kind: "lot", id: answer.lotId }));
    onClose();
  });
  const { fields } = receive;
  return { receive, fields, options, register, setValue, item, facts, ownCaution, amount, origin, rice, rinse, submit };
}

/** A lot comes in: how much in whatever measure, when, from where, for how much; and what of its origin matters later. */
export const ReceiveSheet = (props: ReceiveSheetProps) => {
  const { farm, onClose } = props;
  const { receive, fields, options, register, setValue, item, facts, ownCaution, amount, origin, rice, rinse, submit } =
    useReceiving(props);
  return (
    <FormSheet
      title="Add stock"
      act="Add to stock"
      busy={receive.busy}
      error={receive.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <SelectField
        label="What"
        {...register("itemId", {
          onChange: (event: { target: { value: string } }) => {
            const next = options.find((option) => option.itemId === event.target.value);
            if (!next) return;
            setValue("origin", ORIGIN_OF[INGREDIENT_FACTS[next.ingredientId].source]);
            setValue("age", ageOf(next.ingredientId));
          },
        })}
        error={fields["/ingredientId"]}
      >
        {options.map((option) => (
          <option key={option.itemId} value={option.itemId}>
            {option.name}
          </option>
        ))}
      </SelectField>
      <AmountField label="How much" of={item} typed={amount} {...register("amount")} error={fields["/amount"]} />
      <SelectField label="From" {...register("origin")} error={fields["/origin"]}>
        <option value="bought">bought</option>
        <option value="foraged">foraged</option>
        <option value="home-made">home-made</option>
        <option value="given">given</option>
      </SelectField>
      {origin === "bought" || origin === "given" ? (
        <NumberField label={`Cost of all of it (${farm.currency})`} {...register("cost")} error={fields["/cost"]} />
      ) : null}
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Date received" type="date" {...register("receivedOn")} error={fields["/receivedOn"]} />
        <TextField
          label="Use by"
          type="date"
          {...register("expiresOn")}
          error={fields["/expiresOn"]}
          hint={
            facts.keepsD === null
              ? "Empty: it keeps."
              : counted(facts.keepsD, { one: "Empty: # day.", other: "Empty: # days." })
          }
        />
      </div>
      <TickField label="It is open already" {...register("opened")} />
      <ProvenanceFields
        kinds={kindsOfOrigin(item.ingredientId)}
        typed={{ rice, rinse }}
        register={register}
        fields={fields}
      />
      <TextField label="Place" {...register("place")} error={fields["/place"]} hint={facts.keeping} />
      <TextField label="Note" {...register("note")} error={fields["/note"]} />
      {ownCaution ? <Notice tone="caution">{ownCaution}</Notice> : null}
      <Cautions cautions={facts.cautions} />
    </FormSheet>
  );
};
