"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { parseNumber, readOptional } from "@/formats/numbers";
import type { FarmView } from "@/services/farm";
import type { ItemView } from "@/services/shed";
import { useShedAct } from "../acts/shed";
import { undoOffer } from "../acts/undo";
import { NumberField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { inText } from "@/formats/grammar";

/** What is filled in of how a thing is bought, and its sending. */
function useSupply(item: ItemView, onClose: () => void) {
  const act = useShedAct("setSupply");
  const { read, show } = useReadAmount();
  const { terms, facts } = item;
  const text = (amount: number | null | undefined) =>
    amount === null || amount === undefined ? "" : show(amount, item, true);
  const { register, handleSubmit, control } = useForm({
    defaultValues: {
      packName: terms?.packName ?? facts.pack?.name ?? "pack",
      packAmount: text(terms?.packAmount ?? facts.pack?.amount),
      packCost: terms?.packCostMinor === null || !terms ? "" : String(terms.packCostMinor / 100),
      leadD: String(terms?.leadD ?? 0),
      reorderAt: text(terms?.reorderAt),
      target: text(terms?.target),
      note: terms?.note ?? "",
    },
  });
  const typed = useWatch({ control });
  const orNull = (value: string) => (value.trim() === "" ? null : (read(value, item) ?? NaN));
  const submit = handleSubmit(async (form) => {
    const answer = await act.run({
      itemId: item.itemId,
      packName: form.packName,
      packAmount: read(form.packAmount, item) as number,
      packCost: readOptional(form.packCost),
      leadD: form.leadD.trim() === "" ? 0 : (parseNumber(form.leadD) as number),
      reorderAt: orNull(form.reorderAt),
      target: orNull(form.target),
      note: form.note,
    });
    if (!answer) return;
    const before = terms;
    told(
      `${item.name}: kept.`,
      undoOffer(
        before &&
          (() =>
            act.run({
              itemId: item.itemId,
              packName: before.packName,
              packAmount: before.packAmount,
              packCost: before.packCostMinor === null ? null : before.packCostMinor / 100,
              leadD: before.leadD,
              reorderAt: before.reorderAt,
              target: before.target,
              note: before.note,
            })),
      ),
    );
    onClose();
  });
  const { fields } = act;
  return { act, fields, register, typed, submit };
}

/** The pack, its price and lead time, and when to order again; or what to collect up to. */
export const SupplySheet = ({
  item,
  farm,
  onClose,
}: {
  readonly item: ItemView;
  readonly farm: FarmView;
  readonly onClose: () => void;
}) => {
  const { act, fields, register, typed, submit } = useSupply(item, onClose);
  return (
    <FormSheet
      title={`How you buy ${inText(item.name)}`}
      act="Save"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Pack" {...register("packName")} error={fields["/packName"]} />
        <AmountField
          label="It holds"
          of={item}
          typed={typed.packAmount ?? ""}
          {...register("packAmount")}
          error={fields["/packAmount"]}
        />
        <NumberField label={`Price (${farm.currency})`} {...register("packCost")} error={fields["/packCost"]} />
        <NumberField
          label="Delivery time"
          unit="days"
          {...register("leadD")}
          error={fields["/leadD"]}
          hint="0 for a shop nearby"
        />
      </div>
      <AmountField
        label="Order when below"
        of={item}
        typed={typed.reorderAt ?? ""}
        {...register("reorderAt")}
        error={fields["/reorderAt"]}
      />
      <AmountField
        label="Collected up to"
        of={item}
        typed={typed.target ?? ""}
        {...register("target")}
        error={fields["/target"]}
        placeholder="what a batch takes"
      />
      <TextField label="Note" {...register("note")} error={fields["/note"]} />
    </FormSheet>
  );
};
