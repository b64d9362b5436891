"use client";
import { clsx } from "clsx";
import { useSearchParams } from "next/navigation";
import { useId, useState } from "react";
import { isoDay, sayDay } from "@/formats/times";
import { sayVolume } from "@/formats/amounts";
import type { BookView } from "@/services/book";
import { sayLead, sayWaterSource, sayWhatIHave } from "@/words/said";
import { useFillAct } from "../acts/fill";
import { undoOffer } from "../acts/undo";
import { Button } from "../kit/Button";
import { TextField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { useDraft } from "../kit/useDraft";
import { useMeasures } from "../measures/measuresContext";
import { FillPick } from "./FillPick";
import { EMPTY_DRAFT, firstRequest, workOutFirst, type FirstDraft, type FirstDrum, type FirstGap } from "./firstDraft";
import { HandPick } from "./HandPick";
import { VesselPick } from "./VesselPick";
import { panel } from "../kit/later";
import { inText } from "@/formats/grammar";

const ThingSheet = panel(() => import("../farm/ThingSheet").then((module) => module.ThingSheet));

/** On a phone one view after the other; the address keeps which, so that Back goes back one. */
const STEPS = ["vessel", "hand", "fill"] as const;
type Step = (typeof STEPS)[number];
const isStep = (value: string | null): value is Step => STEPS.some((step) => step === value);
const STEP_OF_SLOT = { vessel: "vessel", things: "hand", water: "fill" } as const;

const goTo = (step: Step): void => {
  window.history.pushState(null, "", `?step=${step}`);
  window.scrollTo(0, 0);
  document
    .getElementById({ vessel: "what-to-fill", hand: "at-hand", fill: "fill-it" }[step])
    ?.scrollIntoView({ block: "center" });
};

/** What is still to be said before it can be started, as a plain sentence. */
const GAP_WORDS: Readonly<Record<FirstGap, string>> = {
  vessel: "Pick a vessel first.",
  volume: "Enter how much the vessel holds.",
  before: "Say what was in the vessel before.",
  unfit: "Pick another vessel. This one is not safe.",
  method: "Touch what you have, then pick what to make.",
  barred: "A manure vessel can't hold this. Pick a manure tea, or another vessel.",
  lacking: "Something is missing. Touch “I have it”, or pick another method.",
  amount: "Correct the marked amount.",
  overflow: "It will overflow. Use less, or pick a larger vessel.",
  water: "Say where the water is from.",
  treatment: "Say how you treated the tap water.",
};
const STEP_OF_GAP: Readonly<Record<FirstGap, Step>> = {
  vessel: "vessel",
  volume: "vessel",
  before: "vessel",
  unfit: "vessel",
  method: "hand",
  barred: "hand",
  lacking: "fill",
  amount: "fill",
  overflow: "fill",
  water: "fill",
  treatment: "fill",
};

const Sentence = ({
  draft,
  drum,
  units,
}: {
  readonly draft: FirstDraft;
  readonly drum: FirstDrum;
  readonly units: BookView["farm"]["units"];
}) => {
  const { vessel, things } = drum;
  const pieces = sayWhatIHave({
    vessel: vessel && vessel.volumeL > 0 ? `${sayVolume(vessel.volumeL, units)} ${inText(vessel.name)}` : null,
    things,
    water: draft.water === null || drum.waterL === 0 ? null : sayWaterSource(draft.water),
  });
  return (
    <h1 className="text-3xl leading-snug max-md:text-2xl">
      {pieces.map(({ text, slot }, index) =>
        slot ? (
          <button
            key={index}
            type="button"
            onClick={() => goTo(STEP_OF_SLOT[slot])}
            className="border-b-4 border-marigold px-0.5 text-left hover:bg-marigold-wash"
          >
            {text === "…" ? <span aria-label="vessel, not picked yet">…………</span> : text}
          </button>
        ) : (
          <span key={index}>{text}</span>
        ),
      )}
    </h1>
  );
};

/** How long methods take where it will stand. */
const leadOf = (view: BookView, { place }: FirstDraft): BookView["lead"] =>
  place === "indoors" ? view.leadIndoors : view.lead;

/** What comes of it, and about when. */
function sayOutcome(drum: FirstDrum, view: BookView, draft: FirstDraft): string {
  const { option } = drum;
  if (!option) return "Touch what you can fill, and what you have.";
  const { recipe } = option;
  const lead = leadOf(view, draft)[recipe.id];
  const readyMs = lead?.likelyH == null ? null : view.nowMs + lead.likelyH * 3_600_000;
  const when =
    readyMs === null
      ? "It is too cold for it outdoors now: keep it in a warm room."
      : lead!.likelyH! < 48
        ? `Likely ready in ${sayLead(lead!)}.`
        : `Likely ready about ${sayDay(isoDay(new Date(readyMs), view.farm))}.`;
  return `That makes ${inText(recipe.name)}. ${when} ${recipe.purpose}`;
}

/** Starting it, or planning it for a day, with what keeps it from being started. */
function useStarting(view: BookView, draft: FirstDraft, drum: FirstDrum, drop: () => void) {
  const act = useFillAct("startFirstDrum");
  const takeBack = useFillAct("takeBackStart", "toast");
  const { own, units } = useMeasures();
  const [asked, setAsked] = useState(false);
  const send = async (forDay: string | null) => {
    setAsked(true);
    if (drum.gap !== null) {
      goTo(STEP_OF_GAP[drum.gap]);
      return;
    }
    const answer = await act.run(firstRequest(draft, drum, { own, units, lead: leadOf(view, draft) }, forDay));
    if (answer === null) return;
    const name = drum.option!.recipe.shortName;
    const { batchId } = answer;
    told(
      forDay === null ? `${name} started.` : `${name} planned for ${sayDay(forDay)}.`,
      undoOffer(batchId ? () => takeBack.run({ batchId }) : null),
    );
    window.history.replaceState(null, "", "/");
    drop();
  };
  return { act, asked, send, ask: () => setAsked(true) };
}

/** What is next, under the thumb: on, start, or plan; with what keeps it from being started. */
const Foot = ({
  view,
  drum,
  step,
  starting: { act, asked, send, ask },
}: {
  readonly view: BookView;
  readonly drum: FirstDrum;
  readonly step: Step;
  readonly starting: ReturnType<typeof useStarting>;
}) => {
  const [forDay, setForDay] = useState<string | null>(null);
  // What this view asks is answered before the next one.
  const stays = drum.gap !== null && STEP_OF_GAP[drum.gap] === step;
  const onNext = () => {
    if (stays) ask();
    else goTo(step === "vessel" ? "hand" : "fill");
  };
  const gapId = useId();
  const name = drum.option ? inText(drum.option.recipe.shortName) : "it";
  return (
    <div className="fixed inset-x-0 bottom-14 z-20 border-t border-line bg-limewash px-5 py-3 md:sticky md:bottom-0 md:mt-6 md:flex md:items-center md:justify-end md:gap-4">
      <Refusal error={act.error} />
      {asked && drum.gap !== null ? (
        <p id={gapId} role="alert" className="mb-2 font-semibold text-rust md:mb-0">
          {GAP_WORDS[drum.gap]}
        </p>
      ) : null}
      {step === "fill" ? null : (
        <Button variant="strong" wide className="md:hidden" onClick={() => onNext()}>
          {step === "vessel" ? "Next: what is at hand" : `Next: make ${name}`}
        </Button>
      )}
      <div className={clsx("flex flex-wrap items-end gap-2", step !== "fill" && "max-md:hidden")}>
        {forDay === null ? (
          <Button variant="quiet" onClick={() => setForDay(view.today)}>
            Plan for later
          </Button>
        ) : (
          <>
            <TextField
              label="For the day"
              type="date"
              min={view.today}
              value={forDay}
              onChange={(event) => setForDay(event.target.value)}
              error={act.fields["/fill/forDay"] ?? act.fields["/forDay"]}
            />
            <Button disabled={act.busy} onClick={() => void send(forDay)}>
              Plan it
            </Button>
          </>
        )}
        <Button
          variant="strong"
          className="min-w-44 flex-1"
          disabled={act.busy}
          aria-describedby={asked && drum.gap !== null ? gapId : undefined}
          onClick={() => void send(null)}
        >
          Start it today
        </Button>
      </div>
    </div>
  );
};

/** In place of an empty yard: one sentence that says what the grower has, and the drum that comes of it. */
export const FirstDrumScreen = ({ view }: { readonly view: BookView }) => {
  const { own, units } = useMeasures();
  const { draft: kept, keep, drop } = useDraft<FirstDraft>("first-drum");
  const draft = { ...EMPTY_DRAFT, ...kept?.value };
  const lead = leadOf(view, draft);
  const drum = workOutFirst(draft, { units, own, lead });
  const starting = useStarting(view, draft, drum, drop);
  const { act } = starting;
  const asking = useSearchParams().get("step");
  const step: Step = isStep(asking) ? asking : "vessel";
  const [adding, setAdding] = useState(false);
  const change = (more: Partial<FirstDraft>) => keep({ ...draft, ...more });
  const here = (which: Step) => clsx(step !== which && "max-md:hidden");
  return (
    <div className="mx-auto max-w-[1400px] px-5 pb-40 pt-6 md:pb-8">
      <p className="mb-1 font-semibold text-soft">Your first drum</p>
      <Sentence draft={draft} drum={drum} units={units} />
      <p className="mt-1 max-w-4xl text-soft">{sayOutcome(drum, view, draft)}</p>
      <div className="mt-6 grid gap-x-10 gap-y-8 md:grid-cols-2 xl:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)_minmax(0,1.05fr)]">
        <div className={here("vessel")}>
          <VesselPick
            draft={draft}
            units={units}
            gap={drum.gap}
            volumeError={
              draft.ownVolume !== "" && drum.gap === "volume" ? GAP_WORDS.volume : act.fields["/vessel/volumeL"]
            }
            onChange={change}
          />
          <div className="mt-6 flex flex-wrap gap-x-2">
            <Button variant="quiet" className="-ml-3" onClick={() => setAdding(true)}>
              Only add a vessel, fill it later
            </Button>
            {kept ? (
              <Button variant="quiet" onClick={drop}>
                Start over
              </Button>
            ) : null}
          </div>
        </div>
        <div className={here("hand")}>
          <HandPick draft={draft} drum={drum} lead={lead} onChange={change} />
        </div>
        <div className={here("fill")}>
          <FillPick
            draft={draft}
            drum={drum}
            units={units}
            currency={view.farm.currency}
            fields={act.fields}
            onChange={change}
          />
        </div>
      </div>
      <Foot view={view} drum={drum} step={step} starting={starting} />
      {adding ? <ThingSheet kind="vessel" onClose={() => setAdding(false)} /> : null}
    </div>
  );
};
