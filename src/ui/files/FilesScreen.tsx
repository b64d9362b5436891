"use client";
import { Download } from "lucide-react";
import { useRef, useState } from "react";
import { told } from "../kit/told";
import { FILE_COLUMNS, type FileKind } from "@/formats/csv/tables";
import { formatNumber, plural } from "@/formats/numbers";
import type { FilePreview } from "@/services/files";
import { sayFileFault } from "@/words/fileFaults";
import { speechOf } from "@/words/speech";
import { Button, buttonClass } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { TextArea } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { useDraft } from "../kit/useDraft";
import { useMeasures } from "../measures/measuresContext";
import { ShedNav } from "../shed/ShedNav";
import { Previewed } from "./FilePreview";
import { readLines, type FileLine } from "./readStream";

const KIND_WORDS: Readonly<Record<FileKind, { readonly name: string; readonly note: string }>> = {
  lots: { name: "lots", note: "Your stock: new lots are added, those that are there already are left alone." },
  stock: { name: "stock", note: "What is on hand: each row counts a lot, and the difference is written as a count." },
  plantings: {
    name: "plantings",
    note: "What grows where. A row with a planting’s number changes that planting; a row without one adds a planting.",
  },
  people: { name: "people", note: "One name per row. New names are added." },
  vessels: {
    name: "vessels",
    note: "One vessel per row, such as: Blue drum, drum, 200 L. A name that is there already is changed.",
  },
  tools: {
    name: "cans and sprayers",
    note: "One per row, such as: Green can, can, 10 L. A name that is there already is changed.",
  },
  beds: {
    name: "beds",
    note: "One bed per row, such as: Bed 1, 12 m, 1.2 m. They are laid side by side; move them on the field map.",
  },
  ingredients: { name: "own ingredients", note: "New ones are added; known ones are not rewritten." },
};
type State =
  | { readonly type: "none" }
  | { readonly type: "reading"; readonly done: number; readonly total: number }
  | { readonly type: "previewed"; readonly file: File; readonly preview: FilePreview };

/** The file that was chosen: sent to be looked at, and then to be written, row by row told. */
function useFile(first: FileKind) {
  const [kind, setKind] = useState<FileKind>(first);
  const [state, setState] = useState<State>({ type: "none" });
  const [failure, setFailure] = useState<string | null>(null);
  const key = useRef(crypto.randomUUID());
  const input = useRef<HTMLInputElement>(null);

  const send = async (file: File, write: boolean): Promise<FileLine | null> => {
    setFailure(null);
    setState({ type: "reading", done: 0, total: 0 });
    try {
      const query = write ? `&write=1&key=${key.current}` : "";
      const answer = await fetch(`/api/shed/files?kind=${kind}${query}`, { method: "POST", body: file });
      if (!answer.ok || !answer.body) throw new Error(await answer.text());
      return await readLines(answer.body, (line) => {
        if (line.type === "progress") setState({ type: "reading", done: line.done, total: line.total });
      });
    } catch (error) {
      setFailure(
        error instanceof TypeError
          ? "Ruchka can't be reached just now, or the file has changed since. Nothing was written; choose it again."
          : error instanceof Error && error.message
            ? error.message
            : "The file could not be read.",
      );
      return null;
    }
  };
  const preview = async (file: File) => {
    key.current = crypto.randomUUID();
    const last = await send(file, false);
    if (last?.type === "preview") setState({ type: "previewed", file, preview: last.value });
    else {
      if (last?.type === "failed") setFailure(last.error.message);
      setState({ type: "none" });
    }
  };
  const put = async (file: File, before: FilePreview) => {
    const last = await send(file, true);
    if (last?.type === "written") {
      told(
        `${plural(last.value.written, "row")} written${last.value.same > 0 ? `, ${last.value.same} were there already` : ""}.`,
      );
      setState({ type: "none" });
      if (input.current) input.current.value = "";
      return;
    }
    if (last?.type === "failed") setFailure(last.error.message);
    setState({ type: "previewed", file, preview: before });
  };
  const chooseKind = (next: FileKind) => {
    setKind(next);
    setState({ type: "none" });
    setFailure(null);
    if (input.current) input.current.value = "";
  };
  return { kind, chooseKind, state, failure, input, preview, put };
}

/** What was pasted goes the way of a file. */
const asFile = (text: string): File => new File([text], "pasted.csv", { type: "text/csv" });

