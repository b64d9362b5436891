"use client";
import { useState } from "react";
import { told } from "../kit/told";
import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { CueMeaning, Step } from "@/core/book/types";
import { findUse } from "@/core/book/uses";
import type { RecipeKey } from "@/core/recipe/pick";
import { reviewRecipe } from "@/core/recipe/review";
import type { BookView } from "@/services/book";
import { useBookAct } from "../acts/book";
import { Button } from "../kit/Button";
import { NumberField, SelectField, TextArea, TextField, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { Sheet } from "../kit/Sheet";
import { EditAmounts } from "./EditAmounts";
import { useMeasures } from "../measures/measuresContext";
import { documentFrom, draftOf, isReadable, read, type EditDraft } from "./editDraft";
import { useUndo } from "../acts/undo";
import { inText } from "@/formats/grammar";

interface EditSheetProps {
  readonly view: BookView;
  readonly recipeKey: RecipeKey;
  readonly recipe: Recipe;
  readonly onClose: () => void;
}

const MEANING_WORDS: Record<CueMeaning, string> = {
  "not-yet": "not yet",
  "ready": "ready",
  "past": "past",
  "failed": "failed",
};

/** Its name, where it is from, how full, why. */
const EditHead = ({
  draft,
  set,
  field,
}: {
  readonly draft: EditDraft;
  readonly set: (change: Partial<EditDraft>) => void;
  readonly field: (path: string) => string | undefined;
}) => (
  <div className="grid gap-3 sm:grid-cols-2">
    <TextField
      label="Name"
      value={draft.name}
      onChange={(event) => set({ name: event.target.value })}
      error={field("/name")}
    />
    <TextField
      label="Where it comes from"
      placeholder="your trials last spring"
      value={draft.source}
      onChange={(event) => set({ source: event.target.value })}
      error={field("/source")}
    />
    <NumberField
      label="Filled to"
      unit="%"
      value={draft.fillPercent}
      onChange={(event) => set({ fillPercent: event.target.value })}
      error={field("/fillShare/default") ?? field("/fillShare")}
    />
    <TextField
      label="What is changed, and why"
      value={draft.note}
      onChange={(event) => set({ note: event.target.value })}
      error={field("/note")}
    />
  </div>
);

/** Its steps: reworded, struck out, added. */
const EditSteps = ({
  draft,
  set,
  field,
}: {
  readonly draft: EditDraft;
  readonly set: (change: Partial<EditDraft>) => void;
  readonly field: (path: string) => string | undefined;
}) => {
  const setStep = (index: number, change: Partial<Step>) =>
    set({ steps: draft.steps.map((step, at) => (at === index ? { ...step, ...change } : step)) });
  return (
    <section aria-label="Steps" className="grid gap-3">
      <h3 className="text-lg">Steps</h3>
      {draft.steps.map((step, index) => (
        <div key={step.id} className="grid gap-2 border-t border-line pt-2 sm:grid-cols-[1fr_7rem_auto]">
          <TextArea
            label={`Step ${index + 1}${step.adds.length > 0 ? `: ${step.adds.map((id) => inText(findIngredient(id).name)).join(", ")}` : ""}`}
            value={step.text}
            onChange={(event) => setStep(index, { text: event.target.value })}
            error={field(`/steps/${index}/text`)}
          />
          <NumberField
            label="Then wait"
            unit="min"
            value={step.waitMin === undefined ? "" : String(step.waitMin)}
            onChange={(event) => {
              const { waitMin: _before, ...rest } = step;
              const typed = event.target.value.trim();
              set({
                steps: draft.steps.map((other, at) =>
                  at === index ? (typed === "" ? rest : { ...rest, waitMin: read(typed) }) : other,
                ),
              });
            }}
            error={field(`/steps/${index}/waitMin`)}
          />
          {step.adds.length === 0 ? (
            <Button variant="quiet" onClick={() => set({ steps: draft.steps.filter((_, at) => at !== index) })}>
              Cross out
            </Button>
          ) : null}
        </div>
      ))}
      <Button
        onClick={() =>
          set({ steps: [...draft.steps, { id: `own-${draft.steps.length + 1}`, text: "", why: "", adds: [] }] })
        }
      >
        Add a step
      </Button>
    </section>
  );
};

/** What its signs mean; what says that it failed stays so. */
const EditSigns = ({
  recipe,
  draft,
  set,
}: {
  readonly recipe: Recipe;
  readonly draft: EditDraft;
  readonly set: (change: Partial<EditDraft>) => void;
}) => (
  <section aria-label="Signs" className="grid gap-2">
    <h3 className="text-lg">Signs</h3>
    <div className="grid gap-2 sm:grid-cols-3">
      {draft.cues.map((cue, index) => (
        <SelectField
          key={cue.kind + cue.word}
          label={`${cue.word} (${cue.kind})`}
          value={cue.says}
          disabled={recipe.cues[index]?.says === "failed"}
          onChange={(event) =>
            set({
              cues: draft.cues.map((other, at) =>
                at === index ? { ...other, says: event.target.value as CueMeaning } : other,
              ),
            })
          }
        >
          {Object.entries(MEANING_WORDS).map(([says, words]) => (
            <option key={says} value={says}>
              {words}
            </option>
          ))}
        </SelectField>
      ))}
    </div>
  </section>
);

/** How strong it goes on. */
const EditStrength = ({
  recipe,
  draft,
  set,
  field,
}: {
  readonly recipe: Recipe;
  readonly draft: EditDraft;
  readonly set: (change: Partial<EditDraft>) => void;
  readonly field: (path: string) => string | undefined;
}) => (
  <section aria-label="Dilution" className="grid gap-2">
    <h3 className="text-lg">Parts of water to 1 part</h3>
    <div className="grid gap-2 sm:grid-cols-3">
      {recipe.uses.map(({ use }, index) => (
        <NumberField
          key={use}
          label={findUse(use).name}
          value={draft.dilutions[index]}
          onChange={(event) =>
            set({ dilutions: draft.dilutions.map((other, at) => (at === index ? event.target.value : other)) })
          }
          error={field(`/uses/${index}/partsWater/default`)}
        />
      ))}
    </div>
  </section>
);

/** The farm's own version of a recipe: its amounts, its steps, its signs; kept as the next version, the earlier ones stay. */
export const EditSheet = ({ view, recipeKey, recipe, onClose }: EditSheetProps) => {
  const act = useBookAct("saveRecipe");
  const undo = useUndo();
  const { units } = useMeasures();
  const [draft, setDraft] = useState(() => draftOf(recipe, units));
  const [confirmed, setConfirmed] = useState(false);
  const set = (change: Partial<EditDraft>) => setDraft({ ...draft, ...change });
  const document = documentFrom(recipe, draft, units);
  const flags = isReadable(document) ? reviewRecipe(document) : [];
  const refused = flags.filter(({ weight }) => weight === "refused");
  const held = flags.filter(({ weight }) => weight === "unconfirmed");
  const basedOn = Math.max(
    0,
    ...view.versions
      .filter(({ methodId, schoolId }) => methodId === recipeKey.methodId && schoolId === recipe.school.id)
      .map(({ versionNo }) => versionNo),
  );
  const field = (path: string) => act.fields[`/document${path}`];
  const keep = async () => {
    const answer = await act.run({ document: document as never, basedOn, confirmed });
    if (!answer) return;
    told(
      `Our version ${answer.versionNo} is kept${answer.unconfirmed > 0 ? "; its figures wait to be confirmed" : ""}.`,
      undo({ kind: "own-recipe", id: answer.versionId }),
    );
    onClose();
  };
  return (
    <Sheet
      wide
      open
      onClose={onClose}
      title="Own version"
      lead={`From ${inText(recipe.school.name)}; it becomes version ${basedOn + 1}. Batches that run stay with theirs.`}
      foot={
        <>
          <Refusal error={act.error}>{Object.values(act.fields)[0] ?? null}</Refusal>
          <Button variant="strong" wide disabled={act.busy || refused.length > 0} onClick={() => void keep()}>
            Save version {basedOn + 1}
          </Button>
        </>
      }
    >
      <div className="grid gap-6">
        {flags.map(({ weight, path, text }) => (
          <Notice
            key={path + text}
            tone={weight === "refused" ? "error" : "caution"}
            title={weight === "refused" ? "This can’t stand" : "A slip, or meant?"}
          >
            {text}
          </Notice>
        ))}
        {held.length > 0 ? (
          <TickField
            label="Yes, these amounts are right"
            checked={confirmed}
            onChange={(event) => setConfirmed(event.target.checked)}
          />
        ) : null}
        <EditHead draft={draft} set={set} field={field} />
        <EditAmounts
          recipe={recipe}
          units={units}
          amounts={draft.amounts}
          fieldError={field}
          onChange={(amounts) => set({ amounts })}
        />
        <EditSteps draft={draft} set={set} field={field} />
        <EditSigns recipe={recipe} draft={draft} set={set} />
        {recipe.uses.length > 0 ? <EditStrength recipe={recipe} draft={draft} set={set} field={field} /> : null}
      </div>
    </Sheet>
  );
};
