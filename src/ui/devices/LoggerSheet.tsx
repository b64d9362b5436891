"use client";
import { useState } from "react";
import { told } from "../kit/told";
import { clockTime, fullDate, type FarmClock } from "@/formats/times";
import type { LoggerPreview, DevicesView } from "@/services/devices";
import { useDevicesAct } from "../acts/devices";
import { Choices } from "../kit/Choices";
import { FormSheet } from "../kit/FormSheet";
import { SelectField, TextField } from "../kit/fields";
import { counted } from "@/formats/grammar";

interface Previewed {
  readonly text: string;
  readonly preview: LoggerPreview;
}

const ZONES = ["UTC", ...Intl.supportedValuesOf("timeZone")];

/** The file that was chosen, what was found in it, and what is said about it; and its reading in. */
function useLogger(view: DevicesView, onClose: () => void) {
  const read = useDevicesAct("importLogger");
  const [file, setFile] = useState<File | null>(null);
  const [previewed, setPreviewed] = useState<Previewed | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [name, setName] = useState("");
  const [vesselId, setVesselId] = useState("");
  const [zone, setZone] = useState(view.farm.timeZone);
  const [column, setColumn] = useState("");
  const [unit, setUnit] = useState<"°C" | "°F" | "pH">("°C");
  const previewIn = async (chosen: File, inZone: string) => {
    setProblem(null);
    try {
      const answer = await fetch(`/api/shed/logger?zone=${encodeURIComponent(inZone)}`, {
        method: "POST",
        body: chosen,
      });
      if (!answer.ok) return setProblem(await answer.text());
      const found = (await answer.json()) as Previewed;
      setPreviewed(found);
      const [first] = found.preview.columns;
      setColumn(first?.name ?? "");
      if (first) setUnit(first.unit);
      if (found.preview.layout === null) setProblem("No column of times was found in it.");
    } catch {
      setProblem("The file could not be sent. Try again in a moment.");
    }
  };
  const submit = async () => {
    if (!previewed) return setProblem("Choose a file first.");
    const answer = await read.run({
      name,
      vesselId: vesselId === "" ? null : Number(vesselId),
      text: previewed.text,
      zone,
      column,
      unit,
    });
    if (!answer) return;
    told(
      `${answer.taken} figures taken${answer.known > 0 ? `, ${answer.known} were there already` : ""}${answer.setAside > 0 ? `, ${answer.setAside} kept apart` : ""}.`,
    );
    onClose();
  };
  return {
    read,
    file,
    setFile,
    previewed,
    problem,
    name,
    setName,
    vesselId,
    setVesselId,
    zone,
    setZone,
    column,
    setColumn,
    unit,
    setUnit,
    previewIn,
    submit,
  };
}
type Logger = ReturnType<typeof useLogger>;

/** Its span, its gaps, what of it has no time. */
const FoundInIt = ({ preview, clock }: { readonly preview: LoggerPreview; readonly clock: FarmClock }) => {
  const at = (ms: number) => `${fullDate(new Date(ms), clock)} ${clockTime(new Date(ms), clock)}`;
  return (
    <div className="border-l-4 border-marigold pl-3 text-[0.95rem]" data-preview>
      <p>
        Times are written as {preview.layout}
        {preview.hasZone ? ", with their own zone" : ""}.
      </p>
      {preview.fromMs !== null && preview.toMs !== null ? (
        <p>
          From {at(preview.fromMs)} to {at(preview.toMs)}.
        </p>
      ) : null}
      <p>
        {preview.gaps.length === 0
          ? "No gap of more than six hours."
          : `${counted(preview.gaps.length, { one: "# gap", other: "# gaps" })} of more than six hours; the first from ${at(preview.gaps[0]!.fromMs)}.`}
      </p>
      {preview.unread.length > 0 ? (
        <p>
          {preview.unread.length} lines have no time and are left out; the first is line {preview.unread[0]!.line}: “
          {preview.unread[0]!.text}”.
        </p>
      ) : null}
    </div>
  );
};

/** By which clock, which column, in which unit. */
const HowToRead = ({
  preview,
  logger,
  farmZone,
}: {
  readonly preview: LoggerPreview;
  readonly logger: Logger;
  readonly farmZone: string;
}) => {
  const { read, file, zone, setZone, column, setColumn, unit, setUnit, previewIn } = logger;
  return (
    <>
      {!preview.hasZone && preview.layout !== null ? (
        <SelectField
          label="Its clock was set to"
          value={zone}
          onChange={(event) => {
            setZone(event.target.value);
            if (file) void previewIn(file, event.target.value);
          }}
        >
          {[...new Set([farmZone, ...ZONES])].map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </SelectField>
      ) : null}
      {preview.columns.length > 0 ? (
        <SelectField
          label="The column to read"
          value={column}
          error={read.fields["/column"]}
          onChange={(event) => {
            setColumn(event.target.value);
            setUnit(preview.columns.find((one) => one.name === event.target.value)?.unit ?? "°C");
          }}
        >
          {preview.columns.map((one) => (
            <option key={one.name} value={one.name}>
              {one.name}, {one.figures} figures
            </option>
          ))}
        </SelectField>
      ) : null}
      {preview.columns.length > 0 ? (
        <Choices
          label="Unit"
          value={unit}
          onChange={setUnit}
          options={(["°C", "°F", "pH"] as const).map((value) => ({ value, label: value }))}
        />
      ) : null}
    </>
  );
};

/** A logger's file: looked at first with its columns, its span and its gaps; then read in. */
export const LoggerSheet = ({ view, onClose }: { readonly view: DevicesView; readonly onClose: () => void }) => {
  const logger = useLogger(view, onClose);
  const { read, setFile, previewed, problem, name, setName, vesselId, setVesselId, zone, previewIn, submit } = logger;
  const preview = previewed?.preview;
  return (
    <FormSheet
      title="Import logger file"
      act="Import file"
      busy={read.busy}
      error={read.error}
      onClose={onClose}
      onSubmit={(event) => {
        event?.preventDefault();
        return submit();
      }}
    >
      <div>
        <label className="mb-1 block text-[0.92rem] font-semibold" htmlFor="logger-file">
          The file, as the logger gave it
        </label>
        <input
          id="logger-file"
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          className="block w-full min-h-11"
          onChange={(event) => {
            const chosen = event.target.files?.[0] ?? null;
            setFile(chosen);
            if (chosen) void previewIn(chosen, zone);
          }}
        />
        {problem || read.fields["/text"] ? (
          <p role="alert" className="mt-1 font-semibold text-rust">
            {problem ?? read.fields["/text"]}
          </p>
        ) : null}
      </div>
      {preview && preview.layout !== null ? <FoundInIt preview={preview} clock={view.farm} /> : null}
      {preview ? <HowToRead preview={preview} logger={logger} farmZone={view.farm.timeZone} /> : null}
      <SelectField
        label="It hung in"
        value={vesselId}
        error={read.fields["/vesselId"]}
        onChange={(event) => setVesselId(event.target.value)}
      >
        <option value="">the air</option>
        {view.vessels.map(({ id, name: vessel }) => (
          <option key={id} value={id}>
            {vessel}
          </option>
        ))}
      </SelectField>
      <TextField
        label="The logger’s name"
        hint="The same name again adds to what was read before."
        value={name}
        maxLength={60}
        error={read.fields["/name"]}
        onChange={(event) => setName(event.target.value)}
      />
    </FormSheet>
  );
};
