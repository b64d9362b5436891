"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { told } from "../kit/told";
import { kindWord, SIZE_UNIT } from "@/core/equipment/needs";
import { sayVolume } from "@/formats/amounts";
import { formatNumber, plural } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { EquipmentView, EquipmentPageView } from "@/services/equipment";
import { useEquipmentAct } from "../acts/equipment";
import { useUndo } from "../acts/undo";
import { asItStands } from "../kit/asItStands";
import { ChangeThing } from "../farm/ChangeThing";
import { Button } from "../kit/Button";
import { panel } from "../kit/later";
import { ShedNav } from "../shed/ShedNav";
import { EquipmentOutline } from "./EquipmentOutline";

const AddToolSheet = panel(() => import("./AddToolSheet").then((module) => module.AddToolSheet));
const UseSheet = panel(() => import("./UseSheet").then((module) => module.UseSheet));

function sayState(piece: EquipmentView, today: string): readonly { readonly text: string; readonly warn: boolean }[] {
  return [
    ...(piece.broken ? [{ text: "■ broken", warn: true }] : []),
    ...(piece.busy ? [{ text: "in a running batch", warn: false }] : []),
    ...(piece.dirtyFrom && !piece.busy && piece.washedBetween
      ? [{ text: "▲ wash it before another family of brew", warn: true }]
      : []),
    ...(piece.calibrationDueOn !== null && piece.calibrationDueOn < today
      ? [
          {
            text: piece.calibratedOn ? `▲ calibrated ${sayDay(piece.calibratedOn)}: due again` : "▲ never calibrated",
            warn: true,
          },
        ]
      : []),
    ...(piece.calibratedOn && piece.calibrationDueOn! >= today
      ? [{ text: `◆ calibrated ${sayDay(piece.calibratedOn)}`, warn: false }]
      : []),
  ];
}

const Peg = ({
  piece,
  view,
  onUse,
}: {
  readonly piece: EquipmentView;
  readonly view: EquipmentPageView;
  readonly onUse: () => void;
}) => {
  const act = useEquipmentAct("noteEquipment", "toast");
  const undo = useUndo();
  const note = async (kind: "washed" | "calibrated" | "broken" | "mended", said: string) => {
    const answer = await act.run({ equipmentId: piece.id, kind });
    if (answer) told(`${piece.name}: ${said}.`, undo({ kind: "tool-event", id: answer.eventId }));
  };
  const unit = SIZE_UNIT[piece.kind];
  const acts: readonly (readonly [string, () => void])[] = [
    ...(piece.washedBetween && piece.dirtyFrom ? [["Washed", () => void note("washed", "washed")] as const] : []),
    ...(piece.calibrationDueOn === null
      ? []
      : [["Calibrated", () => void note("calibrated", "calibrated today")] as const]),
    ...(piece.washedBetween && !piece.busy && view.running.length > 0 && !piece.broken
      ? [["In a batch", onUse] as const]
      : []),
    piece.broken
      ? (["Mended", () => void note("mended", "mended")] as const)
      : (["Broken", () => void note("broken", "broken")] as const),
  ];
  return (
    <li className="flex gap-3 py-3">
      <EquipmentOutline kind={piece.kind} faint={piece.broken} />
      <div className="min-w-0 flex-1">
        <p className="font-semibold">
          {piece.name} <span className="font-normal text-soft">· {kindWord(piece.kind)}</span>
        </p>
        <p className="text-soft">
          {[
            piece.count > 1 ? `${piece.count} of them` : "",
            piece.size !== null && unit ? `${formatNumber(piece.size)} ${unit}` : "",
            piece.outlets ? plural(piece.outlets, "outlet") : "",
            piece.note,
          ]
            .filter(Boolean)
            .join("; ")}
        </p>
        {sayState(piece, view.today).map(({ text, warn }) => (
          <p key={text} className={warn ? "font-semibold text-rust" : "text-soft"}>
            {text}
          </p>
        ))}
        <div className="-ml-3 flex flex-wrap">
          {acts.map(([word, run]) => (
            <Button key={word} variant="quiet" disabled={act.busy} onClick={run} aria-label={`${word}: ${piece.name}`}>
              {word}
            </Button>
          ))}
          <ChangeThing kind="equipment" id={piece.id} name={piece.name} />
        </div>
      </div>
    </li>
  );
};

/** What planned batches lack, and what wants a wash. */
const Lacks = ({ view }: { readonly view: EquipmentPageView }) => (
  <div className="grid content-start gap-6">
    <section aria-label="What is missing">
      <h2 className="text-xl">Missing for planned batches</h2>
      {view.lacks.length === 0 ? <p className="text-soft">◆ Nothing.</p> : null}
      <ul className="divide-y divide-line border-y border-line empty:hidden">
        {view.lacks.map(({ planId, name, forDay, gaps }) => (
          <li key={planId} className="py-2">
            <p className="font-semibold">
              {name}, {sayDay(forDay)}
            </p>
            <ul className="text-[0.95rem]">
              {gaps.map(({ say, weight }) => (
                <li key={say}>
                  {weight === "missing" ? "■" : "▲"} {say}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
    {view.dirtyVessels.length > 0 ? (
      <section aria-label="Vessels to wash">
        <h2 className="text-xl">Vessels to wash</h2>
        <p>
          ▲ {view.dirtyVessels.join(", ")}.{" "}
          <Link href="/" className="underline">
            In the yard
          </Link>{" "}
          they are marked as washed.
        </p>
      </section>
    ) : null}
    <p className="text-[0.9rem] text-soft">
      Hot water and washing soda for stones and bags; bags in the sun afterwards. What held dung never comes back to
      what goes on leaves.
    </p>
  </div>
);

/** The wall with the equipment: what each is good for, what wants a wash or a calibration, and what planned batches lack. */
export const EquipmentScreen = ({ view }: { readonly view: EquipmentPageView }) => {
  const [open, setOpen] = useState<"add" | EquipmentView | null>(null);
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Equipment</h1>
        <Button variant="strong" onClick={() => setOpen("add")}>
          Add equipment
        </Button>
      </div>
      <ShedNav here="/shed/equipment" />
      <div className="mt-5 grid gap-8 md:grid-cols-[1fr_22rem]">
        <section aria-label="On the wall">
          {view.equipment.length === 0 ? (
            <p>No equipment yet. Add pump, stones, bags and meters; each fill then says what is missing.</p>
          ) : null}
          <ul className="grid divide-y divide-line border-y border-line empty:hidden lg:grid-cols-2 lg:gap-x-8">
            {view.equipment.map((piece) => (
              <Peg key={piece.id} piece={piece} view={view} onUse={() => setOpen(piece)} />
            ))}
          </ul>
          <h2 className="mt-6 text-xl">Cans and sprayers</h2>
          <p className="text-soft">
            {view.carriers.length === 0
              ? "No cans yet. "
              : `${view.carriers.map(({ name, volumeL, partsWater }) => `${name} (${sayVolume(volumeL, view.farm.units)}${partsWater === null ? "" : `, 1:${partsWater}`})`).join(", ")}. `}
            <Link href="/farm/tool" className="underline">
              Add or change cans and sprayers
            </Link>
          </p>
        </section>
        <Lacks view={view} />
      </div>
      {open === "add" ? <AddToolSheet onClose={() => setOpen(null)} /> : null}
      {open !== null && open !== "add" ? (
        <UseSheet piece={asItStands(view.equipment, open)} view={view} onClose={() => setOpen(null)} />
      ) : null}
    </div>
  );
};
