"use client";
import type { Priority } from "@/core/apply/allocate";
import { isElsewhere, usesOn } from "@/core/apply/elsewhere";
import { LAID, type Laid } from "@/core/apply/job";
import { USES, type UseId } from "@/core/book/uses";
import { recipeFrom } from "@/core/recipe/document";
import { sayArea, sayVolume } from "@/formats/amounts";
import { sayMixUnit } from "@/formats/fieldUnits";
import type { JobsView } from "@/services/field";
import { LAID_WORDS } from "@/words/said";
import { NumberField, SelectField, TextField } from "../../kit/fields";
import { SizeField } from "../../measures/SizeField";
import { Fold } from "../../kit/Fold";
import { ChooseBy } from "../ChosenPlots";
import { perOf, usualOf, type JobStepDraft } from "./jobDraft";

const PRIORITY_WORDS: Readonly<Record<Priority, string>> = { 1: "wants it most", 2: "wants it", 3: "can wait" };

interface StepProps {
  readonly view: JobsView;
  readonly step: JobStepDraft;
  readonly at: number;
  readonly fields: Readonly<Record<string, string | undefined>>;
  readonly onChange: (change: Partial<JobStepDraft>) => void;
}

/** On which plots, by name or by what they have in common. */
const Where = ({ view, step, at, fields, onChange }: StepProps) => {
  const { plots, elsewhere, farm } = view.field;
  const picked = [...plots, ...elsewhere].filter(({ id }) => step.plotIds.includes(id));
  const areaM2 = picked.reduce((sum, plot) => sum + (isElsewhere(plot.kind) ? 0 : plot.treatableM2), 0);
  const error = fields[`/steps/${at}/plotIds`];
  const toggle = (id: number) => {
    const isAway = (one: number) => elsewhere.some((plot) => plot.id === one);
    // What is not on the plan goes alone: its rate is all that it gets.
    const others = step.plotIds.filter((other) => other !== id && !isAway(other) && !isAway(id));
    const plotIds = step.plotIds.includes(id) ? others : [...others, id];
    // Beds and what is not on the plan are used in ways of their own: then use and rate are the usual ones again.
    const isOther = perOf(view.field, plotIds) !== perOf(view.field, step.plotIds) && plotIds.length > 0;
    onChange({
      plotIds,
      ...(isOther && step.does === "put-on" && step.storeId !== null
        ? usualOf(view.field, step.storeId, plotIds, step.use)
        : {}),
    });
  };
  return (
    <div>
      <Fold
        title="Where"
        stands={
          picked.length === 0
            ? "nowhere yet"
            : `${picked
                .slice(0, 4)
                .map(({ name }) => name)
                .join(
                  ", ",
                )}${picked.length > 4 ? ` and ${picked.length - 4} more` : ""}${areaM2 > 0 ? `, ${sayArea(areaM2, farm.units)}` : ""}`
        }
        open={picked.length === 0 || error !== undefined}
      >
        <ChooseBy view={view.field} onChoose={(next) => onChange({ plotIds: [...next] })} />
        <ul className="grid max-h-64 grid-cols-2 gap-x-3 overflow-y-auto sm:grid-cols-3">
          {[...plots, ...elsewhere].map((plot) => (
            <li key={plot.id}>
              <label className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-[var(--ink)]"
                  checked={step.plotIds.includes(plot.id)}
                  onChange={() => toggle(plot.id)}
                />
                <span>
                  {plot.name} <span className="text-soft">{plot.crop}</span>
                </span>
              </label>
            </li>
          ))}
        </ul>
      </Fold>
      {error ? (
        <p role="alert" className="mt-1 font-semibold text-rust">
          {error}
        </p>
      ) : null}
    </div>
  );
};

/** Which liquid, how, how strong, how badly it is wanted. */
const PutOn = ({ view, step, at, fields, onChange }: StepProps) => {
  const { field } = view;
  const store = field.stores.find(({ id }) => id === step.storeId);
  const kinds = [...field.plots, ...field.elsewhere]
    .filter(({ id }) => step.plotIds.includes(id))
    .map(({ kind }) => kind);
  const uses = store ? usesOn(recipeFrom(store.recipe), kinds) : [];
  return (
    <>
      <SelectField
        label="What"
        value={step.storeId ?? ""}
        onChange={(event) => onChange(usualOf(field, Number(event.target.value), step.plotIds, step.use))}
        error={fields[`/steps/${at}/storeId`]}
      >
        {field.stores.map((one) => (
          <option key={one.id} value={one.id}>
            {one.label}, {sayVolume(one.onHandL, field.farm.units)}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="How"
        value={step.use}
        onChange={(event) => onChange(usualOf(field, step.storeId ?? 0, step.plotIds, event.target.value as UseId))}
        error={fields[`/steps/${at}/use`]}
      >
        {(uses.includes(step.use) ? uses : [step.use, ...uses]).map((use) => (
          <option key={use} value={use}>
            {USES[use].name}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Dilution"
        value={step.ratio}
        onChange={(event) => onChange({ ratio: event.target.value })}
        error={fields[`/steps/${at}/ratio`]}
      />
      <SelectField
        label="Where it does not reach"
        value={step.priority}
        onChange={(event) => onChange({ priority: Number(event.target.value) as Priority })}
        error={fields[`/steps/${at}/priority`]}
      >
        {([1, 2, 3] as const).map((one) => (
          <option key={one} value={one}>
            {PRIORITY_WORDS[one]}
          </option>
        ))}
      </SelectField>
    </>
  );
};

/** One step: what it does, with what, how much, where. */
export const StepFields = (props: StepProps) => {
  const { view, step, at, fields, onChange } = props;
  const { units } = view.field.farm;
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      {step.does === "put-on" ? <PutOn {...props} /> : null}
      {step.does === "lay" ? (
        <>
          <SelectField
            label="What"
            value={step.what}
            onChange={(event) => onChange({ what: event.target.value as Laid })}
            error={fields[`/steps/${at}/what`]}
          >
            {LAID.map((one) => (
              <option key={one} value={one}>
                {LAID_WORDS[one]}
              </option>
            ))}
          </SelectField>
          <SizeField
            label="Worked in down to"
            measure="cm"
            placeholder="stays on top"
            typed={step.depth}
            value={step.depth}
            onChange={(event) => onChange({ depth: event.target.value })}
            error={fields[`/steps/${at}/depthCm`]}
          />
        </>
      ) : null}
      <NumberField
        label="How much"
        unit={sayMixUnit(perOf(view.field, step.plotIds), units)}
        value={step.rate}
        onChange={(event) => onChange({ rate: event.target.value })}
        error={fields[`/steps/${at}/litresPerM2`]}
      />
      <div className="sm:col-span-2">
        <Where {...props} />
      </div>
    </div>
  );
};
