"use client";
import { useState, type FormEvent } from "react";
import { sayWeighed, sayWeighedUnit } from "@/formats/fieldUnits";
import { OF_LITRES } from "@/formats/measured";
import type { ThingFacts, ThingKind, ThingState } from "@/services/types";
import { STATE_WORDS, THING_NAMES } from "@/words/said";
import { undoOffer } from "../acts/undo";
import { Button } from "../kit/Button";
import { Electricity } from "../kit/Electricity";
import { NumberField, SelectField, TextArea, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { useDraft } from "../kit/useDraft";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { SizeField } from "../measures/SizeField";
import { useMeasures } from "../measures/measuresContext";
import { changedFacts, factsOf, THING_FIELDS, typedOf, type Amounts, type ThingField, type Typed } from "./thingFields";
import { useAddedUndo, useThing, useThingState } from "./useThing";

/** One that is changed: as it stands. */
export interface ThingAsItIs {
  readonly id: number;
  readonly name: string;
  readonly state: ThingState;
  readonly facts: ThingFacts;
  readonly busy: boolean;
}

interface FieldProps {
  readonly field: ThingField;
  readonly typed: string;
  readonly error: string | undefined;
  readonly onType: (typed: string) => void;
}

const Field = ({ field, typed, error, onType }: FieldProps) => {
  const { units } = useMeasures();
  const { label, hint, maxLength } = field;
  const common = {
    label,
    hint,
    error,
    value: typed,
    onChange: (event: { target: { value: string } }) => onType(event.target.value),
  };
  switch (field.type) {
    case "volume":
    case "dose":
      return <AmountField {...common} of={OF_LITRES} typed={typed} />;
    case "width":
      return <SizeField {...common} measure="cm" typed={typed} />;
    case "density":
      return <NumberField {...common} label={sayWeighed(units)} unit={sayWeighedUnit(units)} />;
    case "number":
      return <NumberField {...common} unit={field.unit} />;
    case "long":
      return <TextArea {...common} maxLength={maxLength} />;
    case "select":
      return (
        <SelectField {...common}>
          {(field.options ?? []).map(({ value, label: words }) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </SelectField>
      );
    case "text":
      return <TextField {...common} maxLength={maxLength} />;
  }
};

const ACTS: readonly { readonly state: ThingState; readonly label: string; readonly only?: readonly ThingKind[] }[] = [
  { state: "in-use", label: "Bring back" },
  { state: "lent", label: "Lend out", only: ["vessel", "tool", "equipment"] },
  { state: "repair", label: "Send to repair", only: ["vessel", "tool", "equipment"] },
  { state: "retired", label: "Put away" },
];

/** Whether it is used: what is lent, in repair or put away is offered nowhere, and its past stays. */
const States = ({
  kind,
  thing,
  onDone,
}: {
  readonly kind: ThingKind;
  readonly thing: ThingAsItIs;
  readonly onDone: () => void;
}) => {
  const { busy, error, setState } = useThingState(kind);
  return (
    <section aria-label="In use or not" className="grid gap-2 border-t border-line pt-3">
      <p className="font-semibold">Now: {STATE_WORDS[thing.state]}</p>
      <div className="flex flex-wrap gap-2">
        {ACTS.filter(({ state, only }) => state !== thing.state && (!only || only.includes(kind))).map(
          ({ state, label }) => (
            <Button
              key={state}
              variant={state === "retired" ? "danger" : "plain"}
              disabled={busy}
              onClick={() => void setState(thing, state).then((done) => done && onDone())}
            >
              {label}
            </Button>
          ),
        )}
      </div>
      <Refusal error={error} />
      <p className="text-[0.88rem] text-soft">
        What is not in use is offered nowhere. Its records stay, and it can come back.
      </p>
    </section>
  );
};

function useForm(kind: ThingKind, thing: ThingAsItIs | null, onClose: () => void) {
  const { units } = useMeasures();
  const { read, show } = useReadAmount();
  const amounts: Amounts = {
    units,
    readL: (text) => read(text, OF_LITRES),
    showL: (litres) => show(litres, OF_LITRES, true),
  };
  const { draft, keep, drop } = useDraft<Typed>(`thing/${kind}/${thing?.id ?? "new"}`);
  const fresh = typedOf(kind, thing?.facts ?? null, amounts);
  const [typed, setTyped] = useState<Typed>(() => ({ ...fresh, ...draft?.value }));
  const saving = useThing(kind);
  const added = useAddedUndo(kind);
  const type = (fact: string, text: string) => {
    const next = { ...typed, [fact]: text };
    setTyped(next);
    keep(next);
  };
  const submit = async (another: boolean) => {
    const facts = thing ? changedFacts(kind, typed, thing.facts, amounts) : factsOf(kind, typed, null, amounts);
    const id = await saving.save(thing?.id ?? null, facts);
    if (id === null) return;
    drop();
    const was = thing && Object.fromEntries(Object.keys(facts).map((fact) => [fact, thing.facts[fact] ?? null]));
    told(
      `${typed.name ?? ""} ${thing ? "saved" : "added"}.`,
      thing === null
        ? added(id)
        : undoOffer(was && Object.keys(was).length > 0 ? () => saving.save(id, was as ThingFacts) : null),
    );
    if (another) setTyped({ ...typed, name: "" });
    else onClose();
  };
  const startOver = () => {
    drop();
    setTyped(fresh);
  };
  return { saving, typed, type, submit, startOver, isKept: draft !== null };
}

/** A thing of the farm, new or changed, with what may be done with it besides. */
export const ThingSheet = ({
  kind,
  thing = null,
  onClose,
}: {
  readonly kind: ThingKind;
  readonly thing?: ThingAsItIs | null;
  readonly onClose: () => void;
}) => {
  const { saving, typed, type, submit, startOver, isKept } = useForm(kind, thing, onClose);
  const { one } = THING_NAMES[kind];
  const onSubmit = (event?: FormEvent) => {
    event?.preventDefault();
    return submit(false);
  };
  return (
    <FormSheet
      title={thing ? `Change ${thing.name}` : `Add ${one}`}
      act={thing ? "Save changes" : `Add ${one}`}
      another={thing ? undefined : () => void submit(true)}
      busy={saving.busy}
      error={saving.error}
      onSubmit={onSubmit}
      onClose={onClose}
    >
      {isKept ? (
        <p className="flex flex-wrap items-center gap-x-3 text-[0.92rem] text-soft">
          Not saved yet; kept on this device.
          <Button variant="quiet" className="-ml-3" onClick={startOver}>
            Start over
          </Button>
        </p>
      ) : null}
      {THING_FIELDS[kind]
        .filter(({ shown }) => shown?.(typed, thing?.facts ?? null) ?? true)
        .map((field) => (
          <Field
            key={field.fact}
            field={field}
            typed={typed[field.fact] ?? ""}
            error={saving.fields[`/${field.fact}`]}
            onType={(text) => type(field.fact, text)}
          />
        ))}
      {kind === "vessel" && (typed.airW ?? "0").trim() !== "0" ? <Electricity /> : null}
      {thing ? <States kind={kind} thing={thing} onDone={onClose} /> : null}
    </FormSheet>
  );
};
