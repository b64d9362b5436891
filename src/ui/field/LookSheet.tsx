"use client";
import { useState } from "react";
import { SIGN_IDS, SIGNS, type Looked, type SignId } from "@/core/apply/looks";
import type { PlotPage } from "@/services/field";
import { SIGN_WORDS } from "@/words/said";
import { useFieldAct } from "../acts/field";
import { useUndo } from "../acts/undo";
import { SelectField, TextArea } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { photoOf } from "../kit/smallJpeg";
import { TakePicture } from "../kit/TakePicture";
import { told } from "../kit/told";

interface SheetProps {
  readonly page: PlotPage;
  readonly onClose: () => void;
}

/** A picture taken with it, made small on the device. */
const PictureField = ({
  picture,
  onPicture,
}: {
  readonly picture: string | null;
  readonly onPicture: (jpeg: string) => void;
}) => {
  const [problem, setProblem] = useState<string | null>(null);
  const take = (chosen: File) =>
    photoOf(chosen).then(
      (jpeg) => (onPicture(jpeg), setProblem(null)),
      () => setProblem("This picture could not be read. Take another."),
    );
  return (
    <div>
      <TakePicture
        of="A photograph of the plot"
        label={picture === null ? "Take a picture with it" : "Another picture instead"}
        onTaken={(file) => void take(file)}
      />
      {picture === null ? null : (
        // eslint-disable-next-line @next/next/no-img-element -- just taken, on this device alone
        <img
          src={`data:image/jpeg;base64,${picture}`}
          alt="The picture just taken"
          className="mt-2 w-40 border-2 border-ink"
        />
      )}
      {problem ? (
        <p role="alert" className="font-semibold text-rust">
          {problem}
        </p>
      ) : null}
    </div>
  );
};

/** What is seen of a plot now: the signs that tell by this day first, all others below; a picture with it. */
export const LookSheet = ({ page, onClose }: SheetProps) => {
  const act = useFieldAct("seePlot");
  const undo = useUndo();
  const [signs, setSigns] = useState<Looked>({});
  const [note, setNote] = useState("");
  const [picture, setPicture] = useState<string | null>(null);
  const first: readonly SignId[] = page.lookDue?.signs ?? [];
  const inOrder = [...first, ...SIGN_IDS.filter((id) => !first.includes(id))];
  const set = (id: SignId, word: string) => {
    const { [id]: _before, ...rest } = signs;
    setSigns(word === "" ? rest : ({ ...rest, [id]: word } as Looked));
  };
  const submit = async () => {
    const answer = await act.run({ plotId: page.plot.id, signs, note, ...(picture === null ? {} : { jpeg: picture }) });
    if (!answer) return;
    told(`${page.plot.name}: what you saw is written down.`, undo({ kind: "look", id: answer.lookId }));
    onClose();
  };
  return (
    <FormSheet
      title={`Look at ${page.plot.name}`}
      act="Seen"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {first.length > 0 ? <p className="text-soft">The first {first.length} tell most by this day.</p> : null}
      {inOrder.map((id) => (
        <SelectField
          key={id}
          label={SIGN_WORDS[id]}
          value={signs[id] ?? ""}
          onChange={(event) => set(id, event.target.value)}
        >
          <option value="">not looked at</option>
          {SIGNS[id].map((word) => (
            <option key={word} value={word}>
              {word}
            </option>
          ))}
        </SelectField>
      ))}
      <TextArea label="A note" value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
      <PictureField picture={picture} onPicture={setPicture} />
    </FormSheet>
  );
};
