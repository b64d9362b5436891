"use client";
import { useState } from "react";
import { sayVolume } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import type { ThingsView, ThingView } from "@/services/things";
import type { ThingKind } from "@/services/types";
import { sayWaterSource, STATE_WORDS, THING_NAMES, TOOL_WORDS } from "@/words/said";
import { FilesIn, FilesOut } from "../files/FilesScreen";
import { useKey } from "../frame/keys";
import { Button } from "../kit/Button";
import { TextField } from "../kit/fields";
import { Fold } from "../kit/Fold";
import { Link } from "../kit/Link";
import { FarmNav, thingHref } from "./FarmNav";
import { VESSEL_KIND_WORDS } from "./thingFields";
import { isAddedHere } from "./useThing";
import { panel } from "../kit/later";

const ThingSheet = panel(() => import("./ThingSheet").then((module) => module.ThingSheet));

/** Where those are added that ask more than a few fields. */
const ADDED_ELSEWHERE: Partial<Record<ThingKind, { readonly href: string; readonly where: string }>> = {
  "equipment": { href: "/shed/equipment", where: "Shed, Equipment" },
  "own-ingredient": { href: "/shed", where: "Shed" },
  "gathering-place": { href: "/shed/gathering", where: "Shed, Gathering" },
  "worm-bin": { href: "/shed/gathering", where: "Shed, Gathering" },
  "device": { href: "/shed/probes", where: "Shed, Probes" },
};

/** Tables that go in and out as a file, by kind. */
const FILE_OF = { "vessel": "vessels", "tool": "tools", "person": "people", "own-ingredient": "ingredients" } as const;
const fileOf = (kind: ThingKind) => (kind in FILE_OF ? FILE_OF[kind as keyof typeof FILE_OF] : null);

/** What tells one from another, besides its name. */
function sayFacts(kind: ThingKind, { facts }: ThingView, units: ThingsView["farm"]["units"]): string {
  const volume = typeof facts.volumeL === "number" ? sayVolume(facts.volumeL, units) : null;
  const parts = (...all: (string | null | false)[]) => all.filter(Boolean).join(" · ");
  switch (kind) {
    case "vessel":
      return parts(
        VESSEL_KIND_WORDS[facts.kind as keyof typeof VESSEL_KIND_WORDS],
        volume,
        String(facts.site ?? ""),
        Number(facts.airW) > 0 && `air, ${facts.airW} W`,
        facts.heldBefore === "manure" && "manure only",
      );
    case "tool":
      return parts(
        TOOL_WORDS[facts.kind as keyof typeof TOOL_WORDS],
        volume,
        facts.partsWater !== null && `1:${facts.partsWater}`,
      );
    case "water":
      return sayWaterSource(facts.kind as Parameters<typeof sayWaterSource>[0]);
    case "equipment":
      return parts(Number(facts.count) > 1 && `${facts.count} of them`, String(facts.note ?? ""));
    case "own-ingredient":
      return parts(
        facts.keepsD !== null && `keeps ${plural(Number(facts.keepsD), "day")}`,
        String(facts.caution ?? ""),
      );
    case "gathering-place":
      return parts(
        String(facts.ground ?? ""),
        `rests ${plural(Number(facts.restD), "day")}`,
        String(facts.permission ?? ""),
      );
    default:
      return "";
  }
}

const Row = ({
  kind,
  thing,
  units,
  onChange,
}: {
  readonly kind: ThingKind;
  readonly thing: ThingView;
  readonly units: ThingsView["farm"]["units"];
  readonly onChange: () => void;
}) => (
  <li className="flex items-center justify-between gap-x-4 gap-y-1 py-2">
    <span className="min-w-0">
      <span className="font-semibold">{thing.name}</span>
      {thing.state === "in-use" ? null : <span className="font-semibold text-rust"> ■ {STATE_WORDS[thing.state]}</span>}
      <span className="block text-[0.92rem] text-soft">{sayFacts(kind, thing, units)}</span>
    </span>
    <Button onClick={onChange} aria-label={`Change ${thing.name}`}>
      Change
    </Button>
  </li>
);

const FIND_FROM = 12;

/** All things of a kind: added, changed, lent, put away; many at once from a spreadsheet. */
export const ThingsScreen = ({ view }: { readonly view: ThingsView }) => {
  const { kind, things, farm } = view;
  const { one, many } = THING_NAMES[kind];
  const [open, setOpen] = useState<"add" | number | null>(null);
  const [word, setWord] = useState("");
  const elsewhere = ADDED_ELSEWHERE[kind];
  const file = fileOf(kind);
  const canAdd = isAddedHere(kind);
  useKey("n", () => canAdd && setOpen("add"));
  const shown = things
    .filter(({ name }) => name.toLowerCase().includes(word.trim().toLowerCase()))
    .toSorted((a, b) => Number(a.state === "retired") - Number(b.state === "retired"));
  const changed = typeof open === "number" ? (things.find(({ id }) => id === open) ?? null) : null;
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">{many}</h1>
        {canAdd ? (
          <Button variant="strong" onClick={() => setOpen("add")}>
            Add {one}
          </Button>
        ) : null}
      </div>
      <FarmNav here={thingHref(kind)} />
      <div className="mt-4 max-w-3xl">
        {things.length >= FIND_FROM ? (
          <TextField label="Find" value={word} onChange={(event) => setWord(event.target.value)} />
        ) : null}
        {things.length === 0 ? <p className="text-soft">None yet.</p> : null}
        <ul aria-label={many} className="mt-2 divide-y divide-line border-y border-line">
          {shown.map((thing) => (
            <Row key={thing.id} kind={kind} thing={thing} units={farm.units} onChange={() => setOpen(thing.id)} />
          ))}
        </ul>
        {elsewhere ? (
          <p className="mt-3">
            <Link href={elsewhere.href} className="underline decoration-line decoration-2 underline-offset-4">
              Add {one}: {elsewhere.where}
            </Link>
          </p>
        ) : null}
        {file ? (
          <div className="mt-6">
            <Fold title="Many at once: paste from a spreadsheet, or a file">
              <FilesIn kinds={[file]} />
              <FilesOut kinds={[file]} />
            </Fold>
          </div>
        ) : null}
      </div>
      {open === "add" ? <ThingSheet kind={kind} onClose={() => setOpen(null)} /> : null}
      {changed ? <ThingSheet key={changed.id} kind={kind} thing={changed} onClose={() => setOpen(null)} /> : null}
    </div>
  );
};
