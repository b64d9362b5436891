"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { CAUTIONS } from "@/core/book/cautions";
import { findIngredient } from "@/core/book/ingredients";
import { OF_LITRES, type Measurable } from "@/formats/measured";
import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import type { BatchView } from "@/services/batch";
import type { StoreContainer } from "@/services/types";
import { useBatchAct } from "../acts/batch";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextArea, TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { Sheet } from "../kit/Sheet";
import { RINSE_TO, type RinseTo } from "@/core/recipe/level";
import type { ResidueTo } from "@/core/recipe/residue";
import { RESIDUE_TO_WORDS, RESIDUE_WORDS, RINSE_WORDS, sayResidueAdvice } from "@/words/said";
import { speechOf } from "@/words/speech";
import { Draining } from "./Draining";
import { CarriedIn } from "./CarriedIn";
import { AmountField, useReadAmount } from "../measures/AmountField";

interface CloseSheetProps {
  readonly batch: BatchView;
  readonly vesselName: string;
  readonly units: UnitSystem;
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

const RESIDUE: Measurable = { itemId: "residue", unit: "kg", densityKgPerL: null };

type Destination = "store" | "at-once" | "shed" | "discard";

const ACT_WORDS: Readonly<Record<Destination, string>> = {
  "discard": "Throw it out",
  "at-once": "Strain, and on to the field",
  "shed": "Into the shed",
  "store": "Strain into store",
};

const FIT_STATES = new Set(["ready", "peak"]);

/** What may become of it, with what each means. */
function destinationsOf({ state, closing }: BatchView) {
  const { keeping, makes, unit } = closing;
  const { living } = keeping;
  const weighed = unit === "kg";
  const failed = state === "spoiled";
  return [
    ...(makes
      ? [
          {
            value: "shed" as const,
            label: "Into the shed, for other recipes",
            note: `A lot of ${findIngredient(makes).name.toLowerCase()} at what it cost, that knows this batch.`,
            disabled: failed,
          },
        ]
      : []),
    {
      value: "store" as const,
      label: "Into a store",
      note: living
        ? "A living brew does not keep."
        : `Keeps about ${sayDuration(keeping.shelfH)}: ${keeping.container}; ${keeping.place}.`,
      disabled: failed || living || weighed,
    },
    {
      value: "at-once" as const,
      label: "Used at once",
      note: living
        ? `On leaves within an hour of the air stopping, on soil within ${keeping.shelfH} h.`
        : "Straight to the field; what is left stays as a store.",
      disabled: failed || weighed,
    },
    { value: "discard" as const, label: "Thrown out", note: "Onto hot compost, away from water; not on crops." },
  ];
}

/** What is filled in of a batch's end, and its sending. */
function useClosing({ batch, vesselName, units, onClose }: CloseSheetProps) {
  const router = useRouter();
  const close = useBatchAct("closeBatch");
  const { keeping, expected, residues, makes, unit } = batch.closing;
  const left = residues[0]!;
  const living = keeping.living;
  const weighed = unit === "kg";
  const failed = batch.state === "spoiled";
  const [destination, setDestination] = useState<Destination>(
    failed ? "discard" : weighed ? "shed" : living ? "at-once" : "store",
  );
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
    const answer = await close.run({
      batchId: batch.id,
      kind: discarding ? "discarded" : "strained",
      yieldL: discarding || weighed ? 0 : (read(form.yieldL, OF_LITRES) as number),
      yieldKg: discarding || !weighed ? null : (read(form.yieldL, of) as number),
      intoShed: destination === "shed",
      residue: discarding ? "hot-compost" : form.residue,
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
    });
    if (!answer) return;
    told(
      discarding
        ? `${vesselName} is empty. Wash it next.`
        : `${sayStock(read(form.yieldL, of) ?? 0, unit, units)} ${weighed ? "made" : "strained"}. Wash ${vesselName} next.`,
    );
    onClose();
    if (answer.storeId && destination === "at-once") router.push(`/field?store=${answer.storeId}`);
  });

  return {
    close,
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

/** Where solids and rinse go, and what to know of them first. */
const WasLeft = ({ units, draft }: { readonly units: UnitSystem; readonly draft: ReturnType<typeof useClosing> }) => {
  const { close, left, register, residueTyped, rinseTyped } = draft;
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={`The ${RESIDUE_WORDS[left.what]} ${left.what === "solids" ? "go" : "goes"}`}
          {...register("residue")}
          error={close.fields["/residue"]}
        >
          {left.to.map((to) => (
            <option key={to} value={to}>
              {RESIDUE_TO_WORDS[to]}
            </option>
          ))}
        </SelectField>
        <AmountField
          label="How much of it"
          of={RESIDUE}
          typed={residueTyped}
          placeholder="not weighed"
          {...register("residueKg")}
          error={close.fields["/residueKg"]}
        />
      </div>
      <ul className="list-disc pl-5 text-[0.92rem]">
        {left.advice.map((one) => (
          <li key={one.code}>{sayResidueAdvice(one, speechOf(units))}</li>
        ))}
      </ul>
      <div className="grid grid-cols-2 gap-3">
        <AmountField
          label="Rinsed with"
          of={OF_LITRES}
          typed={rinseTyped}
          placeholder="not rinsed"
          {...register("rinseL")}
          error={close.fields["/rinseL"]}
        />
        <SelectField label="The rinse went" {...register("rinseTo")} error={close.fields["/rinseTo"]}>
          {RINSE_TO.map((to) => (
            <option key={to} value={to}>
              {RINSE_WORDS[to]}
            </option>
          ))}
        </SelectField>
      </div>
    </>
  );
};

