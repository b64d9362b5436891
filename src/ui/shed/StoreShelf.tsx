"use client";
import { Link } from "../kit/Link";
import { sayVolume } from "@/formats/amounts";
import { fullDate, sayDuration, sayMoment } from "@/formats/times";
import type { ShedStore, ShedView } from "@/services/shed";
import { Button, buttonClass } from "../kit/Button";
import { Bottle } from "./shelfDrawings";
import { sayStoreNeed } from "./storeWords";

const HOUR_MS = 3_600_000;
/** So near its end the hour is said, not only the day. */
const SOON_H = 72;

function sayLife(
  store: ShedStore,
  view: ShedView,
): { text: string; tone: "text-soft" | "font-semibold" | "font-semibold text-rust" } {
  const leftH = (store.expiresMs - view.nowMs) / HOUR_MS;
  if (leftH < 0)
    return {
      text: `■ expired ${sayDuration(-leftH)}: ${store.smelt === "off" ? "compost only" : "compost or bare soil"}`,
      tone: "font-semibold text-rust",
    };
  const ends = new Date(store.expiresMs);
  return leftH <= SOON_H
    ? {
        text: `▲ only ${sayDuration(leftH)} left, to ${sayMoment(ends, new Date(view.nowMs), view.farm)}`,
        tone: "font-semibold",
      }
    : { text: `keeps ${sayDuration(leftH)} more, to ${fullDate(ends, view.farm)}`, tone: "text-soft" };
}

const CONTAINER_WORDS = { breathable: "loose lid or cloth", sealed: "tight lid", vented: "vented" } as const;

const StoreItem = ({
  store,
  view,
  onOpen,
}: {
  readonly store: ShedStore;
  readonly view: ShedView;
  readonly onOpen: () => void;
}) => {
  const life = sayLife(store, view);
  const over = store.expiresMs < view.nowMs;
  // Past its day only what nothing speaks against is offered; the heap has a way of its own.
  const goesOut = over ? store.free.some((use) => use !== "compost") : store.mayGoOut;
  const need = sayStoreNeed(store, view);
  return (
    <li className="flex flex-col items-center text-center">
      <div className="flex h-36 w-full items-end justify-center border-b-[5px] border-[#8a6a44]">
        <Bottle
          litres={store.onHandL}
          methodId={store.recipe.method}
          container={store.container}
          label={`${store.label}: ${sayVolume(store.onHandL, view.farm.units)}`}
        />
      </div>
      <h3 className="mt-1.5 text-[1rem]">{store.label}</h3>
      <p className="reading">
        {sayVolume(store.onHandL, view.farm.units)}
        {store.partNo ? <span className="text-soft"> · part {store.partNo}</span> : null}
      </p>
      <p className={`text-[0.88rem] leading-tight ${life.tone}`}>{life.text}</p>
      {need ? <p className="text-[0.88rem] leading-tight font-semibold text-rust">{need}</p> : null}
      <p className="mb-2 text-[0.88rem] leading-tight text-soft">
        {[CONTAINER_WORDS[store.container], store.place].filter(Boolean).join("; ")}
        {store.takers.length > 0 ? `. Could take it: ${store.takers.join(", ")}` : ""}
      </p>
      <div className="mt-auto flex w-full flex-wrap justify-center gap-1">
        {!goesOut ? null : (
          <Link href={`/field?store=${store.id}`} className={buttonClass("plain")}>
            Apply
          </Link>
        )}
        <Button
          variant={over ? "danger" : "quiet"}
          onClick={onOpen}
          aria-label={`${over ? "Where it goes" : "Check or pour"}: ${store.label}${store.partNo ? `, part ${store.partNo}` : ""}`}
        >
          {over ? "Where it goes" : "Check or pour…"}
        </Button>
      </div>
    </li>
  );
};

/** Finished inputs on their shelf, what is over soonest first. */
export const StoreShelf = ({
  view,
  onOpen,
}: {
  readonly view: ShedView;
  readonly onOpen: (store: ShedStore) => void;
}) => (
  <section aria-label="Finished inputs" className="mt-5">
    <h2 className="text-xl">Ready to use</h2>
    {view.stores.length === 0 ? (
      <p className="mt-1 text-soft">
        No inputs yet. Strain a batch in the{" "}
        <Link href="/" className="underline">
          yard
        </Link>{" "}
        and it will.
      </p>
    ) : (
      <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(150px,11.5rem))] gap-x-6 gap-y-6 max-sm:grid-cols-2 max-sm:gap-x-4">
        {view.stores.map((store) => (
          <StoreItem key={store.id} store={store} view={view} onOpen={() => onOpen(store)} />
        ))}
      </ul>
    )}
  </section>
);
