"use client";
import { useState } from "react";
import { SIGN_IDS, SIGNS, type Looked, type SignId } from "@/core/apply/looks";
import { sayMoment } from "@/formats/times";
import type { PlotPage } from "@/services/field";
import { sayAfter, SIGN_WORDS } from "@/words/said";
import { useFieldAct } from "../acts/field";
import { Button } from "../kit/Button";
import { SelectField, TextArea } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { photoOf } from "../kit/smallJpeg";
import { TakePicture } from "../kit/TakePicture";
import { told } from "../kit/told";

type LookOf = PlotPage["looks"][number];

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
const LookSheet = ({ page, onClose }: SheetProps) => {
  const act = useFieldAct("seePlot");
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
    if (!(await act.run({ plotId: page.plot.id, signs, note, ...(picture === null ? {} : { jpeg: picture }) }))) return;
    told(`${page.plot.name}: what you saw is written down.`);
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

/** Pictures side by side: the last before what went on last, and those since. */
const Pictures = ({ page }: { readonly page: PlotPage }) => {
  const taken = page.looks.filter(({ photo }) => photo !== null).toReversed();
  if (taken.length === 0) return null;
  const lastDoseMs = page.doses[0]?.atMs ?? null;
  const before = lastDoseMs === null ? [] : taken.filter(({ atMs }) => atMs < lastDoseMs).slice(-1);
  const after = lastDoseMs === null ? taken : taken.filter(({ atMs }) => atMs >= lastDoseMs);
  const caption = (look: LookOf) =>
    lastDoseMs === null
      ? ""
      : look.atMs < lastDoseMs
        ? "before, "
        : `${sayAfter(Math.max(1, Math.round((look.atMs - lastDoseMs) / 86_400_000)))}, `;
  return (
    <ol
      className="flex snap-x gap-3 relative overflow-x-auto py-2"
      aria-label="Pictures, before beside after"
      tabIndex={0}
    >
      {[...before, ...after].map((look) => (
        <li key={look.id} className="w-40 shrink-0 snap-start">
          {/* eslint-disable-next-line @next/next/no-img-element -- out of the farm's books, made small already */}
          <img
            src={`/api/photos/${look.photo}`}
            alt={look.note || `${page.plot.name} as it looked`}
            className="aspect-square w-40 border-2 border-ink object-cover"
          />
          <p className="reading mt-1 text-[0.86rem] leading-tight">
            {caption(look)}
            {sayMoment(new Date(look.atMs), new Date(page.nowMs), page.farm)}
          </p>
        </li>
      ))}
    </ol>
  );
};

const saySigns = ({ signs, note }: LookOf): string =>
  [
    ...SIGN_IDS.flatMap((id) => (signs[id] ? [`${SIGN_WORDS[id].toLowerCase()}: ${signs[id]}`] : [])),
    ...(note ? [note] : []),
  ].join("; ");

const SHOWN = 6;

/** How a plot looked, look by look; the next look that is due, and pictures before beside after. */
export const PlotLooks = ({ page }: { readonly page: PlotPage }) => {
  const [open, setOpen] = useState(false);
  const { lookDue } = page;
  const dose = lookDue && page.doses.find(({ applicationId }) => applicationId === lookDue.applicationId);
  return (
    <section aria-labelledby="looks" className="mt-6">
      <h2 id="looks" className="text-xl">
        Photos
      </h2>
      {lookDue && dose ? (
        <p className="border-l-4 border-marigold pl-3">
          {sayAfter(lookDue.afterD)[0]!.toUpperCase() + sayAfter(lookDue.afterD).slice(1)}{" "}
          {dose.storeLabel.toLowerCase()}: look at {lookDue.signs.map((id) => SIGN_WORDS[id].toLowerCase()).join(", ")}.
        </p>
      ) : null}
      <Button className="mt-2" onClick={() => setOpen(true)}>
        Look at it
      </Button>
      <Pictures page={page} />
      <ol>
        {page.looks.slice(0, SHOWN).map((look) => (
          <li key={look.id} className="border-b border-line py-1">
            <span className="text-soft">
              {sayMoment(new Date(look.atMs), new Date(page.nowMs), page.farm)}, {look.by}:
            </span>{" "}
            {saySigns(look) || "a picture"}
          </li>
        ))}
      </ol>
      {open ? <LookSheet page={page} onClose={() => setOpen(false)} /> : null}
    </section>
  );
};
