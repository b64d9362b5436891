"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { CAUTIONS } from "@/core/book/cautions";
import { NEVER_FROM } from "@/core/safety/checkPlant";
import { sayStock } from "@/formats/amounts";
import { clockTime, sayDay, sayMoment } from "@/formats/times";
import type { GatherView } from "@/services/gather";
import { Button, buttonClass } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { ShedNav } from "../shed/ShedNav";
import { BinPanel } from "./WormBins";
import { PlacePanel } from "./Places";
import { panel } from "../kit/later";
import { inText } from "@/formats/grammar";

const BinSheet = panel(() => import("./WormBins").then((module) => module.BinSheet));
const AddBinSheet = panel(() => import("./AddSheets").then((module) => module.AddBinSheet));
const AddPlaceSheet = panel(() => import("./AddSheets").then((module) => module.AddPlaceSheet));
const PickSheet = panel(() => import("./PickSheet").then((module) => module.PickSheet));
const VisitSheet = panel(() => import("./Places").then((module) => module.VisitSheet));

type Open =
  | { readonly type: "pick"; readonly species: string }
  | { readonly type: "add-place" | "add-bin" }
  | { readonly type: "visit"; readonly placeId: number }
  | { readonly type: "bin"; readonly binId: number }
  | null;

const KIND_WORDS: Readonly<Record<GatherView["groups"][number]["kind"], string>> = {
  "leafy": "Leaves",
  "legume": "Leaves that fix nitrogen",
  "flower": "Flowers",
  "fruit": "Fruit",
  "root": "Roots",
  "water-weed": "Water weeds",
  "grass": "Grass",
};

/** A basket and the sun's edge: what is picked when it is low. */
const DawnDrawing = ({ label }: { readonly label: string }) => (
  <svg role="img" aria-label={label} viewBox="0 0 320 84" className="w-full max-w-sm">
    <path d="M118 62a34 34 0 0 1 68 0" fill="var(--marigold)" stroke="var(--ink)" strokeWidth={2} />
    {[-60, -30, 0, 30, 60].map((angle) => (
      <path key={angle} d="M152 22v-12" stroke="var(--ink)" strokeWidth={2} transform={`rotate(${angle} 152 62)`} />
    ))}
    <path d="M0 62h320" stroke="var(--ink)" strokeWidth={3} />
    <path
      d="M226 62q2 -30 16 -40q2 22 -8 40M248 62q4 -22 18 -28q0 18 -10 28M206 62q-2 -18 6 -26q6 12 4 26"
      fill="var(--leaf)"
      stroke="var(--ink)"
      strokeWidth={1.6}
    />
    <path d="M36 40h52l-7 22h-38zM46 40q16 -30 32 0" fill="none" stroke="var(--ink)" strokeWidth={2.4} />
  </svg>
);

/** When the sun is up, and so when to go. */
const WhenToGo = ({ view }: { readonly view: GatherView }) => {
  const now = new Date(view.nowMs);
  const rise = view.sunriseMs === null ? null : new Date(view.sunriseMs);
  return (
    <section aria-label="When" className="mt-5 flex flex-wrap items-center gap-x-8 gap-y-3">
      <DawnDrawing label={rise ? `The sun rises ${sayMoment(rise, now, view.farm)}` : "The sun does not rise"} />
      <div className="max-w-md">
        <p className="text-lg">
          {rise ? (
            <>
              Sun up <span className="reading text-2xl font-semibold">{clockTime(rise, view.farm)}</span>{" "}
              {sayMoment(rise, now, view.farm).startsWith("today") ? "today" : "tomorrow"}: basket out half an hour
              before it.
            </>
          ) : (
            "The sun does not rise in these days."
          )}
        </p>
        <p className="text-soft">
          Dew still on, growing tips first: most sap, most of what makes them grow. Unwashed, healthy, whole. Used the
          same day.
        </p>
      </div>
    </section>
  );
};

