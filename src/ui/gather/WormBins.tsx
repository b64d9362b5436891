"use client";
import { useState, type FormEvent } from "react";
import { told } from "../kit/told";
import { BALL_TEST, BALL_WORDS, type BallWord } from "@/core/gather/wormBin";
import { OF_KILOGRAMS } from "@/formats/measured";
import { sayMass, type UnitSystem } from "@/formats/amounts";
import { fullDate, sayDuration } from "@/formats/times";
import type { GatherView } from "@/services/gather";
import { useGatherAct } from "../acts/gather";
import { useUndo } from "../acts/undo";
import { ChangeThing } from "../farm/ChangeThing";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { TextArea, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { useMeasures } from "../measures/measuresContext";
import { LightTimer } from "./LightTimer";

type Bin = GatherView["bins"][number];

function sayDue({ state }: Bin): string {
  if (state.dueInDays === 0) return "◆ enough castings to scrape off";
  if (state.dueInDays === null) return "fed too little to have castings soon";
  return `castings due in about ${sayDuration(state.dueInDays * 24)}`;
}

/** A bin in section: bedding, what is uneaten on top, castings at the bottom, worms between. */
const BinDrawing = ({ bin, units }: { readonly bin: Bin; readonly units: UnitSystem }) => {
  const most = Math.max(bin.state.castingsKg + bin.state.uneatenKg, bin.state.wormsKg * 7, 1);
  const castings = (bin.state.castingsKg / most) * 58;
  const food = (bin.state.uneatenKg / most) * 58;
  return (
    <svg
      role="img"
      aria-label={`${bin.name}: ${sayMass(bin.state.castingsKg, units, 2)} of castings, ${sayMass(bin.state.uneatenKg, units, 2)} uneaten`}
      viewBox="0 0 120 80"
      className="w-28 shrink-0"
    >
      <rect x={4} y={10} width={112} height={62} fill="var(--chalk)" stroke="var(--ink)" strokeWidth={2.4} />
      <rect x={6} y={70 - castings} width={108} height={castings} fill="#5d3b22" />
      <rect x={6} y={70 - castings - food} width={108} height={food} fill="var(--leaf)" opacity={0.55} />
      {[22, 48, 74, 98].map((x, index) => (
        <path
          key={x}
          d={`M${x - 8} ${66 - castings - (index % 2) * 5}q4 -5 8 0t8 0`}
          fill="none"
          stroke="var(--rust)"
          strokeWidth={2.6}
        />
      ))}
      <path d="M0 8h120" stroke="var(--ink)" strokeWidth={4} />
    </svg>
  );
};

export const BinPanel = ({
  view,
  onNote,
  onAdd,
}: {
  readonly view: GatherView;
  readonly onNote: (binId: number) => void;
  readonly onAdd: () => void;
}) => (
  <section aria-label="Worm bins">
    <div className="flex items-baseline justify-between gap-3">
      <h2 className="text-xl">Worm bins</h2>
      <Button variant="quiet" onClick={onAdd}>
        Another bin
      </Button>
    </div>
    {view.bins.length === 0 ? (
      <p className="text-soft">
        None yet. With the weight of its worms a bin tells what it eats and when castings are due.
      </p>
    ) : null}
    <ul className="divide-y divide-line border-y border-line empty:hidden">
      {view.bins.map((bin) => (
        <li key={bin.id} className="py-2.5">
          <div className="flex gap-4">
            <BinDrawing bin={bin} units={view.farm.units} />
            <div className="min-w-0">
              <p className="font-semibold">{bin.name}</p>
              <p>
                {sayMass(bin.state.wormsKg, view.farm.units)} of worms eat{" "}
                {sayMass(bin.state.eatsKgPerDay, view.farm.units, 2)} a day;{" "}
                {bin.roomKg > 0.05
                  ? `room for ${sayMass(bin.roomKg, view.farm.units, 2)}`
                  : "▲ full for a week: do not feed"}
              </p>
              <p className={bin.state.dueInDays === 0 ? "font-semibold text-leaf" : "text-soft"}>{sayDue(bin)}</p>
              {bin.entries[0] ? (
                <p className="text-[0.9rem] text-soft">
                  {fullDate(new Date(bin.entries[0].atMs), view.farm)}: {bin.entries[0].kind}{" "}
                  {bin.entries[0].kg > 0 ? `${sayMass(bin.entries[0].kg, view.farm.units)} ` : ""}
                  {bin.entries[0].what}, {bin.entries[0].actorName}
                </p>
              ) : null}
            </div>
          </div>
          <Button
            variant="quiet"
            className="-ml-3"
            onClick={() => onNote(bin.id)}
            aria-label={`Feed or take castings: ${bin.name}`}
          >
            Feed, take castings…
          </Button>
          <ChangeThing kind="worm-bin" id={bin.id} name={bin.name} />
        </li>
      ))}
    </ul>
  </section>
);

type Kind = "fed" | "harvested" | "weighed";

/** What is filled in of what was done at a bin, and its sending. */
function useBin(bin: Bin, onClose: () => void) {
  const act = useGatherAct("noteWormBin");
  const undo = useUndo();
  const [kind, setKind] = useState<Kind>(bin.state.dueInDays === 0 ? "harvested" : "fed");
  const [kg, setKg] = useState("");
  const [what, setWhat] = useState("");
  const [ball, setBall] = useState<BallWord | "">("");
  const [plasticPicked, setPlastic] = useState(false);
  const [reason, setReason] = useState("");
  const { read } = useReadAmount();
  const { units } = useMeasures();
  const amount = read(kg, OF_KILOGRAMS);
  const room = sayMass(Math.max(0, bin.roomKg), units, 2);
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    const answer = await act.run({
      binId: bin.id,
      kind,
      kg: amount as number,
      what,
      ball: ball === "" ? null : ball,
      plasticPicked,
      overrideReason: reason,
    });
    if (!answer) return;
    told(
      answer.lotId === null ? "Saved." : "Castings added to stock.",
      undo({ kind: "bin-entry", id: answer.entryId }),
    );
    onClose();
  };
  const { fields } = act;
  const unfit = ball !== "" && !BALL_TEST[ball].fit && ball !== "sticky, rancid";
  return {
    act,
    fields,
    kind,
    setKind,
    kg,
    setKg,
    what,
    setWhat,
    ball,
    setBall,
    plasticPicked,
    setPlastic,
    reason,
    setReason,
    amount,
    room,
    unfit,
    submit,
  };
}

