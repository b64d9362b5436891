"use client";
import { CookingPot, House, Sprout, Sun, TreeDeciduous, Warehouse, type LucideIcon } from "lucide-react";
import { useState } from "react";
import { told } from "../kit/told";
import { PLACE_KINDS, type Place, type PlaceKind } from "@/core/ferment/temperature/places";
import type { UnitSystem } from "@/formats/amounts";
import { PLACE_WORDS, sayPlace } from "@/words/said";
import { useYardAct } from "../acts/yard";
import { undoOffer } from "../acts/undo";
import { Button } from "../kit/Button";
import { Refusal } from "../kit/Refusal";
import { WarmthStepper } from "../measures/WarmthStepper";
import { afterColon } from "@/formats/grammar";

const PICTURES: Record<keyof typeof PLACE_WORDS, LucideIcon> = {
  shade: TreeDeciduous,
  sun: Sun,
  shed: Warehouse,
  cellar: House,
  indoors: CookingPot,
  greenhouse: Sprout,
};
const KINDS = PLACE_KINDS.filter((kind): kind is keyof typeof PLACE_WORDS => kind !== "unsaid");
/** Where the first tap on a warmth begins, °C. */
const FROM_C = { low: 16, high: 22 } as const;

interface PlaceCardProps {
  readonly vesselId: number;
  readonly vesselName: string;
  readonly place: Place | null;
  readonly units: UnitSystem;
}

/** Where a vessel stands, asked once in a tap; how warm it is there, where somebody knows. Said again it counts anew. */
export const PlaceCard = ({ vesselId, vesselName, place, units }: PlaceCardProps) => {
  const [open, setOpen] = useState(false);
  const say = useYardAct("sayPlace");
  const put = async (request: { kind: PlaceKind; lowC?: number; highC?: number }) => {
    if (!(await say.run({ vesselId, ...request }))) return;
    setOpen(false);
    const before = place
      ? {
          kind: place.kind,
          ...(place.celsius ? { lowC: place.celsius[0], highC: place.celsius[1] } : {}),
        }
      : { kind: "unsaid" as const };
    told(
      request.kind === "unsaid" ? "Place removed." : "Place saved.",
      undoOffer(() => say.run({ vesselId, ...before })),
    );
  };
  if (place && !open)
    return (
      <p className="mt-2 flex flex-wrap items-center gap-x-3 text-[0.95rem]">
        <span>Stands: {afterColon(sayPlace(place, units))}.</span>
        <button
          type="button"
          onClick={() => setOpen(true)}
          className="min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4"
        >
          Change the place
        </button>
      </p>
    );
  return (
    <section aria-label="Place" className="mt-3 border-y-[1.5px] border-line py-3">
      <h2 className="text-[1.1rem]">Where does {vesselName} stand?</h2>
      <p className="text-[0.92rem] text-soft">
        One tap. Its liquid is as warm as its place, and warmth makes it quick or slow.
      </p>
      <div className="mt-2 grid grid-cols-3 gap-2 sm:grid-cols-6">
        {KINDS.map((kind) => {
          const Picture = PICTURES[kind];
          return (
            <button
              key={kind}
              type="button"
              aria-pressed={place?.kind === kind}
              disabled={say.busy}
              onClick={() => void put({ kind })}
              className="flex min-h-20 flex-col items-center justify-center gap-1 rounded-[5px] border-[1.5px] border-line bg-chalk px-1 py-2 text-center text-[0.85rem] font-semibold leading-tight aria-pressed:border-ink aria-pressed:bg-marigold-wash"
            >
              <Picture size={26} aria-hidden />
              {PLACE_WORDS[kind]}
            </button>
          );
        })}
      </div>
      {place ? (
        <HowWarm
          place={place}
          units={units}
          busy={say.busy}
          onSay={(warmth) => void put({ kind: place.kind, ...warmth })}
        />
      ) : null}
      {place ? (
        <div className="mt-3 flex flex-wrap gap-3">
          <Button onClick={() => setOpen(false)}>Cancel</Button>
          <Button onClick={() => void put({ kind: "unsaid" })}>I don’t know</Button>
        </div>
      ) : null}
      <Refusal error={say.error} />
    </section>
  );
};

interface HowWarmProps {
  readonly place: Place;
  readonly units: UnitSystem;
  readonly busy: boolean;
  readonly onSay: (warmth: { lowC: number; highC: number }) => void;
}

/** Between which warmths the place mostly is, for those who know. */
const HowWarm = ({ place, units, busy, onSay }: HowWarmProps) => {
  const [low, setLow] = useState(place.celsius?.[0] ?? NaN);
  const [high, setHigh] = useState(place.celsius?.[1] ?? NaN);
  const known = Number.isFinite(low) && Number.isFinite(high);
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3">
      <WarmthStepper
        label="At night about, if you know"
        units={units}
        celsius={low}
        fromC={FROM_C.low}
        onChange={setLow}
      />
      <WarmthStepper label="By day about" units={units} celsius={high} fromC={FROM_C.high} onChange={setHigh} />
      <Button variant="strong" disabled={!known || busy} onClick={() => onSay({ lowC: low, highC: high })}>
        Save warmth
      </Button>
    </div>
  );
};
