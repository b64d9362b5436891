"use client";
import { CAUTIONS } from "@/core/book/cautions";
import { OF_LITRES } from "@/formats/measured";
import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextArea, TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { Sheet } from "../kit/Sheet";
import { WhenChoice } from "../kit/WhenChoice";
import { RINSE_TO } from "@/core/recipe/level";
import { RESIDUE_TO_WORDS, RESIDUE_WORDS, RINSE_WORDS, sayResidueAdvice } from "@/words/said";
import { speechOf } from "@/words/speech";
import { Draining } from "./Draining";
import type { BatchBrief } from "@/services/batch";
import { CarriedIn } from "./CarriedIn";
import { ACT_WORDS, destinationsOf, RESIDUE, useClosing, type CloseSheetProps } from "./useClosing";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { inText } from "@/formats/grammar";

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
  readonly batch: BatchBrief;
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
          <TextField label="Place" {...register("place")} error={close.fields["/place"]} />
          <SelectField label="Stands in" {...register("container")} error={close.fields["/container"]}>
            <option value="breathable">loose lid or cloth</option>
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
  const { batch, vesselName, units, clock, nowMs, onClose } = props;
  const draft = useClosing(props);
  const { close, destination, setDestination, needsReason, register, submit } = draft;
  return (
    <Sheet
      open
      onClose={onClose}
      title={batch.state === "spoiled" ? `Throw away: ${vesselName}` : `Strain ${vesselName}`}
      lead={`${batch.name}, ${sayVolume(batch.filledL, units)}, ${batch.ageText}. Verdict: ${inText(batch.stateWords)}.`}
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
          label="What happens to it"
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
        <WhenChoice
          when={draft.when}
          nowMs={nowMs}
          startedMs={batch.startedMs}
          clock={clock}
          onChange={draft.setWhen}
          error={close.fields["/at"]}
        />
        <NumberField label="Work time" unit="min" {...register("labourMin")} error={close.fields["/labourMin"]} />
        {needsReason ? (
          <TextArea
            label={
              draft.isEarly
                ? `Its state is “${inText(batch.stateWords)}”. Why strain it now?`
                : "Why does it go where food grows?"
            }
            hint="Saved with the batch."
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
