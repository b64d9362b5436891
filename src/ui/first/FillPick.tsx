"use client";
import { useId, useState } from "react";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { findIngredient, isWater, type IngredientId } from "@/core/book/ingredients";
import type { PlaceKind } from "@/core/ferment/temperature/places";
import { thingFor, type FirstOption } from "@/core/choose/firstDrum";
import { cautionsFor } from "@/core/safety/cautionsFor";
import { WATER_SOURCES } from "@/core/water/chlorine";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { measurableOf } from "@/formats/measured";
import { formatNumber } from "@/formats/numbers";
import { PLACE_WORDS, sayCommonVessel, sayFirstThing, sayWaterSource } from "@/words/said";
import { recipeContents } from "../drawings/recipeContents";
import { VesselDrawing } from "../drawings/VesselDrawing";
import type { LineDraft } from "../fill/workOutFill";
import { Button } from "../kit/Button";
import { Cautions } from "../kit/Cautions";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextArea } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { AmountField } from "../measures/AmountField";
import { AmountStepper } from "./AmountStepper";
import {
  needsTreatment,
  vitaminCg,
  type FirstDraft,
  type FirstDrum,
  type FirstVessel,
  type TapTreatment,
} from "./firstDraft";

interface FillPickProps {
  readonly draft: FirstDraft;
  readonly drum: FirstDrum;
  readonly units: UnitSystem;
  readonly currency: string;
  readonly fields: FieldErrors;
  readonly onChange: (change: Partial<FirstDraft>) => void;
}

const DRAWN_PX = 190;

/** The vessel, filled as the answers come. */
const Drawn = ({
  vessel,
  option,
  drum,
  units,
}: {
  readonly vessel: FirstVessel;
  readonly option: FirstOption;
  readonly drum: FirstDrum;
  readonly units: UnitSystem;
}) => {
  const filledL = drum.worked?.filledL ?? 0;
  const freeL = vessel.volumeL - filledL;
  return (
    <div className="flex items-end gap-4 border-b-[3px] border-ink">
      <VesselDrawing
        kind={vessel.kind}
        volumeL={vessel.volumeL}
        diameterM={null}
        // All vessels stand as high here: it is the level that is looked at.
        pxPerM={DRAWN_PX / Math.cbrt((vessel.volumeL / 1000) * ((4 * 1.4 * 1.4) / Math.PI))}
        contents={filledL > 0 ? recipeContents(option.recipe, filledL) : null}
        label={`${vessel.name} with ${sayVolume(filledL, units)} in it`}
      />
      {filledL > 0 ? (
        <p className="pb-3">
          <span className="reading block text-lg font-semibold">{sayVolume(filledL, units)} in it</span>
          <span className="block text-[0.92rem] text-soft">
            {freeL >= 0 ? `${sayVolume(freeL, units)} headspace, for ${option.recipe.headspaceFor}` : "It overflows."}
          </span>
        </p>
      ) : null}
    </div>
  );
};

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

