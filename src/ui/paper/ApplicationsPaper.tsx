"use client";
import type { Paper } from "@/core/paper/papers";
import { sayDilution, sayTemperature, sayVolume } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { clockTime, fullDate, sayDay } from "@/formats/times";
import { sayCarried } from "@/words/said";
import type { ApplicationRecordView } from "@/services/field";
import { TextField } from "../kit/fields";
import { PaperBar } from "./PaperBar";
import { LongPage } from "./PaperSheet";
import { RecordTable, SignHere } from "./RecordTable";
import { usePaperQuery } from "./usePaperQuery";

type Line = ApplicationRecordView["lines"][number];

const HEADS = ["Day", "Plot", "Input and batch", "How", "Dilution", "Input", "Mix", "By", "Harvest from", "Notes"];

/** What else an inspector reads of it: the weather, the reason, what was in the can with it. */
function notesOf(line: Line, view: ApplicationRecordView): string {
  const { units } = view.farm;
  return [
    line.carries.length > 0 ? `holds ${line.carries.map(sayCarried).join(", ")}` : "",
    line.blendedWith ? `together with ${line.blendedWith}` : "",
    line.weather ? `air ${sayTemperature(line.weather.airC, units)}` : "",
    line.overrideReason ? `reason: ${line.overrideReason}` : "",
    line.note,
  ]
    .filter(Boolean)
    .join("; ");
}

const rowOf = (line: Line, view: ApplicationRecordView) => {
  const { units } = view.farm;
  return {
    key: `${line.applicationId}-${line.plotId}`,
    cells: [
      `${sayDay(line.day)} ${clockTime(new Date(line.atMs), view.farm)}`,
      line.plotName,
      `${line.storeLabel}, batch ${line.batchId}`,
      line.useName,
      sayDilution(line.partsWater),
      sayVolume(line.concentrateL, units),
      sayVolume(line.mixL, units),
      line.actorName,
      line.clearOn ? sayDay(line.clearOn) : "",
      notesOf(line, view),
    ],
  };
};

/** The application record on paper: every plot, every day, as an inspector or a buyer asks for it. */
export const ApplicationsPaper = ({ view, paper }: { readonly view: ApplicationRecordView; readonly paper: Paper }) => {
  const to = usePaperQuery();
  const span = [view.from ? `from ${sayDay(view.from)}` : "", view.to ? `to ${sayDay(view.to)}` : ""]
    .filter(Boolean)
    .join(" ");
  return (
    <div className="px-4 py-5 print:p-0">
      <PaperBar title="Application record" paper={paper.id}>
        <TextField
          label="From"
          type="date"
          defaultValue={view.from ?? ""}
          onChange={(event) => to("from", event.target.value)}
        />
        <TextField
          label="To"
          type="date"
          defaultValue={view.to ?? ""}
          onChange={(event) => to("to", event.target.value)}
        />
      </PaperBar>
      <LongPage paper={paper}>
        <h2 className="text-2xl">Application record, {view.farm.name}</h2>
        <p className="mb-[3mm]">
          {span ? `${span.charAt(0).toUpperCase()}${span.slice(1)}. ` : ""}
          {plural(view.lines.length, "entry", "entries")}. Printed on {fullDate(new Date(view.nowMs), view.farm)}.
        </p>
        {view.lines.length === 0 ? (
          <p>Nothing was applied in these days.</p>
        ) : (
          <RecordTable label="Applications" heads={HEADS} rows={view.lines.map((line) => rowOf(line, view))} />
        )}
        <SignHere />
      </LongPage>
    </div>
  );
};
