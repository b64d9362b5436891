"use client";
import { useState } from "react";
import { mayAs } from "@/core/people/roles";
import { CLAIMS } from "@/core/book/claims";
import { counted, inText } from "@/formats/grammar";
import { sayDay } from "@/formats/times";
import type { TrialRoundView, TrialView } from "@/services/trials";
import { READING_NAMES } from "@/words/said";
import { useDoor } from "../acts/act";
import { useTrialsAct } from "../acts/trials";
import { useUndo } from "../acts/undo";
import { Button, buttonClass } from "../kit/Button";
import { Fold } from "../kit/Fold";
import { panel, part } from "../kit/later";
import { Link } from "../kit/Link";
import { Notice } from "../kit/Notice";
import { told } from "../kit/told";
import { ArmKey, armName } from "./armLook";
import { LookSheet } from "./LookSheet";
import { TrialLooks } from "./TrialLooks";
import { TrialPlan } from "./TrialPlan";
import { unitName, type NoteWanted } from "./unitName";

const ArmCurve = part("When did they part?", () => import("./ArmCurve").then((module) => module.ArmCurve));
const NoteSheet = panel(() => import("./NoteSheet").then((module) => module.NoteSheet));
const TermsSheet = panel(() => import("./TermsSheet").then((module) => module.TermsSheet));
const AddPairsSheet = panel(() => import("./AddPairsSheet").then((module) => module.AddPairsSheet));

type SheetName = NoteWanted | "look" | "terms" | "pairs";

const RoundPlan = ({ round, view }: { readonly round: TrialRoundView; readonly view: TrialView }) => (
  <section aria-label={`Strips from ${sayDay(round.drawnOn)}`} className="mt-4">
    {view.rounds.length > 1 ? (
      <h3 className="text-[1.05rem] font-semibold">
        Joined on {sayDay(round.drawnOn)}, judged on {sayDay(round.decidingOn)}
      </h3>
    ) : null}
    <TrialPlan
      label="Strips of the trial"
      units={round.units.map((unit) => ({
        ...unit,
        label: unit.code,
        said: `${unitName(unit)}, stake ${unit.code}${unit.arm === null ? "" : `: ${armName(unit.arm, view.terms)}`}`,
      }))}
    />
    {round.isShown ? <ArmKey terms={view.terms} /> : null}
    <p className="mt-1 text-[0.92rem] text-soft">
      Not read within {round.guardM} m of another strip.{" "}
      {round.spare > 0
        ? `${counted(round.spare, { one: "One strip stays", other: "# strips stay" })} out: nothing of the trial goes on.`
        : ""}
      {round.redraws.map(({ reason, on, by }) => ` Drawn again on ${sayDay(on)} by ${by}: ${reason}.`).join("")}
    </p>
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 text-soft">As a list</summary>
      <ul className="grid gap-x-6 text-[0.92rem] sm:grid-cols-2">
        {round.units.map((unit) => (
          <li key={unit.unit} className="flex justify-between gap-3 border-b border-line py-1">
            <span>
              <span className="reading font-semibold">{unit.code}</span> {unitName(unit)}
            </span>
            <span>{unit.arm === null ? "" : armName(unit.arm, view.terms)}</span>
          </li>
        ))}
      </ul>
    </details>
  </section>
);

/** What is to be done next, by whoever is here. */
const Next = ({
  view,
  onSheet,
  isGrower,
}: {
  readonly view: TrialView;
  readonly onSheet: (sheet: SheetName) => void;
  readonly isGrower: boolean;
}) => {
  const open = useTrialsAct("openPlacement", "toast");
  const due = view.blocks.filter(({ isRead, leftOut }) => !isRead && leftOut === null).length;
  const isDay = view.today >= view.terms.decidingOn;
  // What was all compared is done with, until more strips join.
  const isOpen = view.blocks.some(({ isLooked, leftOut }) => !isLooked && leftOut === null);
  return (
    <div className="mt-4 flex flex-wrap gap-2">
      {view.knows ? null : (
        <Button disabled={open.busy} onClick={() => void open.run({ trialId: view.id })}>
          I put it on: show who gets what
        </Button>
      )}
      {due > 0 || !isDay ? (
        <Link href={`/field/trials/${view.id}/score`} className={buttonClass(isDay ? "strong" : "plain")}>
          Read the strips
        </Link>
      ) : null}
      {view.judged === 0 ? (
        <Link href={`/paper/stakes?trial=${view.id}`} className={buttonClass("plain")}>
          Stake labels
        </Link>
      ) : null}
      {isGrower && view.mayLook ? (
        <Button variant="strong" onClick={() => onSheet("look")}>
          Look at it
        </Button>
      ) : null}
      {isGrower && view.knows && isOpen ? <Button onClick={() => onSheet("applied")}>Put on by hand</Button> : null}
    </div>
  );
};