/** Rows typed or pasted from a spreadsheet; kept on this device until they are written. */
const Paste = ({
  kind,
  disabled,
  onText,
}: {
  readonly kind: FileKind;
  readonly disabled: boolean;
  readonly onText: (text: string) => void;
}) => {
  const { draft, keep, drop } = useDraft<string>(`paste/${kind}`);
  const text = draft?.value ?? "";
  return (
    <div className="grid max-w-2xl gap-2">
      <TextArea
        label="Paste rows here"
        rows={4}
        spellCheck={false}
        value={text}
        onChange={(event) => (event.target.value === "" ? drop() : keep(event.target.value))}
      />
      <Button className="justify-self-start" disabled={disabled || text.trim() === ""} onClick={() => onText(text)}>
        Check rows
      </Button>
    </div>
  );
};

/** The tables, each as a file to keep. */
export const FilesOut = ({ kinds }: { readonly kinds: readonly FileKind[] }) => (
  <section aria-label="Out" className="grid content-start gap-3">
    <h2 className="text-xl">Out</h2>
    <p className="text-soft">CSV, as any spreadsheet opens it. Read in again unchanged, it changes nothing.</p>
    {kinds.map((one) => (
      <a key={one} href={`/api/shed/files?kind=${one}`} className={buttonClass("plain")} download>
        <Download aria-hidden className="size-5" /> {KIND_WORDS[one].name}
      </a>
    ))}
  </section>
);

/** A table in: first looked at row by row, then written whole or not at all. */
export const FilesIn = ({ kinds }: { readonly kinds: readonly FileKind[] }) => {
  const say = speechOf(useMeasures().units);
  const { kind, chooseKind, state, failure, input, preview, put } = useFile(kinds[0]!);
  const previewed = state.type === "previewed" ? state : null;
  return (
    <section aria-label="In" className="grid min-w-0 content-start gap-4">
      <h2 className="text-xl">In</h2>
      {kinds.length > 1 ? (
        <Choices
          label="What the file holds"
          value={kind}
          onChange={chooseKind}
          options={kinds.map((value) => ({ value, label: KIND_WORDS[value].name }))}
        />
      ) : null}
      <p className="text-soft">
        {KIND_WORDS[kind].note} Columns:{" "}
        {FILE_COLUMNS[kind].map(({ name, needed }) => (needed ? name : `(${name})`)).join(", ")}; those in brackets may
        be missing. Commas, semicolons or tabs, points or decimal commas, with or without a mark at the front.
      </p>
      <Paste kind={kind} disabled={state.type === "reading"} onText={(text) => void preview(asFile(text))} />
      <label className="grid gap-1">
        <span className="font-semibold">Or a file</span>
        <input
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          disabled={state.type === "reading"}
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void preview(file);
          }}
          className="min-h-11 w-full max-w-md rounded-[5px] border-[1.5px] border-line bg-chalk p-2 file:mr-3 file:min-h-9 file:rounded-[5px] file:border-[1.5px] file:border-ink file:bg-chalk file:px-3 file:font-semibold"
        />
      </label>
      {failure ? (
        <Notice tone="error" title={failure}>
          {null}
        </Notice>
      ) : null}
      {state.type === "reading" ? (
        <div role="status">
          <p>
            {state.total > 0
              ? `Writing: ${formatNumber(state.done, 6)} of ${formatNumber(state.total, 6)}`
              : "Looking at it…"}
          </p>
          <progress
            className="h-4 w-full max-w-md accent-[var(--marigold)]"
            max={state.total || undefined}
            value={state.total > 0 ? state.done : undefined}
          />
        </div>
      ) : null}
      {previewed?.preview.refused ? (
        <Notice tone="error" title="This file can't be read as it is">
          {sayFileFault(previewed.preview.refused, say)}
        </Notice>
      ) : null}
      {previewed && !previewed.preview.refused ? (
        <Previewed preview={previewed.preview} say={say} onWrite={() => void put(previewed.file, previewed.preview)} />
      ) : null}
    </section>
  );
};

const SHED_KINDS = ["lots", "stock", "ingredients"] as const;

/** The shed's tables out, and in again. */
export const FilesScreen = () => (
  <div className="px-4 py-5 md:px-8">
    <h1 className="text-2xl">Files</h1>
    <ShedNav here="/shed/files" />
    <div className="mt-5 grid gap-8 md:grid-cols-[20rem_1fr]">
      <FilesOut kinds={SHED_KINDS} />
      <FilesIn kinds={SHED_KINDS} />
    </div>
  </div>
);
