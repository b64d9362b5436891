"use client";
import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { told, toldOfTrouble } from "../kit/told";
import { OF_KILOGRAMS } from "@/formats/measured";
import { sayDay } from "@/formats/times";
import type { GatherView } from "@/services/gather";
import { useGatherAct } from "../acts/gather";
import { useUndo } from "../acts/undo";
import { ChangeThing } from "../farm/ChangeThing";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { GATHERED_WORDS } from "@/words/said";
import { TextArea, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { photoOf } from "../kit/smallJpeg";

type Place = GatherView["places"][number];
const VIGOUR_WORDS = {
  strong: "strong: white threads, smells of woods",
  weak: "weak: dry or thin",
  none: "none: bare or sour",
} as const;

/** Keeps a picture of the place, made small before it leaves the phone. */
const PhotoButton = ({ place }: { readonly place: Place }) => {
  const addPhoto = useGatherAct("addForagePhoto", "toast");
  const [busy, setBusy] = useState(false);
  const send = async (file: File) => {
    setBusy(true);
    try {
      if (await addPhoto.run({ placeId: place.id, jpeg: await photoOf(file) })) told("Photo saved.");
    } catch {
      toldOfTrouble("This picture could not be read. Is it a photograph?");
    } finally {
      setBusy(false);
    }
  };
  return (
    <label className="inline-flex min-h-11 cursor-pointer items-center px-3 font-semibold underline decoration-line decoration-2 underline-offset-4 focus-within:outline-2 focus-within:outline-blue">
      {busy ? "A moment…" : "Photograph it"}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        className="sr-only"
        disabled={busy}
        aria-label={`Photograph ${place.name}`}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void send(file);
          event.target.value = "";
        }}
      />
    </label>
  );
};

export const PlacePanel = ({
  view,
  onVisit,
  onAdd,
}: {
  readonly view: GatherView;
  readonly onVisit: (placeId: number) => void;
  readonly onAdd: () => void;
}) => (
  <section aria-label="Places">
    <div className="flex items-baseline justify-between gap-3">
      <h2 className="text-xl">Places</h2>
      <Button variant="quiet" onClick={onAdd}>
        Another place
      </Button>
    </div>
    {view.places.length === 0 ? (
      <p className="text-soft">
        None yet. Leaf mould comes from damp shade that nobody rakes: write down where, and let it rest between takings.
      </p>
    ) : null}
    <ul className="divide-y divide-line border-y border-line empty:hidden">
      {view.places.map((place) => (
        <li key={place.id} className="py-2.5">
          <div className="flex gap-3">
            {place.photoId ? (
              // eslint-disable-next-line @next/next/no-img-element -- a small picture of the farm's own, straight from its database
              <img
                src={`/api/photos/${place.photoId}`}
                alt={place.name}
                className="size-20 shrink-0 border-2 border-ink object-cover"
              />
            ) : null}
            <div className="min-w-0">
              <p className="font-semibold">
                {place.name} <span className="font-normal text-soft">· {GATHERED_WORDS[place.kind]}</span>
              </p>
              <p className={place.restsUntil ? "font-semibold" : "text-leaf"}>
                {place.restsUntil ? `▲ rests until ${sayDay(place.restsUntil)}` : "◆ may be taken from"}
              </p>
              <p className="text-[0.9rem] text-soft">
                {[place.ground, place.permission ? `leave: ${place.permission}` : ""].filter(Boolean).join("; ")}
                {place.visits[0]
                  ? `. Last there ${sayDay(place.visits[0].onDay)}, ${place.visits[0].actorName}: ${place.visits[0].vigour}`
                  : ""}
              </p>
            </div>
          </div>
          <div className="-ml-3 flex flex-wrap">
            <Button variant="quiet" onClick={() => onVisit(place.id)} aria-label={`A visit to ${place.name}`}>
              A visit
            </Button>
            <PhotoButton place={place} />
            <ChangeThing kind="gathering-place" id={place.id} name={place.name} />
          </div>
        </li>
      ))}
    </ul>
  </section>
);

/** What is filled in of a visit, and its sending. */
function useVisit(place: Place, view: GatherView, onClose: () => void) {
  const act = useGatherAct("visitForage");
  const undo = useUndo();
  const { register, handleSubmit, control, setValue } = useForm({
    defaultValues: {
      vigour: "strong" as keyof typeof VIGOUR_WORDS,
      onDay: view.today,
      taken: "",
      note: "",
      overrideReason: "",
    },
  });
  const { read } = useReadAmount();
  const [vigour, taken] = useWatch({ control, name: ["vigour", "taken"] });
  const takes = taken.trim() !== "";
  const submit = handleSubmit(async (form) => {
    const answer = await act.run({
      placeId: place.id,
      vigour: form.vigour,
      onDay: form.onDay,
      takenKg: takes ? (read(form.taken, OF_KILOGRAMS) ?? NaN) : null,
      note: form.note,
      overrideReason: form.overrideReason,
    });
    if (!answer) return;
    told(takes ? "Added to stock. The place rests now." : "Visit saved.", undo({ kind: "visit", id: answer.visitId }));
    onClose();
  });
  const { fields } = act;
  return { act, fields, register, setValue, vigour, taken, takes, submit };
}

export const VisitSheet = ({
  place,
  view,
  onClose,
}: {
  readonly place: Place;
  readonly view: GatherView;
  readonly onClose: () => void;
}) => {
  const { act, fields, register, setValue, vigour, taken, takes, submit } = useVisit(place, view, onClose);
  return (
    <FormSheet
      title={`At ${place.name}`}
      act="Save visit"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <Choices
        label="How lively is it"
        value={vigour}
        onChange={(next) => setValue("vigour", next)}
        stacked
        options={(Object.keys(VIGOUR_WORDS) as (keyof typeof VIGOUR_WORDS)[]).map((value) => ({
          value,
          label: VIGOUR_WORDS[value],
        }))}
      />
      {place.kind === "plants" ? (
        <p className="text-soft">
          What was picked is written down as a picking, so that each plant is named and checked.
        </p>
      ) : (
        <AmountField
          label="Taken"
          of={OF_KILOGRAMS}
          typed={taken}
          {...register("taken")}
          error={fields["/takenKg"]}
          hint="Empty for a look only. Take a tenth at most, and put the top litter back."
        />
      )}
      <TextField label="On" type="date" max={view.today} {...register("onDay")} error={fields["/onDay"]} />
      {place.restsUntil && takes ? (
        <TextArea
          label={`It rests until ${sayDay(place.restsUntil)}: why now`}
          {...register("overrideReason")}
          error={fields["/overrideReason"]}
        />
      ) : null}
      <TextField label="Note" {...register("note")} error={fields["/note"]} />
    </FormSheet>
  );
};
