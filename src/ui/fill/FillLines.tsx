"use client";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { findIngredient, isPickedFresh, isWater } from "@/core/book/ingredients";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { fits } from "@/core/quantity/fits";
import type { Recipe } from "@/core/book/recipe";
import { drawOldestFirst, toMilli } from "@/core/stock/drawOldest";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import { sayDay } from "@/formats/times";
import type { ShelfItem } from "@/services/shed";
import { measurableOf, fieldUnit } from "@/formats/measured";
import { useReadAmount } from "../measures/AmountField";
import { type LineDraft } from "./workOutFill";
import { HaveThis } from "./HaveThis";
import { PlantNames } from "./PlantNames";
import { BookText } from "../kit/BookText";

interface FillLinesProps {
  readonly recipe: Recipe;
  readonly lines: readonly LineDraft[];
  readonly shelf: readonly ShelfItem[];
  readonly units: UnitSystem;
  readonly fields: FieldErrors;
  readonly onType: (key: string, typed: string) => void;
  readonly onPicked: (ingredient: string, on: boolean) => void;
  readonly species: Readonly<Record<string, string>>;
  readonly onSpecies: (ingredient: string, species: string) => void;
  readonly today: string;
  readonly currency: string;
}

/** Which lots would give it, oldest first, or what is short. */
function sayShed(
  line: LineDraft,
  shelf: readonly ShelfItem[],
  units: UnitSystem,
): { readonly text: string; readonly short: boolean; readonly missing: number } {
  if (isWater(line.ingredient)) return { text: "from the water picked below", short: false, missing: 0 };
  if (line.pickedNow) return { text: "picked now, straight in", short: false, missing: 0 };
  const item = shelf.find(({ ingredientId }) => ingredientId === line.ingredient);
  const used = line.used ?? 0;
  if (!item) return { text: "none in stock", short: true, missing: used };
  if (!fits(used, item.onHand))
    return {
      text: `${sayStock(item.onHand, line.unit, units)} in stock, ${sayStock(used - item.onHand, line.unit, units)} missing${item.heldBecause ? `; on hold: ${item.heldBecause}` : ""}`,
      short: true,
      missing: used - item.onHand,
    };
  const plan = drawOldestFirst(
    item.lots.map(({ id, receivedOn, onHand }) => ({ lotId: id, receivedOn, onHandMilli: toMilli(onHand) })),
    toMilli(used),
  );
  const from = plan.draws.map(
    ({ lotId, amountMilli }) =>
      `${sayStock(amountMilli / 1000, line.unit, units)} of ${sayDay(item.lots.find(({ id }) => id === lotId)?.receivedOn ?? "")}`,
  );
  return {
    text:
      from.length <= 1 || plan.shortMilli > 0
        ? `${sayStock(item.onHand, line.unit, units)} in stock`
        : `from ${from.join(", then ")}`,
    short: false,
    missing: 0,
  };
}

/** What really goes in: as proposed, or as typed. */
const Amount = ({
  line,
  name,
  units,
  error,
  onType,
}: Pick<FillLinesProps, "units" | "onType"> & {
  readonly line: LineDraft;
  readonly name: string;
  readonly error: string | undefined;
}) => {
  const { inOurs } = useReadAmount();
  // "13.8 US fl oz" says itself what it is in, and wants the room.
  const hasUnit = /[a-z]/i.test(line.typed);
  return (
    <div className="text-right">
      <div className="flex items-center gap-2">
        <input
          aria-label={`${name}, ${fieldUnit(line.unit, units)}`}
          aria-invalid={error ? true : undefined}
          inputMode="decimal"
          value={line.typed}
          onChange={(event) => onType(line.key, event.target.value)}
          className={`reading min-h-11 ${hasUnit ? "w-40" : "w-24"} rounded-[5px] border-[1.5px] bg-chalk px-2 text-right text-xl font-semibold ${error ? "border-rust" : line.changed ? "border-ink" : "border-line"}`}
        />
        {hasUnit ? null : (
          <span className="reading min-w-6 text-left text-[0.9rem]">{fieldUnit(line.unit, units)}</span>
        )}
      </div>
      {line.how && line.changed ? <p className="text-[0.82rem] text-soft">= {line.how}</p> : null}
      {line.how === null && line.used !== null && inOurs(line.used, measurableOf(line.ingredient)) ? (
        <p className="text-[0.82rem] text-soft">about {inOurs(line.used, measurableOf(line.ingredient))}</p>
      ) : null}
      {line.changed ? (
        <p className="text-[0.82rem] text-soft">recipe: {sayStock(line.amount, line.unit, units)}</p>
      ) : null}
    </div>
  );
};

