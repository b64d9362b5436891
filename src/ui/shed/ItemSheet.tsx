"use client";
import { useState } from "react";
import { CAUTIONS } from "@/core/book/cautions";
import { findIngredient } from "@/core/book/ingredients";
import { NUTRIENTS, type Nutrient } from "@/core/book/composition";
import { sayMoney, sayStock, type UnitSystem } from "@/formats/amounts";
import { sayDensity, sayWeighed } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import { fullDate, sayDuration } from "@/formats/times";
import type { FarmView } from "@/services/farm";
import type { ItemView, ShedItem } from "@/services/shed";
import { sureStock } from "@/words/said";
import { ChangeThing } from "../farm/ChangeThing";
import { Button } from "../kit/Button";
import { HowSure } from "../kit/HowSure";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { useReadAmount } from "../measures/AmountField";
import { LedgerList } from "./LedgerList";
import { LotRow } from "./LotRow";
import { LotSheet, type LotAct } from "./LotSheet";
import { panel } from "../kit/later";
import { counted as sayCounted, inText } from "@/formats/grammar";

const WeighSheet = panel(() => import("../measures/WeighSheet").then((module) => module.WeighSheet));
const SupplySheet = panel(() => import("./SupplySheet").then((module) => module.SupplySheet));

interface ItemSheetProps {
  readonly item: ItemView;
  readonly shelf: ShedItem | null;
  readonly farm: FarmView;
  readonly today: string;
  readonly onReceive: () => void;
  readonly onClose: () => void;
}

type Open =
  | { readonly type: "supply" | "weigh" }
  | { readonly type: "lot"; readonly act: LotAct; readonly lotId: number }
  | { readonly type: "line"; readonly movementId: number }
  | null;

const Facts = ({ item, units }: { readonly item: ItemView; readonly units: UnitSystem }) => {
  const spans = Object.entries(item.composition ?? {}) as [Nutrient, { low: number; default: number; high: number }][];
  return (
    <section aria-label="What is known of it" className="grid gap-2">
      <h3 className="text-lg">What is known of it</h3>
      <p>{item.own?.keeping || item.facts.keeping}</p>
      {item.own ? (
        <div className="-ml-3">
          <ChangeThing kind="own-ingredient" id={item.own.id} name={item.own.name} />
        </div>
      ) : null}
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[0.95rem]">
        {item.densityKgPerL === null ? null : (
          <>
            <dt className="text-soft">{sayWeighed(units)}</dt>
            <dd className="reading">{sayDensity(item.densityKgPerL, units)}</dd>
          </>
        )}
        <dt className="text-soft">Keeps</dt>
        <dd>
          {(item.own?.keepsD ?? item.facts.keepsD) === null
            ? "for years"
            : sayDuration((item.own?.keepsD ?? item.facts.keepsD)! * 24)}
          {item.facts.openD === null ? "" : `; open, ${sayDuration(item.facts.openD * 24)}`}
        </dd>
        {(item.own?.season ?? item.facts.season).length > 0 ? (
          <>
            <dt className="text-soft">Gathered in</dt>
            <dd>{(item.own?.season ?? item.facts.season).join(", ")}</dd>
          </>
        ) : null}
        {spans.length > 0 ? (
          <>
            <dt className="text-soft">Holds, %</dt>
            <dd className="reading">
              {spans
                .map(
                  ([nutrient, { low, high }]) =>
                    `${NUTRIENTS[nutrient]} ${formatNumber(low, 2)}–${formatNumber(high, 2)}`,
                )
                .join(" · ")}
            </dd>
          </>
        ) : null}
        {item.standsIn.length > 0 ? (
          <>
            <dt className="text-soft">In its place</dt>
            <dd>
              {item.standsIn.map(({ name, factor }) => `${formatNumber(factor, 2)} × ${inText(name)}`).join(", ")}
            </dd>
          </>
        ) : null}
      </dl>
      {[
        ...item.facts.cautions.map((caution) => CAUTIONS[caution]),
        ...(item.own?.caution ? [item.own.caution] : []),
      ].map((text) => (
        <Notice key={text} tone="caution">
          {text}
        </Notice>
      ))}
    </section>
  );
};

