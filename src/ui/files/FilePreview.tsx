import { plural } from "@/formats/numbers";
import type { FilePreview, RowOutcome } from "@/services/files";
import { sayFileFault, sayFileLayout, sayRow } from "@/words/fileFaults";
import type { Speech } from "@/words/speech";
import { Button } from "../kit/Button";
import { Notice } from "../kit/Notice";

const MARKS: Readonly<Record<RowOutcome["what"], string>> = {
  new: "+ new",
  changed: "◆ changes",
  same: "= there already",
  wrong: "■ wrong",
};

const Rows = ({ preview, say }: { readonly preview: FilePreview; readonly say: Speech }) => (
  <div className="relative overflow-x-auto">
    <table className="w-full text-left">
      <caption className="sr-only">What would become of each row</caption>
      <thead>
        <tr className="border-b-2 border-ink">
          <th className="py-1 pr-4">line</th>
          <th className="pr-4">what</th>
          <th>which</th>
        </tr>
      </thead>
      <tbody>
        {preview.shown.map(({ line, what, would, faults }) => (
          <tr key={line} className="border-b border-line align-top">
            <td className="reading py-1.5 pr-4">{line}</td>
            <td
              className={`whitespace-nowrap py-1.5 pr-4 ${what === "wrong" ? "font-semibold text-rust" : what === "same" ? "text-soft" : ""}`}
            >
              {MARKS[what]}
            </td>
            <td className="py-1.5">
              {what === "wrong"
                ? Object.entries(faults).map(([column, fault]) => (
                    <p key={column}>
                      <span className="font-semibold">{column}:</span> {sayFileFault(fault, say)}
                    </p>
                  ))
                : would && sayRow(would, say)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

/** What was found in the file, row by row, and the writing of it. */
export const Previewed = ({
  preview,
  say,
  onWrite,
}: {
  readonly preview: FilePreview;
  readonly say: Speech;
  readonly onWrite: () => void;
}) => {
  const changes = preview.counts.new + preview.counts.changed;
  return (
    <>
      <div>
        <p className="text-lg" role="status">
          {plural(preview.rows, "row")}: <span className="font-semibold">{preview.counts.new} new</span>,{" "}
          <span className="font-semibold">{preview.counts.changed} changing</span>, {preview.counts.same} there already,{" "}
          <span className={preview.counts.wrong > 0 ? "font-semibold text-rust" : ""}>
            {preview.counts.wrong} wrong
          </span>
          .
        </p>
        {(preview.layout ? sayFileLayout(preview.layout) : []).map((note) => (
          <p key={note} className="text-[0.92rem] text-soft">
            {note}
          </p>
        ))}
      </div>
      {preview.counts.wrong > 0 ? (
        <Notice tone="caution" title="Nothing is imported while a row is wrong">
          Correct the file and choose it again. All rows are imported, or none.
        </Notice>
      ) : changes === 0 ? (
        <p>◆ All of it is there already. There is nothing to import.</p>
      ) : (
        <Button variant="strong" className="justify-self-start" onClick={onWrite}>
          Write {plural(changes, "row")}
        </Button>
      )}
      <Rows preview={preview} say={say} />
      {preview.shown.length < preview.rows ? (
        <p className="text-[0.92rem] text-soft">
          {preview.shown.length} of {preview.rows} rows are shown
          {preview.counts.wrong > 0 ? ", the wrong ones first of all" : ""}.
        </p>
      ) : null}
    </>
  );
};
