"use client";
import { clsx } from "clsx";
import { Check } from "lucide-react";
import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { GOAL_IDS, GOALS, type GoalId } from "@/core/book/goals";
import { findIngredient } from "@/core/book/ingredients";
import { FIRST_THINGS, type FirstOption } from "@/core/choose/firstDrum";
import type { LeadTime } from "@/core/choose/leadTime";
import { sayFirstThing, sayLead } from "@/words/said";
import { Holder } from "../drawings/holders/Holder";
import { lookOf, type Look } from "../drawings/holders/looks";
import { recipeContents } from "../drawings/recipeContents";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import type { FirstDraft, FirstDrum } from "./firstDraft";
import { inText } from "@/formats/grammar";

const IN_SIGHT = 6;
const OPTIONS_IN_SIGHT = 3;
/** Plants by name stand in a bundle or on a heap of their own. */
const PLANT_LOOKS: Readonly<Record<string, Look>> = {
  "nettles": { holder: "bundle", colour: "#6f9a58", grain: "leaf", size: 0.95 },
  "comfrey": { holder: "bundle", colour: "#4f8a70", grain: "leaf", size: 0.95 },
  "clover": { holder: "bundle", colour: "#8aa84e", grain: "leaf", size: 0.85 },
  "cut-grass": { holder: "heap", colour: "#8aa83c", grain: "straw", size: 0.8 },
};

interface HandPickProps {
  readonly draft: FirstDraft;
  readonly drum: FirstDrum;
  readonly lead: Readonly<Record<string, LeadTime>>;
  readonly onChange: (change: Partial<FirstDraft>) => void;
}

const PUMP = "air-pump";

/** An air pump with its line and stone. */
const PumpDrawing = () => (
  <svg aria-hidden viewBox="0 0 100 112" height={84} className="block">
    <rect x={18} y={70} width={48} height={38} rx={4} fill="var(--galvanised)" stroke="var(--ink)" strokeWidth={2.2} />
    <path d="M26 82H58M26 90H58M26 98H46" stroke="var(--ink)" strokeWidth={2} />
    <path d="M66 80H78Q88 80 88 66V44Q88 34 78 34H70" fill="none" stroke="var(--soft)" strokeWidth={3} />
    <rect x={54} y={28} width={16} height={12} rx={2} fill="#b9b1a0" stroke="var(--ink)" strokeWidth={1.8} />
  </svg>
);

const Thing = ({
  name,
  isHere,
  look,
  onTouch,
}: {
  readonly name: string;
  readonly isHere: boolean;
  readonly look: Look | null;
  readonly onTouch: () => void;
}) => (
  <button
    type="button"
    role="checkbox"
    aria-checked={isHere}
    onClick={onTouch}
    className={clsx(
      "relative flex min-w-0 flex-col items-center rounded-[5px] pb-1 hover:bg-chalk",
      isHere && "bg-leaf-wash/50",
    )}
  >
    <span className="flex h-24 w-full items-end justify-center border-b-2 border-line">
      {look ? <Holder look={look} layers={[{ share: 0.8 }]} heightPx={92} /> : <PumpDrawing />}
    </span>
    {isHere ? (
      <span
        aria-hidden
        className="absolute right-1 top-16 grid size-7 place-items-center rounded-full bg-leaf text-on-strong"
      >
        <Check className="size-5" />
      </span>
    ) : null}
    <span className="px-1 pt-1 text-center text-[0.92rem] font-semibold leading-tight">{name}</span>
  </button>
);

/** What is at hand: touched once it is, touched again it is not. */
const Things = ({ draft, onChange }: Pick<HandPickProps, "draft" | "onChange">) => {
  const [all, setAll] = useState(false);
  const touch = (id: string) =>
    onChange({
      things: draft.things.includes(id) ? draft.things.filter((other) => other !== id) : [...draft.things, id],
    });
  // What is touched stays in sight when the rest is folded again.
  const shown = FIRST_THINGS.filter(({ id }, index) => all || index < IN_SIGHT || draft.things.includes(id));
  return (
    <>
      <div
        role="group"
        aria-label="What is at hand?"
        className="grid grid-cols-[repeat(auto-fill,minmax(96px,1fr))] gap-x-2 gap-y-3"
      >
        {shown.map((thing) => (
          <Thing
            key={thing.id}
            name={sayFirstThing(thing)}
            isHere={draft.things.includes(thing.id)}
            look={PLANT_LOOKS[thing.id] ?? lookOf(thing.as[0]!)}
            onTouch={() => touch(thing.id)}
          />
        ))}
        {all || draft.hasAir ? (
          <Thing
            key={PUMP}
            name="Air pump"
            isHere={draft.hasAir}
            look={null}
            onTouch={() => onChange({ hasAir: !draft.hasAir })}
          />
        ) : null}
      </div>
      <Button variant="quiet" className="-ml-3 justify-self-start" aria-expanded={all} onClick={() => setAll(!all)}>
        {all ? "Show fewer things" : `${FIRST_THINGS.length + 1 - IN_SIGHT} more things you may have`}
      </Button>
    </>
  );
};

