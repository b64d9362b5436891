"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { told } from "../kit/told";
import { readRecipe } from "@/contracts/recipe/readRecipe";
import { findMethod } from "@/core/book";
import type { BookView } from "@/services/book";
import { useBookAct } from "../acts/book";
import { Button } from "../kit/Button";
import { TextArea, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { useUndo } from "../acts/undo";
import { inText } from "@/formats/grammar";

/** Each complaint with the line it is about. */
const WhatIsWrong = ({
  complaints,
  text,
}: {
  readonly complaints: Extract<ReturnType<typeof readRecipe>, { ok: false }>["complaints"];
  readonly text: string;
}) => (
  <section aria-label="What is wrong" className="grid gap-2">
    {complaints.slice(0, 12).map(({ line, path, text: said }, index) => (
      <Notice key={index} tone="error" title={`Line ${line}`}>
        {said}
        <span className="block text-[0.85rem] text-soft">{text.split("\n")[line - 1]?.trim().slice(0, 90)}</span>
        <span className="sr-only">{path}</span>
      </Notice>
    ))}
  </section>
);

/** The text of a recipe, what it reads as, and its keeping. */
function useImport(view: BookView) {
  const router = useRouter();
  const act = useBookAct("saveRecipe");
  const undo = useUndo();
  const [text, setText] = useState("");
  const [confirmed, setConfirmed] = useState(false);
  const read = text.trim() === "" ? null : readRecipe(text);
  const take = async () => {
    if (!read?.ok) return;
    const { method, school } = read.document;
    const basedOn = Math.max(
      0,
      ...view.versions
        .filter((own) => own.methodId === method && own.schoolId === school)
        .map(({ versionNo }) => versionNo),
    );
    const answer = await act.run({ document: read.document as never, basedOn, confirmed });
    if (!answer) return;
    told(
      `${read.document.name} is own version ${answer.versionNo}.`,
      undo({ kind: "own-recipe", id: answer.versionId }),
    );
    router.push(`/book/${method}`);
  };
  return { act, text, setText, confirmed, setConfirmed, read, take };
}

/** A recipe from a file: refused with the line that is wrong, held where a figure is far from what growers use. */
export const ImportSheet = ({ view, onClose }: { readonly view: BookView; readonly onClose: () => void }) => {
  const { act, text, setText, confirmed, setConfirmed, read, take } = useImport(view);
  return (
    <Sheet
      wide
      open
      onClose={onClose}
      title="Import a recipe"
      lead="A recipe file as Ruchka writes them: JSON, described in docs/schemas/recipe.json."
      foot={
        <Button variant="strong" wide disabled={act.busy || !read?.ok} onClick={() => void take()}>
          Keep it as our own version
        </Button>
      }
    >
      <div className="grid gap-4">
        <label className="grid gap-1">
          <span className="text-[0.92rem] font-semibold">A file</span>
          <input
            type="file"
            accept=".json,application/json"
            className="min-h-11"
            onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
          />
        </label>
        <TextArea
          label="Or its text"
          rows={12}
          spellCheck={false}
          className="reading"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        {act.error ? <Notice tone="error">{act.error.message}</Notice> : null}
        {read && !read.ok ? <WhatIsWrong complaints={read.complaints} text={text} /> : null}
        {read?.ok ? (
          <section aria-label="What was read" className="grid gap-2">
            <p>
              <span className="font-semibold">{read.document.name}</span>, of{" "}
              {inText(findMethod(read.document.method).name)}; {read.document.ingredients.length} ingredients,{" "}
              {read.document.steps.length} steps. Source: {read.document.source || "not said"}.
            </p>
            {read.unconfirmed.map(({ path, text: said }) => (
              <Notice key={path + said} tone="caution" title="Check these amounts">
                {said}
              </Notice>
            ))}
            {read.unconfirmed.length > 0 ? (
              <TickField
                label="Yes, these amounts are right"
                checked={confirmed}
                onChange={(event) => setConfirmed(event.target.checked)}
              />
            ) : null}
          </section>
        ) : null}
      </div>
    </Sheet>
  );
};
