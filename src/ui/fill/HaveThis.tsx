"use client";
import { useState } from "react";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { measurableOf } from "@/formats/measured";
import { readOptional } from "@/formats/numbers";
import { useShedAct } from "../acts/shed";
import { useUndo } from "../acts/undo";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { PlantNames } from "./PlantNames";

interface HaveThisProps {
  readonly ingredient: IngredientId;
  /** What is missing, in its stock unit. */
  readonly missing: number;
  readonly today: string;
  readonly currency: string;
}

const ORIGIN = { bought: "bought", foraged: "foraged", saved: "home-made", made: "home-made" } as const;

/** What the stock does not know of and somebody has: it is added here, without leaving the fill. */
export const HaveThis = ({ ingredient, missing, today, currency }: HaveThisProps) => {
  const act = useShedAct("receiveLot");
  const undo = useUndo();
  const { read, show } = useReadAmount();
  const of = measurableOf(ingredient);
  const [open, setOpen] = useState(false);
  const [amount, setAmount] = useState<string | null>(null);
  const [cost, setCost] = useState("");
  const [species, setSpecies] = useState("");
  const name = findIngredient(ingredient).name;
  // A little more than is missing: what is rounded for the eye must not fall short.
  const typed = amount ?? show(Math.ceil(missing * 1000) / 1000, of, true);
  const add = async () => {
    const paid = (readOptional(cost) ?? 0) as number;
    const answer = await act.run({
      ingredientId: ingredient,
      amount: read(typed, of) as number,
      origin: paid > 0 ? "bought" : ORIGIN[INGREDIENT_FACTS[ingredient].source],
      receivedOn: today,
      cost: paid,
      ...(isPickedPlant(ingredient) ? { provenance: { plant: { species, part: "", place: "" } } } : {}),
    });
    if (!answer) return;
    told(`${name} added to stock.`, undo({ kind: "lot", id: answer.lotId }));
    setOpen(false);
    setAmount(null);
    setCost("");
  };
  if (!open)
    return (
      <Button className="mt-1" aria-label={`I have this: ${name}`} onClick={() => setOpen(true)}>
        I have this
      </Button>
    );
  return (
    <div className="mt-2 grid gap-3 border-l-4 border-leaf pl-3">
      <div className="grid grid-cols-2 gap-3">
        <AmountField
          label="How much"
          of={of}
          typed={typed}
          value={typed}
          inputMode="decimal"
          onChange={(event) => setAmount(event.target.value)}
          error={act.fields["/amount"]}
        />
        <NumberField
          label={`It cost (${currency})`}
          hint="If you know it."
          value={cost}
          onChange={(event) => setCost(event.target.value)}
          error={act.fields["/cost"]}
        />
      </div>
      {isPickedPlant(ingredient) ? (
        <PlantNames typed={species} error={act.fields["/provenance/plant"]} onType={setSpecies} />
      ) : null}
      <Refusal error={act.error} />
      <div className="flex gap-2">
        <Button variant="strong" disabled={act.busy} onClick={() => void add()}>
          Add to stock
        </Button>
        <Button variant="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </div>
  );
};
