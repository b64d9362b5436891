"use client";
import { useId, useState } from "react";
import { findIngredient, isWater, type IngredientId } from "@/core/book/ingredients";
import { measurableOf } from "@/formats/measured";
import { sayFirstThing } from "@/words/said";
import type { LineDraft } from "../fill/workOutFill";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/fields";
import { AmountField } from "../measures/AmountField";
import { AmountStepper } from "./AmountStepper";
import type { FillPickProps } from "./fillPickProps";

/** What there is of it in all, and what it cost: asked only of who wants to say it. */
const Having = ({
  id,
  draft,
  currency,
  fields,
  onChange,
}: Pick<FillPickProps, "draft" | "currency" | "fields" | "onChange"> & { readonly id: IngredientId }) => {
  const [open, setOpen] = useState(false);
  const of = measurableOf(id);
  if (!open)
    return (
      <Button variant="quiet" className="-ml-3 min-h-8 text-[0.88rem]" onClick={() => setOpen(true)}>
        Have more of it, or know the price?
      </Button>
    );
  return (
    <div className="grid grid-cols-2 gap-3 pb-2">
      <AmountField
        label="In all you have"
        of={of}
        typed={draft.inAll[id] ?? ""}
        value={draft.inAll[id] ?? ""}
        onChange={(event) => onChange({ inAll: { ...draft.inAll, [id]: event.target.value } })}
      />
      <NumberField
        label={`It cost (${currency})`}
        value={draft.cost[id] ?? ""}
        onChange={(event) => onChange({ cost: { ...draft.cost, [id]: event.target.value } })}
        error={Object.entries(fields).find(([path]) => /^\/lots\/\d+\/cost$/.test(path))?.[1]}
      />
    </div>
  );
};

/** One amount of the fill, up and down by a tap. */
export const Line = ({
  line,
  index,
  isBasis,
  ...rest
}: FillPickProps & { readonly line: LineDraft; readonly index: number; readonly isBasis: boolean }) => {
  const { draft, drum, units, fields, onChange } = rest;
  const id = useId();
  const plants = drum.things.filter(({ as, species }) => species !== undefined && as.includes(line.ingredient));
  const plain = plants.length > 0 ? plants.map(sayFirstThing).join(", ") : findIngredient(line.ingredient).name;
  const name = `${plain}${line.part === "cap" ? " on top" : ""}`;
  const error =
    fields[`/fill/lines/${index}/used`] ?? fields[`/fill/lines/${index}/species`] ?? line.unreadable ?? undefined;
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <span className="min-w-0">
          <span className="block font-semibold leading-tight">{name}</span>
          <span className="block text-[0.88rem] leading-tight text-soft">{line.role}</span>
        </span>
        <AmountStepper
          label={name}
          unit={line.unit}
          units={units}
          typed={isBasis && draft.wanted.trim() !== "" ? draft.wanted : line.typed}
          error={error}
          errorId={id}
          onType={(typed) =>
            isBasis
              ? onChange({ wanted: typed, drafts: {} })
              : onChange({ drafts: { ...draft.drafts, [line.key]: typed } })
          }
        />
      </div>
      {error ? (
        <p id={id} role="alert" className="text-[0.92rem] font-semibold text-rust">
          {error}
        </p>
      ) : null}
      {isWater(line.ingredient) || line.part === "cap" ? null : <Having id={line.ingredient} {...rest} />}
    </li>
  );
};

/** The amount that all others are counted on, where what is typed for it can't be made. */
export const WantedAgain = ({ draft, drum, units, onChange }: FillPickProps) => {
  const id = useId();
  const { recipe } = drum.option!;
  const basis = findIngredient(recipe.basis);
  return (
    <div className="py-2">
      <div className="flex items-center justify-between gap-3">
        <span className="font-semibold">{basis.name}</span>
        <AmountStepper
          label={basis.name}
          unit={basis.stockUnit}
          units={units}
          typed={draft.wanted}
          error={drum.worked?.problem ?? undefined}
          errorId={id}
          onType={(wanted) => onChange({ wanted, drafts: {} })}
        />
      </div>
      <p id={id} role="alert" className="text-[0.92rem] font-semibold text-rust">
        {drum.worked?.problem}
      </p>
      <Button variant="quiet" className="-ml-3" onClick={() => onChange({ wanted: "", drafts: {} })}>
        Fill it to the usual line
      </Button>
    </div>
  );
};