/** The pack, its price, when it is ordered again. */
const HowWeGetIt = ({
  item,
  farm,
  onChange,
}: {
  readonly item: ItemView;
  readonly farm: FarmView;
  readonly onChange: () => void;
}) => {
  const { terms } = item;
  const say = (amount: number) => sayStock(amount, item.unit, farm.units);
  return (
    <section aria-label="How you buy it">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h3 className="text-lg">How you buy it</h3>
        <Button variant="quiet" onClick={onChange}>
          {terms ? "Change" : "Add how you buy it"}
        </Button>
      </div>
      <p className="text-soft">
        {terms
          ? [
              `${terms.packName} of ${say(terms.packAmount)}${terms.packCostMinor === null ? "" : ` at ${sayMoney(terms.packCostMinor, farm.currency)}`}`,
              sayCounted(terms.leadD, {
                zero: "bought here",
                one: "comes a day after the order",
                other: "comes # days after the order",
              }),
              ...(terms.reorderAt === null ? [] : [`order when below ${say(terms.reorderAt)}`]),
              ...(terms.target === null ? [] : [`collected up to ${say(terms.target)}`]),
            ].join("; ")
          : item.facts.pack
            ? `Usually a ${item.facts.pack.name} of ${say(item.facts.pack.amount)}. No price or lead time is known.`
            : "Nothing is written down."}
      </p>
    </section>
  );
};

/** What a handful or a scoop of it came to. */
const InOurMeasures = ({
  item,
  farm,
  onWeigh,
}: {
  readonly item: ItemView;
  readonly farm: FarmView;
  readonly onWeigh: () => void;
}) => {
  const say = (amount: number) => sayStock(amount, item.unit, farm.units);
  return (
    <section aria-label="In own measures">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h3 className="text-lg">In own measures</h3>
        <Button variant="quiet" onClick={onWeigh}>
          Weigh it
        </Button>
      </div>
      {item.measures.length === 0 ? (
        <p className="text-soft">
          None was weighed with it. Once one is, amounts of it may be typed and are shown in it.
        </p>
      ) : (
        <ul>
          {item.measures.map(({ measure, mean, least, most, weighings }) => (
            <li key={measure} className="flex justify-between gap-3 py-1">
              <span>one {measure}</span>
              <span className="reading">
                {say(mean)}
                {weighings > 1 ? `, ${say(least)} to ${say(most)}` : ", weighed once"}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
};

/** One container of the shelf, opened: its lots as they lie, what was done to them, how it is bought, what it is. */
export const ItemSheet = ({ item, shelf, farm, today, onReceive, onClose }: ItemSheetProps) => {
  const [open, setOpen] = useState<Open>(null);
  const { inOurs } = useReadAmount();
  const say = (amount: number) => sayStock(amount, item.unit, farm.units);
  const counted = item.ledger.find(({ kind }) => kind === "counted");
  const onHand = shelf?.onHand ?? 0;
  const ours = inOurs(onHand, item);
  const close = () => setOpen(null);
  const lot = open?.type === "lot" ? item.lots.find(({ id }) => id === open.lotId) : undefined;
  const line = open?.type === "line" ? item.ledger.find(({ id }) => id === open.movementId) : undefined;
  return (
    <Sheet
      wide
      open
      onClose={onClose}
      title={item.name}
      lead={`${say(onHand)}${ours ? `, about ${ours}` : ""}, in ${sayCounted(item.lots.length, { one: "one lot", other: "# lots" })}; the oldest is drawn first.${item.own ? ` Counts as ${inText(findIngredient(item.ingredientId).name)}.` : ""}`}
      foot={
        <Button variant="strong" onClick={onReceive}>
          Add stock
        </Button>
      }
    >
      <div className="grid gap-6">
        <section aria-label="Lots">
          {item.lots.length === 0 ? <p className="text-soft">None of it in stock yet.</p> : null}
          <ol className="divide-y divide-line border-y border-line empty:hidden">
            {item.lots.map((one) => (
              <LotRow
                key={one.id}
                lot={one}
                farm={farm}
                today={today}
                onAct={(act) => setOpen({ type: "lot", act, lotId: one.id })}
              />
            ))}
          </ol>
        </section>
        <HowWeGetIt item={item} farm={farm} onChange={() => setOpen({ type: "supply" })} />
        <InOurMeasures item={item} farm={farm} onWeigh={() => setOpen({ type: "weigh" })} />
        <LedgerList item={item} farm={farm} onCorrect={(movementId) => setOpen({ type: "line", movementId })} />
        <Facts item={item} units={farm.units} />
        <HowSure lines={sureStock(counted === undefined ? null : fullDate(new Date(counted.atMs), farm))} />
      </div>
      {open?.type === "supply" ? <SupplySheet item={item} farm={farm} onClose={close} /> : null}
      {open?.type === "weigh" ? <WeighSheet measures={item.measures} of={item.ingredientId} onClose={close} /> : null}
      {open?.type === "lot" && lot ? (
        <LotSheet act={open.act} lot={lot} item={item} farm={farm} today={today} onClose={close} />
      ) : null}
      {line ? <LotSheet act="correct" line={line} item={item} farm={farm} today={today} onClose={close} /> : null}
    </Sheet>
  );
};
