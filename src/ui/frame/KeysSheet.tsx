"use client";
import { Sheet } from "../kit/Sheet";
import { PLACES } from "./places";
import { inText } from "@/formats/grammar";

const KEYS: readonly (readonly [string, string])[] = [
  ...PLACES.map(({ key, label }) => [key, `Go to the ${inText(label)}`] as const),
  ["v", "First vessel of the yard"],
  ["← →", "Along the vessels"],
  ["Enter", "On a vessel: what is next (log, fill, washed)"],
  ["l", "On a vessel: log"],
  ["c", "On a vessel: strain or throw away"],
  ["r", "Today’s jobs"],
  ["n", "New: a vessel in the yard, a lot in the shed, a bed in the field"],
  ["a", "In the field: all beds, or none"],
  ["s", "On a method: scale it"],
  ["i", "In the methods: read a recipe in"],
  ["/", "Find anything, or calculate"],
  ["d", "Light or dark screen"],
  ["Esc", "Close a panel"],
  ["?", "These keys"],
];

export const KeysSheet = ({ onClose }: { readonly onClose: () => void }) => (
  <Sheet open onClose={onClose} title="Keys">
    <dl className="grid grid-cols-[5rem_1fr] gap-y-2">
      {KEYS.map(([key, what]) => (
        <div key={key} className="contents">
          <dt className="reading text-lg font-bold">{key}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  </Sheet>
);
