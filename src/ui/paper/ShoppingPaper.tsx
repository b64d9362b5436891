import type { Paper } from "@/core/paper/papers";
import { sayStock } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { fullDate, sayDay } from "@/formats/times";
import type { ShoppingView } from "@/services/shed";
import { bookOption } from "../shed/ingredientOptions";
import { LongPage } from "./PaperSheet";
import { PaperBar } from "./PaperBar";
import { inText } from "@/formats/grammar";

const HEADS = { buy: "To buy", gather: "To gather or save", make: "To make first" } as const;
export const TickBox = () => (
  <span aria-hidden className="mt-[0.5mm] inline-block size-[4.5mm] shrink-0 border-[0.4mm] border-black" />
);

/** The shopping list to tick with a pencil. */
export const ShoppingPaper = ({ view, paper }: { readonly view: ShoppingView; readonly paper: Paper }) => (
  <div className="px-4 py-5 print:p-0">
    <PaperBar title="Shopping list" paper={paper.id} />
    <LongPage paper={paper}>
      <h2 className="text-2xl">Shopping, {view.farm.name}</h2>
      <p>
        {fullDate(new Date(view.nowMs), view.farm)}. For:{" "}
        {view.plans.map(({ name, forDay }) => `${name} (${sayDay(forDay)})`).join(", ") || "nothing planned"}.
      </p>
      {(["buy", "gather", "make"] as const).map((how) => {
        const lines = view.lines.filter((line) => line.how === how);
        return lines.length === 0 ? null : (
          <section key={how} className="mt-[5mm]">
            <h3 className="break-after-avoid border-b-[0.5mm] border-black text-xl">{HEADS[how]}</h3>
            <ul>
              {lines.map((line) => (
                <li
                  key={line.ingredient}
                  className="flex break-inside-avoid gap-[3mm] border-b-[0.2mm] border-black py-[1.6mm]"
                >
                  <TickBox />
                  <span className="flex-1">
                    <span className="font-semibold">{line.name}</span>,{" "}
                    {sayStock(line.short, line.unit, view.farm.units)}
                    {line.packs !== null && line.pack && how === "buy"
                      ? `: ${plural(line.packs, line.pack.name)} of ${sayStock(line.pack.amount, line.unit, view.farm.units)}`
                      : ""}
                    {line.orderBy && how === "buy" ? `. Order by ${sayDay(line.orderBy)}` : ""}
                    {line.standIns.length > 0 ? (
                      <span className="block text-[0.88em]">
                        or{" "}
                        {line.standIns
                          .slice(0, 2)
                          .map(
                            ({ use, amount, inShed }, index) =>
                              `${sayStock(amount, bookOption(use).unit, view.farm.units)} ${inText(line.standInNames[index] ?? "")}${inShed ? " (in the shed)" : ""}`,
                          )
                          .join(", ")}
                      </span>
                    ) : null}
                  </span>
                  <span className="w-[28mm] border-b-[0.2mm] border-dotted border-black" />
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {view.lines.length === 0 ? <p className="mt-[5mm]">Nothing is missing for your plans.</p> : null}
    </LongPage>
  </div>
);
