"use client";
import { useEffect, useState } from "react";
import { useRouter } from "next/navigation";
import { told } from "../kit/told";
import { sayStock } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { CountLot, CountView } from "@/services/shed";
import { useShedAct } from "../acts/shed";
import { useUndo } from "../acts/undo";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { ShedNav } from "./ShedNav";

/** What was counted so far, kept on the phone: it may fall asleep in the middle. */
const KEPT = "ruchka-count";
/** More than these are shown a place at a time. */
const LOTS_AT_ONCE = 120;
interface Kept {
  readonly typed: Readonly<Record<string, string>>;
  /** What the books said when a lot was counted, so that what moves meanwhile is respected. */
  readonly expected: Readonly<Record<string, number>>;
}
const NONE: Kept = { typed: {}, expected: {} };

function load(): Kept {
  try {
    return { ...NONE, ...(JSON.parse(localStorage.getItem(KEPT) ?? "{}") as Partial<Kept>) };
  } catch {
    return NONE;
  }
}

const LotCount = ({
  lot,
  view,
  typed,
  error,
  onType,
}: {
  readonly lot: CountLot;
  readonly view: CountView;
  readonly typed: string;
  readonly error: string | undefined;
  readonly onType: (typed: string) => void;
}) => {
  const { read, show } = useReadAmount();
  const counted = typed.trim() === "" ? null : read(typed, lot);
  const difference = counted === null ? null : counted - lot.onHand;
  const say = (amount: number) => sayStock(amount, lot.unit, view.farm.units, 4);
  return (
    <li className="grid grid-cols-[1fr_auto] items-end gap-3 py-3">
      <div className="min-w-0">
        <AmountField
          label={`${lot.name}, ${sayDay(lot.receivedOn)}`}
          of={lot}
          typed={typed}
          value={typed}
          inputMode="decimal"
          onChange={(event) => onType(event.target.value)}
          error={error}
        />
        <p className="mt-1 text-[0.9rem] text-soft">
          recorded {say(lot.onHand)}
          {lot.place ? `; ${lot.place}` : ""}
          {difference !== null && Math.abs(difference) >= 0.0005 ? (
            <span className="font-semibold text-ink">
              {" "}
              {difference > 0 ? "+" : "−"}
              {say(Math.abs(difference))}
            </span>
          ) : null}
        </p>
      </div>
      <Button
        className="mb-7 min-h-14"
        onClick={() => onType(show(lot.onHand, lot, true))}
        aria-label={`Same as recorded: ${lot.name}, ${sayDay(lot.receivedOn)}`}
      >
        Same as recorded
      </Button>
    </li>
  );
};

/** What was counted so far, kept on this phone, and its handing in. */
function useCount(view: CountView) {
  const router = useRouter();
  const act = useShedAct("countStock");
  const undo = useUndo();
  const { read } = useReadAmount();
  const [kept, setKept] = useState<Kept>(NONE);
  const [loaded, setLoaded] = useState(false);
  useEffect(() => {
    // Only the phone knows what was counted before it fell asleep.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setKept(load());
    setLoaded(true);
  }, []);
  const keep = (next: Kept) => {
    setKept(next);
    localStorage.setItem(KEPT, JSON.stringify(next));
  };
  const lotById = new Map(view.lots.map((lot) => [lot.id, lot]));
  const done = Object.entries(kept.typed).filter(([id, typed]) => typed.trim() !== "" && lotById.has(Number(id)));
  const unreadable = done.some(([id, typed]) => read(typed, lotById.get(Number(id))!) === null);
  const handIn = async () => {
    const answer = await act.run({
      lines: done.map(([id, typed]) => ({
        lotId: Number(id),
        counted: read(typed, lotById.get(Number(id))!) as number,
        expected: kept.expected[id] ?? lotById.get(Number(id))!.onHand,
      })),
      note: "stocktake",
    });
    if (!answer) return;
    keep(NONE);
    told(
      answer.changed === 0 ? "All as recorded." : `${plural(answer.changed, "lot")} corrected.`,
      undo(...(answer.movementIds ?? []).map((id) => ({ kind: "stock-move" as const, id }))),
    );
    router.refresh();
  };
  const errorAt = (lotId: number) => {
    const index = done.findIndex(([id]) => Number(id) === lotId);
    return index < 0 ? undefined : act.fields[`/lines/${index}/counted`];
  };
  return { act, kept, keep, loaded, done, unreadable, handIn, errorAt };
}

