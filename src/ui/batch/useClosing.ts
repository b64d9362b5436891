import { useRouter } from "next/navigation";
import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { findIngredient } from "@/core/book/ingredients";
import type { RinseTo } from "@/core/recipe/level";
import type { ResidueTo } from "@/core/recipe/residue";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import { OF_LITRES, type Measurable } from "@/formats/measured";
import { parseNumber } from "@/formats/numbers";
import { sayDuration, type FarmClock } from "@/formats/times";
import type { BatchBrief } from "@/services/batch";
import type { StoreContainer } from "@/services/types";
import { useBatchAct } from "../acts/batch";
import { told } from "../kit/told";
import { sentAt, type When } from "../kit/WhenChoice";
import { useReadAmount } from "../measures/AmountField";
import { undoOffer } from "../acts/undo";
import { inText } from "@/formats/grammar";

export interface CloseSheetProps {
  readonly batch: BatchBrief;
  readonly vesselName: string;
  readonly units: UnitSystem;
  readonly clock: FarmClock;
  readonly nowMs: number;
  readonly onClose: () => void;
}

interface CloseForm {
  yieldL: string;
  label: string;
  place: string;
  container: StoreContainer;
  residue: ResidueTo;
  residueKg: string;
  rinseL: string;
  rinseTo: RinseTo;
  labourMin: string;
  overrideReason: string;
}

export const RESIDUE: Measurable = { itemId: "residue", unit: "kg", densityKgPerL: null };

type Destination = "store" | "at-once" | "shed" | "discard";

export const ACT_WORDS: Readonly<Record<Destination, string>> = {
  "discard": "Throw away batch",
  "at-once": "Strain, then apply",
  "shed": "Into the shed",
  "store": "Strain and store",
};

const FIT_STATES = new Set(["ready", "peak"]);

/** What may become of it, with what each means. */
export function destinationsOf({ state, closing }: BatchBrief) {
  const { keeping, makes, unit } = closing;
  const { living } = keeping;
  const weighed = unit === "kg";
  const failed = state === "spoiled";
  return [
    ...(makes
      ? [
          {
            value: "shed" as const,
            label: "Add to stock, for other recipes",
            note: `A lot of ${inText(findIngredient(makes).name)} at what it cost, that knows this batch.`,
            disabled: failed,
          },
        ]
      : []),
    {
      value: "store" as const,
      label: "Store it",
      note: living
        ? "A living brew cannot be stored. Use it now."
        : `Keeps about ${sayDuration(keeping.shelfH)}: ${keeping.container}; ${keeping.place}.`,
      disabled: failed || living || weighed,
    },
    {
      value: "at-once" as const,
      label: "Used at once",
      note: living
        ? `On leaves within an hour of the air stopping, on soil within ${keeping.shelfH} h.`
        : "Straight to the field. What is left is kept in a container.",
      disabled: failed || weighed,
    },
    { value: "discard" as const, label: "Thrown away", note: "On hot compost, away from water. Never on crops." },
  ];
}

/** A batch's end as it is sent, but for whose it is. */
function endOf(
  form: CloseForm,
  destination: Destination,
  read: ReturnType<typeof useReadAmount>["read"],
  of: Measurable,
) {
  const discarding = destination === "discard";
  const weighed = of.unit === "kg";
  return {
    kind: discarding ? ("discarded" as const) : ("strained" as const),
    yieldL: discarding || weighed ? 0 : (read(form.yieldL, OF_LITRES) as number),
    yieldKg: discarding || !weighed ? null : (read(form.yieldL, of) as number),
    intoShed: destination === "shed",
    residue: discarding ? ("hot-compost" as const) : form.residue,
    residueKg: form.residueKg.trim() === "" ? null : (read(form.residueKg, RESIDUE) as number),
    ...(discarding || form.rinseL.trim() === ""
      ? {}
      : { rinseL: read(form.rinseL, OF_LITRES) as number, rinseTo: form.rinseTo }),
    labourMin: parseNumber(form.labourMin) as number,
    atOnce: destination === "at-once",
    label: form.label,
    place: form.place,
    container: form.container,
    overrideReason: form.overrideReason,
  };
}

/** What is filled in of a batch's end, and its sending. */
export function useClosing({ batch, vesselName, units, clock, nowMs, onClose }: CloseSheetProps) {
  const router = useRouter();
  const close = useBatchAct("closeBatch");
  const takeBack = useBatchAct("takeBackEnd", "toast");
  const { keeping, expected, residues, makes, unit } = batch.closing;
  const left = residues[0]!;
  const living = keeping.living;
  const weighed = unit === "kg";
  const failed = batch.state === "spoiled";
  const [destination, setDestination] = useState<Destination>(
    failed ? "discard" : weighed ? "shed" : living ? "at-once" : "store",
  );
  const [when, setWhen] = useState<When>({ type: "now" });
  const { read, show } = useReadAmount();
  const of: Measurable = weighed ? { itemId: makes ?? batch.methodId, unit: "kg", densityKgPerL: null } : OF_LITRES;
  const { register, handleSubmit, control } = useForm<CloseForm>({
    defaultValues: {
      yieldL: show(Number(expected.default.toPrecision(3)), of),
      label: `${batch.shortName}, ${vesselName}`,
      place: living ? "" : (keeping.place.split(",")[0] ?? ""),
      container: batch.lid === "airlock" ? "vented" : "breathable",
      residue: left.to[0]!,
      residueKg: "",
      rinseL: "",
      rinseTo: "compost",
      labourMin: "30",
      overrideReason: "",
    },
  });
  const [yieldTyped, residueTyped, rinseTyped, residueTo] = useWatch({
    control,
    name: ["yieldL", "residueKg", "rinseL", "residue"],
  });
  const isEarly = !FIT_STATES.has(batch.state);
  const fouls = left.fouls.includes(residueTo);
  const needsReason = destination !== "discard" && (isEarly || fouls);
  const submit = handleSubmit(async (form) => {
    const discarding = destination === "discard";
    const at = sentAt(when, nowMs, clock);
    const answer = await close.run({
      ...endOf(form, destination, read, of),
      batchId: batch.id,
      ...(at === undefined ? {} : { at }),
    });
    if (!answer) return;
    told(
      discarding
        ? `${vesselName} is empty. Wash it next.`
        : `${sayStock(read(form.yieldL, of) ?? 0, unit, units)} ${weighed ? "made" : "strained"}. Wash ${vesselName} next.`,
      undoOffer(() => takeBack.run({ batchId: batch.id })),
    );
    onClose();
    if (answer.storeId && destination === "at-once") router.push(`/field?store=${answer.storeId}`);
  });

  return {
    close,
    when,
    setWhen,
    destination,
    setDestination,
    needsReason,
    isEarly,
    left,
    register,
    submit,
    of,
    weighed,
    yieldTyped,
    residueTyped,
    rinseTyped,
  };
}
