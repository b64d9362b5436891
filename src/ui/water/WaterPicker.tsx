"use client";
import { Link } from "../kit/Link";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { sayDuration } from "@/formats/times";
import { sayStrip, sayWaterWay } from "@/words/said";
import type { WatersView } from "@/services/water";
import { SelectField, TextArea } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { waterProblem, waterWays, type WaterDraft } from "./waterDraft";

interface WaterPickerProps {
  readonly label: string;
  readonly view: WatersView;
  readonly neededL: number;
  readonly value: WaterDraft;
  readonly units: UnitSystem;
  readonly fields: FieldErrors;
  readonly onChange: (value: WaterDraft) => void;
}

/** The water can't be forgotten: it is picked with the batch or the mix, and judged by its source, its strip or its clock. */
export const WaterPicker = ({ label, view, neededL, value, units, fields, onChange }: WaterPickerProps) => {
  const problem = waterProblem(view, value, neededL);
  const ways = problem ? waterWays(view, value, neededL) : [];
  const key =
    value.startId !== null ? `start-${value.startId}` : value.sourceId !== null ? `source-${value.sourceId}` : "";
  const pick = (picked: string) => {
    const [kind, id] = picked.split("-");
    const start = kind === "start" ? view.starts.find((item) => item.id === Number(id)) : undefined;
    onChange({
      ...value,
      sourceId: start ? start.sourceId : id === undefined ? null : Number(id),
      startId: start?.id ?? null,
    });
  };
  return (
    <section aria-label="Which water" className="grid gap-2">
      <SelectField
        label={`${label}, ${sayVolume(neededL, units)}`}
        value={key}
        onChange={(event) => pick(event.target.value)}
        error={fields["/water/sourceId"] ?? fields["/water/startId"] ?? fields["/water"]}
      >
        <option value="">Choose the water</option>
        {view.waters.map((water) => (
          <option key={water.id} value={`source-${water.id}`}>
            {water.name}: {sayStrip(water)}
          </option>
        ))}
        {view.starts.map((start) => (
          <option key={start.id} value={`start-${start.id}`}>
            {sayVolume(start.leftL, units)} {start.sourceName} set aside{start.place ? `, ${start.place}` : ""}
            {start.readyMs > view.nowMs
              ? `, ready in ${sayDuration((start.readyMs - view.nowMs) / 3_600_000)}`
              : ", ready"}
          </option>
        ))}
      </SelectField>
      {view.waters.length === 0 ? (
        <p className="text-[0.9rem] text-soft">
          Say where the farm’s water comes from in the{" "}
          <Link href="/shed#water" className="underline">
            shed
          </Link>
          , once.
        </p>
      ) : null}
      {problem ? (
        <>
          <Notice tone="caution" title="Not safe for the culture yet">
            {problem} {ways.length > 0 ? `Begun now it is fit: ${ways.map(sayWaterWay).join("; ")}. ` : ""}
            <Link href="/shed#water" className="underline">
              Treat the water
            </Link>
            , or give a reason to use it anyway.
          </Notice>
          <TextArea
            label="Reason for using this water anyway"
            value={value.reason}
            onChange={(event) => onChange({ ...value, reason: event.target.value })}
            error={fields["/water/overrideReason"]}
          />
        </>
      ) : fields["/water/overrideReason"] ? (
        <Notice tone="error">{fields["/water/overrideReason"]}</Notice>
      ) : null}
    </section>
  );
};