type Count = ReturnType<typeof useCount>;

/** How much was counted, and the handing in. */
const HandIn = ({
  act,
  keep,
  done,
  unreadable,
  handIn,
  of,
}: Pick<Count, "act" | "keep" | "done" | "unreadable" | "handIn"> & { readonly of: number }) => (
  <div className="fixed inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-chalk px-4 py-3 max-md:bottom-14 md:px-8">
    <Refusal error={act.error}>Your count stays on this phone until you save it.</Refusal>
    <div className="flex flex-wrap items-center justify-between gap-3">
      <p>
        <span className="reading font-semibold">{done.length}</span> of {of} counted
      </p>
      <div className="flex gap-2">
        {done.length > 0 ? (
          <Button variant="quiet" onClick={() => keep(NONE)}>
            Start again
          </Button>
        ) : null}
        <Button variant="strong" disabled={done.length === 0 || unreadable || act.busy} onClick={() => void handIn()}>
          Save count
        </Button>
      </div>
    </div>
  </div>
);

/** A stocktake for walking round with a phone: by place, one lot after the other; kept on the phone until it is handed in. */
export const CountScreen = ({ view }: { readonly view: CountView }) => {
  const { act, kept, keep, loaded, done, unreadable, handIn, errorAt } = useCount(view);
  const places = [...new Set(view.lots.map(({ place }) => place))];
  const [chosen, setChosen] = useState<string | null>(null);
  // Many lots are walked place by place; nobody scrolls through thousands.
  const oneByOne = view.lots.length > LOTS_AT_ONCE && places.length > 1;
  const shown = oneByOne ? [chosen ?? places[0]!] : places;
  return (
    <div className="px-4 py-5 pb-36 md:px-8">
      <h1 className="text-2xl">Count</h1>
      <ShedNav here="/shed/count" />
      {view.lots.length === 0 ? <p className="mt-5">Nothing to count. Add stock first.</p> : null}
      {oneByOne ? (
        <div className="mt-5 max-w-xl">
          <SelectField
            label="Your place in the shed"
            value={shown[0]}
            onChange={(event) => setChosen(event.target.value)}
          >
            {places.map((place) => (
              <option key={place} value={place}>
                {place || "No place said"} ({view.lots.filter((lot) => lot.place === place).length})
              </option>
            ))}
          </SelectField>
        </div>
      ) : null}
      {shown.map((place) => (
        <section key={place} aria-label={place || "No place said"} className="mt-6 max-w-xl">
          <h2 className="text-xl">{place || "No place said"}</h2>
          <ul className="divide-y divide-line border-y border-line empty:hidden">
            {view.lots
              .filter((lot) => lot.place === place)
              .map((lot) => (
                <LotCount
                  key={lot.id}
                  lot={lot}
                  view={view}
                  typed={kept.typed[lot.id] ?? ""}
                  error={errorAt(lot.id)}
                  onType={(typed) =>
                    keep({
                      typed: { ...kept.typed, [lot.id]: typed },
                      expected: { ...kept.expected, [lot.id]: kept.expected[lot.id] ?? lot.onHand },
                    })
                  }
                />
              ))}
          </ul>
        </section>
      ))}
      {loaded && view.lots.length > 0 ? (
        <HandIn act={act} keep={keep} done={done} unreadable={unreadable} handIn={handIn} of={view.lots.length} />
      ) : null}
    </div>
  );
};