/** What is not there of an option, in a few words. */
function sayLacking({ lacking, lacksAir, barred, standIns }: FirstOption): {
  readonly text: string;
  readonly good: boolean;
} {
  if (barred) return { text: "not in a manure vessel", good: false };
  const names = [...lacking.map((id) => inText(findIngredient(id).name)), ...(lacksAir ? ["air pump"] : [])];
  if (names.length > 0) return { text: `missing: ${names.join(", ")}`, good: false };
  const [swap] = standIns;
  return {
    text: swap
      ? `all of it is here, with ${inText(findIngredient(swap.use).name)} instead of ${inText(findIngredient(swap.instead).name)}`
      : "all of it is here",
    good: true,
  };
}

/** What can be made, the likeliest first. */
const Options = ({ draft, drum, lead, onChange }: HandPickProps) => {
  const [all, setAll] = useState(false);
  const chosen = drum.option?.recipe.id ?? "";
  const shown = drum.options.filter(({ recipe }, index) => all || index < OPTIONS_IN_SIGHT || recipe.id === chosen);
  return (
    <section aria-labelledby="can-make" className="grid gap-2">
      <h3 id="can-make" className="text-lg">
        You can make
      </h3>
      <RadioGroup.Root
        aria-labelledby="can-make"
        value={chosen}
        onValueChange={(methodId) => onChange({ methodId, drafts: {}, wanted: "" })}
        className="grid divide-y divide-line border-y border-line"
      >
        {shown.map((option) => {
          const { recipe } = option;
          const said = sayLacking(option);
          return (
            <RadioGroup.Item
              key={recipe.id}
              value={recipe.id}
              className="grid min-h-14 grid-cols-[auto_1fr_auto] items-center gap-3 px-2 py-1.5 text-left data-[state=checked]:bg-marigold-wash data-[state=checked]:outline data-[state=checked]:outline-2 data-[state=checked]:-outline-offset-2 data-[state=checked]:outline-ink"
            >
              <VesselDrawing
                kind="drum"
                volumeL={200}
                diameterM={null}
                pxPerM={40}
                contents={recipeContents(recipe, 170)}
                label=""
              />
              <span className="min-w-0">
                <span className="block font-semibold leading-tight">{recipe.name}</span>
                <span
                  className={clsx(
                    "block text-[0.9rem] leading-tight",
                    said.good ? "text-leaf" : "font-semibold text-rust",
                  )}
                >
                  {said.text}
                </span>
              </span>
              <span className="reading whitespace-nowrap text-[0.9rem] text-soft">
                {lead[recipe.id] ? sayLead(lead[recipe.id]!) : ""}
              </span>
            </RadioGroup.Item>
          );
        })}
      </RadioGroup.Root>
      {drum.options.length > OPTIONS_IN_SIGHT ? (
        <Button variant="quiet" className="-ml-3 justify-self-start" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "Show fewer" : `${drum.options.length - OPTIONS_IN_SIGHT} more methods`}
        </Button>
      ) : null}
      {draft.goal !== null && drum.options.length === 0 ? (
        <p className="text-soft">No method is made for this.</p>
      ) : null}
    </section>
  );
};

/** What it is made from, and what is made: by what is at hand, by what is wanted, or by both. */
export const HandPick = (props: HandPickProps) => {
  const { draft, onChange } = props;
  return (
    <section aria-labelledby="at-hand" className="grid content-start gap-3">
      <h2 id="at-hand" className="text-xl">
        What is at hand?
      </h2>
      <Things draft={draft} onChange={onChange} />
      <SelectField
        label="What do you want it for?"
        value={draft.goal ?? ""}
        onChange={(event) => onChange({ goal: event.target.value === "" ? null : (event.target.value as GoalId) })}
      >
        <option value="">Anything: show all methods</option>
        {GOAL_IDS.map((id) => (
          <option key={id} value={id}>
            {GOALS[id]}
          </option>
        ))}
      </SelectField>
      <Options {...props} />
    </section>
  );
};
