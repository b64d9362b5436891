"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ItemView, ShedStore, ShedView } from "@/services/shed";
import { useKey } from "../frame/keys";
import { asItStands } from "../kit/asItStands";
import { Button } from "../kit/Button";
import { WaterPanel } from "../water/WaterPanel";
import { IngredientShelf } from "./IngredientShelf";
import { ShedNav } from "./ShedNav";
import { StoreShelf } from "./StoreShelf";
import { panel } from "../kit/later";

const ItemSheet = panel(() => import("./ItemSheet").then((module) => module.ItemSheet));
const OwnIngredientSheet = panel(() => import("./OwnIngredientSheet").then((module) => module.OwnIngredientSheet));
const ReceiveSheet = panel(() => import("./ReceiveSheet").then((module) => module.ReceiveSheet));
const StoreSheet = panel(() => import("./store/StoreSheet").then((module) => module.StoreSheet));

type Open = { readonly type: "receive" | "own" } | { readonly type: "store"; readonly store: ShedStore } | null;

/** The shed: finished inputs, and what to make more from, what spoils or runs out first in front. */
export const ShedScreen = ({
  view,
  item = null,
  storeId = null,
}: {
  readonly view: ShedView;
  readonly item?: ItemView | null;
  /** The store that is opened at once. */
  readonly storeId?: number | null;
}) => {
  const router = useRouter();
  const asked = view.stores.find(({ id }) => id === storeId);
  const [open, setOpen] = useState<Open>(asked ? { type: "store", store: asked } : null);
  useKey("n", () => setOpen({ type: "receive" }));
  const close = () => setOpen(null);
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">The shed</h1>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setOpen({ type: "own" })}>Add own ingredient</Button>
          <Button variant="strong" onClick={() => setOpen({ type: "receive" })}>
            Add stock
          </Button>
        </div>
      </div>
      <ShedNav here="/shed" />
      <StoreShelf view={view} onOpen={(store) => setOpen({ type: "store", store })} />
      <IngredientShelf view={view} />
      <WaterPanel view={view.waters} farm={view.farm} />
      {open?.type === "receive" ? (
        <ReceiveSheet
          farm={view.farm}
          today={view.today}
          own={view.own}
          startWith={item?.itemId ?? null}
          onClose={close}
        />
      ) : null}
      {open?.type === "own" ? <OwnIngredientSheet onClose={close} /> : null}
      {open?.type === "store" ? (
        <StoreSheet store={asItStands(view.stores, open.store)} view={view} onClose={close} />
      ) : null}
      {item && open === null ? (
        <ItemSheet
          item={item}
          shelf={view.items.find(({ itemId }) => itemId === item.itemId) ?? null}
          farm={view.farm}
          today={view.today}
          onReceive={() => setOpen({ type: "receive" })}
          onClose={() => router.push("/shed", { scroll: false })}
        />
      ) : null}
    </div>
  );
};
