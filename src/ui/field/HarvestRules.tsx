"use client";
import { useState } from "react";
import { told } from "../kit/told";
import { CARRIED, DEFAULT_RULES, type Carried } from "@/core/safety/carried";
import { parseNumber } from "@/formats/numbers";
import type { FieldView } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { Button } from "../kit/Button";
import { NumberField, TextField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { Sheet } from "../kit/Sheet";
import { useUndo } from "../acts/undo";

const TITLES: Readonly<Record<Carried, string>> = {
  "dung": "Dung",
  "urine": "Urine",
  "milk": "Milk on leaves",
  "unwashed-leaf": "Unwashed plants, on leaves",
};

const Rule = ({ hazard, rules }: { readonly hazard: Carried; readonly rules: FieldView["rules"] }) => {
  const act = useFieldAct("setHarvestRule");
  const undo = useUndo();
  const own = rules.find((rule) => rule.hazard === hazard);
  const stands = own ?? DEFAULT_RULES[hazard];
  const [touching, setTouching] = useState(String(stands.touchingD));
  const [clear, setClear] = useState(String(stands.clearD));
  const [source, setSource] = useState(own?.source ?? "");
  const keep = async () => {
    const touchingD = parseNumber(touching);
    const clearD = parseNumber(clear);
    const answer = await act.run({ hazard, touchingD: touchingD ?? NaN, clearD: clearD ?? NaN, source });
    if (answer) told("Saved. It counts from now on.", undo({ kind: "harvest-rule", id: answer.ruleId }));
  };
  return (
    <section aria-label={TITLES[hazard]} className="grid gap-3 border-b border-line pb-4">
      <h3 className="text-lg">{TITLES[hazard]}</h3>
      <p className="text-[0.92rem] text-soft">
        {own ? `The farm’s own rule, from: ${own.source}.` : "A cautious rule until the farm sets its own."}
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Food touches soil"
          unit="days"
          value={touching}
          onChange={(event) => setTouching(event.target.value)}
          error={act.fields["/touchingD"]}
        />
        <NumberField
          label="It does not"
          unit="days"
          value={clear}
          onChange={(event) => setClear(event.target.value)}
          error={act.fields["/clearD"]}
        />
      </div>
      <TextField
        label="Whose rule it is"
        placeholder="your certifier, local law"
        value={source}
        onChange={(event) => setSource(event.target.value)}
        error={act.fields["/source"]}
      />
      <Refusal error={act.error} />
      <Button disabled={act.busy} onClick={() => void keep()}>
        Save rule
      </Button>
    </section>
  );
};

/** How many days must lie between an application and the harvest, by what the liquid carries: cautious until the farm says otherwise. */
export const HarvestRulesSheet = ({
  rules,
  onClose,
}: {
  readonly rules: FieldView["rules"];
  readonly onClose: () => void;
}) => (
  <Sheet
    open
    onClose={onClose}
    title="Days before harvest"
    lead="What you put on is checked against these. Set what local law and your certifier ask for."
  >
    <div className="grid gap-4">
      {CARRIED.map((hazard) => (
        <Rule key={hazard} hazard={hazard} rules={rules} />
      ))}
    </div>
  </Sheet>
);