type BinDraft = ReturnType<typeof useBin>;

/** Castings as they come: pressed to a ball, plastic picked out. */
const Harvest = ({
  ball,
  setBall,
  plasticPicked,
  setPlastic,
  reason,
  setReason,
  unfit,
  fields,
}: Pick<
  BinDraft,
  "ball" | "setBall" | "plasticPicked" | "setPlastic" | "reason" | "setReason" | "unfit" | "fields"
>) => (
  <>
    <Choices
      label="Press a handful to a ball"
      value={ball}
      onChange={setBall}
      stacked
      options={BALL_WORDS.map((word) => ({ value: word, label: word, note: BALL_TEST[word].say }))}
    />
    {fields["/ball"] ? (
      <p role="alert" className="font-semibold text-rust">
        {fields["/ball"]}
      </p>
    ) : null}
    <TickField
      label="Plastic, labels and glass are picked out"
      checked={plasticPicked}
      onChange={(event) => setPlastic(event.target.checked)}
    />
    {fields["/plasticPicked"] ? (
      <p role="alert" className="font-semibold text-rust">
        {fields["/plasticPicked"]}
      </p>
    ) : null}
    {unfit ? (
      <TextArea
        label="Reason for using them anyway"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={fields["/overrideReason"]}
      />
    ) : null}
  </>
);

/** What was done at a bin: fed, castings taken by light and pressed to a ball, worms weighed. */
export const BinSheet = ({ bin, onClose }: { readonly bin: Bin; readonly onClose: () => void }) => {
  const { act, fields, kind, setKind, kg, setKg, what, setWhat, amount, room, submit, ...harvest } = useBin(
    bin,
    onClose,
  );
  return (
    <FormSheet title={bin.name} act="Save" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <Choices
        label="What was done"
        value={kind}
        onChange={setKind}
        options={[
          { value: "fed", label: "fed" },
          { value: "harvested", label: "castings taken" },
          { value: "weighed", label: "worms weighed" },
        ]}
      />
      {kind === "harvested" ? <LightTimer /> : null}
      <AmountField
        label={kind === "fed" ? "Food" : kind === "harvested" ? "Castings" : "Worms"}
        of={OF_KILOGRAMS}
        typed={kg}
        value={kg}
        onChange={(event) => setKg(event.target.value)}
        error={fields["/kg"]}
        hint={
          kind === "fed"
            ? amount !== null && amount > bin.roomKg
              ? `▲ More than they eat in a week: there is room for ${room}. It rots and heats.`
              : `Room for ${room}. No citrus heaps, no fat, no salt.`
            : undefined
        }
      />
      {kind === "fed" ? (
        <TextField
          label="Of what"
          value={what}
          onChange={(event) => setWhat(event.target.value)}
          error={fields["/what"]}
        />
      ) : null}
      {kind === "harvested" ? <Harvest {...harvest} fields={fields} /> : null}
    </FormSheet>
  );
};
