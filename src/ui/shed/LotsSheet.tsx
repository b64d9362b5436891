"use client";
import { sayMoney, sayStock } from "@/formats/amounts";
import { sayDay } from "@/formats/times";
import type { FarmView } from "@/services/farmView";
import type { ShelfItem } from "@/services/readShed";
import { Sheet } from "../kit/Sheet";

/** The lots of one ingredient, oldest first: the order in which batches draw on them. */
export const LotsSheet = ({
  item,
  farm,
  onClose,
}: {
  readonly item: ShelfItem;
  readonly farm: FarmView;
  readonly onClose: () => void;
}) => (
  <Sheet
    open
    onClose={onClose}
    title={item.name}
    lead={`${sayStock(item.onHand, item.unit, farm.units)} in ${item.lots.length === 1 ? "one lot" : `${item.lots.length} lots`}; the oldest is drawn first.`}
  >
    <ol className="divide-y divide-line border-y border-line">
      {item.lots.map((lot) => (
        <li key={lot.id} className="py-2.5">
          <p className="flex justify-between gap-3">
            <span className="font-semibold">
              {lot.origin}, {sayDay(lot.receivedOn)}
            </span>
            <span className="reading">
              {sayStock(lot.onHand, lot.unit, farm.units)} of {sayStock(lot.received, lot.unit, farm.units)}
            </span>
          </p>
          <p className="text-[0.9rem] text-soft">
            {sayMoney(lot.costMinor / lot.received, farm.currency)} per {lot.unit}
            {lot.expiresOn ? `; keeps to ${sayDay(lot.expiresOn)}` : ""}
            {lot.note ? `; ${lot.note}` : ""}
          </p>
        </li>
      ))}
    </ol>
  </Sheet>
);