/** What grows now, by what it is good for. */
const WhatIsThere = ({ view, onPick }: { readonly view: GatherView; readonly onPick: (species: string) => void }) => (
  <section aria-label="What is there" className="mt-6">
    <h2 className="text-xl">There in {view.season}</h2>
    {view.inSeason.length > 0 ? <p className="text-soft">Besides: {inText(view.inSeason.join(", "))}.</p> : null}
    <p className="text-soft">Touch what you picked; ▲ has something to mind, said there.</p>
    <div className="mt-2 grid gap-x-10 gap-y-5 md:grid-cols-2">
      {view.groups.map((group) => (
        <div key={group.kind} className={group.plants.length > 12 ? "md:col-span-2" : undefined}>
          <h3 className="border-b-2 border-ink text-lg">
            {KIND_WORDS[group.kind]}, for {group.good}
          </h3>
          <ul className="mt-2 flex flex-wrap gap-2">
            {group.plants.map((plant) => (
              <li key={plant.name}>
                <button
                  type="button"
                  onClick={() => onPick(plant.name)}
                  title={plant.caution ?? undefined}
                  aria-label={`Picked: ${plant.name}${plant.caution ? `. ${plant.caution}` : ""}`}
                  className="min-h-11 rounded-[5px] border-[1.5px] border-line bg-chalk px-3 hover:border-ink hover:bg-marigold-wash"
                >
                  {plant.name}
                  {plant.caution ? <span aria-hidden> ▲</span> : null}
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  </section>
);

/** What is never picked, and where never. */
const Never = ({ view }: { readonly view: GatherView }) => {
  const [never, setNever] = useState(false);
  return (
    <section aria-label="Never" className="mt-6 grid gap-2 md:max-w-3xl">
      <h2 className="text-xl">Never</h2>
      <Notice tone="caution">{CAUTIONS["poisonous-plants"]}</Notice>
      <Notice tone="caution">
        Nothing from {NEVER_FROM.join(", ")} ground. Salty weed rinsed twice. Nothing of the crop&rsquo;s own family on
        that crop.
      </Notice>
      <Notice tone="caution">{CAUTIONS.herbicide}</Notice>
      <div>
        <Button variant="quiet" className="-ml-3" aria-expanded={never} onClick={() => setNever(!never)}>
          {never ? "Hide the poisonous ones" : `${view.refused.length} that are refused by name`}
        </Button>
        {never ? (
          <ul className="columns-1 gap-8 md:columns-2">
            {view.refused.map(({ name, refused }) => (
              <li key={name} className="py-1 text-[0.95rem]">
                <span className="font-semibold">■ {name}</span>: {refused}
              </li>
            ))}
          </ul>
        ) : null}
      </div>
    </section>
  );
};

/** Going out with a basket: when, what is there, what for, what never; the places that rest, and the worms. */
export const GatherScreen = ({ view }: { readonly view: GatherView }) => {
  const [open, setOpen] = useState<Open>(null);
  const close = () => setOpen(null);
  const bin = open?.type === "bin" ? view.bins.find(({ id }) => id === open.binId) : undefined;
  const place = open?.type === "visit" ? view.places.find(({ id }) => id === open.placeId) : undefined;
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Gathering</h1>
        <div className="flex gap-2">
          <Link href="/paper/picking" className={buttonClass("plain")}>
            Print list
          </Link>
          <Button variant="strong" onClick={() => setOpen({ type: "pick", species: "" })}>
            Log picked plants
          </Button>
        </div>
      </div>
      <ShedNav here="/shed/gathering" />
      <WhenToGo view={view} />
      {view.wanted.length > 0 ? (
        <section aria-label="Wanted" className="mt-6">
          <h2 className="text-xl">Wanted for what is planned</h2>
          <ul className="divide-y divide-line border-y border-line empty:hidden md:max-w-xl">
            {view.wanted.map((line) => (
              <li key={line.ingredient} className="flex flex-wrap justify-between gap-3 py-2">
                <span>
                  <span className="font-semibold">{line.name}</span>{" "}
                  <span className="text-soft">
                    for {line.forWhat.join(", ")}, {sayDay(line.firstDay)}
                  </span>
                </span>
                <span className="reading font-semibold">{sayStock(line.short, line.unit, view.farm.units)}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <WhatIsThere view={view} onPick={(species) => setOpen({ type: "pick", species })} />
      <Never view={view} />
      <div className="mt-6 grid gap-8 md:grid-cols-2">
        <PlacePanel
          view={view}
          onVisit={(placeId) => setOpen({ type: "visit", placeId })}
          onAdd={() => setOpen({ type: "add-place" })}
        />
        <BinPanel
          view={view}
          onNote={(binId) => setOpen({ type: "bin", binId })}
          onAdd={() => setOpen({ type: "add-bin" })}
        />
      </div>
      {open?.type === "pick" ? <PickSheet species={open.species} view={view} onClose={close} /> : null}
      {open?.type === "add-place" ? <AddPlaceSheet onClose={close} /> : null}
      {open?.type === "add-bin" ? <AddBinSheet onClose={close} /> : null}
      {place ? <VisitSheet place={place} view={view} onClose={close} /> : null}
      {bin ? <BinSheet bin={bin} onClose={close} /> : null}
    </div>
  );
};