const Line = ({
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
const WantedAgain = ({ draft, drum, units, onChange }: FillPickProps) => {
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

const TREATMENTS: readonly TapTreatment[] = ["vitamin-c", "carbon", "stood"];

/** Which water, and what was done against chlorine where it comes from a tap. */
const Water = ({ draft, drum, units, fields, onChange }: FillPickProps) => {
  const words: Record<TapTreatment, string> = {
    "vitamin-c": `${formatNumber(vitaminCg(drum.waterL), 2)} g of vitamin C, stirred in`,
    "carbon": "Ran through a carbon filter",
    "stood": "Stood open for 1 day",
  };
  return (
    <div className="grid gap-3">
      <Choices
        label={`Water, ${sayVolume(drum.waterL, units)}: where is it from?`}
        value={draft.water ?? ("" as "rain")}
        onChange={(water) => onChange({ water, treatment: null })}
        options={WATER_SOURCES.filter((kind) => kind !== "reverse-osmosis").map((kind) => ({
          value: kind,
          label: kind === "unknown" ? "Not sure" : sayWaterSource(kind),
        }))}
      />
      {needsTreatment(draft.water) ? (
        <Notice tone="caution" title="Chlorine kills the brew.">
          Tap water may hold chlorine, and chloramine, which does not leave by standing. Treat it first. A chlorine
          strip tells for sure.
        </Notice>
      ) : null}
      {needsTreatment(draft.water) ? (
        <Choices
          label="How did you treat it?"
          stacked
          value={draft.treatment ?? ("" as "stood")}
          onChange={(treatment) => onChange({ treatment })}
          options={TREATMENTS.map((value) => ({
            value,
            label: words[value],
            ...(value === "stood" ? { note: "Enough for chlorine, not for chloramine: the brew may fail." } : {}),
          }))}
        />
      ) : null}
      {(fields["/fill/water"] ?? fields["/fill/water/overrideReason"]) ? (
        <Notice tone="error">{fields["/fill/water"] ?? fields["/fill/water/overrideReason"]}</Notice>
      ) : null}
    </div>
  );
};

/** What lacks, each with the tap that says it is here after all. */
const Lacking = ({
  option,
  draft,
  onChange,
}: Pick<FillPickProps, "draft" | "onChange"> & { readonly option: FirstOption }) => (
  <ul aria-label="Missing" className="divide-y divide-line border-y border-line">
    {option.lacking.map((id) => (
      <li key={id} className="flex items-center justify-between gap-3 py-1.5">
        <span className="font-semibold text-rust">■ {findIngredient(id).name} is missing</span>
        <Button onClick={() => onChange({ things: [...draft.things, thingFor(id).id] })}>I have it</Button>
      </li>
    ))}
    {option.lacksAir ? (
      <li className="flex items-center justify-between gap-3 py-1.5">
        <span className="font-semibold text-rust">■ An air pump is missing</span>
        <Button onClick={() => onChange({ hasAir: true })}>I have one</Button>
      </li>
    ) : null}
  </ul>
);

/** What harms at this very work, before it is begun. */
const Safety = ({
  drum: { worked },
  option: { recipe },
}: Pick<FillPickProps, "drum"> & { readonly option: FirstOption }) => (
  <section aria-label="Safety" className="grid gap-2">
    <h3 className="text-lg">Safety</h3>
    <Cautions
      cautions={cautionsFor(recipe, {
        filledL: worked?.filledL ?? 0,
        ingredients: (worked?.lines ?? []).map(({ ingredient }) => ingredient),
      })}
    />
    <p className="text-[0.88rem] text-soft">Follow local law, your certifier and qualified electricians first.</p>
  </section>
);

/** Where it will stand decides how fast it goes; who does not say it is told what that means. */
const Standing = ({ draft, onChange }: Pick<FillPickProps, "draft" | "onChange">) => (
  <SelectField
    label="Where will it stand?"
    value={draft.place}
    hint={draft.place === "unsaid" ? "It decides how fast it ripens." : undefined}
    onChange={(event) => onChange({ place: event.target.value as PlaceKind })}
  >
    <option value="unsaid">Not sure yet</option>
    {Object.entries(PLACE_WORDS).map(([kind, words]) => (
      <option key={kind} value={kind}>
        {words}
      </option>
    ))}
  </SelectField>
);

const TRIAL_L = 30;

/** The vessel as it fills, each amount, the water, and the safety notes of this very work. */
export const FillPick = (props: FillPickProps) => {
  const { draft, drum, units, fields, onChange } = props;
  const { vessel, option, worked } = drum;
  if (!vessel || !option || !(vessel.volumeL > 0))
    return (
      <section aria-labelledby="fill-it" className="grid content-start gap-3">
        <h2 id="fill-it" className="text-xl">
          Fill it
        </h2>
        <p className="text-soft">Pick a vessel and what to make. The amounts for it appear here.</p>
      </section>
    );
  const { recipe } = option;
  const basisKey = worked?.lines.find(({ ingredient, part }) => ingredient === recipe.basis && part === "mix")?.key;
  return (
    <section aria-labelledby="fill-it" className="grid content-start gap-4">
      <h2 id="fill-it" className="text-xl">
        Fill it
      </h2>
      <Drawn vessel={vessel} option={option} drum={drum} units={units} />
      {option.lacking.length > 0 || option.lacksAir ? (
        <Lacking option={option} draft={draft} onChange={onChange} />
      ) : null}
      {worked?.scaled ? (
        <ul aria-label="What goes in" className="divide-y divide-line border-y border-line">
          {worked.lines.map((line, index) => (
            <Line key={line.key} line={line} index={index} isBasis={line.key === basisKey} {...props} />
          ))}
          {worked.later.map((line) => (
            <li key={`${line.ingredient}/${line.onDay}`} className="py-2 text-soft">
              On day {line.onDay}: {findIngredient(line.ingredient).name.toLowerCase()}, {line.role}
            </li>
          ))}
        </ul>
      ) : draft.wanted.trim() !== "" ? (
        <WantedAgain {...props} />
      ) : worked?.problem ? (
        <Notice tone="error" title={worked.problem}>
          {null}
        </Notice>
      ) : null}
      <Safety drum={drum} option={option} />
      {worked?.overBrim ? (
        <Notice tone="error" title="It will overflow.">
          Use less, or pick a larger vessel.
        </Notice>
      ) : null}
      {drum.waterL > 0 ? <Water {...props} /> : null}
      <Standing draft={draft} onChange={onChange} />
      {vessel.volumeL > TRIAL_L && recipe.family !== "preparation" ? (
        <p className="text-[0.92rem] text-soft">
          First time? A {sayCommonVessel("bucket").toLowerCase()} teaches you the smell, and costs less if it fails.
        </p>
      ) : null}
      {fields["/fill/overrideReason"] || draft.reason !== "" ? (
        <TextArea
          label="Reason for using it anyway"
          value={draft.reason}
          onChange={(event) => onChange({ reason: event.target.value })}
          error={draft.reason.trim() === "" ? fields["/fill/overrideReason"] : undefined}
        />
      ) : null}
    </section>
  );
};