/** What came off, where it stands, where the rest goes. */
const CameOff = ({
  batch,
  units,
  draft,
}: {
  readonly batch: BatchView;
  readonly units: UnitSystem;
  readonly draft: ReturnType<typeof useClosing>;
}) => {
  const { close, destination, register, of, weighed, yieldTyped } = draft;
  const { expected, unit, straining } = batch.closing;
  const { read } = useReadAmount();
  const comesOffL = read(yieldTyped, of) ?? 0;
  return (
    <>
      <AmountField
        label={weighed ? "Came off" : "Strained off"}
        of={of}
        typed={yieldTyped}
        {...register("yieldL")}
        error={close.fields["/yieldL"] ?? close.fields["/yieldKg"]}
        hint={`Usual here: ${sayStock(expected.low, unit, units)} to ${sayStock(expected.high, unit, units)}.`}
      />
      {!weighed && comesOffL > 0 ? (
        <CarriedIn comesOffL={comesOffL} stoodL={batch.filledL} isWorking={batch.lid === "airlock"} units={units} />
      ) : null}
      {straining.length > 0 ? <Draining steps={straining} units={units} /> : null}
      <TextField label="Label" {...register("label")} error={close.fields["/label"]} />
      {destination === "store" ? (
        <div className="grid grid-cols-2 gap-3">
          <TextField label="Where it stands" {...register("place")} error={close.fields["/place"]} />
          <SelectField label="Stands in" {...register("container")} error={close.fields["/container"]}>
            <option value="breathable">breathing lid</option>
            <option value="vented">vented</option>
            <option value="sealed">tight lid</option>
          </SelectField>
        </div>
      ) : null}
      <WasLeft units={units} draft={draft} />
    </>
  );
};

/** Ends a batch: strained into a store, strained and used at once, or thrown out. */
export const CloseSheet = (props: CloseSheetProps) => {
  const { batch, vesselName, units, onClose } = props;
  const draft = useClosing(props);
  const { close, destination, setDestination, needsReason, register, submit } = draft;
  return (
    <Sheet
      open
      onClose={onClose}
      title={batch.state === "spoiled" ? `Throw out ${vesselName}` : `Strain ${vesselName}`}
      lead={`${batch.name}, ${sayVolume(batch.filledL, units)}, ${batch.ageText}. Verdict: ${batch.stateWords.toLowerCase()}.`}
      foot={
        <>
          <Refusal error={close.error} />
          <Button variant="strong" wide disabled={close.busy} onClick={() => void submit()}>
            {ACT_WORDS[destination]}
          </Button>
        </>
      }
    >
      <form onSubmit={(event) => void submit(event)} className="grid gap-4" noValidate>
        <Choices
          label="What becomes of it"
          stacked
          value={destination}
          onChange={setDestination}
          options={destinationsOf(batch)}
        />
        {destination === "discard" ? (
          <Notice tone="caution" title="Keep it off crops">
            {CAUTIONS.mould}
          </Notice>
        ) : (
          <CameOff batch={batch} units={units} draft={draft} />
        )}
        <NumberField label="Hands’ time" unit="min" {...register("labourMin")} error={close.fields["/labourMin"]} />
        {needsReason ? (
          <TextArea
            label={
              draft.isEarly
                ? `Why strain it when the verdict is “${batch.stateWords.toLowerCase()}”?`
                : "Why does it go where food grows?"
            }
            hint="Kept with the batch."
            {...register("overrideReason")}
            error={close.fields["/overrideReason"]}
          />
        ) : null}
        {batch.filledL > 25 && destination !== "discard" ? (
          <Notice tone="caution" title="Weight">
            {CAUTIONS.lifting}
          </Notice>
        ) : null}
      </form>
    </Sheet>
  );
};
