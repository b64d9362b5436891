"use client";
import { addDays, daysBetween } from "@/core/calendar";
import { Link } from "../kit/Link";
import { useState } from "react";
import { INGREDIENTS } from "@/core/book/ingredients";
import { sayStock } from "@/formats/amounts";
import { sayDay, sayDuration } from "@/formats/times";
import type { ShedItem, ShedView } from "@/services/shed";
import { TextField } from "../kit/fields";
import { BY_NAME } from "./ingredientOptions";
import { ShelfItemDrawing } from "./shelfDrawings";
import { counted, inText } from "@/formats/grammar";

const SOON_D = 14;

/** What a container has to say, the most pressing first; a mark stands for each kind besides its colour. */
function sayItem(item: ShedItem, view: ShedView): readonly { readonly text: string; readonly warn: boolean }[] {
  const say = (amount: number) => sayStock(amount, item.unit, view.farm.units);
  const left = item.expiresOn === null ? null : daysBetween(view.today, item.expiresOn);
  const { collecting } = item;
  return [
    ...(item.short > 0
      ? [
          {
            text: `${item.fresh ? "" : "■ "}${say(item.short)} ${item.fresh ? "to be gathered" : "missing for plans"}`,
            warn: !item.fresh,
          },
        ]
      : []),
    ...(item.heldAmount > 0 ? [{ text: `■ ${say(item.heldAmount)} on hold`, warn: true }] : []),
    ...(item.reorder ? [{ text: "▲ order again", warn: true }] : []),
    ...(left !== null && left < 0 && item.heldAmount === 0 ? [{ text: "■ some expired", warn: true }] : []),
    ...(left !== null && left >= 0 && left <= SOON_D
      ? [
          {
            text: `▲ ${counted(left, { zero: "today is its last day", one: "# day left", other: "# days left" })}`,
            warn: true,
          },
        ]
      : []),
    ...(item.reserved > 0 ? [{ text: `${say(item.reserved)} reserved`, warn: false }] : []),
    ...(collecting && collecting.outlook.type === "on-day"
      ? [
          {
            text: `${say(collecting.target)} by ${sayDay(addDays(view.today, Math.ceil(collecting.outlook.inDays)))}`,
            warn: false,
          },
        ]
      : []),
    ...(collecting && collecting.outlook.type === "standing-still"
      ? [{ text: "nothing added lately", warn: false }]
      : []),
    ...(collecting && collecting.outlook.type === "enough" ? [{ text: "◆ enough for a batch", warn: false }] : []),
    ...(item.daysLeft !== null && item.daysLeft < 365 && item.onHand > 0
      ? [{ text: `lasts ${sayDuration(item.daysLeft * 24)}`, warn: item.daysLeft < 7 }]
      : []),
  ];
}

const Container = ({ item, view }: { readonly item: ShedItem; readonly view: ShedView }) => {
  const amount = sayStock(item.onHand, item.unit, view.farm.units);
  return (
    <li className="flex flex-col items-center text-center">
      <Link
        href={`/shed?item=${item.itemId}`}
        scroll={false}
        className="group flex w-full flex-col items-center"
        aria-label={`${item.name}: ${amount} in ${counted(item.lotCount, { one: "# lot", other: "# lots" })}`}
      >
        <span className="flex h-32 w-full items-end justify-center border-b-[5px] border-[#8a6a44]">
          <ShelfItemDrawing item={item} />
        </span>
        <span className="mt-1.5 px-1 font-semibold leading-tight underline decoration-transparent decoration-2 underline-offset-4 group-hover:decoration-ink">
          {item.name}
        </span>
      </Link>
      <span className="reading">{amount}</span>
      {sayItem(item, view)
        .slice(0, 3)
        .map(({ text, warn }) => (
          <span
            key={text}
            className={`px-1 text-[0.85rem] leading-tight ${warn ? "font-semibold text-rust" : "text-soft"}`}
          >
            {text}
          </span>
        ))}
    </li>
  );
};

/** What brews are made from: what runs out or spoils first stands first. */
export const IngredientShelf = ({ view }: { readonly view: ShedView }) => {
  const [word, setWord] = useState("");
  const found = view.items.filter(({ name }) => name.toLowerCase().includes(word.trim().toLowerCase()));
  const here = new Set(view.items.map(({ itemId }) => itemId));
  const inBook =
    word.trim() === ""
      ? []
      : BY_NAME.filter((id) => !here.has(id) && INGREDIENTS[id].name.toLowerCase().includes(word.trim().toLowerCase()));
  return (
    <section aria-label="Ingredients" className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-xl">Ingredients</h2>
        <div className="w-56">
          <TextField
            label="Find"
            value={word}
            onChange={(event) => setWord(event.target.value)}
            placeholder="name of an ingredient"
          />
        </div>
      </div>
      {view.items.length === 0 ? (
        <p className="mt-1 text-soft">No stock yet. Add what you have, with its cost; batches then show theirs.</p>
      ) : null}
      {view.items.length > 0 ? (
        <p className="mt-1 text-[0.88rem] text-soft">
          Layers are lots, the oldest at the foot. Bracket on the left: reserved for plans. Flag on the right: buy more
          at this level, red when below. First what runs out or spoils first.
        </p>
      ) : null}
      {word.trim() !== "" && found.length === 0 && inBook.length === 0 ? (
        <p className="mt-2 text-soft">Nothing has this name.</p>
      ) : null}
      {inBook.length > 0 ? (
        <p className="mt-2">
          Known, not in stock:{" "}
          {inBook.map((id, index) => (
            <span key={id}>
              {index > 0 ? ", " : ""}
              <Link href={`/shed?item=${id}`} scroll={false} className="underline decoration-line underline-offset-4">
                {inText(INGREDIENTS[id].name)}
              </Link>
            </span>
          ))}
          .
        </p>
      ) : null}
      <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(124px,1fr))] gap-y-6">
        {found.map((item) => (
          <Container key={item.itemId} item={item} view={view} />
        ))}
      </ul>
    </section>
  );
};
