"use client";
import { Link } from "../../kit/Link";
import { useState } from "react";
import { sayVolume } from "@/formats/amounts";
import type { ShedStore, ShedView } from "@/services/shed";
import { buttonClass } from "../../kit/Button";
import { Choices } from "../../kit/Choices";
import { Notice } from "../../kit/Notice";
import { Sheet } from "../../kit/Sheet";
import { needsLook } from "../storeWords";
import { EmptyStore } from "./EmptyStore";
import { KeepStore } from "./KeepStore";
import { LookAtStore } from "./LookAtStore";
import { MeasureStore } from "./MeasureStore";
import { PourStore } from "./PourStore";

interface StoreSheetProps {
  readonly store: ShedStore;
  readonly view: ShedView;
  readonly onClose: () => void;
}

type Act = "look" | "pour" | "empty" | "count" | "keep";

/** One store: looked at, poured over into cans and jars, measured, labelled, or brought where what is over belongs. */
export const StoreSheet = ({ store, view, onClose }: StoreSheetProps) => {
  const over = store.expiresMs < view.nowMs;
  const [act, setAct] = useState<Act>(
    over || store.smelt === "off" ? "empty" : needsLook(store, view) ? "look" : "pour",
  );
  return (
    <Sheet
      open
      onClose={onClose}
      title={store.label}
      lead={`${sayVolume(store.onHandL, view.farm.units)} of batch ${store.batchId}${store.partNo ? `, part ${store.partNo}` : ""}`}
      foot={
        <div className="flex flex-wrap gap-2">
          <Link href={`/paper/labels?batch=${store.batchId}`} className={buttonClass("plain")}>
            Labels
          </Link>
          <Link href={`/batches/${store.batchId}`} className={buttonClass("quiet")}>
            The batch
          </Link>
        </div>
      }
    >
      <div className="grid gap-5">
        {over ? (
          <Notice tone="error" title="It is expired">
            Not on anything that is growing. Compost or bare soil may have it. Ruchka records where it went.
          </Notice>
        ) : null}
        {store.smelt === "off" ? (
          <Notice tone="error" title="It smells bad">
            Compost or bare soil only, never growing plants. A better smell later does not change this.
          </Notice>
        ) : null}
        <Choices
          label="What happens to it"
          value={act}
          onChange={setAct}
          options={[
            { value: "look", label: "check" },
            { value: "pour", label: "pour" },
            { value: "count", label: "measured" },
            { value: "keep", label: "change use-by date" },
            { value: "empty", label: "emptied" },
          ]}
        />
        {act === "look" ? <LookAtStore store={store} onDone={onClose} /> : null}
        {act === "pour" ? <PourStore store={store} onDone={onClose} /> : null}
        {act === "count" ? <MeasureStore store={store} onDone={onClose} /> : null}
        {act === "keep" ? <KeepStore store={store} onDone={onClose} /> : null}
        {act === "empty" ? <EmptyStore store={store} over={over} onDone={onClose} /> : null}
      </div>
    </Sheet>
  );
};