const Line = ({
  line,
  index,
  shelf,
  units,
  fields,
  onType,
  onPicked,
  species,
  onSpecies,
  today,
  currency,
}: Omit<FillLinesProps, "recipe" | "lines"> & { readonly line: LineDraft; readonly index: number }) => {
  const name = `${findIngredient(line.ingredient).name}${line.part === "cap" ? ", the cap on top" : ""}`;
  const shed = sayShed(line, shelf, units);
  const error = fields[`/lines/${index}/used`] ?? line.unreadable ?? undefined;
  return (
    <li className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1 py-2">
      <div className="min-w-0">
        <p className="font-semibold leading-tight">{name}</p>
        <p className="text-[0.86rem] leading-tight text-soft">
          {line.role}
          {line.high > line.amount * 1.001
            ? `; seen ${sayStock(line.low, line.unit, units)} to ${sayStock(line.high, line.unit, units)}`
            : ""}
        </p>
        <p className={`text-[0.86rem] leading-tight ${shed.short ? "font-semibold text-rust" : "text-soft"}`}>
          {shed.short ? "■ " : ""}
          {shed.text}
        </p>
        {shed.missing > 0 ? (
          <HaveThis ingredient={line.ingredient} missing={shed.missing} today={today} currency={currency} />
        ) : null}
        {isPickedFresh(line.ingredient) ? (
          <label className="mt-1 flex min-h-11 items-center gap-2 text-[0.9rem]">
            <input
              type="checkbox"
              className="size-5 accent-[var(--blue)]"
              checked={line.pickedNow}
              onChange={(event) => onPicked(line.ingredient, event.target.checked)}
            />
            picked just now
          </label>
        ) : null}
        {line.pickedNow && isPickedPlant(line.ingredient) ? (
          <PlantNames
            typed={species[line.ingredient] ?? ""}
            error={fields[`/lines/${index}/species`]}
            onType={(typed) => onSpecies(line.ingredient, typed)}
          />
        ) : null}
      </div>
      <Amount line={line} name={name} units={units} error={error} onType={onType} />
      {error ? (
        <p role="alert" className="col-span-2 text-[0.92rem] font-semibold text-rust">
          {error}
        </p>
      ) : null}
    </li>
  );
};

/** The fill as a sequence: each step with its reason, and what goes in at it; amounts can be changed to what was really used. */
export const FillLines = ({ recipe, lines, ...rest }: FillLinesProps) => {
  const placed = new Set<string>();
  const steps = recipe.steps
    .filter(({ onDay = 0 }) => onDay === 0)
    .map((step) => {
      const own = lines.filter((line) => step.adds.includes(line.slot) && line.part === "mix" && !placed.has(line.key));
      const cap = step.id === "cap" ? lines.filter((line) => line.part === "cap") : [];
      for (const line of [...own, ...cap]) placed.add(line.key);
      return { step, own: [...own, ...cap] };
    });
  return (
    <section aria-label="Filling steps">
      <h3 className="text-lg">Filling steps</h3>
      <ol className="mt-1 divide-y divide-line border-y border-line">
        {steps.map(({ step, own }, position) => (
          <li key={step.id} className="grid grid-cols-[1.8rem_1fr] gap-x-2 py-2">
            <span className="font-display text-lg font-bold">{position + 1}</span>
            <div className="min-w-0">
              <p className="leading-snug">
                <BookText>{step.text}</BookText>{" "}
                <span className="text-soft">
                  <BookText>{step.why}</BookText>
                </span>
                {step.waitMin ? <span className="font-semibold"> Wait {step.waitMin} min.</span> : null}
              </p>
              {own.length > 0 ? (
                <ul className="divide-y divide-line/60">
                  {own.map((line) => (
                    <Line key={line.key} line={line} index={lines.indexOf(line)} {...rest} />
                  ))}
                </ul>
              ) : null}
            </div>
          </li>
        ))}
      </ol>
      {lines.some(({ key }) => !placed.has(key)) ? (
        <ul className="divide-y divide-line">
          {lines
            .filter(({ key }) => !placed.has(key))
            .map((line) => (
              <Line key={line.key} line={line} index={lines.indexOf(line)} {...rest} />
            ))}
        </ul>
      ) : null}
    </section>
  );
};
