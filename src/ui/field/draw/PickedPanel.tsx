"use client";
import { Copy, Merge, RotateCw, Scissors, Trash2 } from "lucide-react";
import { PLOT_KINDS, type PlotKind } from "@/core/land/geojson";
import { areaM2, centreOf, rectangle, sidesOf, turned, type Ring } from "@/core/land/ring";
import { sayArea, type UnitSystem } from "@/formats/amounts";
import { valueInField, typedInField } from "@/formats/fieldUnits";
import { Button } from "../../kit/Button";
import { SelectField, TextField } from "../../kit/fields";
import { SizeField } from "../../measures/SizeField";
import { pickedOf, type DraftPlot } from "./draft";
import type { Drawing } from "./useDraft";
import { useState } from "react";
import { counted } from "@/formats/grammar";

export const KIND_WORDS: Readonly<Record<PlotKind, string>> = {
  bed: "bed",
  row: "row",
  tree: "tree",
  pots: "pots",
  bay: "greenhouse bay",
  lawn: "lawn",
  heap: "compost heap",
  path: "path",
};

/** The way in which its long side lies, degrees clockwise from east. */
function directionOf(ring: Ring): number {
  const [a, b] = ring
    .map((point, index) => [point, ring[(index + 1) % ring.length]!] as const)
    .reduce((longest, edge) =>
      Math.hypot(edge[1][0] - edge[0][0], edge[1][1] - edge[0][1]) >
      Math.hypot(longest[1][0] - longest[0][0], longest[1][1] - longest[0][1])
        ? edge
        : longest,
    );
  return (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
}

/** A box of these sides in the place of another outline, lying as it lay. */
export function resized(ring: Ring, widthM: number, lengthM: number): Ring {
  const [cx, cy] = centreOf(ring);
  return turned(rectangle([cx - lengthM / 2, cy - widthM / 2], lengthM, widthM), directionOf(ring), [cx, cy]);
}

/** Width and length as figures, for whom dragging is too coarse. */
const Sides = ({
  plot,
  drawing,
  units,
}: {
  readonly plot: DraftPlot;
  readonly drawing: Drawing;
  readonly units: UnitSystem;
}) => {
  const { widthM, lengthM } = sidesOf(plot.ring);
  const [typed, setTyped] = useState({
    width: typedInField(widthM, "m", units),
    length: typedInField(lengthM, "m", units),
  });
  const set = (next: typeof typed) => {
    setTyped(next);
    const [width, length] = [valueInField(next.width, "m", units), valueInField(next.length, "m", units)];
    if (typeof width === "number" && typeof length === "number" && width >= 0.1 && length >= 0.1)
      drawing.step({ type: "ring", key: plot.key, ring: resized(plot.ring, width, length) });
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      <SizeField
        label="Width"
        measure="m"
        typed={typed.width}
        value={typed.width}
        onChange={(event) => set({ ...typed, width: event.target.value })}
      />
      <SizeField
        label="Length"
        measure="m"
        typed={typed.length}
        value={typed.length}
        onChange={(event) => set({ ...typed, length: event.target.value })}
      />
    </div>
  );
};

/** Tags of what is picked, with commas between as they are typed. */
const Tags = ({ tags, drawing }: { readonly tags: readonly string[]; readonly drawing: Drawing }) => {
  const [typed, setTyped] = useState(tags.join(", "));
  const change = (text: string) => {
    setTyped(text);
    const words = text
      .split(",")
      .map((word) => word.trim())
      .filter(Boolean);
    drawing.step({ type: "say", change: { tags: [...new Set(words)] } });
  };
  return (
    <TextField
      label="Tags"
      hint="With commas between: shade, wet, trial. Chosen together, too."
      value={typed}
      onChange={(event) => change(event.target.value)}
    />
  );
};

/** What is picked on the drawing, and all that can be done with it. */
export const PickedPanel = ({
  drawing,
  units,
  onSplit,
}: {
  readonly drawing: Drawing;
  readonly units: UnitSystem;
  readonly onSplit: () => void;
}) => {
  const picked = pickedOf(drawing.draft);
  const [first] = picked;
  if (!first) return <p className="text-soft">Pick a plot to change it. With Shift, pick several.</p>;
  const isOne = picked.length === 1;
  return (
    <div className="grid gap-3" key={picked.map(({ key }) => key).join()}>
      <h2 className="text-xl">{counted(picked.length, { one: first.name, other: "# plots" })}</h2>
      <p className="reading">
        {sayArea(
          picked.reduce((sum, { ring }) => sum + areaM2(ring), 0),
          units,
        )}
      </p>
      {isOne ? (
        <>
          <TextField
            label="Name"
            value={first.name}
            onChange={(event) => drawing.step({ type: "say", change: { name: event.target.value } })}
          />
          <Sides plot={first} drawing={drawing} units={units} />
        </>
      ) : null}
      <SelectField
        label="What it is"
        value={first.kind}
        onChange={(event) => drawing.step({ type: "say", change: { kind: event.target.value as PlotKind } })}
      >
        {PLOT_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {KIND_WORDS[kind]}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Group"
        hint="A block of beds: chosen together."
        value={first.block}
        onChange={(event) => drawing.step({ type: "say", change: { block: event.target.value } })}
      />
      <Tags tags={first.tags} drawing={drawing} />
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => drawing.step({ type: "turn", degrees: 15 })}>
          <RotateCw aria-hidden className="size-5" /> Turn 15°
        </Button>
        <Button onClick={() => drawing.step({ type: "copy" })}>
          <Copy aria-hidden className="size-5" /> Copy
        </Button>
        {isOne ? (
          <Button onClick={onSplit}>
            <Scissors aria-hidden className="size-5" /> Part in two
          </Button>
        ) : (
          <Button onClick={() => drawing.step({ type: "merge" })}>
            <Merge aria-hidden className="size-5" /> Join
          </Button>
        )}
        <Button onClick={() => drawing.step({ type: "put-away" })}>
          <Trash2 aria-hidden className="size-5" /> Put away
        </Button>
      </div>
      <p className="text-[0.88rem] text-soft">
        Arrows move it by 10 cm; [ and ] turn it by 5°; c copies, Delete puts away, u takes a step back. What is put
        away keeps its past.
      </p>
    </div>
  );
};