const PutOn = ({ view }: { readonly view: TrialView }) => {
  const undo = useUndo();
  return (
    <Fold
      title="Put on so far"
      stands={counted(view.applications, {
        zero: "nothing",
        one: "once on each strip",
        other: "# times on each strip",
      })}
    >
      <ul className="text-[0.92rem]">
        {view.putOn.map(({ on, arm, units, entryId }) => (
          <li key={`${on}${arm}`} className="flex items-center justify-between gap-3 border-b border-line py-1">
            <span>
              {sayDay(on)}: {view.knows ? `${inText(armName(arm, view.terms))}, ` : ""}
              {counted(units, { one: "one strip", other: "# strips" })}
              {entryId === null ? ", from the field’s record" : ", by hand"}
            </span>
            {entryId === null ? null : (
              <Button variant="quiet" onClick={undo({ kind: "trial-entry", id: entryId })?.action.onClick}>
                Undo
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="text-[0.92rem] text-soft">
        What goes on these beds under Field counts by itself, where the method is the trial’s. On a bed in strips put it
        only on the strips that get it.
      </p>
    </Fold>
  );
};

/** What the book says of such an input, beside what this farm saw: a claim until the farm has seen it more than once. */
const Said = ({ view }: { readonly view: TrialView }) => {
  const methods = view.terms.inputs.flatMap(({ methodId }) => methodId ?? []);
  const said = CLAIMS.filter(({ methodIds }) => methodIds.some((id) => methods.includes(id)));
  if (said.length === 0) return null;
  return (
    <Fold title="What is said of it" stands="not shown until it was seen again">
      <ul className="grid gap-2 text-[0.92rem]">
        {said.map(({ id, said: words, known }) => (
          <li key={id}>
            <i>“{words}”</i> <span className="text-soft">{known}</span>
          </li>
        ))}
      </ul>
    </Fold>
  );
};

const Head = ({ view }: { readonly view: TrialView }) => {
  const { terms, rounds, blocks } = view;
  const isPairs = terms.inputs.length === 1;
  return (
    <>
      <p className="text-soft">
        <Link href="/field/trials" className="underline">
          Trials
        </Link>
      </p>
      <h1 className="text-2xl">{terms.question}</h1>
      <p>
        {counted(
          blocks.length,
          isPairs ? { one: "One pair", other: "# pairs" } : { one: "One block", other: "# blocks" },
        )}
        {" of strips. "}
        {READING_NAMES[terms.kind]}
        {terms.isChange ? ", as it changes," : ""} is judged on {sayDay(terms.decidingOn)}, after{" "}
        {counted(terms.asked, { one: "one application", other: "# applications" })}.
      </p>
      {rounds.some((round) => !round.isShown) ? (
        <p className="text-soft">
          You can’t see which strip gets what: so you may read them without leaning either way. Only who puts it on
          needs to know.
        </p>
      ) : null}
    </>
  );
};

/** A trial: its strips on the plan, what is to be done, what was seen and what may be said of it. */
export const TrialScreen = ({ view }: { readonly view: TrialView }) => {
  const [sheet, setSheet] = useState<SheetName | null>(null);
  const { role } = useDoor();
  const isGrower = role !== null && mayAs(role, "grower");
  const resume = useTrialsAct("resumeTrial", "toast");
  const close = () => setSheet(null);
  return (
    <div className="px-4 py-5 md:px-8">
      <Head view={view} />
      {view.stopped ? (
        <Notice tone="plain" title={`Stopped on ${sayDay(view.stopped.on)}`}>
          <p>{view.stopped.reason}</p>
          {isGrower ? (
            <Button
              className="mt-2"
              disabled={resume.busy}
              onClick={() => void resume.run({ trialId: view.id }).then((done) => done && told("It goes on."))}
            >
              Go on with it
            </Button>
          ) : null}
        </Notice>
      ) : (
        <Next view={view} onSheet={setSheet} isGrower={isGrower} />
      )}
      <section aria-label="Strips">
        {view.rounds.map((round) => (
          <RoundPlan key={round.roundNo} round={round} view={view} />
        ))}
      </section>
      <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <section aria-label="What was seen">
          <TrialLooks view={view} />
        </section>
        <section aria-label="On the way" className="grid content-start gap-5">
          <ArmCurve view={view} />
          <div>
            <PutOn view={view} />
            <Said view={view} />
          </div>
          {isGrower && !view.stopped ? (
            <div className="flex flex-wrap gap-2">
              <Button onClick={() => setSheet("pairs")}>Add strips</Button>
              {view.blocks.some(({ isLooked, leftOut }) => !isLooked && leftOut === null) ? (
                <Button onClick={() => setSheet("left-out")}>Leave a pair out</Button>
              ) : null}
              <Button onClick={() => setSheet("terms")}>Change what it asks</Button>
              {view.rounds.some(({ isFrozen }) => !isFrozen) ? (
                <Button onClick={() => setSheet("redraw")}>Draw lots again</Button>
              ) : null}
              <Button variant="danger" onClick={() => setSheet("stopped")}>
                Stop it
              </Button>
            </div>
          ) : null}
        </section>
      </div>
      {sheet === "look" ? <LookSheet view={view} onClose={close} /> : null}
      {sheet === "terms" ? <TermsSheet view={view} onClose={close} /> : null}
      {sheet === "pairs" ? <AddPairsSheet view={view} onClose={close} /> : null}
      {sheet === "applied" || sheet === "left-out" || sheet === "stopped" || sheet === "redraw" ? (
        <NoteSheet view={view} what={sheet} onClose={close} />
      ) : null}
    </div>
  );
};
