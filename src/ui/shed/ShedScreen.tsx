"use client";
import Link from "next/link";
import { useState } from "react";
import { sayStock, sayVolume } from "@/formats/amounts";
import { fullDate, isoDay, sayDuration } from "@/formats/times";
import type { ShedView, ShelfItem, StoreView } from "@/services/readShed";
import { Button, buttonLook } from "../kit/Button";
import { LotsSheet } from "./LotsSheet";
import { ReceiveSheet } from "./ReceiveSheet";
import { useKey } from "../frame/keys";
import { WaterPanel } from "../water/WaterPanel";
import { Bottle, LotJar } from "./shelfDrawings";

const SOON_D = 14;
const DAY_MS = 86_400_000;

const daysTo = (day: string, today: string) => Math.round((Date.parse(day) - Date.parse(today)) / DAY_MS);

function sayExpiry(item: ShelfItem, today: string): { text: string; warn: boolean } {
  if (item.expiresOn === null) return { text: "", warn: false };
  const days = daysTo(item.expiresOn, today);
  if (days < 0) return { text: "past its day", warn: true };
  return days <= SOON_D ? { text: `${days} days left`, warn: true } : { text: "", warn: false };
}

const StoreItem = ({ store, view }: { readonly store: StoreView; readonly view: ShedView }) => {
  const over = store.expiresMs < view.nowMs;
  return (
    <li className="flex flex-col items-center text-center">
      <div className="flex h-32 w-full items-end justify-center border-b-[5px] border-[#8a6a44]">
        <Bottle
          litres={store.onHandL}
          methodId={store.recipe.method}
          label={`${store.label}: ${sayVolume(store.onHandL, view.farm.units)}`}
        />
      </div>
      <h3 className="mt-1.5 text-[1rem]">{store.label}</h3>
      <p className="reading">{sayVolume(store.onHandL, view.farm.units)}</p>
      <p className={`mb-2 text-[0.88rem] leading-tight ${over ? "font-semibold text-rust" : "text-soft"}`}>
        {over
          ? `■ over by ${sayDuration((view.nowMs - store.expiresMs) / 3_600_000)}`
          : `keeps ${sayDuration((store.expiresMs - view.nowMs) / 3_600_000)} more, to ${fullDate(new Date(store.expiresMs), view.farm)}`}
        {store.place ? `; ${store.place}` : ""}
      </p>
      <Link href={`/field?store=${store.id}`} className={`${buttonLook("plain")} mt-auto`}>
        Apply
      </Link>
    </li>
  );
};

/** The shed: finished inputs, and what to make more from, what spoils first in front; lots lie in layers, the oldest at the tap. */
export const ShedScreen = ({ view }: { readonly view: ShedView }) => {
  const [open, setOpen] = useState<ShelfItem | "receive" | null>(null);
  useKey("n", () => setOpen("receive"));
  const today = isoDay(new Date(view.nowMs), view.farm);
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">The shed</h1>
        <Button look="strong" onClick={() => setOpen("receive")}>
          Receive a lot
        </Button>
      </div>
      <section aria-label="Finished inputs" className="mt-5">
        <h2 className="text-xl">Finished, ready to go out</h2>
        {view.stores.length === 0 ? (
          <p className="mt-1 text-soft">
            Nothing stands in store. Strain a batch in the{" "}
            <Link href="/" className="underline">
              yard
            </Link>{" "}
            and it will.
          </p>
        ) : (
          <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(150px,11.5rem))] gap-x-6 gap-y-6 max-sm:grid-cols-2 max-sm:gap-x-4">
            {view.stores.map((store) => (
              <StoreItem key={store.id} store={store} view={view} />
            ))}
          </ul>
        )}
      </section>
      <section aria-label="Ingredients" className="mt-8">
        <h2 className="text-xl">To make it from</h2>
        {view.shelf.length === 0 ? (
          <p className="mt-1 text-soft">
            The shelves are empty. Receive what you have, with what it cost, and batches will know their price.
          </p>
        ) : null}
        <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(124px,1fr))] gap-y-6">
          {view.shelf.map((item) => {
            const expiry = sayExpiry(item, today);
            return (
              <li key={item.ingredientId} className="flex flex-col items-center text-center">
                <button
                  type="button"
                  onClick={() => setOpen(item)}
                  className="group flex w-full flex-col items-center"
                  aria-label={`${item.name}: ${sayStock(item.onHand, item.unit, view.farm.units)} in ${item.lots.length} lots`}
                >
                  <span className="flex h-28 w-full items-end justify-center border-b-[5px] border-[#8a6a44]">
                    <LotJar item={item} today={today} />
                  </span>
                  <span className="mt-1.5 font-semibold leading-tight underline decoration-transparent decoration-2 underline-offset-4 group-hover:decoration-ink">
                    {item.name}
                  </span>
                </button>
                <span className="reading">{sayStock(item.onHand, item.unit, view.farm.units)}</span>
                {expiry.text ? (
                  <span className={`text-[0.85rem] ${expiry.warn ? "font-semibold text-rust" : "text-soft"}`}>
                    ■ {expiry.text}
                  </span>
                ) : null}
              </li>
            );
          })}
        </ul>
      </section>
      <WaterPanel view={view.waters} farm={view.farm} />
      {open === "receive" ? <ReceiveSheet farm={view.farm} today={today} onClose={() => setOpen(null)} /> : null}
      {open !== null && open !== "receive" ? (
        <LotsSheet item={open} farm={view.farm} onClose={() => setOpen(null)} />
      ) : null}
    </div>
  );
};
