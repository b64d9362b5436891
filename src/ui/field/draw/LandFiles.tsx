"use client";
import { Download, Upload } from "lucide-react";
import { useRef } from "react";
import { told } from "../../kit/told";
import { plural } from "@/formats/numbers";
import { useFieldAct } from "../../acts/field";
import { Button, buttonClass } from "../../kit/Button";
import { Refusal } from "../../kit/Refusal";
import { useUndo } from "../../acts/undo";

/** The land as GeoJSON, out and in. */
export const LandFiles = () => {
  const act = useFieldAct("importLand");
  const undo = useUndo();
  const input = useRef<HTMLInputElement>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const answer = await act.run({ text: await file.text(), fileName: file.name.slice(0, 100) });
    if (input.current) input.current.value = "";
    if (!answer) return;
    const { shapeIds, markRowIds } = answer;
    told(
      `${plural(shapeIds.length, "plot")} and ${plural(markRowIds.length, "mark")} drawn in.`,
      undo(
        ...shapeIds.map((id) => ({ kind: "bed-shape" as const, id })),
        ...markRowIds.map((id) => ({ kind: "land-mark" as const, id })),
      ),
    );
  };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-2">
        <a href="/api/field/land" className={buttonClass("plain")} download>
          <Download aria-hidden className="size-5" /> GeoJSON out
        </a>
        <Button disabled={act.busy} onClick={() => input.current?.click()}>
          <Upload aria-hidden className="size-5" /> GeoJSON in
        </Button>
        <input
          ref={input}
          type="file"
          accept=".geojson,.json,application/geo+json,application/json"
          aria-label="A GeoJSON file"
          className="sr-only"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </div>
      <Refusal error={act.error} />
      {act.fields["/text"] ? <p className="font-semibold text-rust">{act.fields["/text"]}</p> : null}
    </div>
  );
};
